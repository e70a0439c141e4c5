import { outlineBounds } from './measure.js';
import type { Outline, Point } from './types.js';

/** For any two points, the rings of an outline whose bounds meet the box between them; bounds are worked out once. */
export const ringsNear = (outline: Outline): ((from: Point, to: Point) => Outline) => {
  const boxes = outline.map((ring) => ({ ring, box: outlineBounds([ring])! }));
  return ([ax, ay], [bx, by]) =>
    boxes
      .filter(
        ({ box: { x, y, width, height } }) =>
          x <= Math.max(ax, bx) &&
          x + width >= Math.min(ax, bx) &&
          y <= Math.max(ay, by) &&
          y + height >= Math.min(ay, by),
      )
      .map(({ ring }) => ring);
};
