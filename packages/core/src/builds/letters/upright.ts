import type { LetterRuns } from '../../light/runs/index.js';
import { levelStretches, type Outline, type Point } from '../../base/outlines/index.js';

/** Solid stretches on the upright line at x, from the lowest to the highest. */
export const uprightStretches = (outline: Outline, x: number): readonly (readonly [number, number])[] =>
  // Turned by a quarter, an upright line is a level one.
  levelStretches(
    outline.map((ring) => ring.map(([px, py]): Point => [py, px])),
    x,
  );

/** Where strip crosses the upright line at x. */
export const crossedAt = ({ segments }: LetterRuns, x: number): readonly number[] =>
  segments.flatMap(({ path }) =>
    path.slice(1).flatMap(([qx, qy], at): readonly number[] => {
      const [px, py] = path[at]!;
      return px > x === qx > x ? [] : [py + ((qy - py) * (x - px)) / (qx - px)];
    }),
  );
