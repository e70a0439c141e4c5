import type { Candidate, Remedy } from '../../judging/findings/index.js';

/** What is found out only when it is asked for, and once: solvers take longer than a rule may. */
export const askedFor = (id: string, candidates: () => readonly Candidate[]): Remedy => {
  let found: readonly Candidate[] | null = null;
  return {
    id,
    get candidates() {
      found ??= candidates();
      return found;
    },
  };
};
