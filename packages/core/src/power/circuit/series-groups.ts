import type { WiredSegment } from './sign-runs.js';

/** Two groups of segments in series, each group in parallel: indices into the segments, the first group fed plus. */
export type SeriesGroups = readonly [first: readonly number[], second: readonly number[]];

/** So many segments are told apart by all their sums; with more the longest are put where less is. */
const mostSummed = 400;

const cutsOf = ({ lengthMm, strip }: Pick<WiredSegment, 'lengthMm' | 'strip'>): number =>
  Math.max(1, Math.round(lengthMm / strip.cutPitchMm));

/** Segments whose cuts add up to as near to half as any do: sums by one segment after the other, each with the last that made it. */
const halfOf = (cuts: readonly number[]): ReadonlySet<number> => {
  const total = cuts.reduce((sum, each) => sum + each, 0);
  const half = Math.floor(total / 2);
  // By sum: the segment that was added last, and the sum before it.
  const made = new Int32Array(half + 1).fill(-2);
  made[0] = -1;
  cuts.forEach((own, segment) => {
    for (let sum = half; sum >= own; sum -= 1)
      if (made[sum] === -2 && made[sum - own] !== -2 && made[sum - own] !== segment) made[sum] = segment;
  });
  let sum = half;
  while (made[sum] === -2) sum -= 1;
  const found = new Set<number>();
  while (sum > 0) {
    const segment = made[sum]!;
    found.add(segment);
    sum -= cuts[segment]!;
  }
  return found;
};

const byTurns = (cuts: readonly number[]): ReadonlySet<number> => {
  let [first, second] = [0, 0];
  const found = new Set<number>();
  for (const segment of [...cuts.keys()].sort((a, b) => cuts[b]! - cuts[a]!))
    if (first <= second) {
      found.add(segment);
      first += cuts[segment]!;
    } else second += cuts[segment]!;
  return found;
};

/** Segments in two groups whose totals are as equal as they can be without a cut; each in the order in which they are wired. */
export const groupUp = (segments: readonly Pick<WiredSegment, 'lengthMm' | 'strip'>[]): SeriesGroups => {
  const cuts = segments.map(cutsOf);
  const half = segments.length <= mostSummed ? halfOf(cuts) : byTurns(cuts);
  const all = [...segments.keys()];
  return [all.filter((segment) => !half.has(segment)), all.filter((segment) => half.has(segment))];
};

/** What stands in the way of two groups that are alike: an odd cut too many, or one segment to be cut at a mark. */
export interface GroupMatch {
  readonly totalCuts: number;
  /** Cuts by which the first group is longer. */
  readonly overCuts: number;
  /** A segment that, cut so far from where current enters, makes both alike; null where they are, or the total is odd. */
  readonly cut: { readonly index: number; readonly atMm: number } | null;
}

/** How well two groups match, and the one cut that makes them alike. */
export const matchOf = (
  segments: readonly Pick<WiredSegment, 'lengthMm' | 'strip'>[],
  [first, second]: SeriesGroups,
): GroupMatch => {
  const sumOf = (group: readonly number[]): number => group.reduce((sum, at) => sum + cutsOf(segments[at]!), 0);
  const [one, other] = [sumOf(first), sumOf(second)];
  const over = one - other;
  const move = Math.floor(Math.abs(over) / 2);
  const longer = over > 0 ? first : second;
  // Cut off the longest: it has the mark for certain.
  const index = [...longer].sort((a, b) => segments[b]!.lengthMm - segments[a]!.lengthMm)[0];
  const own = index === undefined ? undefined : segments[index];
  const cut =
    move > 0 && index !== undefined && own !== undefined && cutsOf(own) > move
      ? { index, atMm: own.lengthMm - move * own.strip.cutPitchMm }
      : null;
  return { totalCuts: one + other, overCuts: over, cut };
};
