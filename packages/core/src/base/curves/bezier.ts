import type { Point } from '../outlines/types.js';
import { maxChords } from './flatness.js';

/** Chords for a curve whose second derivative reaches `bend` (mm): the error of n chords is bend / (8 n²). */
const chordCount = (bend: number, flatnessMm: number): number =>
  Math.min(maxChords, Math.max(1, Math.ceil(Math.sqrt(bend / (8 * flatnessMm)))));

const secondDifference = ([ax, ay]: Point, [bx, by]: Point, [cx, cy]: Point): number =>
  Math.hypot(ax - 2 * bx + cx, ay - 2 * by + cy);

/** Points along a quadratic Bézier curve, its start left out, its end in. */
export const quadraticChords = (a: Point, b: Point, c: Point, flatnessMm: number): readonly Point[] => {
  const count = chordCount(2 * secondDifference(a, b, c), flatnessMm);
  return Array.from({ length: count }, (_, index): Point => {
    const t = (index + 1) / count;
    const [wa, wb, wc] = [(1 - t) ** 2, 2 * t * (1 - t), t * t];
    return [wa * a[0] + wb * b[0] + wc * c[0], wa * a[1] + wb * b[1] + wc * c[1]];
  });
};

/** The same along a cubic one. */
export const cubicChords = (a: Point, b: Point, c: Point, d: Point, flatnessMm: number): readonly Point[] => {
  const count = chordCount(6 * Math.max(secondDifference(a, b, c), secondDifference(b, c, d)), flatnessMm);
  return Array.from({ length: count }, (_, index): Point => {
    const t = (index + 1) / count;
    const [wa, wb, wc, wd] = [(1 - t) ** 3, 3 * t * (1 - t) ** 2, 3 * t * t * (1 - t), t ** 3];
    return [wa * a[0] + wb * b[0] + wc * c[0] + wd * d[0], wa * a[1] + wb * b[1] + wc * c[1] + wd * d[1]];
  });
};
