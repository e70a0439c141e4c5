import type { Point, Ring } from './types.js';

/** Points kept as one row of numbers (x, y, x, y …), `scale` times as far from the origin; a last number without a partner is left out. */
export const pointsOf = (numbers: readonly number[], scale = 1): Ring =>
  Array.from({ length: numbers.length >> 1 }, (_, at): Point => [
    numbers[2 * at]! * scale,
    numbers[2 * at + 1]! * scale,
  ]);
