import type { Strip } from '../../document/catalogue/index.js';
import { atLuminance1, channelHue, lightOfMix } from '../colour/index.js';
import type { LightRuns, LightShare } from '../runs/index.js';
import type { Grid } from '../../base/raster/index.js';

/**
 * How the hue of mixed light drifts over the ground: what red, green and blue are multiplied by at the middle of each cell
 * of a coarse grid over the same area, so that the luminance stays.
 */
export interface HueDrift {
  readonly columns: number;
  readonly rows: number;
  /** Three a cell, row 0 at the bottom. */
  readonly factors: Float32Array;
}

/** Cells along the longer side. */
const longSide = 40;
/** Drift below this share of any colour is not drawn. */
const leastShare = 0.004;

/** Light of each group, channel by channel, and where its middle is. */
const sourcesOf = ({ leds }: LightRuns, { groupOfLed, groupShares, channels }: LightShare) => {
  const count = groupShares[0]?.length ?? 0;
  const [x, y, ledsIn] = [new Float64Array(count), new Float64Array(count), new Float64Array(count)];
  const lumens = channels.map(() => new Float64Array(count));
  for (let led = 0; led < leds.count; led += 1) {
    const group = groupOfLed[led]!;
    x[group]! += leds.x[led]!;
    y[group]! += leds.y[led]!;
    ledsIn[group]! += 1;
  }
  for (let group = 0; group < count; group += 1) {
    const own = Math.max(1, ledsIn[group]!);
    x[group]! /= own;
    y[group]! /= own;
    channels.forEach(({ lumensPerM, level }, channel) => {
      lumens[channel]![group] = ledsIn[group]! * lumensPerM * level * groupShares[channel]![group]!;
    });
  }
  return { count, x, y, lumens };
};

/**
 * Drift of the hue over the ground, from the direct light of the groups alone, each as a point of light at the strip’s mean
 * distance from what it lights; what is reflected mixes further, so that the true drift is a little less. Null for one
 * colour, and where nothing is to be seen of it.
 */
export const hueDriftOf = (runs: LightRuns, share: LightShare, strip: Strip, grid: Grid): HueDrift | null => {
  const { channels } = share;
  if (channels.length < 2 || runs.leds.count === 0) return null;
  const hues = channels.map(({ name }) => channelHue(name, strip));
  const { count, x, y, lumens } = sourcesOf(runs, share);
  const part = (amounts: readonly number[], at: number): number =>
    amounts.reduce((sum, amount, channel) => sum + amount * hues[channel]![at]!, 0);
  const whole = atLuminance1(
    lightOfMix(
      strip,
      channels.map(({ level }) => level),
    ),
  );
  const { area } = grid;
  const cell = Math.max(area.width, area.height) / longSide;
  const [columns, rows] = [Math.max(2, Math.ceil(area.width / cell)), Math.max(2, Math.ceil(area.height / cell))];
  const factors = new Float32Array(3 * columns * rows);
  const squared = Math.max(1, runs.throwMm) ** 2;
  let most = 0;
  for (let row = 0; row < rows; row += 1)
    for (let column = 0; column < columns; column += 1) {
      const px = area.x + ((column + 0.5) / columns) * area.width;
      const py = area.y + ((row + 0.5) / rows) * area.height;
      const amounts = channels.map(() => 0);
      for (let group = 0; group < count; group += 1) {
        const spread = 1 / ((px - x[group]!) ** 2 + (py - y[group]!) ** 2 + squared) ** 2;
        for (let channel = 0; channel < amounts.length; channel += 1)
          amounts[channel]! += spread * lumens[channel]![group]!;
      }
      const local = atLuminance1([part(amounts, 0), part(amounts, 1), part(amounts, 2)]);
      local.forEach((value, at) => {
        const factor = whole[at]! > 0 ? value / whole[at]! : 1;
        factors[3 * (row * columns + column) + at] = factor;
        most = Math.max(most, Math.abs(factor - 1));
      });
    }
  return most < leastShare ? null : { columns, rows, factors };
};

/** The factors at a place of the ground, as shares of its width and height from the lower left; smooth between cells. */
export const driftAt = ({ columns, rows, factors }: HueDrift, u: number, v: number, into: Float64Array): void => {
  const x = Math.min(columns - 1.001, Math.max(0, u * columns - 0.5));
  const y = Math.min(rows - 1.001, Math.max(0, v * rows - 0.5));
  const column = Math.floor(x);
  const row = Math.floor(y);
  const s = x - column;
  const t = y - row;
  const first = 3 * (row * columns + column);
  const above = first + 3 * columns;
  for (let part = 0; part < 3; part += 1)
    into[part] =
      (1 - t) * ((1 - s) * factors[first + part]! + s * factors[first + 3 + part]!) +
      t * ((1 - s) * factors[above + part]! + s * factors[above + 3 + part]!);
};
