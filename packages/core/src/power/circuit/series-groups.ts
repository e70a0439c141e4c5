import type { WiredSegment } from './sign-runs.js';

/** Two groups of segments in series, each group in parallel: indices into the segments, the first group fed plus. */
export type SeriesGroups = readonly [first: readonly number[], second: readonly number[]];

type Of = Pick<WiredSegment, 'lengthMm' | 'strip'>;

/** So many segments are told apart by all their sums; with more the longest are put where less is. */
const mostSummed = 400;

const cutsOf = ({ lengthMm, strip }: Of): number => Math.max(1, Math.round(lengthMm / strip.cutPitchMm));

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
export const groupUp = (segments: readonly Of[]): SeriesGroups => {
  const cuts = segments.map(cutsOf);
  const half = segments.length <= mostSummed ? halfOf(cuts) : byTurns(cuts);
  const all = [...segments.keys()];
  return [all.filter((segment) => !half.has(segment)), all.filter((segment) => half.has(segment))];
};

/** Of an even part of all, a pair may have so much more or less (share): beyond, equal totals are not worth it. */
const unlikeShare = 0.3;

/** Segments that follow each other in so many pairs of groups: cut into stretches of about the same length, where the groups of each come out most alike. */
const stretchesInGroups = (segments: readonly Of[], count: number): readonly SeriesGroups[] => {
  const cuts = segments.map(cutsOf);
  const upTo = [0];
  for (const own of cuts) upTo.push(upTo.at(-1)! + own);
  const part = upTo.at(-1)! / count;
  /** How unlike the groups of a stretch are (cuts), and how far it is from an even part. */
  const badness = (from: number, to: number): number => {
    const [one, other] = groupUp(segments.slice(from, to));
    const total = (group: readonly number[]): number => group.reduce((sum, at) => sum + cuts[from + at]!, 0);
    const off = Math.abs(upTo[to]! - upTo[from]! - part) / part;
    return Math.abs(total(one) - total(other)) + off + (off > unlikeShare ? 1e3 * off : 0);
  };
  // The best ends of the first so many stretches, by how many segments they hold.
  let best = new Map<number, { readonly bad: number; readonly ends: readonly number[] }>([[0, { bad: 0, ends: [0] }]]);
  for (let pair = 1; pair <= count; pair += 1) {
    const next: typeof best = new Map();
    for (const [from, { bad, ends }] of best)
      for (let to = from + 2; to <= segments.length - 2 * (count - pair); to += 1) {
        if (pair === count && to !== segments.length) continue;
        // Far beyond an even part nothing is gained.
        if (upTo[to]! - upTo[from]! > 2.5 * part && to > from + 2 && pair < count) break;
        const sum = bad + badness(from, to);
        if (sum < (next.get(to)?.bad ?? Infinity)) next.set(to, { bad: sum, ends: [...ends, to] });
      }
    best = next;
  }
  const ends = best.get(segments.length)?.ends ?? [0, segments.length];
  return ends.slice(1).map((to, at): SeriesGroups => {
    const [one, other] = groupUp(segments.slice(ends[at], to));
    return [one.map((each) => ends[at]! + each), other.map((each) => ends[at]! + each)];
  });
};

/** Pairs that each kind of strip has: at least one, the rest where most cuts are left to a pair; never more than two segments make. */
const sharePairs = (
  kinds: readonly (readonly number[])[],
  segments: readonly Of[],
  count: number,
): readonly number[] => {
  const shares = kinds.map(() => 1);
  const loads = kinds.map((own) =>
    own.reduce((sum, at) => sum + segments[at]!.lengthMm * segments[at]!.strip.wattsPerM, 0),
  );
  for (let left = count - kinds.length; left > 0; left -= 1) {
    const open = [...kinds.keys()].filter((kind) => kinds[kind]!.length >= 2 * (shares[kind]! + 1));
    const most = open.reduce<number | null>(
      (a, b) => (a === null || loads[b]! / shares[b]! > loads[a]! / shares[a]! ? b : a),
      null,
    );
    if (most === null) break;
    shares[most]! += 1;
  }
  return shares;
};

/**
 * Segments in pairs of groups, `count` in all where there are segments enough: strip of one kind with its like alone, and neighbours in the
 * order of wiring together. A segment that is the only one of its kind has no mate.
 */
export const pairsOfGroups = (
  segments: readonly Of[],
  count: number,
): { readonly pairs: readonly SeriesGroups[]; readonly alone: readonly number[] } => {
  const ids = [...new Set(segments.map(({ strip }) => strip.id))];
  const all = ids.map((id) => [...segments.keys()].filter((at) => segments[at]!.strip.id === id));
  const kinds = all.filter((own) => own.length > 1);
  const shares = sharePairs(kinds, segments, count);
  return {
    pairs: kinds.flatMap((own, kind) => {
      const mine = own.map((at) => segments[at]!);
      const found = shares[kind] === 1 ? [groupUp(mine)] : stretchesInGroups(mine, shares[kind]!);
      return found.map(([one, other]): SeriesGroups => [one.map((at) => own[at]!), other.map((at) => own[at]!)]);
    }),
    alone: all.filter((own) => own.length === 1).flat(),
  };
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
export const matchOf = (segments: readonly Of[], [first, second]: SeriesGroups): GroupMatch => {
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
