/** Pole of the cubic B-spline filter (M. Unser, IEEE Signal Processing Magazine 16 (1999) 22–38). */
const pole = Math.sqrt(3) - 2;
/** After so many places the pole’s power is below 1e-16. */
const poleReach = 28;

/** Place within a line that goes on mirrored at both ends, again and again. */
const mirrored = (index: number, length: number): number => {
  const period = Math.max(1, 2 * (length - 1));
  const held = Math.abs(index) % period;
  return held >= length ? period - held : held;
};

/** Coefficients of the cubic B-spline through the values of one line, mirrored at its ends. Mutates `line`. */
const filterInPlace = (line: Float64Array): void => {
  const { length } = line;
  if (length < 2) return;
  for (let at = 0; at < length; at += 1) line[at]! *= 6;
  let [first, power] = [0, 1];
  for (let at = 0; at < poleReach; at += 1, power *= pole) first += power * line[mirrored(at, length)]!;
  line[0] = first;
  for (let at = 1; at < length; at += 1) line[at]! += pole * line[at - 1]!;
  line[length - 1] = (pole / (pole * pole - 1)) * (line[length - 1]! + pole * line[length - 2]!);
  for (let at = length - 2; at >= 0; at -= 1) line[at] = pole * (line[at + 1]! - line[at]!);
};

/** Four neighbours and their weights for each wanted place along one axis. */
interface Taps {
  readonly index: Int32Array;
  readonly weight: Float64Array;
}

const tapsAt = (places: Float64Array, length: number): Taps => {
  const index = new Int32Array(places.length * 4);
  const weight = new Float64Array(places.length * 4);
  places.forEach((place, at) => {
    const base = Math.floor(place);
    const t = place - base;
    const u = 1 - t;
    const weights = [
      (u * u * u) / 6,
      2 / 3 - t * t + (t * t * t) / 2,
      2 / 3 - u * u + (u * u * u) / 2,
      (t * t * t) / 6,
    ];
    for (let tap = 0; tap < 4; tap += 1) {
      index[at * 4 + tap] = mirrored(base - 1 + tap, length);
      weight[at * 4 + tap] = weights[tap]!;
    }
  });
  return { index, weight };
};

/**
 * Values of a smooth map between its samples, by cubic B-splines through all of them: at every crossing of `xs` and `ys`,
 * given in samples from the first (0). The error falls with the fourth power of the sample spacing.
 */
export const resample = (
  values: ArrayLike<number>,
  columns: number,
  rows: number,
  xs: Float64Array,
  ys: Float64Array,
): Float64Array => {
  const coefficients = Float64Array.from(values);
  for (let row = 0; row < rows; row += 1) filterInPlace(coefficients.subarray(row * columns, (row + 1) * columns));
  const line = new Float64Array(rows);
  for (let column = 0; column < columns; column += 1) {
    for (let row = 0; row < rows; row += 1) line[row] = coefficients[row * columns + column]!;
    filterInPlace(line);
    for (let row = 0; row < rows; row += 1) coefficients[row * columns + column] = line[row]!;
  }
  const across = tapsAt(xs, columns);
  const wide = new Float64Array(rows * xs.length);
  for (let row = 0; row < rows; row += 1) {
    const base = row * columns;
    for (let x = 0; x < xs.length; x += 1) {
      const tap = x * 4;
      wide[row * xs.length + x] =
        across.weight[tap]! * coefficients[base + across.index[tap]!]! +
        across.weight[tap + 1]! * coefficients[base + across.index[tap + 1]!]! +
        across.weight[tap + 2]! * coefficients[base + across.index[tap + 2]!]! +
        across.weight[tap + 3]! * coefficients[base + across.index[tap + 3]!]!;
    }
  }
  const up = tapsAt(ys, rows);
  const out = new Float64Array(xs.length * ys.length);
  for (let y = 0; y < ys.length; y += 1) {
    const tap = y * 4;
    const rowsAt = [0, 1, 2, 3].map((each) => up.index[tap + each]! * xs.length);
    const [w0, w1, w2, w3] = [0, 1, 2, 3].map((each) => up.weight[tap + each]!) as [number, number, number, number];
    const [r0, r1, r2, r3] = rowsAt as [number, number, number, number];
    for (let x = 0, at = y * xs.length; x < xs.length; x += 1, at += 1)
      out[at] = w0 * wide[r0 + x]! + w1 * wide[r1 + x]! + w2 * wide[r2 + x]! + w3 * wide[r3 + x]!;
  }
  return out;
};
