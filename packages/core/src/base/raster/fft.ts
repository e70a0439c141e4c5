import FFT from 'fft.js';

/** Complex numbers, real and imaginary in turn, `width` × `height` of them in rows; both sides powers of two. */
export interface Spectrum {
  readonly width: number;
  readonly height: number;
  readonly data: Float64Array;
}

/** The least power of two that is at least `count`, and at least 2. */
export const powerOfTwo = (count: number): number => {
  let size = 2;
  while (size < count) size *= 2;
  return size;
};

/** Transforms rows, then columns, or back. Mutates `spectrum`. */
const transformInPlace = ({ width, height, data }: Spectrum, inverse: boolean): void => {
  const turn = (fft: FFT, line: Float64Array, out: Float64Array): void => {
    if (inverse) fft.inverseTransform(out, line);
    else fft.transform(out, line);
  };
  const rows = new FFT(width);
  const out = new Float64Array(2 * width);
  for (let row = 0; row < height; row += 1) {
    const line = data.subarray(row * 2 * width, (row + 1) * 2 * width);
    turn(rows, line, out);
    line.set(out);
  }
  const columns = new FFT(height);
  const line = new Float64Array(2 * height);
  const turned = new Float64Array(2 * height);
  for (let column = 0; column < width; column += 1) {
    for (let row = 0; row < height; row += 1) {
      line[2 * row] = data[2 * (row * width + column)]!;
      line[2 * row + 1] = data[2 * (row * width + column) + 1]!;
    }
    turn(columns, line, turned);
    for (let row = 0; row < height; row += 1) {
      data[2 * (row * width + column)] = turned[2 * row]!;
      data[2 * (row * width + column) + 1] = turned[2 * row + 1]!;
    }
  }
};

/** Transforms `spectrum` to frequencies. Mutates it. */
export const toFrequencies = (spectrum: Spectrum): void => transformInPlace(spectrum, false);

/** Transforms `spectrum` back from frequencies. Mutates it. */
export const fromFrequencies = (spectrum: Spectrum): void => transformInPlace(spectrum, true);

/** Multiplies `spectrum` by `other`, place by place. Mutates `spectrum`. */
export const multiplyBy = (spectrum: Spectrum, other: Spectrum): void => {
  const [a, b] = [spectrum.data, other.data];
  for (let at = 0; at < a.length; at += 2) {
    const [re, im] = [a[at]!, a[at + 1]!];
    a[at] = re * b[at]! - im * b[at + 1]!;
    a[at + 1] = re * b[at + 1]! + im * b[at]!;
  }
};
