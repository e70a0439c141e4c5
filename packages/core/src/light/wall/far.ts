import type { PointSources } from '../photometry/index.js';
import { gridOver, smoothMapValue, type Grid } from '../../base/raster/index.js';
import { ownShare } from './light-table.js';

/** LEDs of one group stand no farther from its first than so many heights, and look the same way but for this cosine. */
const groupHeights = 2;
const groupCosine = 0.9;
/** Cells of the raster of far light, in heights: it changes over no less than its distance, six heights and more. */
const cellHeights = 2.5;
/** They grow, up to twice that, where groups times cells would be more than this. */
const mostSums = 400_000;
/** The raster goes so many heights beyond the LEDs; farther out the groups are asked one by one. */
const beyondHeights = 15;

/** LEDs near each other that look the same way: one of them, and the flux of all. */
interface Group {
  readonly led: number;
  readonly lumens: number;
}

const groupsOf = ({ count, x, y, z, nx, ny, nz, fluxLm }: PointSources): readonly Group[] => {
  const groups: Group[] = [];
  for (let start = 0; start < count;) {
    let end = start;
    let flux = 0;
    for (; end < count; end += 1) {
      const far = Math.hypot(x[end]! - x[start]!, y[end]! - y[start]!);
      const alike = nx[end]! * nx[start]! + ny[end]! * ny[start]! + nz[end]! * nz[start]!;
      if (z[end] !== z[start] || far > groupHeights * z[start]! || alike < groupCosine) break;
      flux += fluxLm[end]!;
    }
    if (flux > 0) groups.push({ led: (start + end - 1) >> 1, lumens: flux });
    start = end;
  }
  return groups;
};

/** Steps of the table over squared distance by which LEDs that are all alike are summed. */
const tableSteps = 8192;

/** What is left of one lumen of each LED by squared distance, where that is all it depends on, as a table out to `most2`. */
const tabled = (perLumen: (flat2: number) => number, heightMm: number, most2: number): ((flat2: number) => number) => {
  const perMm2 = tableSteps / most2;
  const lux = Float64Array.from(
    { length: tableSteps + 2 },
    (_, step) => (1 - ownShare(step / perMm2 / (heightMm * heightMm))) * perLumen(step / perMm2),
  );
  return (flat2) => {
    const place = flat2 * perMm2;
    const step = place | 0;
    return lux[step]! + (place - step) * (lux[step + 1]! - lux[step]!);
  };
};

/**
 * Illuminance of the wall by LEDs that are far away (lx), as a function of the place: what `ownShare` leaves of each of
 * them, taken together in groups and read from a raster that is made when first asked for. Posts cast no shadow so far.
 * `lumenFrom(led, x, y)` is all that a lumen of one LED gives there, `alike` the same by squared distance where they all are.
 */
export const farLuxOf = (
  lights: PointSources,
  lumenFrom: (led: number, x: number, y: number) => number,
  alike: ((flat2: number) => number) | null,
): ((x: number, y: number) => number) => {
  const { count, x, y, z } = lights;
  if (count === 0) return () => 0;
  const groups = groupsOf(lights);
  const summed = (px: number, py: number): number => {
    let lux = 0;
    for (const { led, lumens } of groups) {
      const [dx, dy] = [px - x[led]!, py - y[led]!];
      const far = 1 - ownShare((dx * dx + dy * dy) / (z[led]! * z[led]!));
      if (far > 0) lux += lumens * far * lumenFrom(led, px, py);
    }
    return lux;
  };
  let known: { readonly grid: Grid; readonly lux: Float64Array } | null = null;
  const raster = (): { readonly grid: Grid; readonly lux: Float64Array } => {
    const heightMm = z.reduce((most, height) => Math.max(most, height), 1);
    const beyondMm = beyondHeights * heightMm;
    const [left, right, low, high] = [
      x.reduce((a, b) => Math.min(a, b)) - beyondMm,
      x.reduce((a, b) => Math.max(a, b)) + beyondMm,
      y.reduce((a, b) => Math.min(a, b)) - beyondMm,
      y.reduce((a, b) => Math.max(a, b)) + beyondMm,
    ];
    const usualMm = cellHeights * heightMm;
    const sums = (groups.length * (right - left) * (high - low)) / usualMm ** 2;
    const cellMm = usualMm * Math.min(2, Math.max(1, Math.sqrt(sums / mostSums)));
    const grid = gridOver(
      { x: left, y: low, width: right - left, height: high - low },
      Math.ceil((right - left) / cellMm),
      Math.ceil((high - low) / cellMm),
    );
    const lux = new Float64Array(grid.columns * grid.rows);
    const byTable = alike === null ? null : tabled(alike, heightMm, (right - left) ** 2 + (high - low) ** 2);
    const fromTable = (px: number, py: number): number => {
      let sum = 0;
      for (const { led, lumens } of groups) {
        const [dx, dy] = [px - x[led]!, py - y[led]!];
        sum += lumens * byTable!(dx * dx + dy * dy);
      }
      return sum;
    };
    const at = byTable === null ? summed : fromTable;
    for (let row = 0; row < grid.rows; row += 1)
      for (let column = 0; column < grid.columns; column += 1)
        lux[row * grid.columns + column] = at(
          left + (column + 0.5) * grid.cellWidthMm,
          low + (row + 0.5) * grid.cellHeightMm,
        );
    return { grid, lux };
  };
  return (px, py) => {
    const { grid, lux } = (known ??= raster());
    const { area, cellWidthMm, cellHeightMm } = grid;
    const inside =
      px >= area.x + cellWidthMm / 2 &&
      py >= area.y + cellHeightMm / 2 &&
      px <= area.x + area.width - cellWidthMm / 2 &&
      py <= area.y + area.height - cellHeightMm / 2;
    return inside ? smoothMapValue(lux, grid, [px, py]) : summed(px, py);
  };
};
