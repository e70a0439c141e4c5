import { roundOff } from '../../base/maths/index.js';
import type { Grid } from '../../base/raster/index.js';

/** A raster seen along one axis: `count` places a line, `lines` lines. */
interface Axis {
  readonly count: number;
  readonly lines: number;
  readonly stride: number;
  readonly lineStride: number;
  readonly cellMm: number;
}

const axisOf = (grid: Grid, along: 'x' | 'y'): Axis =>
  along === 'x'
    ? { count: grid.columns, lines: grid.rows, stride: 1, lineStride: grid.columns, cellMm: grid.cellWidthMm }
    : { count: grid.rows, lines: grid.columns, stride: grid.columns, lineStride: 1, cellMm: grid.cellHeightMm };

/**
 * Running mean over a window of `width` cells, not necessarily whole, on one line. Zero where the window does not fit.
 * A window of one pitch takes the whole ripple away and leaves any slope as it was.
 */
const runningMean = (line: Float64Array, width: number): Float64Array => {
  const { length } = line;
  const sums = new Float64Array(length + 1);
  for (let index = 0; index < length; index += 1) sums[index + 1] = sums[index]! + line[index]!;
  const sumTo = (place: number): number => {
    const whole = Math.min(length - 1, Math.floor(place));
    return sums[whole]! + line[whole]! * (place - whole);
  };
  return line.map((_, index) => {
    const [low, high] = [index + 0.5 - width / 2, index + 0.5 + width / 2];
    return low < -roundOff || high > length + roundOff
      ? 0
      : (sumTo(Math.min(high, length)) - sumTo(Math.max(low, 0))) / width;
  });
};

/** The strongest ripple found: its Michelson contrast and the raster place of its middle. */
export interface FoundRipple {
  readonly contrast: number;
  readonly index: number;
}

/** Value of a line between its places. */
const between = (line: Float64Array, place: number): number => {
  const whole = Math.min(line.length - 2, Math.floor(place));
  return line[whole]! + (line[whole + 1]! - line[whole]!) * (place - whole);
};

/** Windows are taken an eighth of their width apart: each holds a whole pitch wherever it begins. */
const windowShift = 3;

/** From `first` to `last` by `shift`, the last one in: with two rows there is room for hardly more than one. */
const windowStarts = (first: number, last: number, shift: number): readonly number[] => {
  if (first < 0 || last < first) return [];
  const starts = Array.from({ length: Math.floor((last - first) / shift) + 1 }, (_, index) => first + index * shift);
  return starts.at(-1) === last ? starts : [...starts, last];
};

/** Pitches that a line must have, and how much of one the outermost place keeps off its ends. */
const leastPitches = 2.5;
const keptOff = 0.25;

/**
 * Amplitude of the ripple over its trend at each place of a line, by the fourth difference over half a pitch:
 * (6 L₀ − 4 (L₋½ + L₊½) + L₋₁ + L₊₁) / 16 is the ripple itself for a wave of that pitch, and nothing for any slope or bend up
 * to the third power. Its outermost places keep off the ends, where light falls into the corners more steeply than that: zero
 * within a pitch and a quarter of them, as far as there is room; null on lines that are nowhere so long.
 */
const amplitudes = (line: Float64Array, trend: Float64Array, width: number): Float64Array | null => {
  const { length } = line;
  const room = length - leastPitches * width;
  if (room < 0) return null;
  const reach = Math.ceil(width + Math.min(keptOff * width, room / 2));
  const found = new Float64Array(length);
  const half = width / 2;
  for (let place = reach; place < length - reach; place += 1) {
    if (trend[place]! <= 0) continue;
    const ripple =
      6 * line[place]! -
      4 * (between(line, place - half) + between(line, place + half)) +
      between(line, place - width) +
      between(line, place + width);
    found[place] = Math.abs(ripple) / 16 / trend[place]!;
  }
  return found;
};

/**
 * Worst contrast within any window of one pitch along a line whose middle counts; `trend` is zero where there is none.
 * Where the line is long enough, a window’s contrast is no more than its ripple’s amplitude: the fall-off towards the edges
 * bends within a pitch too, and is no ripple.
 */
const worstOnLine = (
  line: Float64Array,
  trend: Float64Array,
  width: number,
  counts: (place: number) => boolean,
): FoundRipple => {
  const ripple = amplitudes(line, trend, width);
  // A cell less than the pitch, so that one pitch between two rows is still a window.
  const span = Math.max(1, Math.floor(width) - 1);
  let worst = { contrast: 0, index: -1 };
  const [first, last] = [trend.findIndex((value) => value > 0), trend.findLastIndex((value) => value > 0)];
  const shift = Math.max(1, span >> windowShift);
  for (const start of windowStarts(first, last - span, shift)) {
    const middle = start + (span >> 1);
    if (trend[start]! <= 0 || trend[start + span]! <= 0 || !counts(middle)) continue;
    if (ripple !== null && ripple[middle] === 0) continue;
    let [low, high, amplitude] = [Infinity, -Infinity, 0];
    for (let index = start; index <= start + span; index += 1) {
      const ratio = line[index]! / trend[index]!;
      low = Math.min(low, ratio);
      high = Math.max(high, ratio);
      if (ripple !== null) amplitude = Math.max(amplitude, ripple[index]!);
    }
    const michelson = (high - low) / (high + low);
    const contrast = ripple === null ? michelson : Math.min(michelson, amplitude);
    if (contrast > worst.contrast) worst = { contrast, index: middle };
  }
  return worst;
};

/** Lines looked along; neighbours beyond that many are alike. */
const enoughLines = 100;

/**
 * The worst contrast of a ripple of `pitchMm` along x or y: each line over its own running mean (which takes slow
 * fall-off away), then (max − min) / (max + min) within one pitch, or the ripple’s own amplitude where that is less.
 * `counts` says which cells matter. Contrast 0 at
 * index −1 when there is not room for one whole pitch.
 */
export const findRipple = (
  map: ArrayLike<number>,
  grid: Grid,
  along: 'x' | 'y',
  pitchMm: number,
  counts: (index: number) => boolean,
): FoundRipple => {
  const axis = axisOf(grid, along);
  const width = pitchMm / axis.cellMm;
  const line = new Float64Array(axis.count);
  let worst = { contrast: 0, index: -1 };
  const step = Math.max(1, Math.floor(axis.lines / enoughLines));
  for (let number = 0; number < axis.lines; number += step) {
    for (let place = 0; place < axis.count; place += 1)
      line[place] = map[number * axis.lineStride + place * axis.stride]!;
    const cellAt = (place: number): number => number * axis.lineStride + place * axis.stride;
    const found = worstOnLine(line, runningMean(line, width), width, (place) => counts(cellAt(place)));
    if (found.contrast > worst.contrast) worst = { contrast: found.contrast, index: cellAt(found.index) };
  }
  return worst;
};

/** `map` with the ripple of `pitchMm` along x taken out; edges, where the window does not fit, keep the nearest mean. */
export const smoothAlongX = (map: ArrayLike<number>, grid: Grid, pitchMm: number): Float64Array => {
  const width = pitchMm / grid.cellWidthMm;
  const smooth = Float64Array.from(map);
  if (width < 2 || width > grid.columns / 2) return smooth;
  const margin = Math.ceil(width / 2);
  for (let row = 0; row < grid.rows; row += 1) {
    const line = smooth.subarray(row * grid.columns, (row + 1) * grid.columns);
    const mean = runningMean(line, width);
    mean.forEach((_, index) => {
      const inside = Math.min(grid.columns - 1 - margin, Math.max(margin, index));
      line[index] = mean[inside]!;
    });
  }
  return smooth;
};
