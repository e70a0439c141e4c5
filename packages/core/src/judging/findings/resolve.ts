import type { DesignChange } from '../../document/design/index.js';
import { gravity, harmOf, type Glimpse, type Judged } from './harm.js';
import type { Candidate, Finding, Fix, Remedy, SignFinding } from './types.js';

/** Evaluates the design with a change made; null when that makes no valid design. */
export type Trial<Seen> = (change: DesignChange) => Seen | null;

/** How remedies are tried: many at a glance on a rough map, to find the one that will do; that one judged on the page’s own. */
export interface Trials {
  readonly rough: Trial<Glimpse>;
  readonly exact: Trial<Judged>;
}

/** A remedy that moves its figure by less than this share is not worth showing. */
const worthShowing = 0.05;
/** Long lists of candidates grow steadily and are halved; short ones are gone through. */
const halveFrom = 9;
/** So many candidates of one remedy are tried on the page’s map before it is given up. */
const mostExact = 3;
/** So many further changes may be joined to one, each for what the change before brings on; for a note it is not worth it. */
const mostJoined = { stop: 2, fix: 2, note: 0 } as const;
/** After so many that settle a finding no other remedy of it is tried: who has four ways out needs no fifth. */
const enoughFixes = 4;
/** So many remedies of what a change brings on are tried with it: it is a second thought, not a search. */
const joinedRemedies = 3;

/** A candidate as it came out on the page’s map. */
interface Tried {
  readonly candidate: Candidate;
  readonly judged: Judged;
  readonly settles: boolean;
  readonly harm: readonly SignFinding[];
}

/** A figure as finely as it is shown: what differs less does not differ. */
export const asShown = (value: number): number => Math.round(value * 100) / 100;

/** What is asked of a trial. */
type Will = (seen: Glimpse) => boolean;

/** Tries a candidate on the page’s map; whether it is taken, so that no other need be tried. */
type Take = (candidate: Candidate) => Generator<void, boolean>;

/** Settled: its own measure says so, and it is not found again as gravely. */
const settles = (finding: SignFinding, seen: Glimpse): boolean => {
  if (!finding.target.settled(seen.results)) return false;
  const again = seen.again(finding);
  return again === null || gravity[again] > gravity[finding.severity];
};

/** Tries the remedies of one finding; every trial is preceded by a `yield`, so that the caller can stop or let others run. */
class Attempt {
  constructor(
    private readonly finding: SignFinding,
    private readonly now: Judged,
    private readonly trials: Trials,
  ) {}

  private *roughly(candidate: Candidate): Generator<void, Glimpse | null> {
    yield;
    return this.trials.rough(candidate.change);
  }

  *exactly(candidate: Candidate): Generator<void, Tried | null> {
    yield;
    const judged = this.trials.exact(candidate.change);
    if (judged === null) return null;
    const harm = harmOf(this.finding, this.now, judged);
    return { candidate, judged, settles: settles(this.finding, judged), harm };
  }

  private *willRoughly(candidate: Candidate, will: Will): Generator<void, boolean> {
    const seen = yield* this.roughly(candidate);
    return seen !== null && will(seen);
  }

  private readonly settled: Will = (seen) => settles(this.finding, seen);

  /**
   * Hands on the candidates to try on the page’s map, by what the rough one says, one by one until one is `taken`: those that
   * will do; where none does, what moves the figure most.
   */
  private *promising(candidates: readonly Candidate[], will: Will, take: Take): Generator<void, void> {
    if (candidates.length >= halveFrom) return yield* this.halved(candidates, will, take);
    const handed = new Set<Candidate>();
    let [first, last, mostMoved] = [null as Candidate | null, null as Candidate | null, 0];
    for (const candidate of candidates) {
      const seen = yield* this.roughly(candidate);
      if (seen === null) continue;
      if (will(seen)) {
        handed.add(candidate);
        if (yield* take(candidate)) return;
        if (handed.size === mostExact) break;
        continue;
      }
      const moved = this.moved(seen);
      if (moved > 0) first ??= candidate;
      if (moved > mostMoved) [last, mostMoved] = [candidate, moved];
    }
    // Where all that settles does harm, what moves the figure without settling it may still help: most, or least.
    const helping = handed.size > 0 ? [last, first] : [last];
    for (const candidate of new Set(helping)) if (candidate !== null && (yield* take(candidate))) return;
  }

  /** The same for a long list that grows steadily: from the first that will do on. */
  private *halved(candidates: readonly Candidate[], will: Will, take: Take): Generator<void, void> {
    let [low, high] = [0, candidates.length - 1];
    const does = yield* this.willRoughly(candidates[high]!, will);
    while (does && low < high) {
      const middle = (low + high) >> 1;
      if (yield* this.willRoughly(candidates[middle]!, will)) high = middle;
      else low = middle + 1;
    }
    for (const candidate of candidates.slice(high, high + mostExact)) if (yield* take(candidate)) return;
  }

  /** How far the figure moved the right way. */
  private moved({ results }: Glimpse): number {
    const { read, better } = this.finding.target;
    const by = read(results) - read(this.now.results);
    return better === 'higher' ? by : -by;
  }

  /** The change joined with what mends the gravest that it brings on, again and again; null where that does not help. */
  *joined(tried: Tried, depth: number = mostJoined[this.finding.severity]): Generator<void, Tried | null> {
    const [worst] = tried.harm;
    if (worst === undefined) return tried;
    if (depth === 0) return null;
    const gone: Will = (seen) => settles(this.finding, seen) && seen.again(worst) !== worst.severity;
    let best: Tried | null = null;
    for (const remedy of worst.remedies.slice(0, joinedRemedies)) {
      const both = remedy.candidates.flatMap((candidate) => together(tried.candidate, candidate));
      if (both.length === 0) continue;
      let joined = null as Tried | null;
      const exactly = (candidate: Candidate) => this.exactly(candidate);
      yield* this.promising(both, gone, function* (candidate) {
        joined = yield* exactly(candidate);
        return true;
      });
      if (joined?.settles !== true || joined.harm.length >= tried.harm.length) continue;
      const mended = yield* this.joined(joined, depth - 1);
      if (mended !== null && (best === null || priceOf(mended) < priceOf(best))) best = mended;
    }
    return best;
  }

  /** The best that a remedy comes to; what stands in its way where it comes to nothing. */
  *best(remedy: Remedy): Generator<void, Tried | { readonly obstacle: string } | null> {
    let [good, harmful, helping] = [null as Tried | null, null as Tried | null, null as Tried | null];
    const judge = (tried: Tried | null): void => {
      if (tried === null) return;
      if (tried.settles && tried.harm.length === 0) good = tried;
      else if (tried.settles) harmful ??= tried;
      else if (tried.harm.length === 0 && this.helps(tried)) helping = tried;
    };
    const exactly = (candidate: Candidate) => this.exactly(candidate);
    yield* this.promising(remedy.candidates, this.settled, function* (candidate) {
      judge(yield* exactly(candidate));
      return good !== null;
    });
    if (good !== null) return good;
    const joined = harmful === null ? null : yield* this.joined(harmful);
    if (joined !== null) return joined;
    if (helping !== null) return helping;
    return harmful === null
      ? { obstacle: 'does not settle it' }
      : { obstacle: `brings on: ${lowerFirst(harmful.harm[0]!.what)}` };
  }

  /** Worth showing: it moves its figure the right way by enough to matter. */
  private helps({ judged }: Tried): boolean {
    return this.moved(judged) > worthShowing * Math.abs(this.finding.target.read(this.now.results));
  }

  fixOf(remedy: Remedy, tried: Tried): Fix {
    const { target } = this.finding;
    return {
      id: remedy.id,
      label: tried.candidate.label,
      change: tried.candidate.change,
      measure: target.label,
      unit: target.unit,
      before: asShown(target.read(this.now.results)),
      after: asShown(target.read(tried.judged.results)),
      settles: tried.settles,
      priceChange: priceOf(tried) - this.now.results.cost.perSign,
    };
  }
}

const priceOf = ({ judged }: Tried): number => judged.results.cost.perSign;

/** One change and another as one: what the other says of the same fields counts; none where they are at odds in part. */
const together = (first: Candidate, second: Candidate): readonly Candidate[] => {
  const said = (path: string): boolean => second.change.some((each) => each.path === path);
  const kept = first.change.filter(({ path }) => !said(path));
  if (kept.length === 0) return [second];
  return kept.length < first.change.length
    ? []
    : [{ label: `${first.label} and ${lowerFirst(second.label)}`, change: [...kept, ...second.change] }];
};

/** As the second half of a sentence: names of things keep their capitals. */
const lowerFirst = (text: string): string =>
  /^.[^a-z]/.test(text) ? text : `${text.charAt(0).toLowerCase()}${text.slice(1)}`;

/** Why nothing is offered: the first two remedies with what stands in their way. */
const whyNone = (finding: SignFinding, obstacles: readonly (readonly [label: string, obstacle: string])[]): string =>
  obstacles.length === 0
    ? (finding.noRemedy ?? 'Nothing that Vitrum can change mends this.')
    : `No change that was tried mends this alone: ${obstacles
        .slice(0, 2)
        .map(([label, obstacle]) => `“${label}” ${obstacle}`)
        .join('; ')}.`;

/**
 * Tries the remedies of a finding on the design itself and keeps those that help and bring nothing on, settling ones
 * first, cheapest first. What stops or disappoints and has none says why. A generator: it yields before every trial, so
 * that the caller can stop it or let others run.
 */
export function* tryRemedies(finding: SignFinding, now: Judged, trials: Trials): Generator<void, Finding> {
  const attempt = new Attempt(finding, now, trials);
  const fixes: Fix[] = [];
  const obstacles: (readonly [string, string])[] = [];
  for (const remedy of finding.remedies) {
    if (fixes.filter((fix) => fix.settles).length >= enoughFixes) break;
    const best = yield* attempt.best(remedy);
    if (best === null) continue;
    if ('obstacle' in best) {
      const [first] = remedy.candidates;
      if (first !== undefined) obstacles.push([first.label, best.obstacle]);
      continue;
    }
    const fix = attempt.fixOf(remedy, best);
    if (fix.before !== fix.after) fixes.push(fix);
  }
  fixes.sort((a, b) => Number(b.settles) - Number(a.settles) || a.priceChange - b.priceChange);
  const none = fixes.length === 0 && finding.severity !== 'note' ? whyNone(finding, obstacles) : null;
  return { ...withoutRemedies(finding), fixes, whyNone: none };
}

/** All findings of a design, with the fixes of those that are asked for. */
export function* resolveRemedies(
  now: Judged,
  trials: Trials,
  asked: (finding: SignFinding) => boolean = () => true,
): Generator<void, readonly Finding[]> {
  const findings: Finding[] = [];
  for (const finding of now.findings)
    findings.push(asked(finding) ? yield* tryRemedies(finding, now, trials) : withoutRemedies(finding));
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
  whyNone: null,
});
