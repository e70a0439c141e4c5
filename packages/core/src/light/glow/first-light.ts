import { clamp, evenPoint, roundOff } from '../../base/maths/index.js';
import { directionSampler, type PointSources } from '../photometry/index.js';
import { addSeenFrom, patchHit, type Enclosure, type SmallArea } from '../radiosity/index.js';

/** Closed forms cost as much as so many rays for each LED, and are exact. */
const mostExact = 600;

/** The way an LED looks, where that is along an axis. */
const axisOf = (way: readonly [number, number, number]): Pick<SmallArea, 'axis' | 'sign'> | null => {
  const axis = way.findIndex((part) => Math.abs(part) > 1 - roundOff);
  return axis < 0 ? null : { axis: axis as 0 | 1 | 2, sign: way[axis]! > 0 ? 1 : -1 };
};

/** By closed forms, where LEDs shine by the cosine law along an axis into an empty case; else null. */
const exactFirstLight = (emitters: PointSources, { panels, count, block }: Enclosure): Float64Array | null => {
  const { distribution } = emitters;
  const lambertian = distribution.kind === 'cosine' && Math.abs(distribution.exponent - 1) < roundOff;
  if (block !== null || !lambertian || emitters.count > mostExact) return null;
  const received = new Float64Array(count);
  for (let led = 0; led < emitters.count; led += 1) {
    const looks = axisOf([emitters.nx[led]!, emitters.ny[led]!, emitters.nz[led]!]);
    if (looks === null) return null;
    const at = [emitters.x[led]!, emitters.y[led]!, emitters.z[led]!] as const;
    for (const panel of panels) addSeenFrom(received, panel, { at, ...looks }, emitters.fluxLm[led]!);
  }
  return received;
};

/**
 * Flux (lm) that each patch of the case receives straight from the LEDs: by closed forms where there are any, else by rays.
 */
export const firstLight = (emitters: PointSources, enclosure: Enclosure, rays: number): Float64Array =>
  exactFirstLight(emitters, enclosure) ?? rayedFirstLight(emitters, enclosure, rays);

/**
 * Flux (lm) that each patch of the case receives straight from the LEDs, by an even (quasi-random, repeatable) spread of
 * about `rays` rays with the density of the light. Every ray lands, so the shares add up to the flux emitted.
 */
export const rayedFirstLight = (emitters: PointSources, enclosure: Enclosure, rays: number): Float64Array => {
  const received = new Float64Array(enclosure.count);
  const each = clamp(Math.ceil(rays / Math.max(1, emitters.count)), 8, 8192);
  const sample = directionSampler(emitters.distribution);
  for (let source = 0; source < emitters.count; source += 1) {
    const [nx, ny, nz] = [emitters.nx[source]!, emitters.ny[source]!, emitters.nz[source]!];
    const [ux, uy, uz] = [emitters.ux[source]!, emitters.uy[source]!, emitters.uz[source]!];
    const [vx, vy, vz] = [ny * uz - nz * uy, nz * ux - nx * uz, nx * uy - ny * ux];
    const [x, y, z] = [emitters.x[source]!, emitters.y[source]!, emitters.z[source]!];
    const share = emitters.fluxLm[source]! / each;
    for (let ray = 0; ray < each; ray += 1) {
      const [a, b] = evenPoint(source * each + ray);
      const { ahead, azimuthRad } = sample(a, b);
      const aside = Math.sqrt(Math.max(0, 1 - ahead * ahead));
      const [across, up] = [aside * Math.cos(azimuthRad), aside * Math.sin(azimuthRad)];
      const patch = patchHit(
        enclosure,
        x,
        y,
        z,
        nx * ahead + ux * across + vx * up,
        ny * ahead + uy * across + vy * up,
        nz * ahead + uz * across + vz * up,
      );
      received[patch]! += share;
    }
  }
  return received;
};
