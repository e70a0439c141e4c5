import type { Outline, Point, Ring } from './types.js';

/** Whether a point lies in a ring, however that runs (crossings of a ray to the right, counted; a point on it may be either). */
export const inRing = ([x, y]: Point, ring: Ring): boolean => {
  let inside = false;
  let [px, py] = ring[ring.length - 1] ?? [0, 0];
  for (const [qx, qy] of ring) {
    if (py > y !== qy > y && x < px + ((qx - px) * (y - py)) / (qy - py)) inside = !inside;
    [px, py] = [qx, qy];
  }
  return inside;
};

/** Whether a point lies in the solid part of an outline: in an odd number of its rings. */
export const inOutline = (point: Point, outline: Outline): boolean =>
  outline.reduce((inside, ring) => (inRing(point, ring) ? !inside : inside), false);
