import { inRing } from './inside.js';
import { outlineBounds, ringArea } from './measure.js';
import type { Outline, Point, Ring } from './types.js';

/** Whether a ring holds a point, its bounds asked first. */
const holder = (ring: Ring): ((point: Point) => boolean) => {
  const { x, y, width, height } = outlineBounds([ring])!;
  return (point) =>
    point[0] >= x && point[0] <= x + width && point[1] >= y && point[1] <= y + height && inRing(point, ring);
};

/**
 * The solid parts of an outline, each with its holes: an outer ring first, then the holes that lie in it and in no smaller
 * outer ring.
 */
export const solidParts = (outline: Outline): readonly Outline[] => {
  const outer = outline
    .filter((ring) => ringArea(ring) > 0)
    .map((ring) => ({ ring, area: ringArea(ring), holds: holder(ring), holes: [] as Ring[] }));
  for (const hole of outline.filter((ring) => ringArea(ring) < 0)) {
    const around = outer.filter(({ holds, area }) => area > -ringArea(hole) && holds(hole[0]!));
    const [nearest] = around.sort((a, b) => a.area - b.area);
    nearest?.holes.push(hole);
  }
  return outer.map(({ ring, holes }) => [ring, ...holes]);
};
