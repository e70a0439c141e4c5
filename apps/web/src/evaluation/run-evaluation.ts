import type { Catalogue } from '@vitrum/core';
import { useDocument } from '../document/document-store';
import { evaluationLink as link } from './link';

const evaluateOpen = (): void => {
  const { jobId, design } = useDocument.getState();
  if (jobId !== null && design !== null) link.evaluate(jobId, design);
};

/**
 * Lights the open document in its thread, at once and after every edit; with a changed catalogue, as after measuring, it
 * is begun anew. Returns what ends it.
 */
export const runEvaluation = (catalogue: Catalogue): (() => void) => {
  link.open(catalogue);
  const unsubscribe = useDocument.subscribe((state, before) => {
    if (state.design !== before.design) evaluateOpen();
  });
  evaluateOpen();
  return () => {
    unsubscribe();
    link.leave();
  };
};
