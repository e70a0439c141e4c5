import { set, type DesignChange } from '../../document/design/index.js';
import { fieldsIn } from '../../judging/results/index.js';
import { evenRuns, type EvenWay } from '../../light/laying/index.js';
import type { GrooveResults } from './results.js';
import type { GrooveRun } from './runs.js';

/** So much of a run may stay bare where nothing is said (mm). */
export const usualBareMm = 6;
/** An end is moved, and all lines are scaled, no more than that by themselves. */
const mostMovedMm = 25;
const mostScaled = 0.06;
/** Corners do not scale with their lines: room for that at each bound (mm). */
const slackMm = 0.4;

export const bareOf = ({ assembly }: Pick<GrooveResults, 'assembly'>): number => assembly.light.bareMm ?? usualBareMm;

/** Whether a run is filled but for what may stay bare. */
export const isEven = ({ segment, bareMm }: GrooveRun, mostMm: number): boolean =>
  segment !== null && bareMm <= mostMm + 1e-6;

/** A stretch shorter than this share of a cut is a gap at a crossing, not a run. */
const gapShare = 0.6;

/** Stretches that are runs: long enough for strip, or nearly so. */
export const runsIn = ({ runs }: Pick<GrooveResults, 'runs'>): readonly GrooveRun[] =>
  runs.stretches.filter(({ segment, roomMm, cutPitchMm }) => segment !== null || roomMm >= gapShare * cutPitchMm);

/** Runs that are not. */
export const unevenRuns = (results: GrooveResults): readonly GrooveRun[] =>
  runsIn(results).filter((run) => !isEven(run, bareOf(results)));

/** A way to make all runs come out even, and the change of the design that does it. */
export interface EvenChange {
  readonly way: EvenWay;
  readonly change: DesignChange;
}

/** How a line is changed: its ends, and its size where it is closed. */
interface LineChange {
  readonly startMm: number;
  readonly endMm: number;
  readonly scale: number;
}
const unmoved: LineChange = { startMm: 0, endMm: 0, scale: 1 };

/** The kinds of ways, the smallest visible change first. */
export const evenKinds = ['ends-moved', 'scaled', 'scaled-and-moved'] as const;

/** Ways to make runs come out even, the one that moves least first: ends moved, all scaled, or both. */
export const evenWays = (results: GrooveResults): readonly EvenChange[] => {
  const { geometry, assembly, materials } = results;
  const stretches = runsIn(results);
  const { width, height } = geometry.bounds;
  const ways = evenRuns(
    stretches.map(({ roomMm, freeStart, freeEnd, round, cutPitchMm }, index) => ({
      cutPitchMm,
      id: String(index),
      lengthMm: Math.max(0, roomMm - slackMm),
      // A ring is made larger or smaller: its sides move by less than half of what its length does.
      ends: round ? 2 : (((freeStart ? 1 : 0) + (freeEnd ? 1 : 0)) as 0 | 1 | 2),
    })),
    {
      cutPitchMm: materials.strip.cutPitchMm,
      bareMm: Math.max(0.1, bareOf(results) - 2 * slackMm),
      mostMovedMm,
      mostScaled,
      reachMm: Math.hypot(width, height) / 2,
    },
  );
  const fields = fieldsIn(results);
  const { scale = 1, ends = [] } = assembly.lines;
  return ways
    .filter(({ kind, uneven }) => kind !== 'as-drawn' && uneven < unevenRuns(results).length)
    .map((way) => {
      const moved = new Map<number, LineChange>();
      for (const { line, startMm, endMm, scale: own = 1 } of ends)
        moved.set(line, { startMm: startMm * way.scale, endMm: endMm * way.scale, scale: own });
      stretches.forEach(({ line, freeStart, freeEnd, round, roomMm }, index) => {
        const { beforeMm, afterMm } = way.runs[index]!;
        const by = afterMm - beforeMm * way.scale;
        if (Math.abs(by) < 1e-6) return;
        const now = moved.get(line) ?? unmoved;
        const free = (freeStart ? 1 : 0) + (freeEnd ? 1 : 0);
        if (round) moved.set(line, { ...now, scale: now.scale * (1 + by / (roomMm * way.scale)) });
        else if (free > 0)
          moved.set(line, {
            ...now,
            startMm: now.startMm + (freeStart ? by / free : 0),
            endMm: now.endMm + (freeEnd ? by / free : 0),
          });
      });
      const rounded = (value: number): number => Math.round(100 * value) / 100;
      return {
        way,
        change: [
          set(fields.lines.scale, Math.round(1e6 * scale * way.scale) / 1e6),
          set(
            fields.lines.ends,
            [...moved].map(([line, { startMm, endMm, scale: own }]) => ({
              line,
              startMm: rounded(startMm),
              endMm: rounded(endMm),
              ...(own === 1 ? {} : { scale: Math.round(1e5 * own) / 1e5 }),
            })),
          ),
        ],
      };
    });
};
