import { roundOff } from '../maths/index.js';
import type { Walls } from './walls.js';

/** Places in a photon’s array: where it is, and which way it flies. */
const [X, Y, VX, VY] = [0, 1, 3, 4];
/** A roundOff beyond both ends of a wall, so that nothing slips through where two meet. */

/**
 * The first wall on the way of a photon inside the outline before `times[0]`, or −1 when there is none. Mutates `times`:
 * its first number becomes the way to that wall. Walks the buckets one by one (J. Amanatides & A. Woo, 1987), and stops
 * as soon as a hit lies within the walked part. Walls are seen from inside only: those that a photon meets from behind
 * lie beyond one that it meets from the front.
 *
 * This is where tracing spends its time, hence the style: numbers in arrays are not allocated anew at each call, all is
 * counted in buckets, the walls of a bucket lie side by side, and a wall is divided by only when it is the nearest yet.
 */
export const nearestWall = (walls: Walls, photon: Float64Array, times: Float64Array): number => {
  const { columns, rows, perMm, starts, members, ends } = walls;
  const x = (photon[X]! - walls.left) * perMm;
  const y = (photon[Y]! - walls.low) * perMm;
  const vx = photon[VX]! * perMm;
  const vy = photon[VY]! * perMm;
  let column = x | 0;
  if (column >= columns) column = columns - 1;
  if (column < 0) column = 0;
  let row = y | 0;
  if (row >= rows) row = rows - 1;
  if (row < 0) row = 0;
  const strideX = vx > 0 ? 1 : -1;
  const strideY = vy > 0 ? columns : -columns;
  const acrossX = vx === 0 ? Infinity : Math.abs(1 / vx);
  const acrossY = vy === 0 ? Infinity : Math.abs(1 / vy);
  let nextX = vx === 0 ? Infinity : (vx > 0 ? column + 1 - x : x - column) * acrossX;
  let nextY = vy === 0 ? Infinity : (vy > 0 ? row + 1 - y : y - row) * acrossY;
  let leftX = vx > 0 ? columns - column : column + 1;
  let leftY = vy > 0 ? rows - row : row + 1;
  let bucket = (row * columns + column) | 0;
  let best = times[0]!;
  let found = -1;
  for (;;) {
    const end = starts[bucket + 1]!;
    for (let member = starts[bucket]!; member < end; member = (member + 1) | 0) {
      const at = member << 2;
      const wx = ends[at + 2]!;
      const wy = ends[at + 3]!;
      const ox = ends[at]! - x;
      const oy = ends[at + 1]! - y;
      // Half the wall, and how far from its middle it is met, both times the same. From behind, the half is negative:
      // one test for both, since a test that goes either way costs more than the sums.
      const half = 0.5 * (vx * wy - vy * wx);
      if (Math.abs(ox * vy - oy * vx - half) > half * (1 + roundOff)) continue;
      const cross = 2 * half;
      const off = ox * wy - oy * wx;
      if (off > 0 && off < best * cross) {
        best = off / cross;
        found = members[member]!;
      }
    }
    if (nextX < nextY) {
      if (best <= nextX) break;
      bucket = (bucket + strideX) | 0;
      nextX += acrossX;
      leftX = (leftX - 1) | 0;
      if (leftX === 0) break;
    } else {
      if (best <= nextY) break;
      bucket = (bucket + strideY) | 0;
      nextY += acrossY;
      leftY = (leftY - 1) | 0;
      if (leftY === 0) break;
    }
  }
  times[0] = best;
  return found;
};
