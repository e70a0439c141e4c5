import type { Walls } from './walls.js';

// Taken out of Math once: where globals are looked up by name (test sandboxes), hot loops would crawl.
const { floor, max, min } = Math;

/** With so few walls, trying them all is quicker than walking the buckets. */
const tryAllUpTo = 12;
/** A hair beyond both ends of a wall, so that nothing slips through where two meet. */
const hair = 1e-9;

/** Time at which a ray meets one wall, or `before` when it does not meet it earlier. */
const timeTo = (
  ends: Float64Array,
  wall: number,
  x: number,
  y: number,
  vx: number,
  vy: number,
  before: number,
): number => {
  const at = wall * 4;
  const ox = ends[at]! - x;
  const oy = ends[at + 1]! - y;
  const wx = ends[at + 2]!;
  const wy = ends[at + 3]!;
  const cross = vx * wy - vy * wx;
  // Where along the wall, times `cross`: most walls are passed over here, before any division.
  const along = ox * vy - oy * vx;
  if (cross > 0) {
    if (along < -hair * cross || along > cross * (1 + hair)) return before;
  } else if (along > -hair * cross || along < cross * (1 + hair) || cross === 0) return before;
  const time = (ox * wy - oy * wx) / cross;
  return time <= 0 || time >= before ? before : time;
};

/**
 * The first wall on the ray from (x, y) by (vx, vy) before `times[0]`, or −1 when there is none. Mutates `times`: its
 * first number becomes the way to that wall (numbers in an array are not allocated anew, and this is asked millions of
 * times). Walks the buckets one by one (J. Amanatides & A. Woo, 1987), and stops as soon as a hit lies within the walked
 * part.
 */
export const nearestWall = (
  walls: Walls,
  x: number,
  y: number,
  vx: number,
  vy: number,
  times: Float64Array,
): number => {
  const { ends } = walls;
  let best = times[0]!;
  let found = -1;
  if (walls.count <= tryAllUpTo) {
    for (let wall = 0; wall < walls.count; wall += 1) {
      const time = timeTo(ends, wall, x, y, vx, vy, best);
      if (time < best) {
        best = time;
        found = wall;
      }
    }
    times[0] = best;
    return found;
  }
  const { columns, rows, cellMm, left, low, starts, members } = walls;
  let column = min(columns - 1, max(0, floor((x - left) / cellMm)));
  let row = min(rows - 1, max(0, floor((y - low) / cellMm)));
  const stepX = vx > 0 ? 1 : -1;
  const stepY = vy > 0 ? 1 : -1;
  const acrossX = vx === 0 ? Infinity : cellMm / (vx * stepX);
  const acrossY = vy === 0 ? Infinity : cellMm / (vy * stepY);
  let nextX = vx === 0 ? Infinity : (left + (column + (stepX > 0 ? 1 : 0)) * cellMm - x) / vx;
  let nextY = vy === 0 ? Infinity : (low + (row + (stepY > 0 ? 1 : 0)) * cellMm - y) / vy;
  for (;;) {
    const bucket = row * columns + column;
    const end = starts[bucket + 1]!;
    for (let at = starts[bucket]!; at < end; at += 1) {
      const wall = members[at]!;
      const time = timeTo(ends, wall, x, y, vx, vy, best);
      if (time < best) {
        best = time;
        found = wall;
      }
    }
    if (best <= nextX && best <= nextY) break;
    if (nextX < nextY) {
      column += stepX;
      nextX += acrossX;
      if (column < 0 || column >= columns) break;
    } else {
      row += stepY;
      nextY += acrossY;
      if (row < 0 || row >= rows) break;
    }
  }
  times[0] = best;
  return found;
};
