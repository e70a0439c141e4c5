import { sum } from '../../base/maths/index.js';
import type { Grid } from '../../base/raster/index.js';
import type { Traced } from './types.js';

const mm2PerM2 = 1e6;

/** What a batch of photons has brought to the face, cell by cell (weights). */
export interface Batch {
  readonly reflected: Float64Array;
  readonly direct: Float64Array;
  /** Photons traced, and what has left by the face: at `PHOTONS` and `OUT`. */
  readonly sums: Float64Array;
}
export const [PHOTONS, OUT] = [0, 1];

/** Places in the tallies of all batches. */
export const [HITS, FACE, CASE, CHANCE, LOST] = [0, 1, 2, 3, 4];
export const tallyPlaces = 5;

export const newBatch = (cells: number): Batch => ({
  reflected: new Float64Array(cells),
  direct: new Float64Array(cells),
  sums: new Float64Array(2),
});

/** Mean of values, and the standard error of that mean by their spread. */
const meanAndError = (values: readonly number[]): readonly [mean: number, error: number] => {
  const mean = sum(values) / Math.max(1, values.length);
  const spread = sum(values.map((value) => (value - mean) ** 2)) / Math.max(1, values.length - 1);
  return [mean, Math.sqrt(spread / Math.max(1, values.length))];
};

/** Maps of the face (lux), and how sure they are, from what each batch that was begun has found. */
const mapsOf = (used: readonly Batch[], grid: Grid, emittedLm: number, photons: number) => {
  const cells = grid.columns * grid.rows;
  const luxEach = emittedLm / ((grid.cellWidthMm * grid.cellHeightMm) / mm2PerM2);
  const reflectedLux = new Float64Array(cells);
  const errorLux = new Float64Array(cells);
  const directLux = new Float64Array(cells);
  let [square, total] = [0, 0];
  for (let cell = 0; cell < cells; cell += 1) {
    let [all, squares, direct] = [0, 0, 0];
    for (const { reflected, direct: straight, sums } of used) {
      const own = reflected[cell]! / sums[PHOTONS]!;
      all += own;
      squares += own * own;
      direct += straight[cell]!;
    }
    const mean = all / Math.max(1, used.length);
    const spread = Math.max(0, squares / Math.max(1, used.length) - mean * mean) / Math.max(1, used.length - 1);
    reflectedLux[cell] = mean * luxEach;
    errorLux[cell] = Math.sqrt(spread) * luxEach;
    directLux[cell] = photons > 0 ? (direct * luxEach) / photons : 0;
    square += errorLux[cell]! ** 2;
    total += reflectedLux[cell]!;
  }
  const cellErrorShare = total > 0 ? (Math.sqrt(square / cells) * cells) / total : 1;
  return { reflectedLux, errorLux, directLux, cellErrorShare };
};

/** What tracing has found so far. Errors are estimated from the spread of the batches. */
export const tracedSoFar = (batches: readonly Batch[], tally: Float64Array, grid: Grid, emittedLm: number): Traced => {
  const photons = sum(batches.map(({ sums }) => sums[PHOTONS]!));
  const lmEach = photons > 0 ? emittedLm / photons : 0;
  const used = batches.filter(({ sums }) => sums[PHOTONS]! > 0);
  const [outMean, outError] = meanAndError(used.map(({ sums }) => sums[OUT]! / sums[PHOTONS]!));
  return {
    photons,
    wallHits: tally[HITS]!,
    ...mapsOf(used, grid, emittedLm, photons),
    emittedLm,
    outLm: sum(batches.map(({ sums }) => sums[OUT]!)) * lmEach,
    absorbedFaceLm: tally[FACE]! * lmEach,
    absorbedCaseLm: tally[CASE]! * lmEach,
    chanceLm: tally[CHANCE]! * lmEach,
    lostLm: Math.abs(tally[LOST]! * lmEach),
    outErrorShare: outMean > 0 ? outError / outMean : 1,
  };
};
