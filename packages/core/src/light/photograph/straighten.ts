import type { Grid } from '../../base/raster/index.js';
import { toLinear } from '../colour/index.js';
import { quadMap, type Corners } from './quad.js';

/** A picture as a browser hands it over: sRGB bytes, four a pixel, the upper row first. */
export interface Photo {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray | Uint8Array;
}

/** A face out of a photograph. */
export interface Straightened {
  /** Relative luminance by cell of the raster; row 0 at the bottom. */
  readonly luminance: Float32Array;
  /** Share of the face that is as bright as the picture can hold: what was brighter is lost. */
  readonly clippedShare: number;
}

/** From this byte on a channel may have been brighter than it shows. */
const clippedFrom = 250;
const mostSamples = 6;

const linearOf: Float32Array = Float32Array.from({ length: 256 }, (_, byte) => toLinear(byte / 255));

/** Luminance of a pixel (Rec. 709 primaries, as sRGB has them). */
const luminanceAt = ({ width, data }: Photo, x: number, y: number): number => {
  const at = 4 * (y * width + x);
  return 0.2126 * linearOf[data[at]!]! + 0.7152 * linearOf[data[at + 1]!]! + 0.0722 * linearOf[data[at + 2]!]!;
};

const isClipped = ({ width, data }: Photo, x: number, y: number): boolean => {
  const at = 4 * (y * width + x);
  return data[at]! >= clippedFrom || data[at + 1]! >= clippedFrom || data[at + 2]! >= clippedFrom;
};

const held = (value: number, most: number): number => Math.min(most, Math.max(0, value));

/**
 * The face between four corners of a photograph, seen straight on, made linear, a value for each cell of `grid`, which
 * spans the face. Each cell is the mean of as many places as it has pixels, straight between pixels.
 */
export const straighten = (photo: Photo, corners: Corners, { columns, rows }: Grid): Straightened => {
  const placeOf = quadMap(corners);
  const [x0, y0] = placeOf(0, 0);
  const [x1, y1] = placeOf(1, 1);
  const perCell = Math.hypot(x1 - x0, y1 - y0) / Math.hypot(columns, rows);
  const samples = Math.min(mostSamples, Math.max(1, Math.ceil(perCell)));
  const luminance = new Float32Array(columns * rows);
  let clipped = 0;
  for (let row = 0; row < rows; row += 1)
    for (let column = 0; column < columns; column += 1) {
      let sum = 0;
      for (let i = 0; i < samples; i += 1)
        for (let j = 0; j < samples; j += 1) {
          const [px, py] = placeOf((column + (i + 0.5) / samples) / columns, 1 - (row + (j + 0.5) / samples) / rows);
          const [x, y] = [held(px - 0.5, photo.width - 1), held(py - 0.5, photo.height - 1)];
          const [left, top] = [Math.floor(x), Math.floor(y)];
          const [right, bottom] = [Math.min(photo.width - 1, left + 1), Math.min(photo.height - 1, top + 1)];
          const [s, t] = [x - left, y - top];
          sum +=
            (1 - t) * ((1 - s) * luminanceAt(photo, left, top) + s * luminanceAt(photo, right, top)) +
            t * ((1 - s) * luminanceAt(photo, left, bottom) + s * luminanceAt(photo, right, bottom));
          if (isClipped(photo, left, top)) clipped += 1;
        }
      luminance[row * columns + column] = sum / samples ** 2;
    }
  return { luminance, clippedShare: clipped / (columns * rows * samples ** 2) };
};
