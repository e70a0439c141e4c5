import { toByteArray } from 'base64-js';
import { failure, success, type Result } from '../../base/result.js';
import { toLinear, type LinearRgb } from '../../light/colour/index.js';
import type { PictureDesign } from './picture-schema.js';

/** A picture as what its print passes, or gives back, of linear red, green and blue, three a place, row by row from the upper left. */
export interface Picture {
  readonly columns: number;
  readonly rows: number;
  readonly passes: Float32Array;
}

const lightOf: Float32Array = Float32Array.from({ length: 256 }, (_, byte) => toLinear(byte / 255));

/** Even full ink lets this share through (typical). */
const leastPassed = 0.02;

/** A picture as it is printed; fails at its field where it is not stored as it should be. */
export const readPicture = ({ columns, rows, rgb }: PictureDesign, path: string): Result<Picture> => {
  let bytes: Uint8Array;
  try {
    bytes = toByteArray(rgb);
  } catch {
    // Its only failure is text that is no base64.
    bytes = new Uint8Array();
  }
  if (bytes.length !== 3 * columns * rows)
    return failure({ path, message: 'is not stored as it should be; load its file again' });
  const passes = Float32Array.from(bytes, (byte) => leastPassed + (1 - leastPassed) * lightOf[byte]!);
  return success({ columns, rows, passes });
};

/** What a picture over a sheet so large passes at a place of it, straight between its places. */
export const passedAt = (
  { columns, rows, passes }: Picture,
  { widthMm, heightMm }: { readonly widthMm: number; readonly heightMm: number },
  [x, y]: readonly [number, number],
): LinearRgb => {
  const u = Math.min(columns - 1, Math.max(0, (x / widthMm + 0.5) * columns - 0.5));
  const v = Math.min(rows - 1, Math.max(0, (0.5 - y / heightMm) * rows - 0.5));
  const [i, j] = [Math.min(columns - 2, Math.floor(u)), Math.min(rows - 2, Math.floor(v))];
  const [s, t] = [u - i, v - j];
  const part = (at: 0 | 1 | 2): number => {
    const value = (column: number, row: number): number => passes[3 * (row * columns + column) + at]!;
    return (
      (1 - t) * ((1 - s) * value(i, j) + s * value(i + 1, j)) +
      t * ((1 - s) * value(i, j + 1) + s * value(i + 1, j + 1))
    );
  };
  return [part(0), part(1), part(2)];
};

/** The mean of three numbers a place over all places. */
export const meanRgb = (triples: Float32Array): LinearRgb => {
  const mean = (part: 0 | 1 | 2): number => {
    let sum = 0;
    for (let at: number = part; at < triples.length; at += 3) sum += triples[at]!;
    return (3 * sum) / triples.length;
  };
  return [mean(0), mean(1), mean(2)];
};
