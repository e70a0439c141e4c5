import type { LightRuns } from '../runs/index.js';
import { thresholdFrom, vanishingDistance, type SeenRipple } from './eye.js';
import { rowsAreSheet } from './grid.js';
import { findRipple, smoothAlongX, type FoundRipple } from './ripple.js';
import { cellMiddle, type Grid } from '../../base/raster/index.js';
import type { Evenness, Ripple } from './types.js';

/** What the figures are taken over, and from where they are looked at. */
export interface EvennessOptions {
  /** Cells that count as lit. */
  readonly counts: (index: number) => boolean;
  readonly readingDistanceMm: number;
  /** Left out along the border: one thickness of the face (mm). */
  readonly borderMm: number;
  /** LEDs have blurred into lines (see `rowsAreLines`), so that there is no ripple at their pitch. */
  readonly lines: boolean;
}

const rippleOf = (found: FoundRipple, grid: Grid, seen: SeenRipple, distanceMm: number): Ripple => ({
  pitchMm: seen.pitchMm,
  contrast: found.contrast,
  threshold: thresholdFrom(seen, distanceMm),
  vanishesAtMm: vanishingDistance(seen, found.contrast),
  at: found.index < 0 ? [0, 0] : cellMiddle(grid, found.index),
});

interface Spread {
  readonly mean: number;
  readonly min: number;
  readonly max: number;
  readonly low: number;
  readonly high: number;
  readonly darkest: number;
}

const nothing: Spread = { mean: 0, min: 0, max: 0, low: 0, high: 0, darkest: -1 };

/** Percentiles are read off at most this many cells, evenly picked; all cells count for the rest. */
const mostSorted = 3000;

const spreadOf = (map: Float32Array, cells: Uint32Array): Spread => {
  if (cells.length === 0) return nothing;
  let [sum, max] = [0, -Infinity];
  let darkest = cells[0]!;
  for (let place = 0; place < cells.length; place += 1) {
    const cell = cells[place]!;
    const value = map[cell]!;
    sum += value;
    if (value > max) max = value;
    if (value < map[darkest]!) darkest = cell;
  }
  const step = Math.max(1, cells.length / mostSorted);
  const picked = Float32Array.from(
    { length: Math.floor((cells.length - 1) / step) + 1 },
    (_, index) => map[cells[Math.floor(index * step)]!]!,
  ).sort();
  const at = (share: number): number => picked[Math.round(share * (picked.length - 1))]!;
  return { mean: sum / cells.length, min: map[darkest]!, max, low: at(0.05), high: at(0.95), darkest };
};

const cellsThatCount = (grid: Grid, options: EvennessOptions): Uint32Array => {
  const marginX = Math.min(Math.ceil(options.borderMm / grid.cellWidthMm), Math.floor(grid.columns / 3));
  const marginY = Math.min(Math.ceil(options.borderMm / grid.cellHeightMm), Math.floor(grid.rows / 3));
  const cells = new Uint32Array(grid.columns * grid.rows);
  let found = 0;
  for (let row = marginY; row < grid.rows - marginY; row += 1)
    for (let column = marginX; column < grid.columns - marginX; column += 1) {
      const cell = row * grid.columns + column;
      if (options.counts(cell)) cells[found++] = cell;
    }
  return cells.subarray(0, found);
};

/** The evenness of a luminance map: spread, ripples at the LED and row pitch, and what the eye makes of them. */
export const judgeEvenness = (map: Float32Array, grid: Grid, runs: LightRuns, options: EvennessOptions): Evenness => {
  const spread = spreadOf(map, cellsThatCount(grid, options));
  const seen = (pitchMm: number): SeenRipple => ({
    pitchMm,
    luminance: spread.mean,
    faceMm: Math.sqrt(grid.area.width * grid.area.height),
  });
  const none: FoundRipple = { contrast: 0, index: -1 };
  const along = (axis: 'x' | 'y') => findRipple(map, grid, axis, runs.ledPitchMm, options.counts);
  const onRim = runs.segments.some(({ on }) => on !== 'back');
  const foundDots = options.lines
    ? none
    : [along('x'), ...(onRim ? [along('y')] : [])].reduce((a, b) => (b.contrast > a.contrast ? b : a));
  const dots = rippleOf(foundDots, grid, seen(runs.ledPitchMm), options.readingDistanceMm);
  const rows = runs.rowPitchMm;
  const withoutDots = options.lines ? map : smoothAlongX(map, grid, runs.ledPitchMm);
  const bands =
    rows === null
      ? null
      : rowsAreSheet(runs)
        ? rippleOf(none, grid, seen(rows), options.readingDistanceMm)
        : rippleOf(
            findRipple(withoutDots, grid, 'y', rows, options.counts),
            grid,
            seen(rows),
            options.readingDistanceMm,
          );
  return {
    meanCdM2: spread.mean,
    minCdM2: spread.min,
    maxCdM2: spread.max,
    minOverMean: spread.mean > 0 ? spread.min / spread.mean : 0,
    minOverMax: spread.max > 0 ? spread.min / spread.max : 0,
    lowCdM2: spread.low,
    highCdM2: spread.high,
    fallOff: {
      contrast: spread.mean > 0 ? (spread.high - spread.min) / (spread.high + spread.min) : 0,
      threshold: thresholdFrom(seen(Math.sqrt(grid.area.width * grid.area.height)), options.readingDistanceMm),
    },
    darkestAt: spread.darkest < 0 ? [0, 0] : cellMiddle(grid, spread.darkest),
    dots,
    bands,
    dotContrast: Math.max(dots.contrast, bands?.contrast ?? 0),
    dotsVanishAtMm: Math.max(dots.vanishesAtMm, bands?.vanishesAtMm ?? 0),
  };
};
