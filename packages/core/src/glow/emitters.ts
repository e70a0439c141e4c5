import type { LightRuns } from '../light-runs/index.js';
import { blurredPitchShare } from './grid.js';

/** Point sources with their place (mm), the way they face, and their flux (lm). */
export interface Emitters {
  readonly count: number;
  readonly x: Float64Array;
  readonly y: Float64Array;
  readonly z: Float64Array;
  readonly nx: Float64Array;
  readonly ny: Float64Array;
  readonly nz: Float64Array;
  readonly fluxLm: Float64Array;
  /** Exponent of the cosine law I = I₀ cosᵐθ. */
  readonly exponent: number;
}

/** m of the cosine law from the full beam angle at half intensity: m = ln ½ / ln cos θ½ (120° gives 1). */
export const cosineExponent = (beamAngleDeg: number): number => {
  const exponent = Math.log(0.5) / Math.log(Math.cos((beamAngleDeg / 2) * (Math.PI / 180)));
  // Exactly 1 for the usual 120°, so that the fast exact law applies.
  return Math.abs(exponent - 1) < 1e-9 ? 1 : exponent;
};

/**
 * LEDs as point sources with the flux their current gives. Where rows are `lines`, neighbours on one piece that stand
 * closer than `blurredPitchShare` of the throw are taken together at their centre of light: the ripple lost is below
 * 1e-5 of the mean, and a continuous strip costs no more than a sparse one.
 */
export const emittersOf = (
  runs: LightRuns,
  fluxPerLedLm: number,
  fluxShare: Float64Array,
  beamAngleDeg: number,
  lines: boolean,
): Emitters => {
  const { leds, segments } = runs;
  const together = lines ? Math.max(1, Math.floor((blurredPitchShare * runs.throwMm) / runs.ledPitchMm)) : 1;
  const rows: number[][] = [];
  for (let led = 0; led < leds.count;) {
    const segment = leds.segment[led] ?? 0;
    const end = Math.min(led + together, leds.count);
    let [flux, x, y, z] = [0, 0, 0, 0];
    for (; led < end && leds.segment[led] === segment; led += 1) {
      const own = fluxPerLedLm * (fluxShare[led] ?? 0);
      flux += own;
      x += own * (leds.x[led] ?? 0);
      y += own * (leds.y[led] ?? 0);
      z += own * (leds.z[led] ?? 0);
    }
    const [nx, ny, nz] = segments[segment]?.normal ?? [0, 0, 1];
    if (flux > 0) rows.push([x / flux, y / flux, z / flux, nx, ny, nz, flux]);
  }
  const column = (index: number): Float64Array => Float64Array.from(rows, (row) => row[index] ?? 0);
  return {
    count: rows.length,
    x: column(0),
    y: column(1),
    z: column(2),
    nx: column(3),
    ny: column(4),
    nz: column(5),
    fluxLm: column(6),
    exponent: cosineExponent(beamAngleDeg),
  };
};
