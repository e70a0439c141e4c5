import type { Point } from '../outlines/types.js';
import { maxChords } from './flatness.js';

/** A B-spline, rational when it has weights. */
export interface Spline {
  readonly degree: number;
  /** One more than points and degree together, never falling. */
  readonly knots: readonly number[];
  readonly points: readonly Point[];
  readonly weights?: readonly number[];
}

type Homogeneous = readonly [x: number, y: number, w: number];

/** Value at `t` by de Boor’s recurrence on homogeneous points (C. de Boor, A Practical Guide to Splines, 1978). */
const valueAt = ({ degree, knots, points, weights }: Spline, t: number): Point => {
  let span = degree;
  while (span < points.length - 1 && t >= knots[span + 1]!) span += 1;
  const held = Array.from({ length: degree + 1 }, (_, index): Homogeneous => {
    const at = span - degree + index;
    const w = weights?.[at] ?? 1;
    const [x, y] = points[at]!;
    return [x * w, y * w, w];
  });
  for (let level = 1; level <= degree; level += 1)
    for (let index = degree; index >= level; index -= 1) {
      const low = knots[span - degree + index]!;
      const wide = knots[span + 1 + index - level]! - low;
      const share = wide > 0 ? (t - low) / wide : 0;
      const [a, b] = [held[index - 1]!, held[index]!];
      held[index] = [a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share, a[2] + (b[2] - a[2]) * share];
    }
  const [x, y, w] = held[degree]!;
  return [x / w, y / w];
};

/** Whether the numbers make a spline at all. */
export const isSpline = ({ degree, knots, points, weights }: Spline): boolean =>
  Number.isInteger(degree) &&
  degree >= 1 &&
  degree <= 12 &&
  points.length > degree &&
  knots.length === points.length + degree + 1 &&
  knots.every((knot, at) => Number.isFinite(knot) && (at === 0 || knot >= knots[at - 1]!)) &&
  knots[degree]! < knots[points.length]! &&
  (weights === undefined || (weights.length === points.length && weights.every((w) => w > 0 && Number.isFinite(w))));

/** Points along the spline, both ends in; each knot span in chords by how much its control polygon bends. */
export const splineChords = (spline: Spline, flatnessMm: number): readonly Point[] => {
  const { degree, knots, points } = spline;
  const bend = points.reduce((most, [x, y], at) => {
    const [before, after] = [points[at - 1], points[at + 1]];
    return before === undefined || after === undefined
      ? most
      : Math.max(most, Math.hypot(before[0] - 2 * x + after[0], before[1] - 2 * y + after[1]));
  }, 0);
  const perSpan = Math.min(
    maxChords,
    Math.max(2, Math.ceil(Math.sqrt((degree * (degree - 1) * bend) / (8 * flatnessMm)))),
  );
  const marks = knots.slice(degree, points.length + 1).filter((knot, at, all) => at === 0 || knot > all[at - 1]!);
  const found: Point[] = [valueAt(spline, marks[0]!)];
  marks.slice(1).forEach((to, at) => {
    const from = marks[at]!;
    for (let step = 1; step <= perSpan; step += 1) found.push(valueAt(spline, from + ((to - from) * step) / perSpan));
  });
  return found;
};
