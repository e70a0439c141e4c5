import { expect, it } from '@jest/globals';
import { decode, encode } from 'fast-png';
import { withPixelSize } from './pixel-size.js';

it('a picture for a machine says how large its pixels are, and is otherwise as it was', () => {
  const data = Uint8Array.from({ length: 12 }, (_, at) => (at % 3) * 100);
  const png = encode({ width: 4, height: 3, data, channels: 1, depth: 8 });
  const read = decode(withPixelSize(png, 254));
  // 254 dots an inch are ten a millimetre; the checksum of the chunk holds, or it would not be read.
  expect(read.resolution).toEqual({ x: 10_000, y: 10_000, unit: 1 });
  expect([read.width, read.height, [...read.data]]).toEqual([4, 3, [...data]]);
});
