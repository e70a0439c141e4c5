import type { Distribution, PointSources } from './types.js';

/** Point sources from rows of numbers: place, facing, the way the strip runs (three each), and flux (lm). */
export const sourcesFrom = (rows: readonly (readonly number[])[], distribution: Distribution): PointSources => {
  const column = (index: number): Float64Array => Float64Array.from(rows, (row) => row[index] ?? 0);
  return {
    count: rows.length,
    x: column(0),
    y: column(1),
    z: column(2),
    nx: column(3),
    ny: column(4),
    nz: column(5),
    ux: column(6),
    uy: column(7),
    uz: column(8),
    fluxLm: column(9),
    distribution,
  };
};
