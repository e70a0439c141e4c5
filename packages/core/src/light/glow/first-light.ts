import { clamp, evenPoint } from '../../base/maths/index.js';
import { directionSampler, type PointSources } from '../photometry/index.js';
import { patchHit, type Enclosure } from '../radiosity/index.js';

/**
 * Flux (lm) that each patch of the case receives straight from the LEDs, by an even (quasi-random, repeatable) spread of
 * about `rays` rays with the density of the light. Every ray lands, so the shares add up to the flux emitted.
 */
export const firstLight = (emitters: PointSources, enclosure: Enclosure, rays: number): Float64Array => {
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
