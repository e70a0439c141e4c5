import type { Grid } from '../../base/raster/index.js';
import type { HueDrift } from '../../light/glow/index.js';
import type { AlongLines } from './along-lines.js';
import type { KindLights } from './kind-lights.js';

/** Luminance of lines of each light by itself: zero on the others. */
export const byKind = (
  luminance: Float64Array,
  { line }: AlongLines,
  { kinds, ofLine }: KindLights,
): readonly Float64Array[] =>
  kinds.length === 1
    ? [luminance]
    : kinds.map((_, kind) => luminance.map((value, at) => (ofLine[line[at]!] === kind ? value : 0)));

/** Lines of unlike light are each as even as they are by themselves: brought to one mean before they are judged together. */
export const alike = (
  luminance: Float64Array,
  { line }: AlongLines,
  { kinds, ofLine }: KindLights,
  linesCdM2: readonly number[],
  lengths: readonly number[],
  mean: number,
): Float64Array => {
  if (kinds.length === 1) return luminance;
  const [sums, totals] = [kinds.map(() => 0), kinds.map(() => 0)];
  ofLine.forEach((kind, at) => {
    sums[kind]! += linesCdM2[at]! * lengths[at]!;
    totals[kind]! += lengths[at]!;
  });
  const factors = sums.map((sum, kind) => (sum > 0 ? (mean * totals[kind]!) / sum : 1));
  return luminance.map((value, at) => value * factors[ofLine[line[at]!]!]!);
};

/** No channel of the first hue counts as less than this, for others are told against it. */
const leastHue = 1e-3;

/**
 * Hues of lines of several lights, cell by cell, against the hue of the first: a line has its own, and beside lines what falls there of
 * each is mixed.
 */
export const ownHues = (
  grid: Grid,
  line: Int16Array,
  { kinds, ofLine }: KindLights,
  spilt: readonly Float32Array[],
): HueDrift => {
  const { columns, rows } = grid;
  const base = kinds[0]!.hue;
  const factors = new Float32Array(3 * columns * rows);
  for (let cell = 0; cell < columns * rows; cell += 1) {
    const shown = line[cell]!;
    const shares = shown >= 0 ? [] : spilt.map((lux) => lux[cell]!);
    const total = shares.reduce((sum, each) => sum + each, 0);
    for (let part = 0; part < 3; part += 1) {
      const own =
        shown >= 0
          ? kinds[ofLine[shown]!]!.hue[part]!
          : total > 0
            ? shares.reduce((sum, each, kind) => sum + each * kinds[kind]!.hue[part]!, 0) / total
            : base[part]!;
      factors[3 * cell + part] = own / Math.max(leastHue, base[part]!);
    }
  }
  return { columns, rows, factors };
};
