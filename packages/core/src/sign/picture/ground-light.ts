import type { Grid } from '../../base/raster/index.js';
import type { Lit } from './exposure.js';
import { millionth } from '../../base/maths/index.js';

/** Half a pitch: a blur of this width (standard deviation) leaves 0.7 % of a ripple at the pitch. */
const pitchShare = 0.5;
/** Three means in a row come close to a normal distribution. */
const passes = 3;

/** Moving mean of `count` values a `stride` apart from `start`, over 2 × `reach` + 1 of them; fewer at the ends. Mutates. */
const meanAlong = (
  map: Float32Array,
  start: number,
  count: number,
  stride: number,
  reach: number,
  line: Float64Array,
): void => {
  let sum = 0;
  for (let at = 0; at < count; at += 1) line[at] = map[start + at * stride]!;
  for (let at = 0; at <= Math.min(reach, count - 1); at += 1) sum += line[at]!;
  for (let at = 0; at < count; at += 1) {
    map[start + at * stride] = sum;
    if (at + reach + 1 < count) sum += line[at + reach + 1]!;
    if (at - reach >= 0) sum -= line[at - reach]!;
  }
};

/** Sums over a square about each cell, three times over: in time for every picture, as a blur by frequencies is not. Mutates. */
const blurred = (map: Float32Array, { columns, rows }: Grid, reachColumns: number, reachRows: number): void => {
  const line = new Float64Array(Math.max(columns, rows));
  for (let pass = 0; pass < passes; pass += 1) {
    for (let row = 0; row < rows; row += 1) meanAlong(map, row * columns, columns, 1, reachColumns, line);
    for (let column = 0; column < columns; column += 1) meanAlong(map, column, rows, columns, reachRows, line);
  }
};

/** What a blur leaves of a steep fall-off beside an edge is blurred again so often, and added. */
const rounds = 3;

/**
 * What the eye takes as the ground round each place of a lit wall (cd/m²): the light without its ripples, which then keep
 * their contrast whatever the roll-off. Blurred by half a pitch as logarithms, so that a steep fall-off stays where it is;
 * what letters hide does not count. `light` is the strongest channel of what is seen, a value a cell.
 */
export const groundLightOf = ({ glow }: Lit, light: Float32Array): Float32Array => {
  const { grid, letters, evenness } = glow;
  const sigmaMm = pitchShare * evenness.dots.pitchMm;
  const reachOf = (cellMm: number): number =>
    Math.round(Math.sqrt((3 / passes) * (sigmaMm / cellMm) ** 2 + 0.25) - 0.5);
  const [reachColumns, reachRows] = [reachOf(grid.cellWidthMm), reachOf(grid.cellHeightMm)];
  const weights = letters.map((hidden) => 1 - hidden + millionth);
  const spread = weights.slice();
  blurred(spread, grid, reachColumns, reachRows);
  const logs = light.map((value) => Math.log(Math.max(value, millionth)));
  const ground = new Float32Array(logs.length);
  const rest = new Float32Array(logs.length);
  for (let round = 0; round < rounds; round += 1) {
    for (let cell = 0; cell < rest.length; cell += 1) rest[cell] = weights[cell]! * (logs[cell]! - ground[cell]!);
    blurred(rest, grid, reachColumns, reachRows);
    for (let cell = 0; cell < rest.length; cell += 1) ground[cell]! += rest[cell]! / spread[cell]!;
  }
  return ground.map((value) => Math.exp(value));
};
