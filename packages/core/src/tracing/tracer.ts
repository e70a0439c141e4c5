import { seededRandom } from '../maths/index.js';
import { directionSampler } from '../photometry/index.js';
import { nearestWall, type WallHit } from './nearest-wall.js';
import type { Lining, Scene, Traced } from './types.js';
import { wallsOf } from './walls.js';

// Taken out of Math once: where globals are looked up by name (test sandboxes), hot loops would crawl.
const { abs, cos, floor, max, min, PI, sin, sqrt } = Math;

const mm2PerM2 = 1e6;
/** Photons are told apart in this many batches, from whose spread the error is estimated. */
const batches = 16;
/** Below this share of its first weight a photon goes on by chance only. */
const weak = 0.15;
const carryOn = 0.5;
const mostBounces = 2000;
/** Kept off the surface that a photon leaves (mm), so that it does not meet it again. */
const offMm = 1e-7;

/** Traces more photons, and tells what has been found; `step` runs to its end, so ask for few at a time. */
export interface Tracer {
  readonly step: (photons: number) => void;
  readonly found: () => Traced;
}

interface Batch {
  readonly reflected: Float64Array;
  readonly direct: Float64Array;
  photons: number;
  out: number;
}

/**
 * Photon tracing in an extruded outline: each photon starts at an LED with an equal share of the light, is reflected
 * diffusely or as from a mirror, loses at each surface what that absorbs, and leaves its share on the face each time it
 * comes there. Seeded, so that runs repeat; errors from the spread of batches. Weak photons end by chance, which keeps
 * the expected light (J. Arvo & D. Kirk, 1990).
 */
export const createTracer = (scene: Scene): Tracer => {
  const { depthMm, back, walls: lining, face, block, lights, grid } = scene;
  const walls = wallsOf(scene.outline);
  const random = seededRandom(scene.seed);
  const sample = directionSampler(lights.distribution);
  const emittedLm = lights.fluxLm.reduce((sum, flux) => sum + flux, 0);
  const cells = grid.columns * grid.rows;
  const lots: readonly Batch[] = Array.from({ length: batches }, () => ({
    reflected: new Float64Array(cells),
    direct: new Float64Array(cells),
    photons: 0,
    out: 0,
  }));
  let [photons, wallHits, absorbedFace, absorbedCase, chance, lost] = [0, 0, 0, 0, 0, 0];
  const hit: WallHit = { wall: -1, time: 0 };
  const summed = new Float64Array(lights.count + 1);
  lights.fluxLm.forEach((flux, led) => (summed[led + 1] = summed[led]! + flux));

  const pickLed = (share: number): number => {
    const wanted = share * emittedLm;
    let [low, high] = [0, lights.count];
    while (high - low > 1) {
      const middle = (low + high) >> 1;
      if (summed[middle]! <= wanted) low = middle;
      else high = middle;
    }
    return low;
  };

  // The photon: place and way. Kept here, not in an object: this is the hot loop.
  let [x, y, z, vx, vy, vz] = [0, 0, 0, 0, 0, 0];

  /** Turns the photon into the half space of a unit normal, at `ahead` from it. */
  const leaveAlong = (nx: number, ny: number, nz: number, ahead: number, azimuthRad: number): void => {
    const aside = sqrt(max(0, 1 - ahead * ahead));
    const [across, up] = [aside * cos(azimuthRad), aside * sin(azimuthRad)];
    // Two directions at right angles to the normal (T. Duff et al., 2017).
    const sign = nz >= 0 ? 1 : -1;
    const a = -1 / (sign + nz);
    const b = nx * ny * a;
    vx = nx * ahead + (1 + sign * nx * nx * a) * across + b * up;
    vy = ny * ahead + sign * b * across + (sign + ny * ny * a) * up;
    vz = nz * ahead - sign * nx * across - ny * up;
  };

  const bounce = (surface: Lining, nx: number, ny: number, nz: number): void => {
    if (surface.mirrorShare > 0 && random() < surface.mirrorShare) {
      const twice = 2 * (vx * nx + vy * ny + vz * nz);
      vx -= twice * nx;
      vy -= twice * ny;
      vz -= twice * nz;
    } else leaveAlong(nx, ny, nz, sqrt(random()), 2 * PI * random());
    x += nx * offMm;
    y += ny * offMm;
    z += nz * offMm;
  };

  /** Way to the block, if it is nearer than `time`; `blockAxis` says which of its sides is met. */
  let blockAxis = -1;
  const blockTime = (time: number): number => {
    blockAxis = -1;
    if (block === null) return time;
    let [enter, leave, axis] = [0, time, -1];
    for (let each = 0; each < 3; each += 1) {
      const [d, o] = each === 0 ? [vx, x] : each === 1 ? [vy, y] : [vz, z];
      const low = each === 0 ? block.x0 : each === 1 ? block.y0 : -1;
      const high = each === 0 ? block.x1 : each === 1 ? block.y1 : block.heightMm;
      if (d === 0) {
        if (o <= low || o >= high) return time;
        continue;
      }
      const near = ((d > 0 ? low : high) - o) / d;
      const far = ((d > 0 ? high : low) - o) / d;
      if (near > enter) [enter, axis] = [near, each];
      leave = min(leave, far);
    }
    if (axis < 0 || enter >= leave) return time;
    blockAxis = axis;
    return enter;
  };

  const landOnFace = (lot: Batch, weight: number, bounces: number): void => {
    const column = min(grid.columns - 1, max(0, floor((x - grid.area.x) / grid.cellWidthMm)));
    const row = min(grid.rows - 1, max(0, floor((y - grid.area.y) / grid.cellHeightMm)));
    const map = bounces === 0 ? lot.direct : lot.reflected;
    map[row * grid.columns + column]! += weight;
    lot.out += weight * face.transmittance;
    absorbedFace += weight * (1 - face.transmittance - face.reflectance);
  };

  const faceLining: Lining = { reflectance: face.reflectance, mirrorShare: 0 };

  /** Moves the photon to what it meets next; returns its weight after that, 0 when it is gone. */
  const fly = (lot: Batch, weight: number, bounces: number): number => {
    const tz = vz > 0 ? (depthMm - z) / vz : vz < 0 ? -z / vz : Infinity;
    hit.time = tz;
    nearestWall(walls, x, y, vx, vy, hit);
    const time = blockTime(hit.time);
    if (time === Infinity) {
      lost += weight;
      return 0;
    }
    wallHits += 1;
    x += vx * time;
    y += vy * time;
    z += vz * time;
    if (blockAxis >= 0) {
      absorbedCase += weight * (1 - back.reflectance);
      const sign = (blockAxis === 0 ? vx : blockAxis === 1 ? vy : vz) > 0 ? -1 : 1;
      bounce(back, blockAxis === 0 ? sign : 0, blockAxis === 1 ? sign : 0, blockAxis === 2 ? sign : 0);
      return weight * back.reflectance;
    }
    if (hit.wall >= 0) {
      absorbedCase += weight * (1 - lining.reflectance);
      const [nx, ny] = [walls.nx[hit.wall]!, walls.ny[hit.wall]!];
      const sign = vx * nx + vy * ny > 0 ? -1 : 1;
      bounce(lining, sign * nx, sign * ny, 0);
      return weight * lining.reflectance;
    }
    if (vz > 0) {
      z = depthMm;
      landOnFace(lot, weight, bounces);
      bounce(faceLining, 0, 0, -1);
      return weight * face.reflectance;
    }
    z = 0;
    absorbedCase += weight * (1 - back.reflectance);
    bounce(back, 0, 0, 1);
    return weight * back.reflectance;
  };

  const trace = (lot: Batch): void => {
    const led = pickLed(random());
    x = lights.x[led]!;
    y = lights.y[led]!;
    z = lights.z[led]!;
    const { ahead, azimuthRad } = sample(random(), random());
    const [nx, ny, nz] = [lights.nx[led]!, lights.ny[led]!, lights.nz[led]!];
    const [ux, uy, uz] = [lights.ux[led]!, lights.uy[led]!, lights.uz[led]!];
    const aside = sqrt(max(0, 1 - ahead * ahead));
    const [across, up] = [aside * cos(azimuthRad), aside * sin(azimuthRad)];
    vx = nx * ahead + ux * across + (ny * uz - nz * uy) * up;
    vy = ny * ahead + uy * across + (nz * ux - nx * uz) * up;
    vz = nz * ahead + uz * across + (nx * uy - ny * ux) * up;
    let weight = 1;
    for (let bounces = 0; weight > 0 && bounces < mostBounces; bounces += 1) {
      weight = fly(lot, weight, bounces);
      if (weight >= weak || weight === 0) continue;
      if (random() < carryOn) {
        chance += weight - weight / carryOn;
        weight /= carryOn;
      } else {
        chance += weight;
        weight = 0;
      }
    }
    lost += weight;
    lot.photons += 1;
    photons += 1;
  };

  const found = (): Traced => {
    const lmEach = photons > 0 ? emittedLm / photons : 0;
    const cellM2 = (grid.cellWidthMm * grid.cellHeightMm) / mm2PerM2;
    const used = lots.filter((lot) => lot.photons > 0);
    const reflectedLux = new Float64Array(cells);
    const errorLux = new Float64Array(cells);
    const directLux = new Float64Array(cells);
    let [square, total] = [0, 0];
    for (let cell = 0; cell < cells; cell += 1) {
      let [sum, squares, direct] = [0, 0, 0];
      for (const lot of used) {
        const own = lot.reflected[cell]! / lot.photons;
        sum += own;
        squares += own * own;
        direct += lot.direct[cell]!;
      }
      const mean = sum / max(1, used.length);
      const spread = max(0, squares / max(1, used.length) - mean * mean) / max(1, used.length - 1);
      reflectedLux[cell] = (mean * emittedLm) / cellM2;
      errorLux[cell] = (sqrt(spread) * emittedLm) / cellM2;
      directLux[cell] = (direct * lmEach) / cellM2;
      square += errorLux[cell]! ** 2;
      total += reflectedLux[cell]!;
    }
    const outs = used.map((lot) => lot.out / lot.photons);
    const outMean = outs.reduce((sum, out) => sum + out, 0) / max(1, outs.length);
    const outSpread = outs.reduce((sum, out) => sum + (out - outMean) ** 2, 0) / max(1, outs.length - 1);
    return {
      photons,
      wallHits,
      reflectedLux,
      errorLux,
      directLux,
      emittedLm,
      outLm: lots.reduce((sum, lot) => sum + lot.out, 0) * lmEach,
      absorbedFaceLm: absorbedFace * lmEach,
      absorbedCaseLm: absorbedCase * lmEach,
      chanceLm: chance * lmEach,
      lostLm: abs(lost * lmEach),
      outErrorShare: outMean > 0 ? sqrt(outSpread / max(1, outs.length)) / outMean : 1,
      cellErrorShare: total > 0 ? (sqrt(square / cells) * cells) / total : 1,
    };
  };

  return {
    step: (count) => {
      if (emittedLm <= 0) return;
      for (let photon = 0; photon < count; photon += 1) trace(lots[photons % batches]!);
    },
    found,
  };
};
