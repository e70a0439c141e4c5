import type { Outline } from '../outlines/index.js';

// Taken out of Math once: where globals are looked up by name (test sandboxes), hot loops would crawl.
const { abs, ceil, floor, hypot, max, min, sqrt } = Math;

/** The walls of an outline, and a grid of buckets that says which walls pass through which bucket. */
export interface Walls {
  readonly count: number;
  /** Start and extent of each wall in turn: x, y, dx, dy. One array, since all four are wanted together. */
  readonly ends: Float64Array;
  /** Unit normal of each wall; either side. */
  readonly nx: Float64Array;
  readonly ny: Float64Array;
  readonly columns: number;
  readonly rows: number;
  readonly left: number;
  readonly low: number;
  readonly cellMm: number;
  /** Walls of bucket b: `members[starts[b]]` up to `members[starts[b + 1]]`. */
  readonly starts: Uint32Array;
  readonly members: Uint32Array;
}

const shortestWallMm = 1e-6;
const bucketsPerWall = 1.5;
const mostBuckets = 40_000;

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
  const slack = cell * 1e-6;
  const cellIn = (value: number, count: number): number => min(count - 1, max(0, floor(value / cell)));
  const [rowFrom, rowTo] = [cellIn(min(y1, y1 + dy) - slack, rows), cellIn(max(y1, y1 + dy) + slack, rows)];
  const found: number[] = [];
  for (let row = rowFrom; row <= rowTo; row += 1) {
    let [from, to] = [0, 1];
    if (abs(dy) > 1e-12) {
      const [a, b] = [(row * cell - slack - y1) / dy, ((row + 1) * cell + slack - y1) / dy];
      from = max(0, min(a, b));
      to = min(1, max(a, b));
    }
    if (from > to) continue;
    const [xa, xb] = [x1 + dx * from, x1 + dx * to];
    const last = cellIn(max(xa, xb) + slack, columns);
    for (let column = cellIn(min(xa, xb) - slack, columns); column <= last; column += 1)
      found.push(row * columns + column);
  }
  return found;
};

/** Walls from rings of points, sorted into buckets for quick look-up along a ray. */
export const wallsOf = (outline: Outline): Walls => {
  const flat: number[] = [];
  for (const ring of outline)
    ring.forEach(([x, y], index) => {
      const [nextX, nextY] = ring[(index + 1) % ring.length]!;
      if (hypot(nextX - x, nextY - y) > shortestWallMm) flat.push(x, y, nextX - x, nextY - y);
    });
  const count = flat.length / 4;
  const column = (offset: number): Float64Array =>
    Float64Array.from({ length: count }, (_, wall) => flat[wall * 4 + offset]!);
  const [x1, y1, dx, dy] = [column(0), column(1), column(2), column(3)];
  const length = dx.map((along, wall) => hypot(along, dy[wall]!));
  let [left, low, right, high] = [Infinity, Infinity, -Infinity, -Infinity];
  for (let wall = 0; wall < count; wall += 1) {
    left = min(left, x1[wall]!);
    right = max(right, x1[wall]!);
    low = min(low, y1[wall]!);
    high = max(high, y1[wall]!);
  }
  const cellMm = max(1e-3, sqrt(((right - left) * (high - low)) / min(mostBuckets, max(1, count * bucketsPerWall))));
  const columns = max(1, ceil((right - left) / cellMm));
  const rows = max(1, ceil((high - low) / cellMm));
  const buckets: number[][] = Array.from({ length: columns * rows }, () => []);
  for (let wall = 0; wall < count; wall += 1)
    for (const bucket of touched(x1[wall]! - left, y1[wall]! - low, dx[wall]!, dy[wall]!, columns, rows, cellMm))
      buckets[bucket]!.push(wall);
  const starts = new Uint32Array(buckets.length + 1);
  buckets.forEach((members, bucket) => (starts[bucket + 1] = starts[bucket]! + members.length));
  return {
    count,
    ends: Float64Array.from(flat),
    nx: dy.map((rise, wall) => rise / length[wall]!),
    ny: dx.map((run, wall) => -run / length[wall]!),
    columns,
    rows,
    left,
    low,
    cellMm,
    starts,
    members: Uint32Array.from(buckets.flat()),
  };
};
