import type { Grid } from '../../base/raster/index.js';

/** The cell of a grid that a place lies in; −1 outside of it. */
export const cellOf = ({ area, columns, rows, cellWidthMm, cellHeightMm }: Grid, x: number, y: number): number => {
  const column = Math.floor((x - area.x) / cellWidthMm);
  const row = Math.floor((y - area.y) / cellHeightMm);
  return column >= 0 && row >= 0 && column < columns && row < rows ? row * columns + column : -1;
};
