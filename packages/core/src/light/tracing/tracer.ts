import { nearestWall, wallsOf } from '../../base/walls/index.js';
import { seededRandom } from '../../base/maths/index.js';
import { bounceAcross, bounceFromWall, newFlight, VX, VY, VZ, WEIGHT, X, Y, Z, type Flight } from './flight.js';
import { ledStarter } from './leave-led.js';
import { meetBlock } from './meet-block.js';
import {
  CASE,
  CHANCE,
  FACE,
  HITS,
  LOST,
  newBatch,
  OUT,
  PHOTONS,
  tallyPlaces,
  tracedSoFar,
  type Batch,
} from './tallies.js';
import type { Lining, Scene, Traced } from './types.js';

/** Photons are told apart in this many batches, from whose spread the error is estimated. */
const batches = 16;
/** Below this share of its first weight a photon goes on by chance only. */
const weak = 0.15;
const carryOn = 0.5;
const mostBounces = 2000;

/** Traces more photons, and tells what has been found; `step` runs to its end, so ask for few at a time. */
export interface Tracer {
  readonly step: (photons: number) => void;
  readonly found: () => Traced;
}

/** Flies a photon from surface to surface; each flight ends at what it meets next, from where it is sent on. */
const flier = (scene: Scene, flight: Flight, tally: Float64Array) => {
  const { depthMm, back, walls: lining, face, block, grid } = scene;
  const walls = wallsOf(scene.outline);
  const { photon } = flight;
  const times = new Float64Array(1);
  const faceLining: Lining = { reflectance: face.reflectance, mirrorShare: 0 };

  const landOnFace = (batch: Batch, bounces: number): void => {
    const column = Math.min(grid.columns - 1, Math.max(0, Math.floor((photon[X]! - grid.area.x) / grid.cellWidthMm)));
    const row = Math.min(grid.rows - 1, Math.max(0, Math.floor((photon[Y]! - grid.area.y) / grid.cellHeightMm)));
    const weight = photon[WEIGHT]!;
    const map = bounces === 0 ? batch.direct : batch.reflected;
    map[row * grid.columns + column]! += weight;
    batch.sums[OUT]! += weight * face.transmittance;
    tally[FACE]! += weight * (1 - face.transmittance - face.reflectance);
  };

  const absorb = ({ reflectance }: Lining): void => {
    tally[CASE]! += photon[WEIGHT]! * (1 - reflectance);
  };

  /** Sends the photon on from what it has met: a side of the block, a wall, or, flying up or down, the face or the back. */
  const meet = (axis: number, wall: number, batch: Batch, bounces: number): void => {
    if (axis >= 0) {
      absorb(back);
      bounceAcross(flight, back, axis, photon[VX + axis]! > 0 ? -1 : 1);
    } else if (wall >= 0) {
      absorb(lining);
      bounceFromWall(flight, lining, walls, wall);
    } else if (photon[VZ]! > 0) {
      photon[Z] = depthMm;
      landOnFace(batch, bounces);
      bounceAcross(flight, faceLining, 2, -1);
    } else {
      photon[Z] = 0;
      absorb(back);
      bounceAcross(flight, back, 2, 1);
    }
  };

  return (batch: Batch, bounces: number): void => {
    const vz = photon[VZ]!;
    times[0] = vz > 0 ? (depthMm - photon[Z]!) / vz : vz < 0 ? -photon[Z]! / vz : Infinity;
    const wall = nearestWall(walls, photon, times);
    const axis = meetBlock(block, photon, times);
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
    meet(axis, wall, batch, bounces);
  };
};

/**
 * Photon tracing in an extruded outline: each photon starts at an LED with an equal share of the light, is reflected
 * diffusely or as from a mirror, loses at each surface what that absorbs, and leaves its share on the face each time it
 * comes there. Seeded, so that runs repeat; errors from the spread of batches. Weak photons end by chance, which keeps
 * the expected light (J. Arvo & D. Kirk, 1990).
 */
export const createTracer = (scene: Scene): Tracer => {
  const { grid, lights } = scene;
  const flight = newFlight(seededRandom(scene.seed));
  const { photon, random } = flight;
  const tally = new Float64Array(tallyPlaces);
  const lots = Array.from({ length: batches }, () => newBatch(grid.columns * grid.rows));
  const leaveLed = ledStarter(scene);
  const fly = flier(scene, flight, tally);
  const emittedLm = lights.fluxLm.reduce((total, flux) => total + flux, 0);
  let photons = 0;

  /** Ends a weak photon by chance, or makes it stronger by as much. */
  const gamble = (): void => {
    const weight = photon[WEIGHT]!;
    const kept = random() < carryOn ? weight / carryOn : 0;
    tally[CHANCE]! += weight - kept;
    photon[WEIGHT] = kept;
  };

  const trace = (batch: Batch): void => {
    leaveLed(flight);
    for (let bounces = 0; photon[WEIGHT]! > 0 && bounces < mostBounces; bounces += 1) {
      fly(batch, bounces);
      if (photon[WEIGHT]! < weak && photon[WEIGHT]! > 0) gamble();
    }
    tally[LOST]! += photon[WEIGHT]!;
    batch.sums[PHOTONS]! += 1;
  };

  return {
    step: (count) => {
      if (emittedLm <= 0) return;
      for (let each = 0; each < count; each += 1, photons += 1) trace(lots[photons % batches]!);
    },
    found: () => tracedSoFar(lots, tally, grid, emittedLm),
  };
};
