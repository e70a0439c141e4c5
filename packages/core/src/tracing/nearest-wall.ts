import type { Walls } from './walls.js';

// Taken out of Math once: where globals are looked up by name (test sandboxes), hot loops would crawl.
const { floor, max, min } = Math;

/** With so few walls, trying them all is quicker than walking the buckets. */
const tryAllUpTo = 12;

/** Where a ray in the plane meets a wall; scratch that is passed in, since this is asked millions of times. */
export interface WallHit {
  wall: number;
  time: number;
}

/** Tries one wall. Mutates `hit` when it is nearer. */
const tryWall = (walls: Walls, wall: number, x: number, y: number, vx: number, vy: number, hit: WallHit): void => {
  const [wx, wy] = [walls.dx[wall]!, walls.dy[wall]!];
  const cross = vx * wy - vy * wx;
  if (cross === 0) return;
  const [ox, oy] = [walls.x1[wall]! - x, walls.y1[wall]! - y];
  const time = (ox * wy - oy * wx) / cross;
  if (time <= 0 || time >= hit.time) return;
  const along = (ox * vy - oy * vx) / cross;
  // A hair beyond both ends, so that nothing slips through where two walls meet.
  if (along < -1e-9 || along > 1 + 1e-9) return;
  hit.time = time;
  hit.wall = wall;
};

/**
 * The first wall on the ray from (x, y) by (vx, vy) before `hit.time`. Mutates `hit`: `wall` is −1 when there is none.
 * Walks the buckets one by one (J. Amanatides & A. Woo, 1987), and stops as soon as a hit lies within the walked part.
 */
export const nearestWall = (walls: Walls, x: number, y: number, vx: number, vy: number, hit: WallHit): void => {
  hit.wall = -1;
  if (walls.count <= tryAllUpTo) {
    for (let wall = 0; wall < walls.count; wall += 1) tryWall(walls, wall, x, y, vx, vy, hit);
    return;
  }
  const { columns, rows, cellMm, left, low, starts, members } = walls;
  let column = min(columns - 1, max(0, floor((x - left) / cellMm)));
  let row = min(rows - 1, max(0, floor((y - low) / cellMm)));
  const [stepX, stepY] = [vx > 0 ? 1 : -1, vy > 0 ? 1 : -1];
  const acrossX = vx === 0 ? Infinity : cellMm / (vx * stepX);
  const acrossY = vy === 0 ? Infinity : cellMm / (vy * stepY);
  let nextX = vx === 0 ? Infinity : (left + (column + (stepX > 0 ? 1 : 0)) * cellMm - x) / vx;
  let nextY = vy === 0 ? Infinity : (low + (row + (stepY > 0 ? 1 : 0)) * cellMm - y) / vy;
  for (;;) {
    const bucket = row * columns + column;
    for (let at = starts[bucket]!; at < starts[bucket + 1]!; at += 1) tryWall(walls, members[at]!, x, y, vx, vy, hit);
    const leaves = min(nextX, nextY);
    if (hit.time <= leaves) return;
    if (nextX < nextY) {
      column += stepX;
      nextX += acrossX;
      if (column < 0 || column >= columns) return;
    } else {
      row += stepY;
      nextY += acrossY;
      if (row < 0 || row >= rows) return;
    }
  }
};
