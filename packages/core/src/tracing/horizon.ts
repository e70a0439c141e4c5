import { nearestWall } from './nearest-wall.js';
import type { Walls } from './walls.js';

// Taken out of Math once: where globals are looked up by name (test sandboxes), hot loops would crawl.
const { atan2, cos, floor, min, PI, sin } = Math;

/** Directions in which the first wall is looked for. */
const directions = 360;

/** Which of the directions of a horizon a way lies in. */
export const turnOf = (dx: number, dy: number): number =>
  min(directions - 1, floor(((atan2(dy, dx) + PI) / (2 * PI)) * directions));

/** How far it is from a place inside to the first wall, direction by direction (mm); `Infinity` where there is none. */
export const horizonFrom = (walls: Walls, x: number, y: number): Float64Array => {
  const photon = new Float64Array(7);
  const times = new Float64Array(1);
  return Float64Array.from({ length: directions }, (_, index) => {
    const angle = ((index + 0.5) / directions) * 2 * PI - PI;
    photon.set([x, y, 0, cos(angle), sin(angle), 0]);
    times[0] = Infinity;
    nearestWall(walls, photon, times);
    return times[0];
  });
};
