import { outlineBounds } from './measure.js';
import type { Outline, Point } from './types.js';

// Taken out of Math once: where globals are looked up by name (test sandboxes), hot loops would crawl.
const { max, min } = Math;

/** For any two points, the rings of an outline whose bounds meet the box between them; bounds are worked out once. */
export const ringsNear = (outline: Outline): ((from: Point, to: Point) => Outline) => {
  const boxes = outline.map((ring) => ({ ring, box: outlineBounds([ring])! }));
  return ([ax, ay], [bx, by]) =>
    boxes
      .filter(
        ({ box: { x, y, width, height } }) =>
          x <= max(ax, bx) && x + width >= min(ax, bx) && y <= max(ay, by) && y + height >= min(ay, by),
      )
      .map(({ ring }) => ring);
};
