import type { Affine, Outline, Point, Rect, Ring } from './types.js';

/** Signed area of a ring (mm²): positive when it runs anticlockwise. */
export const ringArea = (ring: Ring): number => {
  let twice = 0;
  let [px, py] = ring[ring.length - 1] ?? [0, 0];
  for (const [x, y] of ring) {
    twice += px * y - x * py;
    [px, py] = [x, y];
  }
  return twice / 2;
};

/** Area of an outline (mm²), holes taken away. */
export const outlineArea = (outline: Outline): number => outline.reduce((sum, ring) => sum + ringArea(ring), 0);

/** The smallest rectangle around an outline, or null when it is empty. */
export const outlineBounds = (outline: Outline): Rect | null => {
  let [left, bottom, right, top] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const ring of outline)
    for (const [x, y] of ring) {
      left = Math.min(left, x);
      right = Math.max(right, x);
      bottom = Math.min(bottom, y);
      top = Math.max(top, y);
    }
  return left > right ? null : { x: left, y: bottom, width: right - left, height: top - bottom };
};

/** The outline moved by (dx, dy). */
export const moveOutline = (outline: Outline, dx: number, dy: number): Outline =>
  outline.map((ring) => ring.map(([x, y]): Point => [x + dx, y + dy]));

/** A drawing so wide seen from behind: left is right, and rings still wind as they should. */
export const turnedOver = (outline: Outline, widthMm: number): Outline =>
  outline.map((ring) => ring.map(([x, y]): Point => [widthMm - x, y]).reverse());

/** The four corners of a rectangle, anticlockwise. */
export const rectRing = ({ x, y, width, height }: Rect): Ring => [
  [x, y],
  [x + width, y],
  [x + width, y + height],
  [x, y + height],
];

/** Length of a ring all the way round (mm). */
export const ringLength = (ring: Ring): number => {
  let sum = 0;
  let [px, py] = ring[ring.length - 1] ?? [0, 0];
  for (const [x, y] of ring) {
    sum += Math.hypot(x - px, y - py);
    [px, py] = [x, y];
  }
  return sum;
};

/** Centre of area of an outline, holes taken away; `null` when it has no area. */
export const outlineCentroid = (outline: Outline): Point | null => {
  let [sumX, sumY, twice] = [0, 0, 0];
  for (const ring of outline) {
    let [px, py] = ring[ring.length - 1] ?? [0, 0];
    for (const [x, y] of ring) {
      const cross = px * y - x * py;
      twice += cross;
      sumX += (px + x) * cross;
      sumY += (py + y) * cross;
      [px, py] = [x, y];
    }
  }
  return twice === 0 ? null : [sumX / (3 * twice), sumY / (3 * twice)];
};

/** The outline with every point put through an affine map: x' = a x + c y + e, y' = b x + d y + f. */
export const mapOutline = (outline: Outline, [a, b, c, d, e, f]: Affine): Outline =>
  outline.map((ring) => ring.map(([x, y]): Point => [a * x + c * y + e, b * x + d * y + f]));
