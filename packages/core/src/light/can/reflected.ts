import { boundedCache, fingerprint, millionth } from '../../base/maths/index.js';
import { addShape, movedToOrigin, coverage, type Outline } from '../../base/outlines/index.js';
import type { PointSources } from '../photometry/index.js';
import { finer, gridOver, type Grid } from '../../base/raster/index.js';
import { createTracer, horizonFrom, type Scene } from '../tracing/index.js';
import type { Can } from './can.js';

/** Reflected light is smooth over the depth: cells of its raster in depths. */
const tracedCell = 0.4;
/** Photons for each of these cells and each cell that the whole map may have: the finer it is wanted, the less is left to chance. */
const photonsPerCells = 120 / 60_000;
const leastPhotons = 600;
const mostPhotons = 100_000;
/** A cell of the raster that is covered by less than this tells nothing of its light. */
const leastCovered = 0.3;
const seed = 20;
/** Cases are told apart by their LEDs’ places to this (mm), by each one’s share of the light, and by where it looks. */
const placeStepMm = 1e-3;
const fluxStep = 0.02;
const wayStep = millionth;
/** Cases kept: more than any line of letters has different ones. */
const mostCans = 128;

/** Inside of a case: how deep it is, what lines it, what the face gives back and lets through. */
export type Insides = Pick<Scene, 'depthMm' | 'back' | 'walls' | 'face'>;

/** What tracing found in one case, its lower left corner at the origin, for each lumen that its LEDs give. */
export interface TracedCan {
  readonly grid: Grid;
  /** On the face, reflected at least once (lx); smoothed, and gone on beyond the returns. */
  readonly reflectedLux: Float64Array;
  readonly outShare: number;
  readonly absorbedFaceShare: number;
  readonly absorbedCaseShare: number;
  /** Standard error of the light that leaves, as a share of it. */
  readonly errorShare: number;
  /** How far each LED sees before a return hides the face from it. */
  readonly horizons: readonly Float64Array[];
}

/** Traces a case, or knows it from before. */
export type TraceCan = (can: Can, insides: Insides, maxCells: number) => TracedCan;

/** Each cell as the mean of itself and its known neighbours, nearer ones counting more; unknown ones are filled. */
const smoothedOnce = (map: Float64Array, { columns, rows }: Grid): Float64Array =>
  map.map((_, cell) => {
    const [column, row] = [cell % columns, Math.floor(cell / columns)];
    let [sum, weights] = [0, 0];
    for (let j = Math.max(0, row - 1); j <= Math.min(rows - 1, row + 1); j += 1)
      for (let i = Math.max(0, column - 1); i <= Math.min(columns - 1, column + 1); i += 1) {
        const value = map[j * columns + i]!;
        if (Number.isNaN(value)) continue;
        const weight = (i === column ? 2 : 1) * (j === row ? 2 : 1);
        sum += weight * value;
        weights += weight;
      }
    return weights > 0 ? sum / weights : Number.NaN;
  });

/** Rounds of smoothing: over about the depth, within which reflected light does not change. */
const smoothings = 3;

/** Light on the covered part of each cell, the noise of chance smoothed; cells outside take the mean of their neighbours. */
const smoothed = (lux: Float64Array, covered: Float32Array, grid: Grid): Float64Array => {
  let known: Float64Array = lux.map((value, cell) =>
    covered[cell]! >= leastCovered ? value / covered[cell]! : Number.NaN,
  );
  for (let turn = 0; turn < smoothings; turn += 1) known = smoothedOnce(known, grid);
  return known.map((value) => (Number.isNaN(value) ? 0 : value));
};

const meanOf = (numbers: Float64Array): number =>
  numbers.reduce((sum, each) => sum + each, 0) / Math.max(1, numbers.length);

/** The LEDs of a case with its corner at the origin, rounded so that they are the same wherever it stood; about a lumen each. */
const lightsAtHome = ({ bounds, lights }: Can): PointSources => {
  const mean = meanOf(lights.fluxLm);
  const home = (places: Float64Array, from: number): Float64Array =>
    places.map((place) => Math.round((place - from) / placeStepMm) * placeStepMm);
  return {
    ...lights,
    x: home(lights.x, bounds.x),
    y: home(lights.y, bounds.y),
    fluxLm: lights.fluxLm.map((flux) => (mean > 0 ? Math.round(flux / mean / fluxStep) * fluxStep : 0)),
  };
};

const horizonsOf = (shape: Outline, { count, x, y }: PointSources): readonly Float64Array[] =>
  Array.from({ length: count }, (_, led) => horizonFrom(shape, x[led]!, y[led]!));

const traced = (can: Can, insides: Insides, maxCells: number): TracedCan => {
  const { bounds } = can;
  const [shape, lights] = [movedToOrigin(can.outline, bounds), lightsAtHome(can)];
  const cell = tracedCell * insides.depthMm;
  const { width, height } = bounds;
  const grid = gridOver(
    { x: 0, y: 0, width, height },
    Math.max(3, Math.ceil(width / cell)),
    Math.max(3, Math.ceil(height / cell)),
  );
  const covered = coverage(shape, grid.area, grid.columns, grid.rows);
  const tracer = createTracer({ ...insides, outline: shape, block: null, lights, grid, seed });
  const wanted = photonsPerCells * maxCells * covered.reduce((sum, share) => sum + share, 0);
  if (lights.count > 0) tracer.step(Math.round(Math.min(mostPhotons, Math.max(leastPhotons, wanted))));
  const found = tracer.found();
  const share = (lm: number): number => (found.emittedLm > 0 ? lm / found.emittedLm : 0);
  return {
    grid,
    reflectedLux: smoothed(found.reflectedLux.map(share), covered, grid),
    outShare: share(found.outLm),
    absorbedFaceShare: share(found.absorbedFaceLm),
    absorbedCaseShare: share(found.absorbedCaseLm),
    errorShare: found.outErrorShare,
    horizons: horizonsOf(shape, lights),
  };
};

/** Everything that the light in a case depends on, but for the distribution of its LEDs’ light. */
const keyOf = (can: Can, insides: Insides, maxCells: number): string => {
  const { bounds, lights } = can;
  const print = fingerprint();
  addShape(print, can.outline, bounds);
  const mean = meanOf(lights.fluxLm);
  for (let led = 0; led < lights.count; led += 1) {
    print.add(Math.round((lights.x[led]! - bounds.x) / placeStepMm));
    print.add(Math.round((lights.y[led]! - bounds.y) / placeStepMm));
    print.add(Math.round(lights.z[led]! / placeStepMm));
    print.add(mean > 0 ? Math.round(lights.fluxLm[led]! / mean / fluxStep) : 0);
    for (const way of [lights.nx, lights.ny, lights.nz, lights.ux, lights.uy, lights.uz])
      print.add(Math.round(way[led]! / wayStep));
  }
  return `${JSON.stringify(insides)} ${maxCells} ${print.text()}`;
};

/**
 * Memoized tracing of cases: one that only moved, or whose neighbours changed, is not traced again. What it answers
 * does not depend on what is kept.
 */
export const traceByCan = (): TraceCan => {
  let distribution: PointSources['distribution'] | null = null;
  let known = boundedCache<TracedCan>(mostCans);
  return (can, insides, maxCells) => {
    if (can.lights.distribution !== distribution) known = boundedCache(mostCans);
    distribution = can.lights.distribution;
    return known(keyOf(can, insides, maxCells), () => traced(can, insides, maxCells));
  };
};

/** Reflected light of all cases on the map (lx), and where their light goes (lm). */
export interface Reflected {
  readonly lux: Float64Array;
  readonly emittedLm: number;
  readonly outLm: number;
  readonly absorbedFaceLm: number;
  readonly absorbedCaseLm: number;
  readonly outErrorShare: number;
}

/** Puts one case’s light on the map: all of it where the case lies, and round it where no other lies. Mutates `lux`. */
const lay = (lux: Float64Array, grid: Grid, can: Can, found: TracedCan, fluxLm: number): void => {
  const { bounds, window, firstColumn, firstRow, covered } = can;
  const moved = { ...found.grid, area: { ...found.grid.area, x: bounds.x, y: bounds.y } };
  const fine = finer(found.reflectedLux, moved, window);
  for (let row = 0; row < window.rows; row += 1)
    for (let column = 0; column < window.columns; column += 1) {
      const own = row * window.columns + column;
      const cell = (row + firstRow) * grid.columns + column + firstColumn;
      if (covered[own]! > 0 || lux[cell] === 0) lux[cell] = Math.max(0, fine[own]!) * fluxLm;
    }
};

/** Reflected light in letter-shaped cases on the map, each as it was traced (seeded; the error is stated). */
export const reflectedInCans = (cans: readonly Can[], traced: readonly TracedCan[], grid: Grid): Reflected => {
  const lux = new Float64Array(grid.columns * grid.rows);
  let [emittedLm, outLm, absorbedFaceLm, absorbedCaseLm, error2] = [0, 0, 0, 0, 0];
  cans.forEach((can, index) => {
    const found = traced[index]!;
    const fluxLm = can.lights.fluxLm.reduce((sum, flux) => sum + flux, 0);
    if (fluxLm <= 0) return;
    lay(lux, grid, can, found, fluxLm);
    emittedLm += fluxLm;
    outLm += found.outShare * fluxLm;
    absorbedFaceLm += found.absorbedFaceShare * fluxLm;
    absorbedCaseLm += found.absorbedCaseShare * fluxLm;
    error2 += (found.errorShare * found.outShare * fluxLm) ** 2;
  });
  return {
    lux,
    emittedLm,
    outLm,
    absorbedFaceLm,
    absorbedCaseLm,
    outErrorShare: outLm > 0 ? Math.sqrt(error2) / outLm : 0,
  };
};
