import { byteOf } from './exposure.js';

/** Adds what is shown at a place of a picture, in pixels from its upper left corner, to three sums of linear light. */
export type AddShown = (across: number, down: number, sums: Float64Array) => void;

/** Neighbours that differ by more than this (of 255) have an edge between them. */
const edgeBytes = 2;

/** A picture's bytes, four a pixel, each as the middle of its pixel is. */
const middlesOf = (width: number, height: number, add: AddShown): Uint8ClampedArray => {
  const data = new Uint8ClampedArray(width * height * 4).fill(255);
  const sums = new Float64Array(3);
  for (let row = 0; row < height; row += 1)
    for (let column = 0; column < width; column += 1) {
      sums.fill(0);
      add(column + 0.5, row + 0.5, sums);
      const at = (row * width + column) * 4;
      for (let channel = 0; channel < 3; channel += 1) data[at + channel] = byteOf(sums[channel]!);
    }
  return data;
};

/**
 * A picture’s sRGB bytes, four a pixel, row 0 at the top. So many places across and down are looked at in a pixel that
 * differs from a neighbour; where nothing changes its middle tells all of it.
 */
export const pictureOf = (width: number, height: number, samples: number, add: AddShown): Uint8ClampedArray => {
  const middles = middlesOf(width, height, add);
  if (samples === 1) return middles;
  const differ = (one: number, other: number): boolean =>
    Math.abs(middles[one]! - middles[other]!) > edgeBytes ||
    Math.abs(middles[one + 1]! - middles[other + 1]!) > edgeBytes ||
    Math.abs(middles[one + 2]! - middles[other + 2]!) > edgeBytes;
  const rowBytes = width * 4;
  const data = middles.slice();
  const sums = new Float64Array(3);
  for (let row = 0; row < height; row += 1)
    for (let column = 0; column < width; column += 1) {
      const at = row * rowBytes + column * 4;
      const isEdge =
        (column > 0 && differ(at, at - 4)) ||
        (column < width - 1 && differ(at, at + 4)) ||
        (row > 0 && differ(at, at - rowBytes)) ||
        (row < height - 1 && differ(at, at + rowBytes));
      if (!isEdge) continue;
      sums.fill(0);
      for (let sample = 0; sample < samples ** 2; sample += 1)
        add(column + ((sample % samples) + 0.5) / samples, row + (Math.floor(sample / samples) + 0.5) / samples, sums);
      for (let channel = 0; channel < 3; channel += 1) data[at + channel] = byteOf(sums[channel]! / samples ** 2);
    }
  return data;
};
