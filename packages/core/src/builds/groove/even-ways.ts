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

/** Runs that are not. */
export const unevenRuns = (results: GrooveResults): readonly GrooveRun[] =>
  results.runs.stretches.filter((run) => !isEven(run, bareOf(results)));

/** A way to make all runs come out even, and the change of the design that does it. */
export interface EvenChange {
  readonly way: EvenWay;
  readonly change: DesignChange;
}

/** The kinds of ways, the smallest visible change first. */
export const evenKinds = ['ends-moved', 'scaled', 'scaled-and-moved'] as const;

/** Ways to make runs come out even, the one that moves least first: ends moved, all scaled, or both. */
export const evenWays = (results: GrooveResults): readonly EvenChange[] => {
  const { runs, geometry, assembly, materials } = results;
  const { width, height } = geometry.bounds;
  const ways = evenRuns(
    runs.stretches.map(({ roomMm, freeStart, freeEnd }, index) => ({
      id: String(index),
      lengthMm: Math.max(0, roomMm - slackMm),
      ends: ((freeStart ? 1 : 0) + (freeEnd ? 1 : 0)) as 0 | 1 | 2,
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
      const moved = new Map<number, { startMm: number; endMm: number }>();
      for (const { line, startMm, endMm } of ends)
        moved.set(line, { startMm: startMm * way.scale, endMm: endMm * way.scale });
      runs.stretches.forEach(({ line, freeStart, freeEnd }, index) => {
        const { beforeMm, afterMm } = way.runs[index]!;
        const free = (freeStart ? 1 : 0) + (freeEnd ? 1 : 0);
        if (free === 0) return;
        const each = (afterMm - beforeMm * way.scale) / free;
        if (Math.abs(each) < 1e-6) return;
        const now = moved.get(line) ?? { startMm: 0, endMm: 0 };
        moved.set(line, {
          startMm: now.startMm + (freeStart ? each : 0),
          endMm: now.endMm + (freeEnd ? each : 0),
        });
      });
      const rounded = (value: number): number => Math.round(100 * value) / 100;
      return {
        way,
        change: [
          set(fields.lines.scale, Math.round(1e6 * scale * way.scale) / 1e6),
          set(
            fields.lines.ends,
            [...moved].map(([line, { startMm, endMm }]) => ({
              line,
              startMm: rounded(startMm),
              endMm: rounded(endMm),
            })),
          ),
        ],
      };
    });
};
