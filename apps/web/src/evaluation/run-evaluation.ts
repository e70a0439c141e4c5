import type { Catalogue } from '@vitrum/core';
import { useDocument } from '../document/document-store';
import { useEvaluation } from './evaluation-store';
import { evaluationLink as link } from './link';
import { isRead, useReaders } from './read-findings';

const evaluateOpen = (): void => {
  const { jobId, design } = useDocument.getState();
  if (jobId !== null && design !== null) link.evaluate(jobId, design);
};

/** Tries the fixes of what is read; what stands in the way of the design comes first. */
const fixRead = (): void => {
  const { evaluation, tried, problems } = useEvaluation.getState();
  if (evaluation === null || problems.length > 0) return;
  link.fix(
    evaluation,
    evaluation.findings.map(({ id }) => id).filter((id) => isRead(id) && !(id in tried)),
  );
};

/**
 * Lights the open document in its thread, at once and after every edit, and tries what would help against the findings that
 * are read; with a changed catalogue, as after measuring, it is begun anew. Returns what ends it.
 */
export const runEvaluation = (catalogue: Catalogue): (() => void) => {
  link.open(catalogue);
  const ends = [
    useDocument.subscribe((state, before) => {
      if (state.design !== before.design) evaluateOpen();
    }),
    useEvaluation.subscribe(fixRead),
    useReaders.subscribe(fixRead),
  ];
  evaluateOpen();
  return () => {
    for (const end of ends) end();
    link.leave();
  };
};
