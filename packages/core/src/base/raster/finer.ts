import { resample } from './spline.js';
import type { Grid } from './types.js';

/** Middles of `count` cells of `cellMm` from `first`, counted in the cells of another raster. */
const places = (
  first: number,
  cellMm: number,
  count: number,
  otherFirst: number,
  otherCellMm: number,
): Float64Array => {
  const at = new Float64Array(count);
  for (let cell = 0; cell < count; cell += 1)
    at[cell] = (first + (cell + 0.5) * cellMm - otherFirst) / otherCellMm - 0.5;
  return at;
};

/** A smooth map on a coarse raster, by cubic splines on a finer one. */
export const finer = (map: ArrayLike<number>, coarse: Grid, fine: Grid): Float64Array =>
  resample(
    map,
    coarse.columns,
    coarse.rows,
    places(fine.area.x, fine.cellWidthMm, fine.columns, coarse.area.x, coarse.cellWidthMm),
    places(fine.area.y, fine.cellHeightMm, fine.rows, coarse.area.y, coarse.cellHeightMm),
  );
