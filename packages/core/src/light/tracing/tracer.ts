import { nearestWall, wallsOf } from '../../base/walls/index.js';
import { seededRandom } from '../../base/maths/index.js';
import { directionSampler } from '../photometry/index.js';
import type { Lining, Scene, Traced } from './types.js';

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
  /** Photons traced, and what has left by the face. */
  readonly sums: Float64Array;
}

/** Places in the photon’s array: where it is, which way it flies, what it carries. */
const [X, Y, Z, VX, VY, VZ, WEIGHT] = [0, 1, 2, 3, 4, 5, 6];
/** Places in the tallies. */
const [HITS, FACE, CASE, CHANCE, LOST] = [0, 1, 2, 3, 4];
/** Places in a direction by its surface: along the normal, and two ways at right angles to it. */
const [AHEAD, ACROSS, UP] = [0, 1, 2];

/**
 * Photon tracing in an extruded outline: each photon starts at an LED with an equal share of the light, is reflected
 * diffusely or as from a mirror, loses at each surface what that absorbs, and leaves its share on the face each time it
 * comes there. Seeded, so that runs repeat; errors from the spread of batches. Weak photons end by chance, which keeps
 * the expected light (J. Arvo & D. Kirk, 1990).
 *
 * The photon and the tallies live in arrays of numbers: plain variables that several functions share would be allocated
 * anew at every change, which costs four fifths of the speed.
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
    sums: new Float64Array(2),
  }));
  const photon = new Float64Array(7);
  const tally = new Float64Array(5);
  const times = new Float64Array(1);
  const thrown = new Float64Array(3);
  let photons = 0;
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

  /** An even point of the unit disc, lifted on the half sphere: a direction by the cosine law. */
  const scatter = (): void => {
    let p: number;
    let q: number;
    let r2: number;
    do {
      p = 2 * random() - 1;
      q = 2 * random() - 1;
      r2 = p * p + q * q;
    } while (r2 >= 1);
    thrown[ACROSS] = p;
    thrown[UP] = q;
    thrown[AHEAD] = Math.sqrt(1 - r2);
  };

  /**
   * Sends the photon back from a surface across this axis (0, 1, 2: x, y, z) that faces along it or against it; what the
   * surface absorbs is told by the caller.
   */
  const bounceAcross = ({ reflectance, mirrorShare }: Lining, axis: number, facing: 1 | -1): void => {
    if (mirrorShare > 0 && random() < mirrorShare) photon[VX + axis]! *= -1;
    else {
      scatter();
      photon[VX + axis] = facing * thrown[AHEAD]!;
      photon[VX + ((axis + 1) % 3)] = thrown[ACROSS]!;
      photon[VX + ((axis + 2) % 3)] = thrown[UP]!;
    }
    photon[axis]! += facing * offMm;
    photon[WEIGHT]! *= reflectance;
  };

  /** The same from a wall of the outline. */
  const bounceFromWall = ({ reflectance, mirrorShare }: Lining, wall: number): void => {
    const nx = walls.nx[wall]!;
    const ny = walls.ny[wall]!;
    if (mirrorShare > 0 && random() < mirrorShare) {
      const twice = 2 * (photon[VX]! * nx + photon[VY]! * ny);
      photon[VX]! -= twice * nx;
      photon[VY]! -= twice * ny;
    } else {
      scatter();
      photon[VX] = nx * thrown[AHEAD]! - ny * thrown[ACROSS]!;
      photon[VY] = ny * thrown[AHEAD]! + nx * thrown[ACROSS]!;
      photon[VZ] = thrown[UP]!;
    }
    photon[X]! += nx * offMm;
    photon[Y]! += ny * offMm;
    photon[WEIGHT]! *= reflectance;
  };

  /** The axis across the side of the block that is met before `times[0]`, or −1. Mutates `times`. */
  const meetBlock = (): number => {
    if (block === null) return -1;
    let enter = 0;
    let leave = times[0]!;
    let axis = -1;
    for (let each = 0; each < 3; each += 1) {
      const [d, o] = [photon[VX + each]!, photon[each]!];
      const low = each === 0 ? block.x0 : each === 1 ? block.y0 : -1;
      const high = each === 0 ? block.x1 : each === 1 ? block.y1 : block.heightMm;
      if (d === 0) {
        if (o <= low || o >= high) return -1;
        continue;
      }
      const near = ((d > 0 ? low : high) - o) / d;
      if (near > enter) {
        enter = near;
        axis = each;
      }
      leave = Math.min(leave, ((d > 0 ? high : low) - o) / d);
    }
    if (axis < 0 || enter >= leave) return -1;
    times[0] = enter;
    return axis;
  };

  const landOnFace = (lot: Batch, bounces: number): void => {
    const column = Math.min(grid.columns - 1, Math.max(0, Math.floor((photon[X]! - grid.area.x) / grid.cellWidthMm)));
    const row = Math.min(grid.rows - 1, Math.max(0, Math.floor((photon[Y]! - grid.area.y) / grid.cellHeightMm)));
    const weight = photon[WEIGHT]!;
    const map = bounces === 0 ? lot.direct : lot.reflected;
    map[row * grid.columns + column]! += weight;
    lot.sums[1]! += weight * face.transmittance;
    tally[FACE]! += weight * (1 - face.transmittance - face.reflectance);
  };

  const faceLining: Lining = { reflectance: face.reflectance, mirrorShare: 0 };

  /** Moves the photon to what it meets next and sends it on from there. */
  const fly = (lot: Batch, bounces: number): void => {
    const vz = photon[VZ]!;
    times[0] = vz > 0 ? (depthMm - photon[Z]!) / vz : vz < 0 ? -photon[Z]! / vz : Infinity;
    const wall = nearestWall(walls, photon, times);
    const axis = meetBlock();
    const time = times[0];
    if (time === Infinity) {
      tally[LOST]! += photon[WEIGHT]!;
      photon[WEIGHT] = 0;
      return;
    }
    tally[HITS]! += 1;
    photon[X]! += photon[VX]! * time;
    photon[Y]! += photon[VY]! * time;
    photon[Z]! += vz * time;
    if (axis >= 0) {
      tally[CASE]! += photon[WEIGHT]! * (1 - back.reflectance);
      bounceAcross(back, axis, photon[VX + axis]! > 0 ? -1 : 1);
    } else if (wall >= 0) {
      tally[CASE]! += photon[WEIGHT]! * (1 - lining.reflectance);
      bounceFromWall(lining, wall);
    } else if (vz > 0) {
      photon[Z] = depthMm;
      landOnFace(lot, bounces);
      bounceAcross(faceLining, 2, -1);
    } else {
      photon[Z] = 0;
      tally[CASE]! += photon[WEIGHT]! * (1 - back.reflectance);
      bounceAcross(back, 2, 1);
    }
  };

  const leaveLed = (led: number): void => {
    const { ahead, azimuthRad } = sample(random(), random());
    const [nx, ny, nz] = [lights.nx[led]!, lights.ny[led]!, lights.nz[led]!];
    const [ux, uy, uz] = [lights.ux[led]!, lights.uy[led]!, lights.uz[led]!];
    const aside = Math.sqrt(Math.max(0, 1 - ahead * ahead));
    const [across, up] = [aside * Math.cos(azimuthRad), aside * Math.sin(azimuthRad)];
    photon[X] = lights.x[led]!;
    photon[Y] = lights.y[led]!;
    photon[Z] = lights.z[led]!;
    photon[VX] = nx * ahead + ux * across + (ny * uz - nz * uy) * up;
    photon[VY] = ny * ahead + uy * across + (nz * ux - nx * uz) * up;
    photon[VZ] = nz * ahead + uz * across + (nx * uy - ny * ux) * up;
    photon[WEIGHT] = 1;
  };

  /** Ends a weak photon by chance, or makes it stronger by as much. */
  const gamble = (): void => {
    const weight = photon[WEIGHT]!;
    const kept = random() < carryOn ? weight / carryOn : 0;
    tally[CHANCE]! += weight - kept;
    photon[WEIGHT] = kept;
  };

  const trace = (lot: Batch): void => {
    leaveLed(pickLed(random()));
    for (let bounces = 0; photon[WEIGHT]! > 0 && bounces < mostBounces; bounces += 1) {
      fly(lot, bounces);
      if (photon[WEIGHT]! < weak && photon[WEIGHT]! > 0) gamble();
    }
    tally[LOST]! += photon[WEIGHT]!;
    lot.sums[0]! += 1;
    photons += 1;
  };

  const found = (): Traced => {
    const lmEach = photons > 0 ? emittedLm / photons : 0;
    const cellM2 = (grid.cellWidthMm * grid.cellHeightMm) / mm2PerM2;
    const used = lots.filter(({ sums }) => sums[0]! > 0);
    const reflectedLux = new Float64Array(cells);
    const errorLux = new Float64Array(cells);
    const directLux = new Float64Array(cells);
    let [square, total] = [0, 0];
    for (let cell = 0; cell < cells; cell += 1) {
      let [sum, squares, direct] = [0, 0, 0];
      for (const lot of used) {
        const own = lot.reflected[cell]! / lot.sums[0]!;
        sum += own;
        squares += own * own;
        direct += lot.direct[cell]!;
      }
      const mean = sum / Math.max(1, used.length);
      const spread = Math.max(0, squares / Math.max(1, used.length) - mean * mean) / Math.max(1, used.length - 1);
      reflectedLux[cell] = (mean * emittedLm) / cellM2;
      errorLux[cell] = (Math.sqrt(spread) * emittedLm) / cellM2;
      directLux[cell] = (direct * lmEach) / cellM2;
      square += errorLux[cell]! ** 2;
      total += reflectedLux[cell]!;
    }
    const outs = used.map(({ sums }) => sums[1]! / sums[0]!);
    const outMean = outs.reduce((sum, out) => sum + out, 0) / Math.max(1, outs.length);
    const outSpread = outs.reduce((sum, out) => sum + (out - outMean) ** 2, 0) / Math.max(1, outs.length - 1);
    return {
      photons,
      wallHits: tally[HITS]!,
      reflectedLux,
      errorLux,
      directLux,
      emittedLm,
      outLm: lots.reduce((sum, { sums }) => sum + sums[1]!, 0) * lmEach,
      absorbedFaceLm: tally[FACE]! * lmEach,
      absorbedCaseLm: tally[CASE]! * lmEach,
      chanceLm: tally[CHANCE]! * lmEach,
      lostLm: Math.abs(tally[LOST]! * lmEach),
      outErrorShare: outMean > 0 ? Math.sqrt(outSpread / Math.max(1, outs.length)) / outMean : 1,
      cellErrorShare: total > 0 ? (Math.sqrt(square / cells) * cells) / total : 1,
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
