import type { DesignChange } from '../../document/design/index.js';
import type { SignResults } from '../results/index.js';
import type { Candidate, Finding, Fix, Remedy, SignFinding } from './types.js';

/** Evaluates the design with a change made; null when that makes no valid design. */
export type Trial = (change: DesignChange) => SignResults | null;

/** A remedy that moves its figure by less than this share is not worth showing. */
const worthShowing = 0.05;

interface Tried {
  readonly candidate: Candidate;
  readonly results: SignResults;
  readonly settles: boolean;
}

const attempt = (finding: SignFinding, candidate: Candidate, trial: Trial): Tried | null => {
  const results = trial(candidate.change);
  return results === null ? null : { candidate, results, settles: finding.target.settled(results) };
};

/** Long lists of candidates grow steadily and are halved; short ones are gone through. */
const halveFrom = 9;

/** The first candidate that settles the finding; else the last that could be tried. Yields before every trial. */
function* search(finding: SignFinding, remedy: Remedy, trial: Trial): Generator<void, Tried | null> {
  const { candidates } = remedy;
  if (candidates.length < halveFrom) {
    let best: Tried | null = null;
    for (const candidate of candidates) {
      yield;
      best = attempt(finding, candidate, trial) ?? best;
      if (best?.settles === true) return best;
    }
    return best;
  }
  let [low, high] = [0, candidates.length - 1];
  yield;
  let found = attempt(finding, candidates[high]!, trial);
  if (found?.settles !== true) return found;
  while (low < high) {
    const middle = (low + high) >> 1;
    yield;
    const tried = attempt(finding, candidates[middle]!, trial);
    if (tried?.settles === true) [high, found] = [middle, tried];
    else low = middle + 1;
  }
  return found;
}

const fixOf = (remedy: Remedy, finding: SignFinding, now: SignResults, tried: Tried): Fix => ({
  id: remedy.id,
  label: tried.candidate.label,
  change: tried.candidate.change,
  measure: finding.target.label,
  unit: finding.target.unit,
  before: finding.target.read(now),
  after: finding.target.read(tried.results),
  settles: tried.settles,
  priceChange: tried.results.cost.perSign - now.cost.perSign,
});

/** Worth showing: it settles the finding, or moves its figure the right way by enough to matter. */
const helps = ({ settles, before, after }: Fix, better: SignFinding['target']['better']): boolean =>
  settles || (better === 'higher' ? after - before : before - after) > worthShowing * Math.abs(before);

/**
 * Tries the remedies of each finding on the design itself and keeps those that help, settling ones first, cheapest
 * first. A generator: it yields before every trial, so that the caller can stop it or let others run.
 */
export function* resolveRemedies(
  now: SignResults,
  raw: readonly SignFinding[],
  trial: Trial,
): Generator<void, readonly Finding[]> {
  const findings: Finding[] = [];
  for (const finding of raw) {
    const fixes: Fix[] = [];
    for (const remedy of finding.remedies) {
      const tried = yield* search(finding, remedy, trial);
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
export const withoutRemedies = ({
  id,
  rule,
  assembly,
  severity,
  step,
  what,
  why,
  numbers,
  where,
}: SignFinding): Finding => ({
  id,
  rule,
  assembly,
  severity,
  step,
  what,
  why,
  numbers,
  where,
  fixes: [],
});
