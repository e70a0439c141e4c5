import { levelStretches } from './level-stretches.js';
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

/** A level line with where it runs inside. */
interface Line {
  readonly y: number;
  readonly stretches: ReturnType<typeof levelStretches>;
}

/**
 * The same for many points, line by line: what a level line crosses is worked out once for all points that follow each other on it, or
 * on it and another in turn, as places looked at twice in each pixel do.
 */
export const insideByLine = (outline: Outline): ((x: number, y: number) => boolean) => {
  const none: Line = { y: Number.NaN, stretches: [] };
  let [last, before] = [none, none];
  return (x, y) => {
    if (y !== last.y) [last, before] = [y === before.y ? before : { y, stretches: levelStretches(outline, y) }, last];
    for (const [from, to] of last.stretches) if (x >= from && x < to) return true;
    return false;
  };
};
