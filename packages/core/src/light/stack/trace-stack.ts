import { seededRandom } from '../../base/maths/index.js';
import { inOutline } from '../../base/outlines/index.js';
import { directionSampler, type PointSources } from '../photometry/index.js';
import { heightOf } from './patches.js';
import type { StackRoom } from './types.js';

/** The same light photon by photon (lm), and its standard error. */
export interface TracedStack {
  readonly lidLm: number;
  readonly bandLm: readonly number[];
  readonly errorLm: { readonly lid: number; readonly bands: readonly number[] };
}

/** Below this weight a photon lives on by chance. */
const faint = 0.05;
const hair = 1e-7;

/**
 * Follows photons through a stack, from surface to surface of its very outline: an independent account of `lightStack`, with its own walk and no
 * patches.
 */
export const traceStack = (room: StackRoom, lights: PointSources, photons: number, seed: number): TracedStack => {
  const random = seededRandom(seed);
  const sample = directionSampler(lights.distribution);
  const heightMm = heightOf(room);
  const tops = room.bands.map((_, at) => heightOf({ bands: room.bands.slice(0, at + 1) }));
  const total = lights.fluxLm.reduce((sum, lm) => sum + lm, 0);
  const rings = [
    ...room.outline.map((ring) => ({ ring, highMm: Infinity })),
    ...(room.ledge === null ? [] : [{ ring: room.ledge.line, highMm: room.ledge.heightMm }]),
  ];
  const edges = rings.flatMap(({ ring, highMm }) =>
    ring.map((from, at) => ({ from, to: ring[(at + 1) % ring.length]!, highMm })),
  );
  // Five numbers an edge: where it begins, how it runs, how high it is. Every photon goes over all of them, time and again.
  const numbers = Float64Array.from(
    edges.flatMap(({ from, to, highMm }) => [from[0], from[1], to[0] - from[0], to[1] - from[1], highMm]),
  );
  const sums = { lid: [0, 0], bands: room.bands.map(() => [0, 0]) };
  /** A way out of a surface, by the cosine law. */
  const away = (nx: number, ny: number, nz: number): [number, number, number] => {
    const [u, turn] = [random(), 2 * Math.PI * random()];
    const [r, up] = [Math.sqrt(u), Math.sqrt(1 - u)];
    // Two axes across the normal.
    const [ax, ay, az] = Math.abs(nz) > 0.9 ? [1, 0, 0] : [-ny, nx, 0];
    const [bx, by, bz] = [ny * az - nz * ay, nz * ax - nx * az, nx * ay - ny * ax];
    const [c, s] = [r * Math.cos(turn), r * Math.sin(turn)];
    return [up * nx + c * ax + s * bx, up * ny + c * ay + s * by, up * nz + c * az + s * bz];
  };
  const each = total / photons;
  for (let photon = 0; photon < photons; photon += 1) {
    let pick = random() * total;
    let led = 0;
    while (led < lights.count - 1 && pick >= lights.fluxLm[led]!) pick -= lights.fluxLm[led++]!;
    let [x, y, z] = [lights.x[led]!, lights.y[led]!, lights.z[led]!];
    const [nx, ny, nz] = [lights.nx[led]!, lights.ny[led]!, lights.nz[led]!];
    const [ux, uy, uz] = [lights.ux[led]!, lights.uy[led]!, lights.uz[led]!];
    const [wx, wy, wz] = [ny * uz - nz * uy, nz * ux - nx * uz, nx * uy - ny * ux];
    const { ahead, azimuthRad } = sample(random(), random());
    const aside = Math.sqrt(Math.max(0, 1 - ahead * ahead));
    const [along, across] = [aside * Math.cos(azimuthRad), aside * Math.sin(azimuthRad)];
    let [dx, dy, dz] = [
      ahead * nx + along * ux + across * wx,
      ahead * ny + along * uy + across * wy,
      ahead * nz + along * uz + across * wz,
    ];
    let weight = each;
    const own = { lid: 0, bands: room.bands.map(() => 0) };
    for (;;) {
      let hit = dz > 0 ? (heightMm - z) / dz : dz < 0 ? -z / dz : Infinity;
      let edge = -1;
      for (let at = 0; at < numbers.length; at += 5) {
        const ex = numbers[at + 2]!;
        const ey = numbers[at + 3]!;
        const det = dx * ey - dy * ex;
        if (det === 0) continue;
        const px = numbers[at]! - x;
        const py = numbers[at + 1]! - y;
        const t = (px * ey - py * ex) / det;
        if (t <= hair || t >= hit) continue;
        const s = (px * dy - py * dx) / det;
        if (s < 0 || s > 1 || z + t * dz >= numbers[at + 4]!) continue;
        hit = t;
        edge = at / 5;
      }
      if (!Number.isFinite(hit)) break;
      [x, y, z] = [x + hit * dx, y + hit * dy, z + hit * dz];
      let [reflects, normal] = [0, [0, 0, 1] as [number, number, number]];
      if (edge >= 0) {
        const { from, to, highMm } = edges[edge]!;
        const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
        normal = [(from[1] - to[1]) / length, (to[0] - from[0]) / length, 0];
        if (normal[0] * dx + normal[1] * dy > 0) normal = [-normal[0], -normal[1], 0];
        if (highMm < Infinity) reflects = room.ledge?.reflects ?? 0;
        else {
          const band = tops.findIndex((top) => z < top + hair);
          reflects = room.bands[band]!.reflects;
          own.bands[band]! += weight * room.bands[band]!.passes;
        }
      } else if (dz < 0) reflects = room.baseReflects;
      else {
        const surface = inOutline([x, y], room.inlays) ? room.inlay : room.lid;
        normal = [0, 0, -1];
        reflects = surface.reflects;
        own.lid += weight * surface.passes;
      }
      weight *= reflects;
      if (weight < faint * each) {
        if (random() > 0.5) break;
        weight *= 2;
      }
      [dx, dy, dz] = away(...normal);
      // A hair off the surface, so that it is not met again.
      [x, y, z] = [x + hair * normal[0], y + hair * normal[1], Math.min(heightMm - hair, Math.max(hair, z))];
    }
    const add = (of: number[], lm: number): void => {
      of[0]! += lm;
      of[1]! += lm * lm;
    };
    add(sums.lid, own.lid);
    own.bands.forEach((lm, band) => add(sums.bands[band]!, lm));
  }
  const error = ([sum, squares]: readonly number[]): number =>
    Math.sqrt(Math.max(0, squares! - (sum! * sum!) / photons));
  return {
    lidLm: sums.lid[0]!,
    bandLm: sums.bands.map(([sum]) => sum!),
    errorLm: { lid: error(sums.lid), bands: sums.bands.map(error) },
  };
};
