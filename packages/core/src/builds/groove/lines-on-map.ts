import type { Rect } from '../../base/outlines/index.js';
import { gridOver, type Grid } from '../../base/raster/index.js';
import type { GridLimits } from '../../light/glow/index.js';
import type { AlongLines } from './along-lines.js';

/** So many cells go over the width of a line, for its edges to be seen; no map has more than so many times those of other builds. */
const cellsAcross = 6;
const mostTimes = 3;

/** The raster that lines so wide are shown on. */
export const gridOf = ({ width, height, ...corner }: Rect, litMm: number, { longSide, maxCells }: GridLimits): Grid => {
  const wanted = Math.min(Math.max(width, height) / longSide, litMm / cellsAcross);
  const cell = Math.max(wanted, Math.sqrt((width * height) / (mostTimes * maxCells)));
  return gridOver(
    { ...corner, width, height },
    Math.max(4, Math.round(width / cell)),
    Math.max(4, Math.round(height / cell)),
  );
};

/** Calls back for every cell of a map within reach of a place, with its index and how far its middle is from there (mm). */
export const cellsNear = (
  { columns, rows, area, cellWidthMm, cellHeightMm }: Grid,
  px: number,
  py: number,
  reach: number,
  visit: (cell: number, dx: number, dy: number) => void,
): void => {
  const [left, right] = [
    Math.max(0, Math.floor((px - reach - area.x) / cellWidthMm)),
    Math.min(columns - 1, Math.floor((px + reach - area.x) / cellWidthMm)),
  ];
  const [low, high] = [
    Math.max(0, Math.floor((py - reach - area.y) / cellHeightMm)),
    Math.min(rows - 1, Math.floor((py + reach - area.y) / cellHeightMm)),
  ];
  for (let row = low; row <= high; row += 1)
    for (let column = left; column <= right; column += 1)
      visit(
        row * columns + column,
        area.x + (column + 0.5) * cellWidthMm - px,
        area.y + (row + 0.5) * cellHeightMm - py,
      );
};

/** Every so manieth place is enough where they may be so far apart (mm). */
export const strideOf = ({ stepMm, count }: AlongLines, apartMm: number): number =>
  count === 0 ? 1 : Math.max(1, Math.floor(apartMm / stepMm[0]!));

/** Lines painted into a map as wide as they shine: what of each cell they cover, and their luminance there. */
export const paint = (grid: Grid, along: AlongLines, luminance: Float64Array, litMm: number) => {
  const cells = grid.columns * grid.rows;
  const map = new Float32Array(cells);
  const line = new Int16Array(cells).fill(-1);
  const covered = new Float32Array(cells);
  const nearest = new Float32Array(cells).fill(Infinity);
  const half = litMm / 2;
  const cellMm = Math.max(grid.cellWidthMm, grid.cellHeightMm);
  const stride = strideOf(along, cellMm / 2);
  for (let at = 0; at < along.count; at += stride)
    cellsNear(grid, along.x[at]!, along.y[at]!, half + cellMm, (cell, dx, dy) => {
      const away = Math.sqrt(dx * dx + dy * dy);
      if (away >= nearest[cell]!) return;
      const share = Math.min(1, Math.max(0, (half - away) / cellMm + 0.5), litMm / cellMm);
      if (share <= 0) return;
      nearest[cell] = away;
      covered[cell] = share;
      line[cell] = along.line[at]!;
      // Edges of lines are as bright as what of their cell they cover.
      map[cell] = luminance[at]! * share;
    });
  return { map, covered, line };
};
