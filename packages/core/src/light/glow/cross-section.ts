import type { Grid } from '../../base/raster/index.js';

/** Luminance along a straight line on the face. */
export interface CrossSection {
  /** From the start of the line (mm). */
  readonly alongMm: readonly number[];
  readonly cdM2: readonly number[];
  readonly lowCdM2: number;
  readonly highCdM2: number;
}

/** Value of a map at a place (mm), straight between the middles of cells; the edge’s own beyond them. */
export const valueAt = (map: ArrayLike<number>, grid: Grid, x: number, y: number): number => {
  const hold = (value: number, count: number): number => Math.min(count - 1, Math.max(0, value));
  const u = hold((x - grid.area.x) / grid.cellWidthMm - 0.5, grid.columns);
  const v = hold((y - grid.area.y) / grid.cellHeightMm - 0.5, grid.rows);
  const [c, r] = [Math.min(grid.columns - 2, Math.floor(u)), Math.min(grid.rows - 2, Math.floor(v))];
  const [du, dv] = [u - c, v - r];
  const at = (column: number, row: number): number => map[row * grid.columns + column]!;
  return (at(c, r) * (1 - du) + at(c + 1, r) * du) * (1 - dv) + (at(c, r + 1) * (1 - du) + at(c + 1, r + 1) * du) * dv;
};

/** Luminance along the line from one place on the face to another (mm), at `samples` even steps. */
export const crossSection = (
  map: ArrayLike<number>,
  grid: Grid,
  from: readonly [number, number],
  to: readonly [number, number],
  samples = 200,
): CrossSection => {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const shares = Array.from(
    { length: Math.max(2, samples) },
    (_, index, count = Math.max(2, samples)) => index / (count - 1),
  );
  const cdM2 = shares.map((share) =>
    valueAt(map, grid, from[0] + (to[0] - from[0]) * share, from[1] + (to[1] - from[1]) * share),
  );
  return {
    alongMm: shares.map((share) => share * length),
    cdM2,
    lowCdM2: Math.min(...cdM2),
    highCdM2: Math.max(...cdM2),
  };
};

/** How much of the face has which luminance: shares of its cells in `bins` even steps from 0 to `topCdM2`. */
export const histogram = (map: ArrayLike<number>, topCdM2: number, bins = 40): readonly number[] => {
  const counts = Array.from({ length: bins }, () => 0);
  for (let cell = 0; cell < map.length; cell += 1) {
    const bin = Math.min(bins - 1, Math.max(0, Math.floor((map[cell]! / topCdM2) * bins)));
    counts[bin]! += 1 / map.length;
  }
  return counts;
};
