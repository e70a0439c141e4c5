import type { Brief } from '../../document/design/index.js';
import type { Point3 } from '../../light/runs/index.js';
import { outlineBounds, type Outline } from '../../base/outlines/index.js';

/** Where the lead comes to letters: at the side of them that the brief names, or straight behind the first. */
export const leadEntryOf = (exit: Brief['leadExit'], outline: Outline): Point3 => {
  const bounds = outlineBounds(outline);
  if (bounds === null) return [0, 0, 0];
  const [x, y] = [bounds.x + bounds.width / 2, bounds.y + bounds.height / 2];
  const places: Readonly<Record<Brief['leadExit'], Point3>> = {
    left: [bounds.x, y, 0],
    right: [bounds.x + bounds.width, y, 0],
    top: [x, bounds.y + bounds.height, 0],
    bottom: [x, bounds.y, 0],
    back: [bounds.x, y, 0],
  };
  return places[exit];
};
