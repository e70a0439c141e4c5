import { snapToCut } from './snap.js';

/** A stretch of line that strip is to fill (mm), and how many of its ends may be moved: none of a closed one. */
export interface DrawnRun {
  readonly id: string;
  readonly lengthMm: number;
  readonly ends: 0 | 1 | 2;
  /** Of its strip, where that is not the one that most have (mm). */
  readonly cutPitchMm?: number;
}

/** What even runs are held to. */
export interface EvenLimits {
  readonly cutPitchMm: number;
  /** So much of a line may stay bare, at both ends together (mm). */
  readonly bareMm: number;
  /** So far an end may be moved (mm). */
  readonly mostMovedMm: number;
  /** So much of its size the artwork may grow or shrink, as a share. */
  readonly mostScaled: number;
  /** From the middle of the artwork to what is farthest from it: what a scale moves most (mm). */
  readonly reachMm: number;
}

/** A run as it comes out. */
export interface EvenRun {
  readonly id: string;
  readonly beforeMm: number;
  readonly afterMm: number;
  readonly cuts: number;
  readonly bareMm: number;
  /** Whether it is filled but for what may stay bare. */
  readonly even: boolean;
}

/** A way to make runs come out even. */
export interface EvenWay {
  readonly kind: 'as-drawn' | 'scaled' | 'ends-moved' | 'scaled-and-moved' | 'corners-moved';
  readonly scale: number;
  /** The most that anything is moved (mm). */
  readonly movedMm: number;
  readonly runs: readonly EvenRun[];
  readonly uneven: number;
}

const hairMm = 1e-6;

const asIs = (run: DrawnRun, scale: number, { cutPitchMm: usualMm, bareMm }: EvenLimits): EvenRun => {
  const { id, lengthMm, cutPitchMm = usualMm } = run;
  const afterMm = lengthMm * scale;
  const snapped = snapToCut(afterMm, cutPitchMm);
  return {
    id,
    beforeMm: lengthMm,
    afterMm,
    cuts: Math.round(snapped.lengthMm / cutPitchMm),
    bareMm: snapped.leftoverMm,
    even: snapped.lengthMm > 0 && snapped.leftoverMm <= bareMm + hairMm,
  };
};

/** The same with its ends moved: to the last cut that it holds and what may stay bare, or on to the next; shared by its ends. */
const withEndsMoved = (run: DrawnRun, scale: number, limits: EvenLimits): EvenRun => {
  const now = asIs(run, scale, limits);
  if (now.even || run.ends === 0) return now;
  const { bareMm, mostMovedMm } = limits;
  const { cutPitchMm = limits.cutPitchMm } = run;
  const shorter = now.bareMm - bareMm;
  const longer = cutPitchMm - now.bareMm;
  const grows = longer < shorter || now.cuts === 0;
  const by = grows ? longer : shorter;
  if (by / run.ends > mostMovedMm + hairMm) return now;
  return grows
    ? { ...now, afterMm: now.afterMm + longer, cuts: now.cuts + 1, bareMm: 0, even: true }
    : { ...now, afterMm: now.afterMm - shorter, bareMm, even: true };
};

const movedBy = ({ beforeMm, afterMm }: EvenRun, scale: number, ends: number): number =>
  Math.abs(afterMm - beforeMm * scale) / Math.max(1, ends);

const wayOf = (runs: readonly DrawnRun[], scale: number, moves: boolean, limits: EvenLimits): EvenWay => {
  const made = runs.map((run) => (moves ? withEndsMoved : asIs)(run, scale, limits));
  const ends = Math.max(0, ...made.map((run, at) => movedBy(run, scale, runs[at]!.ends)));
  const scaled = Math.abs(scale - 1) > 1e-9;
  return {
    kind: scaled ? (ends > hairMm ? 'scaled-and-moved' : 'scaled') : ends > hairMm ? 'ends-moved' : 'as-drawn',
    scale,
    movedMm: Math.abs(scale - 1) * limits.reachMm + ends,
    runs: made,
    uneven: made.filter(({ even }) => !even).length,
  };
};

/** Scales at which some run begins or ceases to come out even: the nearest to 1 that serves is one of them, or 1 itself. */
const scalesToTry = (runs: readonly DrawnRun[], limits: EvenLimits): readonly number[] => {
  const { bareMm, mostScaled } = limits;
  const [low, high] = [1 - mostScaled, 1 + mostScaled];
  const scales = [1];
  for (const { lengthMm, cutPitchMm = limits.cutPitchMm } of runs) {
    if (lengthMm <= 0) continue;
    const last = Math.ceil((lengthMm * high) / cutPitchMm);
    for (let cuts = Math.max(1, Math.floor((lengthMm * low) / cutPitchMm)); cuts <= last; cuts += 1)
      // A hair inside, so that rounding leaves no cut out.
      for (const scale of [(cuts * cutPitchMm + hairMm) / lengthMm, (cuts * cutPitchMm + bareMm - hairMm) / lengthMm])
        if (scale >= low && scale <= high) scales.push(scale);
  }
  return scales;
};

/** The way that leaves fewest runs uneven, and of those the one that moves least. */
const best = (ways: readonly EvenWay[]): EvenWay =>
  ways.reduce((one, other) =>
    other.uneven < one.uneven || (other.uneven === one.uneven && other.movedMm < one.movedMm - hairMm) ? other : one,
  );

/**
 * Ways to make runs come out at whole cuts, each at its best: as drawn, by one scale for all, by moving ends, by both. Those that leave
 * fewest runs uneven come first, then those that move least. One scale for all rarely serves where little may stay bare.
 */
export const evenRuns = (runs: readonly DrawnRun[], limits: EvenLimits): readonly EvenWay[] => {
  const scales = scalesToTry(runs, limits);
  const ways = [
    wayOf(runs, 1, false, limits),
    best(scales.map((scale) => wayOf(runs, scale, false, limits))),
    wayOf(runs, 1, true, limits),
    best(scales.map((scale) => wayOf(runs, scale, true, limits))),
  ];
  const kinds = new Set<EvenWay['kind']>();
  return ways
    .filter(({ kind }) => !kinds.has(kind) && kinds.add(kind))
    .sort((one, other) => one.uneven - other.uneven || one.movedMm - other.movedMm);
};
