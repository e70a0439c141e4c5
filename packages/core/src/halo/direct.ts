import type { Grid } from '../raster/index.js';
import { meetsPost, type LightTable, type Sources } from './sources.js';
import type { Post } from './types.js';

// Taken out of Math once: where globals are looked up by name (test sandboxes), hot loops would crawl.
const { ceil, floor, hypot, max, min, sqrt } = Math;

interface Window {
  readonly firstRow: number;
  readonly lastRow: number;
  readonly firstColumn: number;
  readonly lastColumn: number;
}

const windowOn = (grid: Grid, x: number, y: number, reach: number): Window => {
  const column = (at: number): number => (at - grid.area.x) / grid.cellWidthMm - 0.5;
  const row = (at: number): number => (at - grid.area.y) / grid.cellHeightMm - 0.5;
  return {
    firstRow: max(0, ceil(row(y - reach))),
    lastRow: min(grid.rows - 1, floor(row(y + reach))),
    firstColumn: max(0, ceil(column(x - reach))),
    lastColumn: min(grid.columns - 1, floor(column(x + reach))),
  };
};

/** What lies beyond a post as seen from an LED, out to its reach: the box round that wedge. */
const wedgeOn = (grid: Grid, x: number, y: number, post: Post, reach: number): Window => {
  const [dx, dy] = [post.at[0] - x, post.at[1] - y];
  const away = hypot(dx, dy);
  const radius = post.diameterMm / 2;
  if (away <= radius) return windowOn(grid, x, y, reach);
  const [ux, uy] = [dx / away, dy / away];
  const spread = (radius / sqrt(away * away - radius * radius)) * reach;
  const xs = [post.at[0] - radius, post.at[0] + radius, x + ux * reach - uy * spread, x + ux * reach + uy * spread];
  const ys = [post.at[1] - radius, post.at[1] + radius, y + uy * reach + ux * spread, y + uy * reach - ux * spread];
  const [left, right, low, high] = [min(...xs), max(...xs), min(...ys), max(...ys)];
  const middle = windowOn(grid, (left + right) / 2, (low + high) / 2, 0);
  const [halfColumns, halfRows] = [
    ceil((right - left) / 2 / grid.cellWidthMm) + 1,
    ceil((high - low) / 2 / grid.cellHeightMm) + 1,
  ];
  return {
    firstRow: max(0, middle.firstRow - halfRows),
    lastRow: min(grid.rows - 1, middle.lastRow + halfRows),
    firstColumn: max(0, middle.firstColumn - halfColumns),
    lastColumn: min(grid.columns - 1, middle.lastColumn + halfColumns),
  };
};

/** Takes away what the posts near one LED keep of its light. Mutates `lux`. */
const shade = (lux: Float64Array, grid: Grid, sources: Sources, led: number): void => {
  const [x, y] = [sources.scene.lights.x[led]!, sources.scene.lights.y[led]!];
  const posts = sources.shading[led]!;
  posts.forEach((post, number) => {
    const [dx, dy] = [post.at[0] - x, post.at[1] - y];
    const { firstRow, lastRow, firstColumn, lastColumn } = wedgeOn(grid, x, y, post, sources.reachOf(led));
    for (let j = firstRow; j <= lastRow; j += 1) {
      const py = grid.area.y + (j + 0.5) * grid.cellHeightMm;
      for (let i = firstColumn; i <= lastColumn; i += 1) {
        const px = grid.area.x + (i + 0.5) * grid.cellWidthMm;
        // What is not on the post’s side cannot be in its shadow.
        if ((px - x) * dx + (py - y) * dy < 0 || !meetsPost(x, y, px, py, post)) continue;
        // What an earlier post has taken is not there to take.
        if (posts.slice(0, number).some((other) => meetsPost(x, y, px, py, other))) continue;
        const cell = j * grid.columns + i;
        lux[cell] = max(0, lux[cell]! - sources.luxFrom(led, px, py));
      }
    }
  });
};

/** Adds the light of one LED from the table to a window of the raster. Mutates `lux`. */
const addFromTable = (
  lux: Float64Array,
  grid: Grid,
  { firstRow, lastRow, firstColumn, lastColumn }: Window,
  { lux: byDistance, stepsPerMm2, steps }: LightTable,
  x: number,
  y: number,
  flux: number,
): void => {
  const { area, cellWidthMm, cellHeightMm, columns } = grid;
  // Squared distances in steps of the table, so that the inner loop has only sums.
  const perMm = sqrt(stepsPerMm2);
  const across = cellWidthMm * perMm;
  const left = (area.x + 0.5 * cellWidthMm - x) * perMm;
  for (let j = firstRow; j <= lastRow; j += 1) {
    const up = (area.y + (j + 0.5) * cellHeightMm - y) * perMm;
    const up2 = up * up;
    const row = j * columns;
    for (let i = firstColumn; i <= lastColumn; i += 1) {
      const aside = left + i * across;
      const place = aside * aside + up2;
      if (place >= steps) continue;
      const step = place | 0;
      const low = byDistance[step]!;
      lux[row + i]! += flux * (low + (place - step) * (byDistance[step + 1]! - low));
    }
  }
};

/** The same for LEDs that are not alike. Mutates `lux`. */
const addOneByOne = (lux: Float64Array, grid: Grid, window: Window, sources: Sources, led: number): void => {
  for (let j = window.firstRow; j <= window.lastRow; j += 1) {
    const py = grid.area.y + (j + 0.5) * grid.cellHeightMm;
    for (let i = window.firstColumn; i <= window.lastColumn; i += 1)
      lux[j * grid.columns + i]! += sources.luxFrom(led, grid.area.x + (i + 0.5) * grid.cellWidthMm, py);
  }
};

/** Illuminance of the wall straight from the LEDs (lx) on a raster: what each LED gives to each cell in its reach, less the shadows of posts. */
export const directOnWall = (sources: Sources, grid: Grid): Float64Array => {
  const { lights } = sources.scene;
  const lux = new Float64Array(grid.columns * grid.rows);
  for (let led = 0; led < lights.count; led += 1) {
    const [x, y, flux] = [lights.x[led]!, lights.y[led]!, lights.fluxLm[led]!];
    if (flux <= 0) continue;
    const window = windowOn(grid, x, y, sources.reachOf(led));
    if (sources.table === null) addOneByOne(lux, grid, window, sources, led);
    else addFromTable(lux, grid, window, sources.table, x, y, flux);
  }
  for (let led = 0; led < lights.count; led += 1) if (sources.shading[led]!.length > 0) shade(lux, grid, sources, led);
  return lux;
};
