import { levelStretches, type Outline, type Point } from '../../../base/outlines/index.js';

/** The most lines, or dots, in the drawing of one fill: a drawing of more is no use at any machine. */
export const mostMarks = 60_000;
/** The most places of a grid of dots, and dots of it: a picture for a machine takes as many. */
export const mostDots = 8 * mostMarks;

/** A stretch of a line of hatch, in the axes of the assembly. */
export type Stroke = readonly [from: Point, to: Point];

/** The shares from which on each line of a hatch is worked, so that any share leaves lines evenly apart: van der Corput’s sequence. */
export const lineTurn = (line: number): number => {
  let [turn, half] = [0, 0.5];
  for (let rest = Math.abs(line); rest > 0; rest >>= 1, half /= 2) if ((rest & 1) === 1) turn += half;
  return turn;
};

/** How finely a line is asked for its density (mm). */
const stepMm = 1;

/**
 * Level lines over an outline, `spacingMm` apart where the fill is densest. Elsewhere lines are left out, so that of so many
 * neighbours the share `densityAt` stays. Null where they would be more than can be drawn.
 */
export const hatchOf = (
  outline: Outline,
  spacingMm: number,
  bounds: { readonly y: number; readonly height: number; readonly width: number },
  densityAt: (x: number, y: number) => number,
): readonly Stroke[] | null => {
  const lines = Math.floor(bounds.height / spacingMm);
  if (lines > mostMarks) return null;
  const strokes: Stroke[] = [];
  for (let line = 0; line <= lines; line += 1) {
    const y = bounds.y + (line + 0.5) * spacingMm;
    const turn = lineTurn(line);
    for (const [from, to] of levelStretches(outline, y)) {
      const steps = Math.max(1, Math.ceil((to - from) / stepMm));
      let begun: number | null = null;
      for (let step = 0; step < steps; step += 1) {
        const x = from + ((to - from) * step) / steps;
        const drawn = densityAt(x + (to - from) / (2 * steps), y) > turn;
        if (drawn && begun === null) begun = x;
        if (!drawn && begun !== null) {
          strokes.push([
            [begun, y],
            [x, y],
          ]);
          begun = null;
        }
      }
      if (begun !== null)
        strokes.push([
          [begun, y],
          [to, y],
        ]);
      if (strokes.length > mostMarks) return null;
    }
  }
  return strokes;
};
