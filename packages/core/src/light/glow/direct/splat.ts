import type { Grid } from '../../../base/raster/index.js';
import { mm2PerM2, tableSize, type FacingLaw } from './law.js';

/** Adds one source that looks straight at the plane, only as far as `radiusMm` aside. Mutates `map`. */
export const splat = (
  map: Float64Array,
  grid: Grid,
  x: number,
  y: number,
  h: number,
  flux: number,
  law: FacingLaw,
  radiusMm: number,
): void => {
  const { columns, rows, cellWidthMm, cellHeightMm, area } = grid;
  const { table } = law;
  const h2 = h * h;
  const scaled = tableSize * h2;
  const factor = (flux * mm2PerM2) / h2;
  const firstRow = Math.max(0, Math.ceil((y - radiusMm - area.y) / cellHeightMm - 0.5));
  const lastRow = Math.min(rows - 1, Math.floor((y + radiusMm - area.y) / cellHeightMm - 0.5));
  for (let row = firstRow; row <= lastRow; row += 1) {
    const dy = area.y + (row + 0.5) * cellHeightMm - y;
    const half = Math.sqrt(Math.max(0, radiusMm * radiusMm - dy * dy));
    const first = Math.max(0, Math.ceil((x - half - area.x) / cellWidthMm - 0.5));
    const last = Math.min(columns - 1, Math.floor((x + half - area.x) / cellWidthMm - 0.5));
    const base = dy * dy + h2;
    for (let column = first, at = row * columns + first; column <= last; column += 1, at += 1) {
      const dx = area.x + (column + 0.5) * cellWidthMm - x;
      const place = scaled / (dx * dx + base);
      const index = place | 0;
      const low = table[index]!;
      map[at]! += factor * (low + (table[index + 1]! - low) * (place - index));
    }
  }
};
