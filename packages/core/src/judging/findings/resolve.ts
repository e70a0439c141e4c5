import { applyChange, type Design } from '../../document/design/index.js';
import type { StageResults } from '../../sign/evaluate/types.js';
import type { Candidate, Finding, Fix, RawFinding, Remedy } from './types.js';

/** Evaluates a changed design; null when the change makes no valid design. */
export type Trial = (design: Design) => StageResults | null;

/** A remedy that moves its figure by less than this share is not worth showing. */
const worthShowing = 0.05;

interface Tried {
  readonly candidate: Candidate;
  readonly results: StageResults;
  readonly settles: boolean;
}

const attempt = (design: Design, finding: RawFinding, candidate: Candidate, trial: Trial): Tried | null => {
  const changed = applyChange(design, candidate.change);
  const results = changed.ok ? trial(changed.value) : null;
  return results === null ? null : { candidate, results, settles: finding.target.settled(results) };
};

/** Long lists of candidates grow steadily and are halved; short ones are gone through. */
const halveFrom = 9;

/** The first candidate that settles the finding; else the last that could be tried. Yields before every trial. */
function* search(design: Design, finding: RawFinding, remedy: Remedy, trial: Trial): Generator<void, Tried | null> {
  const { candidates } = remedy;
  if (candidates.length < halveFrom) {
    let best: Tried | null = null;
    for (const candidate of candidates) {
      yield;
      best = attempt(design, finding, candidate, trial) ?? best;
      if (best?.settles === true) return best;
    }
    return best;
  }
  let [low, high] = [0, candidates.length - 1];
  yield;
  let found = attempt(design, finding, candidates[high]!, trial);
  if (found?.settles !== true) return found;
  while (low < high) {
    const middle = (low + high) >> 1;
    yield;
    const tried = attempt(design, finding, candidates[middle]!, trial);
    if (tried?.settles === true) [high, found] = [middle, tried];
    else low = middle + 1;
  }
  return found;
}

const fixOf = (remedy: Remedy, finding: RawFinding, now: StageResults, tried: Tried): Fix => ({
  id: remedy.id,
  label: tried.candidate.label,
  change: tried.candidate.change,
  measure: finding.target.label,
  unit: finding.target.unit,
  before: finding.target.read(now),
  after: finding.target.read(tried.results),
  settles: tried.settles,
  priceChange: tried.results.cost.perPiece - now.cost.perPiece,
});

/** Worth showing: it settles the finding, or moves its figure the right way by enough to matter. */
const helps = ({ settles, before, after }: Fix, better: RawFinding['target']['better']): boolean =>
  settles || (better === 'higher' ? after - before : before - after) > worthShowing * Math.abs(before);

/**
 * Tries the remedies of each finding on the design itself and keeps those that help, settling ones first, cheapest
 * first. A generator: it yields before every trial, so that the caller can stop it or let others run.
 */
export function* resolveRemedies(
  design: Design,
  now: StageResults,
  raw: readonly RawFinding[],
  trial: Trial,
): Generator<void, readonly Finding[]> {
  const findings: Finding[] = [];
  for (const finding of raw) {
    const fixes: Fix[] = [];
    for (const remedy of finding.remedies) {
      const tried = yield* search(design, finding, remedy, trial);
      if (tried === null) continue;
      const fix = fixOf(remedy, finding, now, tried);
      if (helps(fix, finding.target.better)) fixes.push(fix);
    }
    fixes.sort((a, b) => Number(b.settles) - Number(a.settles) || a.priceChange - b.priceChange);
    findings.push({ ...withoutRemedies(finding), fixes });
  }
  return findings;
}

/** A finding without its functions, fit to cross to another thread. */
export const withoutRemedies = ({ id, severity, step, what, why, numbers, where }: RawFinding): Finding => ({
  id,
  severity,
  step,
  what,
  why,
  numbers,
  where,
  fixes: [],
});
