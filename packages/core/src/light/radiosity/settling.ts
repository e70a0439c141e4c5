import { millionth } from '../../base/maths/index.js';

export const mm2PerM2 = 1e6;
/** Residual, relative to the source, at which the light counts as settled: far less than energy may be off by. */
const tolerance = 3 * millionth;
const mostTurns = 400;

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
export const rowTimes = (matrix: Float64Array, at: number, x: Float64Array, from: number, to: number): number => {
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

/** What of a radiosity falls on the patches: out = A·F x. */
export type Apply = (x: Float64Array, out: Float64Array) => void;

/**
 * Solves (A/ρ − A·F) B = Φ₀ by conjugate gradients with its diagonal A/ρ (0 for what gives nothing back) as preconditioner,
 * until what is left is as small as `enough`, an energy (`settlingEnergy`).
 */
export const byGradients = (
  apply: Apply,
  diagonal: Float64Array,
  firstLm: Float64Array,
  enough: number,
): Float64Array => {
  const { length: count } = firstLm;
  const radiosity = new Float64Array(count);
  const residual = firstLm.map((flux, patch) => (diagonal[patch]! > 0 ? flux : 0));
  const conditioned = residual.map((value, patch) => (diagonal[patch]! > 0 ? value / diagonal[patch]! : 0));
  const direction = conditioned.slice();
  const product = new Float64Array(count);
  let energy = dot(residual, conditioned);
  for (let turn = 0; turn < mostTurns && energy > enough; turn += 1) {
    apply(direction, product);
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

/** A/ρ of each patch; 0 where nothing is given back. */
export const diagonalOf = (areaMm2: Float64Array, reflectance: Float64Array): Float64Array =>
  areaMm2.map((area, patch) => (reflectance[patch]! > 0 ? area / reflectance[patch]! : 0));

/** What may be left unsettled of a first light. */
export const settlingEnergy = (diagonal: Float64Array, firstLm: Float64Array): number => {
  let energy = 0;
  for (let patch = 0; patch < firstLm.length; patch += 1)
    if (diagonal[patch]! > 0) energy += firstLm[patch]! ** 2 / diagonal[patch]!;
  return energy * tolerance * tolerance;
};

/** Settled light from the radiosity of the patches and what of it falls on each (flux a mm², lm). */
export const settled = (firstLm: Float64Array, radiosity: Float64Array, reflectedLm: Float64Array): SolvedLight => ({
  radiosity: radiosity.map((value) => value * mm2PerM2),
  incidentLm: firstLm.map((flux, patch) => flux + reflectedLm[patch]!),
});
