import { inRing } from './inside.js';
import { outlineBounds, ringArea } from './measure.js';
import type { Outline } from './types.js';

/** The solid parts of an outline, each with its holes: an outer ring first, then the holes that lie in it. */
export const solidParts = (outline: Outline): readonly Outline[] => {
  const holes = outline.filter((ring) => ringArea(ring) < 0);
  return outline
    .filter((ring) => ringArea(ring) > 0)
    .map((ring) => {
      const { x, y, width, height } = outlineBounds([ring])!;
      const inside = ([px, py]: readonly [number, number]): boolean =>
        px >= x && px <= x + width && py >= y && py <= y + height && inRing([px, py], ring);
      return [ring, ...holes.filter((hole) => inside(hole[0]!))];
    });
};
