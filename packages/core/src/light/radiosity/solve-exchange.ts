import { millionth } from '../../base/maths/index.js';
import type { Exchange } from './exchange.js';
import { mirroredIn, solveMirrored } from './mirrored.js';
import type { Enclosure, Panel } from './patches.js';

const mm2PerM2 = 1e6;
/** Residual, relative to the source, at which the light counts as settled: far less than energy may be off by. */
const tolerance = 3 * millionth;
const mostTurns = 400;
/** More patches are solved quicker turn by turn than by factors of their matrix. */
const mostMirrored = 4000;

/** The state of light in a case once it has settled. */
export interface SolvedLight {
  /** What each patch sends back into the case (lm/m²). */
  readonly radiosity: Float64Array;
  /** All that falls on each patch (lm): first and reflected. */
  readonly incidentLm: Float64Array;
}

const dot = (a: Float64Array, b: Float64Array): number => {
  let sum = 0;
  for (let index = 0; index < a.length; index += 1) sum += a[index]! * b[index]!;
  return sum;
};

/** Part of the product of a row of the matrix, which begins at `at`, and x: columns `from` up to `to`. */
const rowTimes = (matrix: Exchange, at: number, x: Float64Array, from: number, to: number): number => {
  // Four sums that do not wait for each other.
  let [a, b, c, d] = [0, 0, 0, 0];
  let column = from;
  for (; column + 3 < to; column += 4) {
    a += matrix[at + column]! * x[column]!;
    b += matrix[at + column + 1]! * x[column + 1]!;
    c += matrix[at + column + 2]! * x[column + 2]!;
    d += matrix[at + column + 3]! * x[column + 3]!;
  }
  for (; column < to; column += 1) a += matrix[at + column]! * x[column]!;
  return a + b + c + d;
};

/** matrix · x, into `out`. A flat panel does not see itself, so that its own columns are passed over. */
const multiply = (matrix: Exchange, panels: readonly Panel[], x: Float64Array, out: Float64Array): void => {
  const { length } = x;
  for (const { start, aCount, bCount } of panels) {
    const end = start + aCount * bCount;
    for (let row = start; row < end; row += 1)
      out[row] = rowTimes(matrix, row * length, x, 0, start) + rowTimes(matrix, row * length, x, end, length);
  }
};

/** By conjugate gradients, with the diagonal as preconditioner: for a case that no mirror leaves as it is. */
const byGradients = (
  panels: readonly Panel[],
  exchange: Exchange,
  diagonal: Float64Array,
  firstLm: Float64Array,
): Float64Array => {
  const { length: count } = firstLm;
  const radiosity = new Float64Array(count);
  const residual = firstLm.map((flux, patch) => (diagonal[patch]! > 0 ? flux : 0));
  const conditioned = residual.map((value, patch) => (diagonal[patch]! > 0 ? value / diagonal[patch]! : 0));
  const direction = conditioned.slice();
  const product = new Float64Array(count);
  let energy = dot(residual, conditioned);
  const enough = energy * tolerance * tolerance;
  for (let turn = 0; turn < mostTurns && energy > enough; turn += 1) {
    multiply(exchange, panels, direction, product);
    for (let patch = 0; patch < count; patch += 1)
      product[patch] = diagonal[patch]! > 0 ? diagonal[patch]! * direction[patch]! - product[patch]! : 0;
    const step = energy / dot(direction, product);
    for (let patch = 0; patch < count; patch += 1) {
      radiosity[patch]! += step * direction[patch]!;
      residual[patch]! -= step * product[patch]!;
      conditioned[patch] = diagonal[patch]! > 0 ? residual[patch]! / diagonal[patch]! : 0;
    }
    const next = dot(residual, conditioned);
    for (let patch = 0; patch < count; patch += 1)
      direction[patch] = conditioned[patch]! + (next / energy) * direction[patch]!;
    energy = next;
  }
  return radiosity;
};

/** A reflectance over a whole panel, or none where it differs within it. */
const evenOver = (reflectance: Float64Array, { start, aCount, bCount }: Panel): number | null => {
  for (let patch = start + 1; patch < start + aCount * bCount; patch += 1)
    if (reflectance[patch] !== reflectance[start]) return null;
  return reflectance[start]!;
};

/** Whether a case reflects as its image does in both mirrors: empty, each side even, opposite sides alike. */
const isMirrored = ({ block, panels }: Enclosure, reflectance: Float64Array): boolean => {
  if (block !== null) return false;
  const each = panels.map((panel) => evenOver(reflectance, panel));
  const [, , left, right, bottom, top] = each;
  return !each.includes(null) && left === right && bottom === top;
};

/**
 * Settles diffuse light in a case: B = ρ (H₀ + F·B), written as (A/ρ − A·F) B = Φ₀, which is symmetric and positive definite:
 * for an empty case a quarter at a time, as its mirrors allow; else by conjugate gradients. `firstLm` is the flux each patch
 * gets straight from the LEDs; `reflectance` below 1 somewhere. Energy is conserved to the solver's tolerance.
 */
export const solveExchange = (
  enclosure: Enclosure,
  exchange: Exchange,
  firstLm: Float64Array,
  reflectance: Float64Array,
): SolvedLight => {
  const { count, panels, areaMm2 } = enclosure;
  const diagonal = areaMm2.map((area, patch) => (reflectance[patch]! > 0 ? area / reflectance[patch]! : 0));
  const mirrored = count <= mostMirrored && isMirrored(enclosure, reflectance) ? mirroredIn(enclosure) : null;
  const radiosity =
    mirrored === null
      ? byGradients(panels, exchange, diagonal, firstLm)
      : solveMirrored(enclosure, exchange, mirrored, diagonal, firstLm);
  const product = new Float64Array(count);
  multiply(exchange, panels, radiosity, product);
  return {
    radiosity: radiosity.map((value) => value * mm2PerM2),
    incidentLm: firstLm.map((flux, patch) => flux + product[patch]!),
  };
};

/** Root of the mean square of what is still unsettled, as a share of the source: for tests. */
export const exchangeResidual = (
  { areaMm2 }: Enclosure,
  { radiosity, incidentLm }: SolvedLight,
  reflectance: Float64Array,
): number => {
  let [off, all] = [0, 0];
  radiosity.forEach((value, patch) => {
    const expected = (reflectance[patch]! * incidentLm[patch]!) / (areaMm2[patch]! / mm2PerM2);
    off += (value - expected) ** 2;
    all += expected ** 2;
  });
  return all > 0 ? Math.sqrt(off / all) : 0;
};
