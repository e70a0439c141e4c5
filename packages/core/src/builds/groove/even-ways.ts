import { set, type DesignChange } from '../../document/design/index.js';
import { fieldsIn } from '../../judging/results/index.js';
import { evenRuns, type EvenRun, type EvenWay } from '../../light/laying/index.js';
import { movedCorners } from './moved-corners.js';
import type { GrooveResults } from './results.js';
import type { GrooveRun } from './runs.js';

/** So much of a run may stay bare where nothing is said (mm). */
export const usualBareMm = 6;
/** An end is moved, and all lines are scaled, no more than that by themselves. */
const mostMovedMm = 25;
const mostScaled = 0.06;
/** Corners do not scale with their lines: room for that at each bound (mm). */
const slackMm = 0.4;

export const bareOf = ({ assembly }: Pick<GrooveResults, 'assembly'>): number =>
  Math.max(assembly.light.bareMm ?? usualBareMm, 2 * spareOf({ assembly }) + leastBareMm);

/** Spare past the marks of a run takes room at both of its ends, and stays dark (mm). */
export const spareOf = ({ assembly }: Pick<GrooveResults, 'assembly'>): number => assembly.light.spareMm ?? 0;
/** Beside spare so much more may stay bare at the least (mm). */
const leastBareMm = 1;

/** Whether a run is filled but for what may stay bare. */
export const isEven = ({ segment, bareMm }: GrooveRun, mostMm: number): boolean =>
  segment !== null && bareMm <= mostMm + 1e-6;

/** A stretch shorter than this share of a cut is a gap at a crossing, not a run. */
const gapShare = 0.6;

const isRun = ({ segment, roomMm, cutPitchMm }: GrooveRun): boolean =>
  segment !== null || roomMm >= gapShare * cutPitchMm;

/** Stretches that are runs: long enough for strip, or nearly so. */
export const runsIn = ({ runs }: Pick<GrooveResults, 'runs'>): readonly GrooveRun[] => runs.stretches.filter(isRun);

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
export const evenKinds = ['ends-moved', 'corners-moved', 'scaled', 'scaled-and-moved'] as const;

const hundredth = (value: number): number => Math.round(100 * value) / 100;

/** Ends as a design lists them. */
const endsOf = (moved: ReadonlyMap<number, LineChange>) =>
  [...moved].map(([line, { startMm, endMm, scale }]) => ({
    line,
    startMm: hundredth(startMm),
    endMm: hundredth(endMm),
    ...(scale === 1 ? {} : { scale: Math.round(1e5 * scale) / 1e5 }),
  }));

/** Ends of lines as they are moved already, all scaled. */
const endsNow = ({ assembly }: GrooveResults, scale: number): Map<number, LineChange> =>
  new Map(
    (assembly.lines.ends ?? []).map(({ line, startMm, endMm, scale: own = 1 }) => [
      line,
      { startMm: startMm * scale, endMm: endMm * scale, scale: own },
    ]),
  );

/** Ends moved as a way has them, on top of how they are moved already. */
const movedEnds = (results: GrooveResults, way: EvenWay): Map<number, LineChange> => {
  const moved = endsNow(results, way.scale);
  runsIn(results).forEach(({ line, freeStart, freeEnd, round, roomMm }, index) => {
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
  return moved;
};

/** Corners of lines moved so that what lies between them comes to whole cuts; lines without corners by their ends. */
const cornersMoved = (results: GrooveResults, ends: EvenWay | undefined): EvenChange | null => {
  const { geometry, assembly } = results;
  const uneven = new Set(unevenRuns(results).map(({ line }) => line));
  const moved = ends === undefined ? endsNow(results, 1) : movedEnds(results, ends);
  const corners = new Map((assembly.lines.corners ?? []).map((each) => [`${each.line} ${each.point}`, each]));
  const before = endsNow(results, 1);
  const done = new Set<number>();
  let movedMm = 0;
  for (const line of geometry.lines.filter(({ number }) => uneven.has(number))) {
    const found = movedCorners(line, results, {
      bareMm: Math.max(0.1, bareOf(results)),
      spareMm: spareOf(results),
      mostMovedMm,
      isRun,
      isEven: (run) => isEven(run, bareOf(results)),
    });
    if (found === null) continue;
    done.add(line.number);
    movedMm = Math.max(movedMm, found.movedMm);
    const now = before.get(line.number) ?? unmoved;
    moved.set(line.number, { ...now, startMm: now.startMm + found.startMm, endMm: now.endMm + found.endMm });
    found.corners.forEach((index, at) => {
      const point = index + line.firstPoint;
      const [x, y] = found.by[at]!;
      const last = corners.get(`${line.number} ${point}`);
      corners.set(`${line.number} ${point}`, {
        line: line.number,
        point,
        xMm: hundredth((last?.xMm ?? 0) + x),
        yMm: hundredth((last?.yMm ?? 0) + y),
      });
    });
  }
  if (done.size === 0) return null;
  const stretches = runsIn(results);
  const runs = stretches.map((run, index): EvenRun => {
    const as = ends?.runs[index];
    const even = done.has(run.line) || (as?.even ?? !uneven.has(run.line));
    return { id: String(index), beforeMm: run.roomMm, afterMm: run.roomMm, cuts: 0, bareMm: run.bareMm, even };
  });
  const fields = fieldsIn(results);
  return {
    way: {
      kind: 'corners-moved',
      scale: 1,
      movedMm: Math.max(movedMm, ends?.movedMm ?? 0),
      runs,
      uneven: runs.filter(({ even }) => !even).length,
    },
    change: [set(fields.lines.corners, [...corners.values()]), set(fields.lines.ends, endsOf(moved))],
  };
};

type Corners = NonNullable<GrooveResults['assembly']['lines']['corners']>;

const cornersScaled = (corners: Corners, scale: number): Corners =>
  corners.map((each) => ({ ...each, xMm: hundredth(each.xMm * scale), yMm: hundredth(each.yMm * scale) }));

/** Ways to make runs come out even, the one that moves least first: ends moved, corners too, all scaled, or both. */
export const evenWays = (results: GrooveResults): readonly EvenChange[] => {
  const { geometry, assembly, materials } = results;
  const stretches = runsIn(results);
  const { width, height } = geometry.bounds;
  const ways = evenRuns(
    stretches.map(({ roomMm, freeStart, freeEnd, round, cutPitchMm }, index) => ({
      cutPitchMm,
      id: String(index),
      lengthMm: Math.max(0, roomMm - slackMm - 2 * spareOf(results)),
      // A ring is made larger or smaller: its sides move by less than half of what its length does.
      ends: round ? 2 : (((freeStart ? 1 : 0) + (freeEnd ? 1 : 0)) as 0 | 1 | 2),
    })),
    {
      cutPitchMm: materials.strip.cutPitchMm,
      bareMm: Math.max(0.1, bareOf(results) - 2 * spareOf(results) - 2 * slackMm),
      mostMovedMm,
      mostScaled,
      reachMm: Math.hypot(width, height) / 2,
    },
  );
  const fields = fieldsIn(results);
  const { scale = 1 } = assembly.lines;
  const corners = cornersMoved(
    results,
    ways.find(({ kind }) => kind === 'ends-moved'),
  );
  const now = unevenRuns(results).length;
  return [
    ...(corners === null || corners.way.uneven >= now ? [] : [corners]),
    ...ways
      .filter(({ kind, uneven }) => kind !== 'as-drawn' && uneven < now)
      .map((way) => ({
        way,
        change: [
          set(fields.lines.scale, Math.round(1e6 * scale * way.scale) / 1e6),
          set(fields.lines.ends, endsOf(movedEnds(results, way))),
          ...(assembly.lines.corners === undefined || way.scale === 1
            ? []
            : [set(fields.lines.corners, cornersScaled(assembly.lines.corners, way.scale))]),
        ],
      })),
  ];
};
