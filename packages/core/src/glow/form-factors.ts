/** A box W × H × D (mm). Its six sides, always in this order. */
export interface Box {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly depthMm: number;
}

export const sides = ['back', 'face', 'left', 'right', 'bottom', 'top'] as const;
export type Side = (typeof sides)[number];

/** Between equal rectangles a × b facing each other at distance c (Howell, A Catalog of Radiation Heat Transfer Configuration Factors, C-11). */
export const parallelFactor = (a: number, b: number, c: number): number => {
  const [x, y] = [a / c, b / c];
  const [x2, y2] = [1 + x * x, 1 + y * y];
  return (
    (2 / (Math.PI * x * y)) *
    (0.5 * Math.log((x2 * y2) / (x2 + y2 - 1)) +
      x * Math.sqrt(y2) * Math.atan(x / Math.sqrt(y2)) +
      y * Math.sqrt(x2) * Math.atan(y / Math.sqrt(x2)) -
      x * Math.atan(x) -
      y * Math.atan(y))
  );
};

/**
 * From a rectangle `width` × `edge` to one `height` × `edge` that meets it at a right angle along the edge
 * (Howell, C-14).
 */
export const perpendicularFactor = (width: number, height: number, edge: number): number => {
  const [w, h] = [width / edge, height / edge];
  const [w2, h2] = [w * w, h * h];
  const all = 1 + w2 + h2;
  const root = Math.sqrt(w2 + h2);
  const logarithm =
    Math.log(((1 + w2) * (1 + h2)) / all) +
    w2 * Math.log((w2 * all) / ((1 + w2) * (w2 + h2))) +
    h2 * Math.log((h2 * all) / ((1 + h2) * (w2 + h2)));
  return (w * Math.atan(1 / w) + h * Math.atan(1 / h) - root * Math.atan(1 / root) + logarithm / 4) / (Math.PI * w);
};

/** The axis each side stands across: 0 width, 1 height, 2 depth. */
const axisOf: Readonly<Record<Side, number>> = { left: 0, right: 0, bottom: 1, top: 1, back: 2, face: 2 };

/** Area of each side (mm²), in the order of `sides`. */
export const sideAreas = ({ widthMm, heightMm, depthMm }: Box): readonly number[] => {
  const size = [widthMm, heightMm, depthMm];
  const volume = widthMm * heightMm * depthMm;
  return sides.map((side) => volume / (size[axisOf[side]] ?? 1));
};

/** Form factors between all six sides: `[from][to]`. Each row sums to one, since the box is closed. */
export const boxFactors = ({ widthMm, heightMm, depthMm }: Box): readonly (readonly number[])[] => {
  const size = [widthMm, heightMm, depthMm] as const;
  const factor = (from: Side, to: Side): number => {
    if (from === to) return 0;
    const [a, b] = [axisOf[from], axisOf[to]];
    const [third, other] = [3 - a - b, (a + 1) % 3];
    if (a === b) return parallelFactor(size[other] ?? 1, size[3 - a - other] ?? 1, size[a] ?? 1);
    return perpendicularFactor(size[b] ?? 1, size[a] ?? 1, size[third] ?? 1);
  };
  return sides.map((from) => sides.map((to) => factor(from, to)));
};
