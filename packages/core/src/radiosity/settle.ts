import type { Exchange } from './exchange.js';
import type { Enclosure } from './patches.js';

// Taken out of Math once: where globals are looked up by name (test sandboxes), hot loops would crawl.
const { sqrt } = Math;

const mm2PerM2 = 1e6;
/** Residual, relative to the source, at which the light counts as settled. */
const tolerance = 1e-7;
const mostTurns = 400;

/** The state of light in a case once it has settled. */
export interface SettledLight {
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

/** matrix · x, into `out`. */
const multiply = (matrix: Exchange, x: Float64Array, out: Float64Array): void => {
  const { length } = x;
  for (let row = 0, at = 0; row < length; row += 1) {
    // Four sums that do not wait for each other.
    let [a, b, c, d] = [0, 0, 0, 0];
    let column = 0;
    for (; column + 3 < length; column += 4, at += 4) {
      a += matrix[at]! * x[column]!;
      b += matrix[at + 1]! * x[column + 1]!;
      c += matrix[at + 2]! * x[column + 2]!;
      d += matrix[at + 3]! * x[column + 3]!;
    }
    for (; column < length; column += 1, at += 1) a += matrix[at]! * x[column]!;
    out[row] = a + b + c + d;
  }
};

/**
 * Settles diffuse light in a case: B = ρ (H₀ + F·B), written as (A/ρ − A·F) B = Φ₀, which is symmetric and positive
 * definite, and solved by conjugate gradients with its diagonal as preconditioner. `firstLm` is the flux each patch gets
 * straight from the LEDs; `reflectance` below 1 somewhere. Energy is conserved to the solver's tolerance.
 */
export const settle = (
  { count, areaMm2 }: Enclosure,
  exchange: Exchange,
  firstLm: Float64Array,
  reflectance: Float64Array,
): SettledLight => {
  const radiosity = new Float64Array(count);
  const diagonal = areaMm2.map((area, patch) => (reflectance[patch]! > 0 ? area / reflectance[patch]! : 0));
  const residual = firstLm.map((flux, patch) => (diagonal[patch]! > 0 ? flux : 0));
  const conditioned = residual.map((value, patch) => (diagonal[patch]! > 0 ? value / diagonal[patch]! : 0));
  const direction = conditioned.slice();
  const product = new Float64Array(count);
  let energy = dot(residual, conditioned);
  const enough = energy * tolerance * tolerance;
  for (let turn = 0; turn < mostTurns && energy > enough; turn += 1) {
    multiply(exchange, direction, product);
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
  multiply(exchange, radiosity, product);
  return {
    radiosity: radiosity.map((value) => value * mm2PerM2),
    incidentLm: firstLm.map((flux, patch) => flux + product[patch]!),
  };
};

/** Root of the mean square of what is still unsettled, as a share of the source: for tests. */
export const unsettled = (
  { areaMm2 }: Enclosure,
  { radiosity, incidentLm }: SettledLight,
  reflectance: Float64Array,
): number => {
  let [off, all] = [0, 0];
  radiosity.forEach((value, patch) => {
    const expected = (reflectance[patch]! * incidentLm[patch]!) / (areaMm2[patch]! / mm2PerM2);
    off += (value - expected) ** 2;
    all += expected ** 2;
  });
  return all > 0 ? sqrt(off / all) : 0;
};
