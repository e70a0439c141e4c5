import { difference, FillRule, union, type Path64, type Paths64 } from 'clipper2-ts';
import type { Outline, Point } from './types.js';

/** Whole micrometres: far below any tool, and exact in the clipper's integers. */
const unitsPerMm = 1000;

const toClipper = (outline: Outline): Paths64 =>
  outline.map((ring): Path64 =>
    ring.map(([x, y]) => ({ x: Math.round(x * unitsPerMm), y: Math.round(y * unitsPerMm) })),
  );

const fromClipper = (paths: Paths64): Outline =>
  paths.map((path) => path.map(({ x, y }): Point => [x / unitsPerMm, y / unitsPerMm]));

/** Overlapping and wrongly wound rings made into one clean outline by the non-zero rule; holes run clockwise. */
export const unite = (outline: Outline): Outline => fromClipper(union(toClipper(outline), FillRule.NonZero));

/** What is in `whole` and not in `cut`. */
export const subtract = (whole: Outline, cut: Outline): Outline =>
  fromClipper(difference(toClipper(whole), toClipper(cut), FillRule.NonZero));
