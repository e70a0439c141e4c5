import { tiny } from '../../../base/maths/index.js';
import { intensityAt, type PointSources } from '../../photometry/index.js';
import type { Grid } from '../../../base/raster/index.js';
import { mm2PerM2 } from './law.js';

/**
 * Adds the LEDs themselves, seen through the share of the face that does not scatter: the intensity of each toward the
 * viewer, spread over the cells around it. Mutates `map`.
 */
export const addImages = (map: Float64Array, grid: Grid, emitters: PointSources, imageShare: number): void => {
  const cellM2 = (grid.cellWidthMm * grid.cellHeightMm) / mm2PerM2;
  for (let source = 0; source < emitters.count; source += 1) {
    const candela =
      emitters.fluxLm[source]! * intensityAt(emitters.distribution, Math.acos(emitters.nz[source]!)) * imageShare;
    if (candela < tiny) continue;
    const u = (emitters.x[source]! - grid.area.x) / grid.cellWidthMm - 0.5;
    const v = (emitters.y[source]! - grid.area.y) / grid.cellHeightMm - 0.5;
    for (const [column, row] of [
      [Math.floor(u), Math.floor(v)],
      [Math.floor(u) + 1, Math.floor(v)],
      [Math.floor(u), Math.floor(v) + 1],
      [Math.floor(u) + 1, Math.floor(v) + 1],
    ] as const) {
      if (column < 0 || row < 0 || column >= grid.columns || row >= grid.rows) continue;
      map[row * grid.columns + column]! += (candela * (1 - Math.abs(u - column)) * (1 - Math.abs(v - row))) / cellM2;
    }
  }
};
