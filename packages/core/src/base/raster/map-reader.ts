import type { Grid } from './types.js';

/** Maps of one grid, read at one place after another. */
export interface MapReader {
  /** Goes to a place (mm). */
  readonly goTo: (x: number, y: number) => void;
  /** A map there, straight between the middles of its cells. */
  readonly read: (map: Float32Array) => number;
}

/** `mapValue` for several maps of a grid at many places: where a place lies among the cells is worked out once. */
export const mapReader = ({ columns, rows, area, cellWidthMm, cellHeightMm }: Grid): MapReader => {
  let first = 0;
  // Numbers with fractions in a closure are made anew at each change; in an array they are not.
  const past = new Float64Array(2);
  return {
    goTo: (x, y) => {
      const u = (x - area.x) / cellWidthMm - 0.5;
      const v = (y - area.y) / cellHeightMm - 0.5;
      const column = Math.min(columns - 2, Math.max(0, Math.floor(u)));
      const row = Math.min(rows - 2, Math.max(0, Math.floor(v)));
      past[0] = Math.min(1, Math.max(0, u - column));
      past[1] = Math.min(1, Math.max(0, v - row));
      first = row * columns + column;
    },
    read: (map) => {
      const s = past[0]!;
      const t = past[1]!;
      const above = first + columns;
      return (
        (1 - t) * ((1 - s) * map[first]! + s * map[first + 1]!) + t * ((1 - s) * map[above]! + s * map[above + 1]!)
      );
    },
  };
};
