import { measureLine, shiftPoints } from '../../base/outlines/index.js';
import { evenCorners, type RoomWanted } from '../../light/laying/index.js';
import { withEnds, type LitLine } from './lines.js';
import type { GrooveResults } from './results.js';
import { grooveRuns, type GrooveRun, type GrooveRuns } from './runs.js';

/** What moved corners are held to. */
export interface CornerLimits {
  readonly bareMm: number;
  readonly spareMm: number;
  readonly mostMovedMm: number;
  readonly isRun: (run: GrooveRun) => boolean;
  readonly isEven: (run: GrooveRun) => boolean;
}

/** Room is left for what a corner takes as it turns a little (mm). */
const marginMm = 0.4;

/** What a run must measure to come out even by the smaller change: fewer cuts, one more, or as it is. */
const roomWanted = (
  { roomMm, cutPitchMm }: GrooveRun,
  { bareMm, spareMm }: Pick<CornerLimits, 'bareMm' | 'spareMm'>,
): RoomWanted => {
  const spare = 2 * spareMm;
  const cuts = Math.floor((roomMm - spare - marginMm) / cutPitchMm);
  const over = roomMm - cuts * cutPitchMm - bareMm;
  const short = (cuts + 1) * cutPitchMm + spare - roomMm;
  const take = cuts > 0 && over <= short ? cuts : cuts + 1;
  const within = Math.min(marginMm, (bareMm - spare) / 3);
  return { roomMm, leastMm: take * cutPitchMm + spare + within, mostMm: take * cutPitchMm + bareMm - within };
};

/** The point at which a line turns most is no farther than this from where strip is cut for it (mm). */
const atCornerMm = 8;

/** How far a line turns at one of its points (radians); none at the ends of an open one. */
const turnAt = ({ points, closed }: LitLine, index: number): number => {
  const count = points.length;
  if (!closed && (index === 0 || index === count - 1)) return 0;
  const [[ax, ay], [bx, by], [cx, cy]] = [
    points[(index + count - 1) % count]!,
    points[index]!,
    points[(index + 1) % count]!,
  ];
  const turn = Math.atan2(cy - by, cx - bx) - Math.atan2(by - ay, bx - ax);
  return Math.abs(Math.atan2(Math.sin(turn), Math.cos(turn)));
};

/** Points of a line where strip does not follow it, in order along it; the ends of an open one are none. */
const cornersOn = (line: LitLine, { runs }: { readonly runs: Pick<GrooveRuns, 'corners'> }): readonly number[] => {
  const found = new Set<number>();
  for (const { at } of runs.corners) {
    const near = [...line.points.keys()].filter(
      (index) => Math.hypot(line.points[index]![0] - at[0], line.points[index]![1] - at[1]) < atCornerMm,
    );
    const sharpest = near.reduce<number | null>(
      (best, index) => (turnAt(line, index) > (best === null ? 0 : turnAt(line, best)) ? index : best),
      null,
    );
    if (sharpest !== null) found.add(sharpest);
  }
  return [...found].sort((one, other) => one - other);
};

/** Between which of its corners a run of a line lies; one that crossings part besides is left as it comes. */
const runsBetween = (line: LitLine, corners: readonly number[], stretches: readonly GrooveRun[]) => {
  const measured = measureLine(line.points, line.closed);
  const upTo = (index: number): number => measureLine(line.points.slice(0, index + 1), false).lengthMm;
  const cornersMm = corners.map(upTo);
  const count = line.closed ? corners.length : corners.length + 1;
  const found = Array.from({ length: count }, (): GrooveRun[] => []);
  for (const run of stretches) {
    let [mm, off] = [0, Infinity];
    for (let at = 0; at <= measured.lengthMm; at += 0.5) {
      const [x, y] = measured.station(at).at;
      const away = Math.hypot(x - run.middle[0], y - run.middle[1]);
      if (away < off) [mm, off] = [at, away];
    }
    const before = cornersMm.filter((corner) => corner <= mm).length;
    const place = line.closed ? (before + corners.length - 1) % corners.length : before;
    found[place]!.push(run);
  }
  return found.map((own) => (own.length === 1 ? own[0]! : null));
};

/** Rounds of laying strip along moved corners anew: where a corner cuts it goes by what is round it. */
const mostLaid = 6;

/** The corners of a line, and how they and its ends move for all its runs to be whole cuts; null where they cannot, or would go too far. */
export const movedCorners = (line: LitLine, results: GrooveResults, limits: CornerLimits) => {
  const { geometry, assembly, materials } = results;
  const corners = cornersOn(line, results);
  if (corners.length === 0) return null;
  const own = results.runs.stretches.filter((run) => run.line === line.number);
  let wanted = runsBetween(line, corners, own).map((run) =>
    run !== null && limits.isRun(run) ? roomWanted(run, limits) : null,
  );
  for (let round = 0; round < mostLaid; round += 1) {
    const found = evenCorners({
      points: line.points,
      closed: line.closed,
      corners,
      stretches: wanted,
      freeStart: own.some(({ freeStart }) => freeStart),
      freeEnd: own.some(({ freeEnd }) => freeEnd),
    });
    if (found === null || found.movedMm > limits.mostMovedMm) return null;
    const shifted = shiftPoints(
      line.points,
      line.closed,
      corners.map((point, at) => ({ point, by: found.by[at]! })),
    );
    const moved: LitLine = {
      ...line,
      points: withEnds({ points: shifted, closed: line.closed }, found.startMm, found.endMm, 1).points,
    };
    const lines = geometry.lines.map((each) => (each === line ? moved : each));
    const laid = grooveRuns({ ...geometry, lines }, assembly.light, materials, [0, 0, 0]);
    if (!laid.ok) return null;
    const runs = laid.value.stretches.filter((run) => run.line === line.number);
    if (runs.filter(limits.isRun).every(limits.isEven)) return { ...found, corners };
    const cornersNow = cornersOn(moved, { runs: laid.value });
    if (cornersNow.length !== corners.length) return null;
    const now = runsBetween(moved, cornersNow, runs);
    wanted = wanted.map((each, at) => {
      const run = now[at];
      return each === null || run === null || run === undefined
        ? each
        : { ...each, roomMm: run.roomMm - found.longerMm[at]! };
    });
  }
  return null;
};
