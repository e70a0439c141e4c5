import { coverage, inRing, outlineBounds, solidParts, type Outline, type Rect } from '../../base/outlines/index.js';
import type { PointSources } from '../photometry/index.js';
import type { Grid } from '../../base/raster/index.js';

/** One letter’s case: light in it stays in it. */
export interface Can {
  /** The inside of its returns. */
  readonly outline: Outline;
  readonly bounds: Rect;
  /** The LEDs that stand in it. */
  readonly lights: PointSources;
  /** The cells of the map round it: where they begin, and a raster of their own. */
  readonly firstColumn: number;
  readonly firstRow: number;
  readonly window: Grid;
  /** Share of each of these cells that lies in the case. */
  readonly covered: Float32Array;
}

/** Those of the sources that stand in a ring. */
const lightsIn = (part: Outline, { x, y, width, height }: Rect, lights: PointSources): PointSources => {
  const held: number[] = [];
  for (let led = 0; led < lights.count; led += 1) {
    const [px, py] = [lights.x[led]!, lights.y[led]!];
    if (px >= x && px <= x + width && py >= y && py <= y + height && inRing([px, py], part[0]!)) held.push(led);
  }
  const picked = (numbers: Float64Array): Float64Array => Float64Array.from(held, (led) => numbers[led]!);
  return {
    count: held.length,
    x: picked(lights.x),
    y: picked(lights.y),
    z: picked(lights.z),
    nx: picked(lights.nx),
    ny: picked(lights.ny),
    nz: picked(lights.nz),
    ux: picked(lights.ux),
    uy: picked(lights.uy),
    uz: picked(lights.uz),
    fluxLm: picked(lights.fluxLm),
    distribution: lights.distribution,
  };
};

const canOf = (outline: Outline, lights: PointSources, grid: Grid, aroundMm: number): Can => {
  const bounds = outlineBounds(outline)!;
  const { area, cellWidthMm, cellHeightMm } = grid;
  const column = (x: number): number => (x - area.x) / cellWidthMm;
  const row = (y: number): number => (y - area.y) / cellHeightMm;
  const firstColumn = Math.max(0, Math.floor(column(bounds.x - aroundMm)));
  const firstRow = Math.max(0, Math.floor(row(bounds.y - aroundMm)));
  const columns = Math.min(grid.columns, Math.ceil(column(bounds.x + bounds.width + aroundMm))) - firstColumn;
  const rows = Math.min(grid.rows, Math.ceil(row(bounds.y + bounds.height + aroundMm))) - firstRow;
  const window: Grid = {
    ...grid,
    columns,
    rows,
    area: {
      x: area.x + firstColumn * cellWidthMm,
      y: area.y + firstRow * cellHeightMm,
      width: columns * cellWidthMm,
      height: rows * cellHeightMm,
    },
  };
  return {
    outline,
    bounds,
    lights: lightsIn(outline, bounds, lights),
    firstColumn,
    firstRow,
    window,
    covered: coverage(outline, window.area, columns, rows),
  };
};

/** The cases of letters, each with its LEDs and its part of a map, `aroundMm` and a cell more than it fills. */
export const cansOf = (inside: Outline, lights: PointSources, grid: Grid, aroundMm = 0): readonly Can[] =>
  solidParts(inside).map((part) => canOf(part, lights, grid, aroundMm));
