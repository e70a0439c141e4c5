import { fingerprint, boundedCache, type Fingerprint } from '../maths/index.js';
import { moveOutline, outlineBounds } from './measure.js';
import type { Outline, Point, Rect } from './types.js';

/** Shapes that agree to a millionth of a millimetre are one: what a move adds to their numbers is less. */
const stepsPerMm = 1e6;
/** Shapes kept: more than any line of letters has different ones. */
const mostShapes = 256;

/** A part brought to the origin, rounded so that it is the same wherever it stood. */
export const movedToOrigin = (part: Outline, { x: left, y: low }: Rect): Outline =>
  part.map((ring) =>
    ring.map(([x, y]): Point => [
      Math.round((x - left) * stepsPerMm) / stepsPerMm,
      Math.round((y - low) * stepsPerMm) / stepsPerMm,
    ]),
  );

/** Takes the shape of a part into a fingerprint: the same wherever it stands. */
export const addShape = ({ add }: Fingerprint, part: Outline, { x: left, y: low }: Rect): void => {
  for (const ring of part) {
    add(ring.length);
    for (const [x, y] of ring) {
      add(Math.round((x - left) * stepsPerMm));
      add(Math.round((y - low) * stepsPerMm));
    }
  }
};

/**
 * `compute` for parts of outlines, memoized by their shape wherever they stand: it sees each shape once, its lower left
 * corner at the origin, and `move` brings its answer to the part. So a letter that only moved is not worked out again.
 * The answer does not depend on what is kept.
 */
export const byShape = <Wishes extends readonly (number | string)[], Answer>(
  compute: (part: Outline, ...wishes: Wishes) => Answer,
  move: (answer: Answer, dx: number, dy: number) => Answer,
): ((part: Outline, ...wishes: Wishes) => Answer) => {
  const known = boundedCache<Answer>(mostShapes);
  return (part, ...wishes) => {
    const bounds = outlineBounds(part);
    if (bounds === null) return compute(part, ...wishes);
    const print = fingerprint();
    addShape(print, part, bounds);
    return move(
      known(`${wishes.join()}|${print.text()}`, () => compute(movedToOrigin(part, bounds), ...wishes)),
      bounds.x,
      bounds.y,
    );
  };
};

/** The same for answers that are outlines. */
export const outlineByShape = <Wishes extends readonly (number | string)[]>(
  compute: (part: Outline, ...wishes: Wishes) => Outline,
): ((part: Outline, ...wishes: Wishes) => Outline) => byShape(compute, moveOutline);
