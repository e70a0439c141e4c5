import { millionth, tiny } from '../maths/index.js';
import { inRing, ringArea, type Outline, type Ring } from '../outlines/index.js';

/** The walls of an outline, and a grid of buckets that says which walls pass through which bucket. */
export interface Walls {
  readonly count: number;
  /** Unit normal of each wall, into the case. */
  readonly nx: Float64Array;
  readonly ny: Float64Array;
  readonly columns: number;
  readonly rows: number;
  readonly left: number;
  readonly low: number;
  /** Buckets in a millimetre. */
  readonly perMm: number;
  /** Walls of bucket b: `members[starts[b]]` up to `members[starts[b + 1]]`. */
  readonly starts: Int32Array;
  readonly members: Int32Array;
  /** Start and extent of each member in turn (x, y, dx, dy) in buckets: side by side as they are wanted. */
  readonly ends: Float64Array;
}

const shortestWallMm = millionth;
const bucketsPerWall = 0.4;
const mostBuckets = 40_000;
/** So few walls are all in one bucket: trying each is quicker than walking. */
const oneBucketUpTo = 12;

/** Buckets that the wall from (x1, y1) by (dx, dy) touches: all of its rows, and in each the columns it spans there. */
const touched = (
  x1: number,
  y1: number,
  dx: number,
  dy: number,
  columns: number,
  rows: number,
  cell: number,
): readonly number[] => {
  const slack = cell * millionth;
  const cellIn = (value: number, count: number): number => Math.min(count - 1, Math.max(0, Math.floor(value / cell)));
  const [rowFrom, rowTo] = [cellIn(Math.min(y1, y1 + dy) - slack, rows), cellIn(Math.max(y1, y1 + dy) + slack, rows)];
  const found: number[] = [];
  for (let row = rowFrom; row <= rowTo; row += 1) {
    let [from, to] = [0, 1];
    if (Math.abs(dy) > tiny) {
      const [a, b] = [(row * cell - slack - y1) / dy, ((row + 1) * cell + slack - y1) / dy];
      from = Math.max(0, Math.min(a, b));
      to = Math.min(1, Math.max(a, b));
    }
    if (from > to) continue;
    const [xa, xb] = [x1 + dx * from, x1 + dx * to];
    const last = cellIn(Math.max(xa, xb) + slack, columns);
    for (let column = cellIn(Math.min(xa, xb) - slack, columns); column <= last; column += 1)
      found.push(row * columns + column);
  }
  return found;
};

/** The rings with the case on their left: the outer ones anticlockwise, the holes clockwise, whichever way they came. */
const inwards = (outline: Outline): Outline =>
  outline.map((ring, index): Ring => {
    const around = outline.filter((other, at) => at !== index && ring.length > 0 && inRing(ring[0]!, other)).length;
    return ringArea(ring) > 0 === (around % 2 === 0) ? ring : ring.toReversed();
  });

/** Walls from rings of points, sorted into buckets for quick look-up along a ray. */
export const wallsOf = (outline: Outline): Walls => {
  const flat: number[] = [];
  for (const ring of inwards(outline))
    ring.forEach(([x, y], index) => {
      const [nextX, nextY] = ring[(index + 1) % ring.length]!;
      if (Math.hypot(nextX - x, nextY - y) > shortestWallMm) flat.push(x, y, nextX - x, nextY - y);
    });
  const count = flat.length / 4;
  const column = (offset: number): Float64Array =>
    Float64Array.from({ length: count }, (_, wall) => flat[wall * 4 + offset]!);
  const [x1, y1, dx, dy] = [column(0), column(1), column(2), column(3)];
  const length = dx.map((along, wall) => Math.hypot(along, dy[wall]!));
  let [left, low, right, high] = [Infinity, Infinity, -Infinity, -Infinity];
  for (let wall = 0; wall < count; wall += 1) {
    left = Math.min(left, x1[wall]!);
    right = Math.max(right, x1[wall]!);
    low = Math.min(low, y1[wall]!);
    high = Math.max(high, y1[wall]!);
  }
  const wanted = count <= oneBucketUpTo ? 0 : Math.min(mostBuckets, count * bucketsPerWall);
  const cellMm =
    wanted === 0
      ? Math.max(1, right - left, high - low)
      : Math.max(1e-3, Math.sqrt(((right - left) * (high - low)) / wanted));
  const columns = Math.max(1, Math.ceil((right - left) / cellMm));
  const rows = Math.max(1, Math.ceil((high - low) / cellMm));
  const buckets: number[][] = Array.from({ length: columns * rows }, () => []);
  for (let wall = 0; wall < count; wall += 1)
    for (const bucket of touched(x1[wall]! - left, y1[wall]! - low, dx[wall]!, dy[wall]!, columns, rows, cellMm))
      buckets[bucket]!.push(wall);
  const starts = new Int32Array(buckets.length + 1);
  buckets.forEach((members, bucket) => (starts[bucket + 1] = starts[bucket]! + members.length));
  const members = Int32Array.from(buckets.flat());
  const ends = new Float64Array(members.length * 4);
  members.forEach((wall, member) =>
    ends.set(
      [(x1[wall]! - left) / cellMm, (y1[wall]! - low) / cellMm, dx[wall]! / cellMm, dy[wall]! / cellMm],
      member * 4,
    ),
  );
  return {
    count,
    nx: dy.map((rise, wall) => -rise / length[wall]!),
    ny: dx.map((run, wall) => run / length[wall]!),
    columns,
    rows,
    left,
    low,
    perMm: 1 / cellMm,
    starts,
    members,
    ends,
  };
};
