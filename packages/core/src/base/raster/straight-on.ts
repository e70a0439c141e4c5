import type { Grid } from './types.js';

/** Between which cells of a raster the middles of another lie along one axis, and how far from the first of the two. */
const between = (count: number, first: number, cellMm: number, of: number, ofFirst: number, ofCellMm: number) => {
  const [from, share] = [new Int32Array(count), new Float64Array(count)];
  for (let cell = 0; cell < count; cell += 1) {
    const at = (first + (cell + 0.5) * cellMm - ofFirst) / ofCellMm - 0.5;
    from[cell] = Math.min(of - 2, Math.max(0, Math.floor(at)));
    share[cell] = Math.min(1, Math.max(0, at - from[cell]!));
  }
  return { from, share };
};

/** A map on one raster, of two cells each way at the least, straight between the middles of its cells on another: `mapValue` for all of them at once. */
export const straightOn = (map: ArrayLike<number>, coarse: Grid, fine: Grid): Float32Array => {
  const { columns, rows } = fine;
  const across = between(columns, fine.area.x, fine.cellWidthMm, coarse.columns, coarse.area.x, coarse.cellWidthMm);
  const up = between(rows, fine.area.y, fine.cellHeightMm, coarse.rows, coarse.area.y, coarse.cellHeightMm);
  const out = new Float32Array(columns * rows);
  const mixed = new Float64Array(coarse.columns);
  for (let row = 0; row < rows; row += 1) {
    const [start, t] = [up.from[row]! * coarse.columns, up.share[row]!];
    let most = 0;
    for (let column = 0; column < coarse.columns; column += 1) {
      const here = (1 - t) * map[start + column]! + t * map[start + coarse.columns + column]!;
      mixed[column] = here;
      most = Math.max(most, Math.abs(here));
    }
    if (most === 0) continue;
    for (let column = 0; column < columns; column += 1) {
      const [from, s] = [across.from[column]!, across.share[column]!];
      out[row * columns + column] = (1 - s) * mixed[from]! + s * mixed[from + 1]!;
    }
  }
  return out;
};
