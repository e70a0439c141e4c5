import type { Grid } from './types.js';

/** The cell at or before each of `count` middles along one side, and how much of it goes to the next. */
const placesAlong = (
  from: number,
  cellMm: number,
  count: number,
  otherFrom: number,
  otherMm: number,
  otherCount: number,
): { readonly at: Int32Array; readonly next: Float64Array } => {
  const [at, next] = [new Int32Array(count), new Float64Array(count)];
  for (let cell = 0; cell < count; cell += 1) {
    const place = (from + (cell + 0.5) * cellMm - otherFrom) / otherMm - 0.5;
    const held = Math.min(otherCount - 1, Math.max(0, place));
    at[cell] = Math.min(otherCount - 2, Math.floor(held));
    next[cell] = held - at[cell]!;
  }
  return { at, next };
};

/**
 * A fine map brought onto a coarser raster of at least two cells a side: what each fine cell holds is shared among the
 * four coarse ones about its middle, so that both the sum and its centre of gravity stay. What lies beyond the coarse
 * raster goes to its edge; where the fine one does not reach there is nothing.
 */
export const gathered = (map: ArrayLike<number>, fine: Grid, coarse: Grid): Float64Array => {
  const column = placesAlong(
    fine.area.x,
    fine.cellWidthMm,
    fine.columns,
    coarse.area.x,
    coarse.cellWidthMm,
    coarse.columns,
  );
  const row = placesAlong(fine.area.y, fine.cellHeightMm, fine.rows, coarse.area.y, coarse.cellHeightMm, coarse.rows);
  const means = new Float64Array(coarse.columns * coarse.rows);
  const part = (fine.cellWidthMm * fine.cellHeightMm) / (coarse.cellWidthMm * coarse.cellHeightMm);
  for (let j = 0; j < fine.rows; j += 1) {
    const up = row.next[j]!;
    for (let i = 0; i < fine.columns; i += 1) {
      const value = part * map[j * fine.columns + i]!;
      if (value === 0) continue;
      const right = column.next[i]!;
      const cell = row.at[j]! * coarse.columns + column.at[i]!;
      means[cell]! += (1 - up) * (1 - right) * value;
      means[cell + 1]! += (1 - up) * right * value;
      means[cell + coarse.columns]! += up * (1 - right) * value;
      means[cell + coarse.columns + 1]! += up * right * value;
    }
  }
  return means;
};
