import type { PointSources } from '../photometry/index.js';
import { gridOver, smoothMapValue, type Grid } from '../../base/raster/index.js';
import { ownShare } from './light-table.js';

/** LEDs of one group stand no farther from its first than so many heights, and look the same way but for this cosine. */
const groupHeights = 2;
const groupCosine = 0.9;
/** Cells of the raster of far light, in heights: it changes over no less than its distance, six heights and more. */
const cellHeights = 2.5;
/** The raster goes so many heights beyond the LEDs; farther out the groups are asked one by one. */
const beyondHeights = 12;

/** LEDs near each other that look the same way: one of them, and the flux of all as a multiple of its own. */
interface Group {
  readonly led: number;
  readonly times: number;
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
    const led = (start + end - 1) >> 1;
    if (flux > 0 && fluxLm[led]! > 0) groups.push({ led, times: flux / fluxLm[led]! });
    start = end;
  }
  return groups;
};

/**
 * Illuminance of the wall by LEDs that are far away (lx), as a function of the place: what `ownShare` leaves of each of
 * them, taken together in groups and read from a raster that is made when first asked for. Posts cast no shadow so far.
 * `wholeFrom(led, x, y)` is all that one LED gives there.
 */
export const farLuxOf = (
  lights: PointSources,
  wholeFrom: (led: number, x: number, y: number) => number,
): ((x: number, y: number) => number) => {
  const { count, x, y, z } = lights;
  if (count === 0) return () => 0;
  const groups = groupsOf(lights);
  const summed = (px: number, py: number): number => {
    let lux = 0;
    for (const { led, times } of groups) {
      const [dx, dy] = [px - x[led]!, py - y[led]!];
      const far = 1 - ownShare((dx * dx + dy * dy) / (z[led]! * z[led]!));
      if (far > 0) lux += times * far * wholeFrom(led, px, py);
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
    const cellMm = cellHeights * heightMm;
    const grid = gridOver(
      { x: left, y: low, width: right - left, height: high - low },
      Math.ceil((right - left) / cellMm),
      Math.ceil((high - low) / cellMm),
    );
    const lux = new Float64Array(grid.columns * grid.rows);
    for (let row = 0; row < grid.rows; row += 1)
      for (let column = 0; column < grid.columns; column += 1)
        lux[row * grid.columns + column] = summed(
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
