import { shiftPoints, type Point, type Ring } from '../../base/outlines/index.js';

/** What a stretch between two corners, or a corner and an end, may measure (mm): room of so much at least, and at most. */
export interface RoomWanted {
  readonly roomMm: number;
  readonly leastMm: number;
  readonly mostMm: number;
}

/** A line whose corners may be moved, and what its stretches are to measure. */
export interface CorneredLine {
  readonly points: Ring;
  readonly closed: boolean;
  /** Its corners by their points, in order along it. */
  readonly corners: readonly number[];
  /** From corner to corner; of an open line from its start to the first and from the last to its end besides. Null: as it comes. */
  readonly stretches: readonly (RoomWanted | null)[];
  readonly freeStart: boolean;
  readonly freeEnd: boolean;
}

/** How corners and ends move. */
export interface CornerMoves {
  readonly by: readonly Point[];
  /** What each stretch is longer by (mm). */
  readonly longerMm: readonly number[];
  /** The ends drawn out by so much, or taken back. */
  readonly startMm: number;
  readonly endMm: number;
  /** The most that anything moves. */
  readonly movedMm: number;
}

/** Rounds of moving stretch after stretch; near enough (mm). */
const mostRounds = 500;
const nearMm = 0.01;

/** A stretch by the points that it lies between; past the last point a closed line goes on at its first. */
interface Stretch {
  readonly from: number;
  readonly to: number;
  /** Index of the corner at each end; null where the line begins or ends. */
  readonly fromCorner: number | null;
  readonly toCorner: number | null;
}

const stretchesOf = ({ points, closed, corners }: CorneredLine): readonly Stretch[] => {
  const count = points.length;
  if (closed)
    return corners.map((from, at) => {
      const next = (at + 1) % corners.length;
      const to = corners[next]!;
      return { from, to: to > from ? to : to + count, fromCorner: at, toCorner: next };
    });
  const ends = [0, ...corners, count - 1];
  return ends.slice(1).map((to, at) => ({
    from: ends[at]!,
    to,
    fromCorner: at === 0 ? null : at - 1,
    toCorner: at === ends.length - 2 ? null : at,
  }));
};

const lengthOf = (points: Ring, { from, to }: Stretch): number => {
  let sum = 0;
  for (let at = from; at < to; at += 1) {
    const [[ax, ay], [bx, by]] = [points[at % points.length]!, points[(at + 1) % points.length]!];
    sum += Math.hypot(bx - ax, by - ay);
  }
  return sum;
};

const wayFrom = (points: Ring, from: number, to: number): Point => {
  const [[ax, ay], [bx, by]] = [points[from % points.length]!, points[to % points.length]!];
  const length = Math.hypot(bx - ax, by - ay) || 1;
  return [(bx - ax) / length, (by - ay) / length];
};

/**
 * Moves the corners of a line as little as it takes for its stretches to measure what they should, ends of an open one as well where they
 * are free: stretch after stretch by half its error at either end, over and over (Kaczmarz), which comes to the smallest change where the
 * lengths go with it. Null where that does not come to rest.
 */
export const evenCorners = (line: CorneredLine): CornerMoves | null => {
  const stretches = stretchesOf(line);
  const drawn = stretches.map((each) => lengthOf(line.points, each));
  const by = line.corners.map((): [number, number] => [0, 0]);
  let [startMm, endMm] = [0, 0];
  const outOf = ({ fromCorner, toCorner }: Stretch): number =>
    (fromCorner === null ? startMm : 0) + (toCorner === null ? endMm : 0);
  const moved = (): Ring =>
    shiftPoints(
      line.points,
      line.closed,
      line.corners.map((point, at) => ({ point, by: by[at]! })),
    );
  const move = (corner: number, [x, y]: Point, mm: number): void => {
    by[corner]![0] += x * mm;
    by[corner]![1] += y * mm;
  };
  for (let round = 0; round < mostRounds; round += 1) {
    let worst = 0;
    for (const [at, stretch] of stretches.entries()) {
      const wanted = line.stretches[at];
      if (wanted === null || wanted === undefined) continue;
      const points = moved();
      const room = wanted.roomMm + lengthOf(points, stretch) - drawn[at]! + outOf(stretch);
      const error = Math.min(0, wanted.mostMm - room) + Math.max(0, wanted.leastMm - room);
      worst = Math.max(worst, Math.abs(error));
      if (Math.abs(error) < nearMm) continue;
      const { from, to, fromCorner, toCorner } = stretch;
      const [atStart, atEnd] = [fromCorner !== null || line.freeStart, toCorner !== null || line.freeEnd];
      const part = error / Math.max(1, Number(atStart) + Number(atEnd));
      if (fromCorner !== null) move(fromCorner, wayFrom(points, from, from + 1), -part);
      else if (atStart) startMm += part;
      if (toCorner !== null) move(toCorner, wayFrom(points, to - 1, to), part);
      else if (atEnd) endMm += part;
    }
    if (worst < nearMm) {
      const movedMm = Math.max(Math.abs(startMm), Math.abs(endMm), ...by.map(([x, y]) => Math.hypot(x, y)));
      const points = moved();
      const longerMm = stretches.map((each, at) => lengthOf(points, each) - drawn[at]! + outOf(each));
      return { by, longerMm, startMm, endMm, movedMm };
    }
  }
  return null;
};
