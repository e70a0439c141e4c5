import type { SignResults } from '../results/index.js';
import type { Severity, SignFinding } from './types.js';

/** How grave each kind of finding is; the gravest first. */
export const gravity: Readonly<Record<Severity, number>> = { stop: 0, fix: 1, note: 2 };

/** A design evaluated, of whose findings one is looked for at a time. */
export interface Glimpse {
  readonly results: SignResults;
  /** How grave a finding of another evaluation is here; null where it is not found. */
  readonly again: (finding: SignFinding) => Severity | null;
}

/** A design evaluated and judged: what a trial gives. */
export interface Judged extends Glimpse {
  readonly findings: readonly SignFinding[];
}

/** A design with what was found on it. */
export const judgedWith = (results: SignResults, findings: readonly SignFinding[]): Judged => ({
  results,
  findings,
  again: ({ id }) => findings.find((found) => found.id === id)?.severity ?? null,
});

/** A finding that stays may move the wrong way by this share of its figure before it counts as made worse. */
const unnoticed = 0.1;

/** A finding that stands in both, and whose figure the change moved the wrong way by more than is noticed. */
const worsens = (finding: SignFinding, now: Judged, then: Judged): boolean => {
  const { read, better } = finding.target;
  const [before, after] = [read(now.results), read(then.results)];
  return (better === 'higher' ? before - after : after - before) > unnoticed * Math.abs(before);
};

/**
 * What a change does that the maker did not ask for while he mends a finding: what stops or disappoints and did not
 * before, or is graver or worse than before; of a note's remedies every new note as well. The gravest first.
 */
export const harmOf = (mended: SignFinding, now: Judged, then: Judged): readonly SignFinding[] => {
  const counts = mended.severity === 'note' ? gravity.note : gravity.fix;
  return then.findings
    .filter(({ id, severity }) => {
      if (id === mended.id || gravity[severity] > counts) return false;
      const known = now.findings.find((each) => each.id === id);
      if (known === undefined || gravity[severity] < gravity[known.severity]) return true;
      return worsens(known, now, then);
    })
    .sort((a, b) => gravity[a.severity] - gravity[b.severity]);
};
