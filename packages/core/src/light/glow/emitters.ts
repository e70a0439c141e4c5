import type { LightRuns, Point3 } from '../runs/index.js';
import { sourcesFrom, type Distribution, type PointSources } from '../photometry/index.js';
import { blurredPitchShare } from './grid.js';

const along = (from: Point3, to: Point3): Point3 => {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1], to[2] - from[2]);
  return length > 0 ? [(to[0] - from[0]) / length, (to[1] - from[1]) / length, (to[2] - from[2]) / length] : [1, 0, 0];
};

/**
 * LEDs as point sources with the flux their current gives. Where rows are `lines`, neighbours on one segment that stand
 * closer than `blurredPitchShare` of the throw are taken together at their centre of light: the ripple lost is below
 * 1e-5 of the mean, and a continuous strip costs no more than a sparse one.
 */
export const emittersOf = (
  runs: LightRuns,
  fluxPerLedLm: number,
  fluxShare: Float64Array,
  distribution: Distribution,
  lines: boolean,
): PointSources => {
  const { leds, segments } = runs;
  const together = lines ? Math.max(1, Math.floor((blurredPitchShare * runs.throwMm) / runs.ledPitchMm)) : 1;
  const rows: number[][] = [];
  for (let led = 0; led < leds.count;) {
    const segment = leds.segment[led] ?? 0;
    const end = Math.min(led + together, leds.count);
    const first = led;
    let [flux, x, y, z] = [0, 0, 0, 0];
    for (; led < end && leds.segment[led] === segment; led += 1) {
      const own = fluxPerLedLm * (fluxShare[led] ?? 0);
      flux += own;
      x += own * (leds.x[led] ?? 0);
      y += own * (leds.y[led] ?? 0);
      z += own * (leds.z[led] ?? 0);
    }
    const own = segments[segment];
    if (flux <= 0 || own === undefined) continue;
    const middle = (first + led - 1) >> 1;
    // A bend is short against the throw: of LEDs taken together the middle one tells the way.
    const looks = runs.ways?.looks.subarray(3 * middle, 3 * middle + 3) ?? own.normal;
    const way = runs.ways?.along.subarray(3 * middle, 3 * middle + 3) ?? along(own.from, own.to);
    rows.push([x / flux, y / flux, z / flux, ...looks, ...way, flux]);
  }
  return sourcesFrom(rows, distribution);
};
