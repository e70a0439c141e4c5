import { toByteArray } from 'base64-js';
import { cellMiddle } from '../../base/raster/index.js';
import { failure, success, type Result } from '../../base/result.js';
import { luminanceOf, type BoxGlow, type LinearRgb } from '../../light/glow/index.js';
import { toLinear } from '../../light/colour/index.js';
import type { CaseGeometry } from '../../light/geometry/index.js';
import type { PictureDesign } from './schema.js';

/** A picture as what its print passes of linear red, green and blue, three a place, row by row from the upper left. */
export interface Picture {
  readonly columns: number;
  readonly rows: number;
  readonly passes: Float32Array;
}

const lightOf: Float32Array = Float32Array.from({ length: 256 }, (_, byte) => toLinear(byte / 255));

/** Even full ink lets this share through (typical). */
const leastPassed = 0.02;

/** A picture as it is printed; fails where it is not stored as it should be. */
export const readPicture = ({ columns, rows, rgb }: PictureDesign): Result<Picture> => {
  let bytes: Uint8Array;
  try {
    bytes = toByteArray(rgb);
  } catch {
    // Its only failure is text that is no base64.
    bytes = new Uint8Array();
  }
  if (bytes.length !== 3 * columns * rows)
    return failure({ path: 'shows.picture', message: 'is not stored as it should be; load its file again' });
  const passes = Float32Array.from(bytes, (byte) => leastPassed + (1 - leastPassed) * lightOf[byte]!);
  return success({ columns, rows, passes });
};

/** What a picture over a sheet so large passes at a place of it, straight between its places. */
export const passedAt = (
  { columns, rows, passes }: Picture,
  { widthMm, heightMm }: CaseGeometry['face'],
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

/** The light of a face through a printed picture: its luminance, its hues, and how it looks unlit. What is judged stays the light behind it. */
export const throughPicture = (glow: BoxGlow, picture: Picture, face: CaseGeometry['face']): BoxGlow => {
  const { grid, luminance, hue } = glow;
  const shown = new Float32Array(luminance.length);
  const factors = new Float32Array(3 * luminance.length);
  const unlit = new Float32Array(3 * luminance.length);
  for (let cell = 0; cell < luminance.length; cell += 1) {
    const passes = passedAt(picture, face, cellMiddle(grid, cell));
    const given: LinearRgb = [passes[0] * hue[0], passes[1] * hue[1], passes[2] * hue[2]];
    const share = luminanceOf(given);
    shown[cell] = luminance[cell]! * share;
    for (let part = 0; part < 3; part += 1) {
      factors[3 * cell + part] = share > 0 ? passes[part]! / share : 1;
      // By day light goes through the ink, off what is behind, and through it again.
      unlit[3 * cell + part] = passes[part]! ** 2;
    }
  }
  return {
    ...glow,
    luminance: shown,
    drift: { columns: grid.columns, rows: grid.rows, factors },
    unlitTint: unlit,
  };
};
