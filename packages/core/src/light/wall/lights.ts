import { blurredPitchShare } from '../glow/index.js';
import type { LetterRuns } from '../runs/index.js';
import { sourcesFrom, type Distribution, type PointSources } from '../photometry/index.js';

/** Which way LEDs look: at the wall, or along it to the outside or the inside of the outline that they follow. */
export type Looking = 'wall' | 'out' | 'in';

/**
 * LEDs behind letters as point sources with the flux their current gives. Neighbours on one segment that stand closer than
 * a share of their height over the wall are taken together at their centre: their ripple is far below what is seen.
 */
export const letterLights = (
  runs: LetterRuns,
  fluxPerLedLm: number,
  fluxShare: Float64Array,
  distribution: Distribution,
  looking: Looking,
): PointSources => {
  const { leds, alongX, alongY } = runs;
  const together = Math.max(1, Math.floor((blurredPitchShare * (leds.z[0] ?? 1)) / runs.ledPitchMm));
  const rows: number[][] = [];
  for (let led = 0; led < leds.count;) {
    const segment = leds.segment[led]!;
    const end = Math.min(led + together, leds.count);
    let [flux, x, y, ux, uy] = [0, 0, 0, 0, 0];
    const z = leds.z[led]!;
    for (; led < end && leds.segment[led] === segment; led += 1) {
      const own = fluxPerLedLm * fluxShare[led]!;
      flux += own;
      x += own * leds.x[led]!;
      y += own * leds.y[led]!;
      ux += alongX[led]!;
      uy += alongY[led]!;
    }
    if (flux <= 0) continue;
    const length = Math.hypot(ux, uy) || 1;
    const [ax, ay] = [ux / length, uy / length];
    // Outlines run with the letter on their left, so that out is to the right.
    const facing = looking === 'wall' ? [0, 0, -1] : looking === 'out' ? [ay, -ax, 0] : [-ay, ax, 0];
    rows.push([x / flux, y / flux, z, ...facing, ax, ay, 0, flux]);
  }
  return sourcesFrom(rows, distribution);
};
