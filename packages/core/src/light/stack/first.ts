import type { IntensityOf, PointSources } from '../photometry/index.js';
import { placesOf } from './exchange.js';
import type { Hides } from './hidden.js';
import type { Patches } from './patches.js';
import { seenPolygon } from './seen-polygon.js';

/** Farther away than so many times its size, a patch is a point to an LED. */
const farSizes = 4;
/** A patch that an LED sees aslant is taken by no flatter a way than this (cosine). */
const leastAhead = 0.05;

/** How much of a patch is not hidden from a place. */
const openFrom = (hides: Hides, x: number, y: number, z: number, places: Float64Array): number => {
  const count = places.length / 3;
  const step = Math.max(1, Math.floor(count / 4));
  let [open, looked] = [0, 0];
  for (let at = 0; at < count; at += step, looked += 1)
    if (!hides(x, y, z, places[3 * at]!, places[3 * at + 1]!, places[3 * at + 2]!)) open += 1;
  return open / looked;
};

/**
 * Light straight from the LEDs on every patch (lm). What of an LED each takes is exact for a Lambertian one, and weighed by its own
 * intensity that way; what it gives in all is what it emits.
 */
export const firstLight = (
  patches: Patches,
  lights: PointSources,
  intensity: IntensityOf,
  hides: Hides | null,
): Float64Array => {
  const { count, middle, normal, corners, firstCorner, cornerCount, areaMm2 } = patches;
  const all = new Float64Array(count);
  const own = new Float64Array(count);
  const places = placesOf(patches);
  for (let led = 0; led < lights.count; led += 1) {
    const [x, y, z] = [lights.x[led]!, lights.y[led]!, lights.z[led]!];
    const [nx, ny, nz] = [lights.nx[led]!, lights.ny[led]!, lights.nz[led]!];
    let sum = 0;
    for (let patch = 0; patch < count; patch += 1) {
      own[patch] = 0;
      const m = 3 * patch;
      const [dx, dy, dz] = [middle[m]! - x, middle[m + 1]! - y, middle[m + 2]! - z];
      const meets = -(dx * normal[m]! + dy * normal[m + 1]! + dz * normal[m + 2]!);
      if (meets <= 0) continue;
      const d2 = dx * dx + dy * dy + dz * dz;
      const d = Math.sqrt(d2);
      const ahead = (dx * nx + dy * ny + dz * nz) / d;
      const isFar = d2 > farSizes ** 2 * areaMm2[patch]!;
      if (isFar && ahead <= 0) continue;
      const open = hides === null ? 1 : openFrom(hides, x, y, z, places(patch));
      if (open === 0) continue;
      const held = Math.max(leastAhead, ahead);
      const candela = intensity(led, held, dx / d, dy / d, dz / d);
      const lm = isFar
        ? (candela * areaMm2[patch]! * meets) / (d2 * d)
        : seenPolygon(x, y, z, nx, ny, nz, corners, firstCorner[patch]!, cornerCount[patch]!) *
          ((Math.PI * candela) / held);
      own[patch] = lm * open;
      sum += lm * open;
    }
    if (sum <= 0) continue;
    const scale = lights.fluxLm[led]! / sum;
    for (let patch = 0; patch < count; patch += 1) all[patch]! += own[patch]! * scale;
  }
  return all;
};

const mm2PerM2 = 1e6;

/** Light straight from the LEDs at one place that looks along a normal (lx). */
export const directAt =
  (lights: PointSources, intensity: IntensityOf, hides: Hides | null) =>
  (x: number, y: number, z: number, nx: number, ny: number, nz: number): number => {
    let lux = 0;
    for (let led = 0; led < lights.count; led += 1) {
      const [dx, dy, dz] = [x - lights.x[led]!, y - lights.y[led]!, z - lights.z[led]!];
      const meets = -(dx * nx + dy * ny + dz * nz);
      if (meets <= 0) continue;
      const ahead = dx * lights.nx[led]! + dy * lights.ny[led]! + dz * lights.nz[led]!;
      if (ahead <= 0) continue;
      const d2 = dx * dx + dy * dy + dz * dz;
      if (d2 < 1e-6) continue;
      if (hides?.(lights.x[led]!, lights.y[led]!, lights.z[led]!, x, y, z) === true) continue;
      const d = Math.sqrt(d2);
      lux += (lights.fluxLm[led]! * intensity(led, ahead / d, dx / d, dy / d, dz / d) * meets) / (d2 * d);
    }
    return lux * mm2PerM2;
  };
