import { clamp, evenPoint } from '../maths/index.js';
import type { Emitters } from './emitters.js';
import { sides, type Box } from './form-factors.js';

// Taken out of Math once: where globals are looked up by name (test sandboxes), hot loops would crawl.
const { ceil, cos, max, pow, sin, sqrt, PI } = Math;

const wantedRays = 12_000;

/** The side that a ray from (x, y, z) along (dx, dy, dz) meets first; as an index into `sides`. */
const sideHit = (box: Box, x: number, y: number, z: number, dx: number, dy: number, dz: number): number => {
  const tz = dz > 0 ? (box.depthMm - z) / dz : dz < 0 ? -z / dz : Infinity;
  const tx = dx > 0 ? (box.widthMm / 2 - x) / dx : dx < 0 ? (-box.widthMm / 2 - x) / dx : Infinity;
  const ty = dy > 0 ? (box.heightMm / 2 - y) / dy : dy < 0 ? (-box.heightMm / 2 - y) / dy : Infinity;
  if (tz <= tx && tz <= ty) return dz > 0 ? 1 : 0;
  if (tx <= ty) return dx > 0 ? 3 : 2;
  return dy > 0 ? 5 : 4;
};

/**
 * Flux (lm) that each side receives straight from the LEDs, by an even (quasi-random, repeatable) spread of rays with the
 * cosine law's density. Every ray lands, so the shares add up to the flux emitted; each share is within about 1 %.
 */
export const firstLight = (emitters: Emitters, box: Box): readonly number[] => {
  const received = sides.map(() => 0);
  const rays = clamp(ceil(wantedRays / max(1, emitters.count)), 8, 4096);
  const lift = 1 / (emitters.exponent + 1);
  for (let source = 0; source < emitters.count; source += 1) {
    const [nx, ny, nz] = [emitters.nx[source]!, emitters.ny[source]!, emitters.nz[source]!];
    // Two directions across the normal; normals stand along an axis, so that swapping axes gives them.
    const [ux, uy, uz] = [nz, nx, ny];
    const [vx, vy, vz] = [ny, nz, nx];
    const [x, y, z] = [emitters.x[source]!, emitters.y[source]!, emitters.z[source]!];
    const share = emitters.fluxLm[source]! / rays;
    for (let ray = 0; ray < rays; ray += 1) {
      const [a, b] = evenPoint(source * rays + ray);
      const ahead = pow(1 - a, lift);
      const aside = sqrt(max(0, 1 - ahead * ahead));
      const [across, up] = [aside * cos(2 * PI * b), aside * sin(2 * PI * b)];
      const side = sideHit(
        box,
        x,
        y,
        z,
        nx * ahead + ux * across + vx * up,
        ny * ahead + uy * across + vy * up,
        nz * ahead + uz * across + vz * up,
      );
      received[side]! += share;
    }
  }
  return received;
};
