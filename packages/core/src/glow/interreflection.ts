import { boxFactors, sideAreas, sides, type Box } from './form-factors.js';

const mm2PerM2 = 1e6;

/** What a side does with light: shares given back and (for the face) passed on. */
export interface SideFinish {
  readonly reflectance: number;
  readonly transmittance: number;
}

/** The state of light in the case once it has settled. */
export interface SettledLight {
  /** Radiosity of each side (lm/m²), in the order of `sides`: what it sends back into the case. */
  readonly radiosity: readonly number[];
  /** All flux that falls on each side (lm), first and reflected. */
  readonly incidentLm: readonly number[];
}

/** Gauss–Jordan elimination with row pivoting, for the small dense systems here. Mutates its inputs. */
const solveInPlace = (matrix: number[][], right: number[]): number[] => {
  const size = right.length;
  for (let pivot = 0; pivot < size; pivot += 1) {
    let best = pivot;
    for (let row = pivot + 1; row < size; row += 1)
      if (Math.abs(matrix[row]![pivot]!) > Math.abs(matrix[best]![pivot]!)) best = row;
    [matrix[pivot], matrix[best]] = [matrix[best]!, matrix[pivot]!];
    [right[pivot], right[best]] = [right[best]!, right[pivot]!];
    for (let row = 0; row < size; row += 1) {
      if (row === pivot) continue;
      const factor = matrix[row]![pivot]! / matrix[pivot]![pivot]!;
      for (let column = pivot; column < size; column += 1) matrix[row]![column]! -= factor * matrix[pivot]![column]!;
      right[row]! -= factor * right[pivot]!;
    }
  }
  return right.map((value, row) => value / matrix[row]![row]!);
};

/**
 * Settles light in a closed box whose six sides reflect diffusely, each taken as evenly bright (zonal radiosity,
 * B = ρ (H + F·B)). `firstLm` is the flux each side gets straight from the LEDs. Energy is conserved to rounding.
 * Stops being true where one side is lit very unevenly, as by a rim strip close to one corner.
 */
export const settle = (box: Box, firstLm: readonly number[], finishes: readonly SideFinish[]): SettledLight => {
  const factors = boxFactors(box);
  const areas = sideAreas(box).map((area) => area / mm2PerM2);
  const first = firstLm.map((flux, side) => flux / (areas[side] ?? 1));
  const matrix = sides.map((_, i) =>
    sides.map((__, j) => (i === j ? 1 : 0) - (finishes[i]?.reflectance ?? 0) * (factors[i]?.[j] ?? 0)),
  );
  const radiosity = solveInPlace(
    matrix,
    first.map((exitance, side) => (finishes[side]?.reflectance ?? 0) * exitance),
  );
  const incidentLm = sides.map((_, i) => {
    const reflected = radiosity.reduce((sum, value, j) => sum + (factors[i]?.[j] ?? 0) * value, 0);
    return ((first[i] ?? 0) + reflected) * (areas[i] ?? 0);
  });
  return { radiosity, incidentLm };
};
