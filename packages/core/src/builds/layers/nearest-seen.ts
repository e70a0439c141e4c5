import { cellMiddle, type Grid } from '../../base/raster/index.js';
import type { ScenePlane } from '../../light/layers/index.js';
import type { LightRuns } from '../../light/runs/index.js';

/** So many LEDs and places are looked at; where no LED lights what is seen, it is as far as this (mm). */
const mostLeds = 60;
const placesAcross = 48;
const farMm = 1000;

/** How near an LED comes to what is seen, and where that is. */
export interface Nearest {
  readonly mm: number;
  readonly at: readonly [number, number];
}

/** From the nearest LED to what is seen of any sheet that it lights: single LEDs show on what is near. */
export const nearestSeen = (
  { leds }: LightRuns,
  planes: readonly Pick<ScenePlane, 'frontZMm' | 'passes'>[],
  top: Int16Array,
  grid: Grid,
): Nearest => {
  if (leds.count === 0) return { mm: 0, at: [0, 0] };
  const step = Math.max(1, Math.floor(leds.count / mostLeds));
  const every = Math.max(1, Math.floor(grid.columns / placesAcross));
  let least = Infinity;
  let where: readonly [number, number] = [0, 0];
  for (let row = 0; row < grid.rows; row += every)
    for (let column = 0; column < grid.columns; column += every) {
      const at = row * grid.columns + column;
      const [x, y] = cellMiddle(grid, at);
      const plane = planes[top[at]!];
      const z = plane?.frontZMm ?? 0;
      const glows = (plane?.passes ?? 0) > 0;
      for (let led = 0; led < leds.count; led += step) {
        // A sheet before the LED does not see it, unless it glows.
        if (leds.z[led]! < z && !glows) continue;
        const away = (x - leds.x[led]!) ** 2 + (y - leds.y[led]!) ** 2 + (z - leds.z[led]!) ** 2;
        if (away >= least) continue;
        least = away;
        where = [x, y];
      }
    }
  return { mm: Number.isFinite(least) ? Math.sqrt(least) : farMm, at: where };
};
