import type { Point } from '../../base/outlines/index.js';
import { finer, gridOver, type Grid } from '../../base/raster/index.js';
import { meetsPost, type Sources } from './sources.js';
import { nearAndFar, type LightTable } from './light-table.js';
import type { Post } from './types.js';

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
    firstRow: Math.max(0, Math.ceil(row(y - reach))),
    lastRow: Math.min(grid.rows - 1, Math.floor(row(y + reach))),
    firstColumn: Math.max(0, Math.ceil(column(x - reach))),
    lastColumn: Math.min(grid.columns - 1, Math.floor(column(x + reach))),
  };
};

/** The two tangents from an LED to a post, as unit vectors: its shadow lies to the left of `right` and right of `left`. */
interface Cone {
  readonly right: Point;
  readonly left: Point;
}

const coneOf = (dx: number, dy: number, radius: number): Cone => {
  const away2 = dx * dx + dy * dy;
  const sine = radius / Math.sqrt(away2);
  const cosine = Math.sqrt(1 - sine * sine);
  const away = Math.sqrt(away2);
  const [ux, uy] = [dx / away, dy / away];
  return {
    right: [ux * cosine + uy * sine, uy * cosine - ux * sine],
    left: [ux * cosine - uy * sine, uy * cosine + ux * sine],
  };
};

/** The part of a level line `up` above an LED that lies in a cone, from the LED (mm); empty when it ends before it starts. */
const inCone = ({ right, left }: Cone, up: number): readonly [from: number, to: number] => {
  let [from, to] = [-Infinity, Infinity];
  // Left of one tangent: right × q ≥ 0. Right of the other: q × left ≥ 0.
  for (const [tx, ty] of [right, [-left[0], -left[1]]] as const) {
    if (ty > 0) to = Math.min(to, (tx * up) / ty);
    else if (ty < 0) from = Math.max(from, (tx * up) / ty);
    else if (tx * up < 0) return [0, -1];
  }
  return [from, to];
};

/** Beyond so many heights an LED gives less than a thousandth of what it gives below itself: a shadow there is not told. */
const shadowHeights = 6;

/** Takes away what one post keeps of the light of one LED, but for what an earlier post has taken. Mutates `lux`. */
const shadeBy = (
  lux: Float64Array,
  grid: Grid,
  sources: Sources,
  led: number,
  post: Post,
  earlier: readonly Post[],
): void => {
  const [x, y] = [sources.scene.lights.x[led]!, sources.scene.lights.y[led]!];
  const [dx, dy, radius] = [post.at[0] - x, post.at[1] - y, post.diameterMm / 2];
  const { firstRow, lastRow, firstColumn, lastColumn } = windowOn(
    grid,
    x,
    y,
    shadowHeights * sources.scene.lights.z[led]!,
  );
  const behind2 = dx * dx + dy * dy - radius * radius;
  const cone = behind2 > 0 ? coneOf(dx, dy, radius) : null;
  const toColumn = (fromLed: number): number => (x + fromLed - grid.area.x) / grid.cellWidthMm - 0.5;
  for (let j = firstRow; j <= lastRow; j += 1) {
    const py = grid.area.y + (j + 0.5) * grid.cellHeightMm;
    const up = py - y;
    const [from, to] = cone === null ? [-Infinity, Infinity] : inCone(cone, up);
    const last = Math.min(lastColumn, Math.floor(toColumn(to)));
    for (let i = Math.max(firstColumn, Math.ceil(toColumn(from))); i <= last; i += 1) {
      const aside = grid.area.x + (i + 0.5) * grid.cellWidthMm - x;
      // Between the tangents and beyond where they touch; or in the post itself.
      const beyond = aside * aside + up * up >= behind2;
      if (!beyond && (aside - dx) * (aside - dx) + (up - dy) * (up - dy) >= radius * radius) continue;
      if (earlier.some((other) => meetsPost(x, y, x + aside, py, other))) continue;
      const cell = j * grid.columns + i;
      lux[cell] = Math.max(0, lux[cell]! - sources.luxFrom(led, x + aside, py));
    }
  }
};

/** Takes away what the posts near one LED keep of its light. Mutates `lux`. */
const shade = (lux: Float64Array, grid: Grid, sources: Sources, led: number): void => {
  const posts = sources.shading[led]!;
  posts.forEach((post, number) => shadeBy(lux, grid, sources, led, post, posts.slice(0, number)));
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
  const perMm = Math.sqrt(stepsPerMm2);
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

/** The light of all LEDs from one table. Mutates `lux`. */
const addAllFromTable = (lux: Float64Array, grid: Grid, { scene: { lights } }: Sources, table: LightTable): void => {
  const reach = Math.sqrt(table.steps / table.stepsPerMm2);
  for (let led = 0; led < lights.count; led += 1) {
    const [x, y, flux] = [lights.x[led]!, lights.y[led]!, lights.fluxLm[led]!];
    if (flux > 0) addFromTable(lux, grid, windowOn(grid, x, y, reach), table, x, y, flux);
  }
};

/** Adds the light of LEDs beyond their reach. Mutates `lux`. */
const addFar = (
  lux: Float64Array,
  { area, cellWidthMm, cellHeightMm, columns, rows }: Grid,
  sources: Sources,
): void => {
  for (let j = 0; j < rows; j += 1)
    for (let i = 0; i < columns; i += 1)
      lux[j * columns + i]! += sources.farLux(area.x + (i + 0.5) * cellWidthMm, area.y + (j + 0.5) * cellHeightMm);
};

/** Cells of the coarser raster for what reaches far, in heights of the LEDs. */
const coarseHeights = 0.7;
/** It goes on so many cells beyond the other, since splines are less sure at their ends. */
const beyondCells = 4;

/** The raster for what reaches far; null where that would save nothing. */
const coarseFor = ({ area, cellWidthMm, cellHeightMm }: Grid, heightMm: number): Grid | null => {
  const cellMm = coarseHeights * heightMm;
  if (Math.max(cellWidthMm, cellHeightMm) > cellMm / 2) return null;
  const beyondMm = beyondCells * cellMm;
  const [width, height] = [area.width + 2 * beyondMm, area.height + 2 * beyondMm];
  return gridOver(
    { x: area.x - beyondMm, y: area.y - beyondMm, width, height },
    Math.ceil(width / cellMm),
    Math.ceil(height / cellMm),
  );
};

/**
 * Illuminance of the wall straight from the LEDs (lx) on a raster: what each LED gives to each cell in its reach, less the
 * shadows of posts. Where all LEDs are alike, what they give near themselves is summed on the raster itself, and the
 * smooth rest on a coarser one: far fewer cells for the same answer, to a few parts in ten thousand.
 */
export const directOnWall = (sources: Sources, grid: Grid): Float64Array => {
  const { lights } = sources.scene;
  const { table } = sources;
  const coarse = table === null ? null : coarseFor(grid, lights.z[0]!);
  let lux = new Float64Array(grid.columns * grid.rows);
  if (table !== null && coarse !== null) {
    const { near, far } = nearAndFar(table, lights.z[0]!);
    const smooth = new Float64Array(coarse.columns * coarse.rows);
    addAllFromTable(smooth, coarse, sources, far);
    lux = finer(smooth, coarse, grid).map((value) => Math.max(0, value));
    addAllFromTable(lux, grid, sources, near);
  } else if (table !== null) addAllFromTable(lux, grid, sources, table);
  else
    for (let led = 0; led < lights.count; led += 1)
      if (lights.fluxLm[led]! > 0)
        addOneByOne(lux, grid, windowOn(grid, lights.x[led]!, lights.y[led]!, sources.reachOf(led)), sources, led);
  for (let led = 0; led < lights.count; led += 1) if (sources.shading[led]!.length > 0) shade(lux, grid, sources, led);
  addFar(lux, grid, sources);
  return lux;
};
