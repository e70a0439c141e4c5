import { decode, encode } from 'fast-png';
import type { Photo } from '../../light/photograph/index.js';
import type { Picture } from '../picture/index.js';

/** A photograph out of a PNG of eight bits a channel, grey or coloured; null where it is none. */
export const photoOfPng = (bytes: Uint8Array): Photo | null => {
  try {
    const { width, height, data, channels, depth } = decode(bytes);
    if (depth !== 8 || channels > 4) return null;
    const rgba = new Uint8ClampedArray(4 * width * height).fill(255);
    for (let pixel = 0; pixel < width * height; pixel += 1)
      for (let channel = 0; channel < 3; channel += 1)
        rgba[4 * pixel + channel] = Number(data[channels * pixel + (channels < 3 ? 0 : channel)]);
    return { width, height, data: rgba };
  } catch {
    return null;
  }
};

/** A picture as PNG, without its alpha: photographs hide nothing. */
export const pngOfPicture = ({ width, height, data }: Picture): Uint8Array => {
  const rgb = new Uint8Array(3 * width * height);
  for (let pixel = 0; pixel < width * height; pixel += 1) rgb.set(data.subarray(4 * pixel, 4 * pixel + 3), 3 * pixel);
  return encode({ width, height, data: rgb, channels: 3, depth: 8 });
};
