import type { Rect } from '../outlines/index.js';
import type { Grid } from './types.js';

/** A raster of `columns` × `rows` cells over `area`. */
export const gridOver = (area: Rect, columns: number, rows: number): Grid => ({
  columns,
  rows,
  area,
  cellWidthMm: area.width / columns,
  cellHeightMm: area.height / rows,
});

/** The middle of a cell, mm. */
export const cellMiddle = (grid: Grid, index: number): readonly [number, number] => [
  grid.area.x + ((index % grid.columns) + 0.5) * grid.cellWidthMm,
  grid.area.y + (Math.floor(index / grid.columns) + 0.5) * grid.cellHeightMm,
];
