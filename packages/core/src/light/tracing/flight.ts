import type { Walls } from '../../base/walls/index.js';
import type { Random } from '../../base/maths/index.js';
import type { Lining } from './types.js';

/** Places in the photon’s array: where it is, which way it flies, what it carries. */
export const [X, Y, Z, VX, VY, VZ, WEIGHT] = [0, 1, 2, 3, 4, 5, 6];
/** Places in a direction by its surface: along the normal, and two ways at right angles to it. */
const [AHEAD, ACROSS, UP] = [0, 1, 2];
/** Kept off the surface that a photon leaves (mm), so that it does not meet it again. */
const offMm = 1e-7;

/**
 * A photon under way. It lives in arrays of numbers: plain variables that several functions share would be allocated anew
 * at every change, which costs four fifths of the speed.
 */
export interface Flight {
  readonly photon: Float64Array;
  /** The way a surface throws it, by `AHEAD`, `ACROSS` and `UP`. */
  readonly thrown: Float64Array;
  readonly random: Random;
}

export const newFlight = (random: Random): Flight => ({
  photon: new Float64Array(7),
  thrown: new Float64Array(3),
  random,
});

/** An even point of the unit disc, lifted on the half sphere: a direction by the cosine law. Mutates `thrown`. */
const scatter = ({ thrown, random }: Flight): void => {
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
 * surface absorbs is told by the caller. Mutates the flight.
 */
export const bounceAcross = (
  flight: Flight,
  { reflectance, mirrorShare }: Lining,
  axis: number,
  facing: 1 | -1,
): void => {
  const { photon, thrown } = flight;
  if (mirrorShare > 0 && flight.random() < mirrorShare) photon[VX + axis]! *= -1;
  else {
    scatter(flight);
    photon[VX + axis] = facing * thrown[AHEAD]!;
    photon[VX + ((axis + 1) % 3)] = thrown[ACROSS]!;
    photon[VX + ((axis + 2) % 3)] = thrown[UP]!;
  }
  photon[axis]! += facing * offMm;
  photon[WEIGHT]! *= reflectance;
};

/** The same from a wall of the outline. */
export const bounceFromWall = (
  flight: Flight,
  { reflectance, mirrorShare }: Lining,
  { nx: normalsX, ny: normalsY }: Pick<Walls, 'nx' | 'ny'>,
  wall: number,
): void => {
  const { photon, thrown } = flight;
  const nx = normalsX[wall]!;
  const ny = normalsY[wall]!;
  if (mirrorShare > 0 && flight.random() < mirrorShare) {
    const twice = 2 * (photon[VX]! * nx + photon[VY]! * ny);
    photon[VX]! -= twice * nx;
    photon[VY]! -= twice * ny;
  } else {
    scatter(flight);
    photon[VX] = nx * thrown[AHEAD]! - ny * thrown[ACROSS]!;
    photon[VY] = ny * thrown[AHEAD]! + nx * thrown[ACROSS]!;
    photon[VZ] = thrown[UP]!;
  }
  photon[X]! += nx * offMm;
  photon[Y]! += ny * offMm;
  photon[WEIGHT]! *= reflectance;
};
