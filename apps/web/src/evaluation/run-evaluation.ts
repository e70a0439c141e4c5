import type { Catalogue } from '@vitrum/core';
import { useDocument } from '../document/document-store';
import { useEvaluation } from './evaluation-store';
import { evaluationLink } from './link';
import { isRead, useReaders } from './read-findings';

type Link = typeof evaluationLink;

const evaluateOpen = (link: Link): void => {
  const { jobId, design } = useDocument.getState();
  if (jobId !== null && design !== null) link.evaluate(jobId, design);
};

/** Tries the fixes of what is read; what stands in the way of the design comes first. */
const fixRead = (link: Link): void => {
  const { evaluation, tried, problems } = useEvaluation.getState();
  if (evaluation === null || problems.length > 0) return;
  link.fix(
    evaluation,
    evaluation.findings.map(({ id }) => id).filter((id) => isRead(id) && !(id in tried)),
  );
};

/** Who draws or types goes on in a moment: what would help is tried on a design that has rested so long. */
const restMs = 500;

/**
 * Lights the open document in its thread, at once and after every edit, and tries what would help against the findings that
 * are read, once it has rested; with a changed catalogue, as after measuring, it is begun anew. Returns what ends it.
 */
export const runEvaluation = (catalogue: Catalogue, link: Link = evaluationLink): (() => void) => {
  link.open(catalogue);
  let resting: ReturnType<typeof setTimeout> | undefined;
  const fixRested = (): void => {
    if (resting === undefined) fixRead(link);
  };
  const rest = (): void => {
    clearTimeout(resting);
    resting = setTimeout(() => {
      resting = undefined;
      fixRead(link);
    }, restMs);
  };
  rest();
  const ends = [
    () => clearTimeout(resting),
    useDocument.subscribe((state, before) => {
      if (state.design !== before.design) evaluateOpen(link);
    }),
    useEvaluation.subscribe(({ evaluation }, before) => (evaluation === before.evaluation ? fixRested() : rest())),
    useReaders.subscribe(fixRested),
  ];
  evaluateOpen(link);
  return () => {
    for (const end of ends) end();
    link.leave();
  };
};
