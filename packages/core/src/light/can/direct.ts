import { intensityAt, nearbyLeds, type Distribution, type PointSources } from '../photometry/index.js';
import type { Point } from '../../base/outlines/index.js';
import type { Grid } from '../../base/raster/index.js';
import { turnOf } from '../tracing/index.js';
import type { Can } from './can.js';

const mm2PerM2 = 1e6;

/** How many LED heights away light still counts at a place over the strip. */
const reachHeights = 4;
/** Steps of the table of light by squared distance: linear between them, it is right to a few parts in ten thousand. */
const tableSteps = 4096;

/** What a face shows of one lumen by the squared distance from the place over its LED (cd/m²); 0 beyond `reachMm`. */
const shownBy = (
  distribution: Distribution,
  heightMm: number,
  towardNormal: (cosSquared: number) => number,
  reachMm: number,
): ((flat2: number) => number) => {
  const stepsPerMm2 = tableSteps / (reachMm * reachMm);
  const table = new Float64Array(tableSteps + 2);
  for (let step = 0; step < table.length; step += 1) {
    const d2 = step / stepsPerMm2 + heightMm * heightMm;
    const ahead2 = (heightMm * heightMm) / d2;
    const ahead = Math.sqrt(ahead2);
    table[step] =
      ((mm2PerM2 * intensityAt(distribution, Math.acos(Math.min(1, ahead))) * ahead) / d2) * towardNormal(ahead2);
  }
  return (flat2) => {
    const place = flat2 * stepsPerMm2;
    if (place >= tableSteps) return 0;
    const step = place | 0;
    return table[step]! + (place - step) * (table[step + 1]! - table[step]!);
  };
};

/** Light straight from the LEDs at any place near them (cd/m²), returns left out of account. */
export const directNear = (
  lights: PointSources,
  heightMm: number,
  towardNormal: (cosSquared: number) => number,
): ((at: Point) => number) => {
  const reachMm = reachHeights * heightMm;
  const shown = shownBy(lights.distribution, heightMm, towardNormal, reachMm);
  const near = nearbyLeds(lights, reachMm);
  const { x, y, fluxLm } = lights;
  return ([px, py]) => {
    let sum = 0;
    for (const led of near(px, py)) sum += fluxLm[led]! * shown((px - x[led]!) ** 2 + (py - y[led]!) ** 2);
    return sum;
  };
};

/**
 * What the faces of letter-shaped cases show of light straight from the LEDs (cd/m²): each LED lights its own letter only,
 * and there what no return hides from it. `towardNormal` is the luminance for each lux by the square of the cosine of
 * incidence; `heightMm` from the LEDs to the face; `horizons` of each case’s LEDs.
 */
export const directInCans = (
  cans: readonly Can[],
  horizons: readonly (readonly Float64Array[])[],
  grid: Grid,
  heightMm: number,
  towardNormal: (cosSquared: number) => number,
): Float64Array => {
  const light = new Float64Array(grid.columns * grid.rows);
  cans.forEach((can, index) => addDirect(light, grid, can, horizons[index]!, heightMm, towardNormal));
  return light;
};

/** The cells of a map that lie in a case: where their middles are, and their places on the map. */
interface LitCells {
  readonly count: number;
  readonly x: Float64Array;
  readonly y: Float64Array;
  readonly place: Int32Array;
}

const litCells = (grid: Grid, { window, firstColumn, firstRow, covered }: Can): LitCells => {
  const [x, y] = [new Float64Array(covered.length), new Float64Array(covered.length)];
  const place = new Int32Array(covered.length);
  let count = 0;
  for (let cell = 0; cell < covered.length; cell += 1) {
    if (covered[cell]! <= 0) continue;
    const [column, row] = [cell % window.columns, Math.floor(cell / window.columns)];
    x[count] = window.area.x + (column + 0.5) * window.cellWidthMm;
    y[count] = window.area.y + (row + 0.5) * window.cellHeightMm;
    place[count] = (row + firstRow) * grid.columns + column + firstColumn;
    count += 1;
  }
  return { count, x, y, place };
};

/** Adds the light of one case. Mutates `light`. */
const addDirect = (
  light: Float64Array,
  grid: Grid,
  can: Can,
  horizons: readonly Float64Array[],
  heightMm: number,
  towardNormal: (cosSquared: number) => number,
): void => {
  const { bounds, lights } = can;
  const shown = shownBy(lights.distribution, heightMm, towardNormal, Math.hypot(bounds.width, bounds.height) + 1);
  const cells = litCells(grid, can);
  for (let led = 0; led < lights.count; led += 1) {
    const [x, y, flux] = [lights.x[led]!, lights.y[led]!, lights.fluxLm[led]!];
    const horizon = horizons[led]!;
    // Nearer than the nearest return nothing is hidden.
    let nearest = Infinity;
    for (let turn = 0; turn < horizon.length; turn += 1) nearest = Math.min(nearest, horizon[turn]!);
    const free2 = nearest * nearest;
    for (let cell = 0; cell < cells.count; cell += 1) {
      const [dx, dy] = [cells.x[cell]! - x, cells.y[cell]! - y];
      const flat2 = dx * dx + dy * dy;
      if (flat2 > free2 && horizon[turnOf(dx, dy)]! ** 2 < flat2) continue;
      light[cells.place[cell]!]! += flux * shown(flat2);
    }
  }
};
