import { outlineArea, outlineBounds, subtract, unite, type Outline, type Rect } from '../../base/outlines/index.js';
import type { DrawnShape } from '../drawings/index.js';

/** From here on every channel is white: what tracing leaves of it is a little off. */
const whiteFrom = 250;

/** Whether a shape is filled with white, which over other fills is the paper showing. */
export const isPaper = ({ fill, colour }: Pick<DrawnShape, 'fill' | 'colour'>): boolean =>
  fill !== null &&
  colour !== undefined &&
  [1, 3, 5].every((from) => Number.parseInt(colour.slice(from, from + 2), 16) >= whiteFrom);

/** A filled area in the order of painting. */
interface Painted {
  readonly area: Outline;
  readonly isPaper: boolean;
}

const touch = (a: Rect, b: Rect): boolean =>
  a.x <= b.x + b.width && b.x <= a.x + a.width && a.y <= b.y + b.height && b.y <= a.y + a.height;

/**
 * What is left to be seen of areas painted one over the other, paper not counted, and how much paper hides (mm²). A drawing
 * in nothing but white is one in ink on a ground that is not in it.
 */
export const asPainted = (
  painted: readonly Painted[],
): { readonly areas: readonly Outline[]; readonly cutMm2: number } => {
  if (painted.every(({ isPaper: paper }) => paper)) return { areas: painted.map(({ area }) => area), cutMm2: 0 };
  const papers = painted.flatMap(({ area, isPaper: paper }, order) => {
    const bounds = paper ? outlineBounds(area) : null;
    return bounds === null ? [] : [{ area, bounds, order }];
  });
  let cutMm2 = 0;
  const areas = painted.flatMap(({ area, isPaper: paper }, order): readonly Outline[] => {
    if (paper) return [];
    const bounds = outlineBounds(area);
    const over = bounds === null ? [] : papers.filter((each) => each.order > order && touch(each.bounds, bounds));
    if (over.length === 0) return [area];
    const left = subtract(area, unite(over.flatMap((each) => each.area)));
    cutMm2 += outlineArea(area) - outlineArea(left);
    return [left];
  });
  return { areas, cutMm2 };
};
