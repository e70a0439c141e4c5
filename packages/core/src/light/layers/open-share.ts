import type { Grid } from '../../base/raster/index.js';

/** What is solid of a mask at a place, straight between the middles of its cells. */
export const solidAt = (solid: Float32Array, grid: Grid, x: number, y: number): number => {
  const { columns, rows, area, cellWidthMm, cellHeightMm } = grid;
  let u = (x - area.x) / cellWidthMm - 0.5;
  let v = (y - area.y) / cellHeightMm - 0.5;
  u = u < 0 ? 0 : u > columns - 1.001 ? columns - 1.001 : u;
  v = v < 0 ? 0 : v > rows - 1.001 ? rows - 1.001 : v;
  const i = u | 0;
  const j = v | 0;
  const s = u - i;
  const t = v - j;
  const at = j * columns + i;
  return (
    (1 - t) * ((1 - s) * solid[at]! + s * solid[at + 1]!) +
    t * ((1 - s) * solid[at + columns]! + s * solid[at + columns + 1]!)
  );
};

/** Masks that were made coarser already; a sheet keeps its mask while it is moved and lit. */
const made = new WeakMap<Float32Array, Map<string, Float32Array>>();

/**
 * A mask over a coarser raster of the same area: the mean of the cells that lie in each, by their share of it. Kept by its
 * mask, which is not to be written to afterwards.
 */
export const coarserMask = (solid: Float32Array, grid: Grid, columns: number, rows: number): Float32Array => {
  const size = `${columns} ${rows}`;
  const known = made.get(solid)?.get(size);
  if (known !== undefined) return known;
  const fresh = coarser(solid, grid, columns, rows);
  made.set(solid, (made.get(solid) ?? new Map<string, Float32Array>()).set(size, fresh));
  return fresh;
};

/** A map over a coarser raster of the same area: the mean of the cells that lie in each, by their share of it. */
export const coarser = (solid: Float32Array, grid: Grid, columns: number, rows: number): Float32Array => {
  const along = (fine: number, coarse: number): readonly (readonly [number, number, number])[] =>
    Array.from({ length: fine }, (_, at) => {
      const [from, to] = [(at * coarse) / fine, ((at + 1) * coarse) / fine];
      const first = Math.min(coarse - 1, Math.floor(from));
      const inFirst = Math.min(1, (first + 1 - from) / (to - from));
      return [first, Math.min(coarse - 1, first + 1), inFirst] as const;
    });
  const [across, up] = [along(grid.columns, columns), along(grid.rows, rows)];
  const summed = new Float32Array(columns * rows);
  const share = (columns * rows) / (grid.columns * grid.rows);
  for (let row = 0; row < grid.rows; row += 1) {
    const [low, high, inLow] = up[row]!;
    for (let column = 0; column < grid.columns; column += 1) {
      const value = solid[row * grid.columns + column]! * share;
      if (value === 0) continue;
      const [left, right, inLeft] = across[column]!;
      summed[low * columns + left]! += value * inLow * inLeft;
      summed[low * columns + right]! += value * inLow * (1 - inLeft);
      summed[high * columns + left]! += value * (1 - inLow) * inLeft;
      summed[high * columns + right]! += value * (1 - inLow) * (1 - inLeft);
    }
  }
  return summed;
};
