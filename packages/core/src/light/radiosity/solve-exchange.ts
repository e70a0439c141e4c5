import type { Exchange } from './exchange.js';
import type { Enclosure, Panel } from './patches.js';
import {
  byGradients,
  diagonalOf,
  mm2PerM2,
  rowTimes,
  settled,
  settlingEnergy,
  type Apply,
  type SolvedLight,
} from './settling.js';

/** matrix · x, into `out`. A flat panel does not see itself, so that its own columns are passed over. */
const multiply = (matrix: Exchange, panels: readonly Panel[], x: Float64Array, out: Float64Array): void => {
  const { length } = x;
  for (const { start, aCount, bCount } of panels) {
    const end = start + aCount * bCount;
    for (let row = start; row < end; row += 1)
      out[row] = rowTimes(matrix, row * length, x, 0, start) + rowTimes(matrix, row * length, x, end, length);
  }
};

/**
 * Settles diffuse light in a case: B = ρ (H₀ + F·B), written as (A/ρ − A·F) B = Φ₀, which is symmetric and positive
 * definite. `firstLm` is the flux each patch gets straight from the LEDs; `reflectance` below 1 somewhere. Energy is
 * conserved to the solver's tolerance.
 */
export const solveExchange = (
  { panels, areaMm2 }: Enclosure,
  exchange: Exchange,
  firstLm: Float64Array,
  reflectance: Float64Array,
): SolvedLight => {
  const apply: Apply = (x, out) => multiply(exchange, panels, x, out);
  const diagonal = diagonalOf(areaMm2, reflectance);
  const radiosity = byGradients(apply, diagonal, firstLm, settlingEnergy(diagonal, firstLm));
  const reflectedLm = new Float64Array(firstLm.length);
  apply(radiosity, reflectedLm);
  return settled(firstLm, radiosity, reflectedLm);
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
