import { describe, expect, it } from '@jest/globals';
import { encode } from 'fast-png';
import { greyOf as shadesOf, pictureOfPng } from '../index.js';

const greyOf = (bytes: Uint8Array): readonly number[] => {
  const result = pictureOfPng(bytes);
  if (!result.ok) throw new Error(result.problems[0]!.message);
  return [...result.value.grey];
};
const png = (channels: 1 | 2 | 3 | 4, data: Uint8Array | Uint16Array, depth: 8 | 16 = 8): Uint8Array =>
  encode({ width: 2, height: 1, channels, depth, data });

describe('a PNG as shades of grey', () => {
  it('is grey by the weight of its colours, on white paper, at any depth', () => {
    expect(greyOf(png(1, Uint8Array.of(0, 200)))).toEqual([0, 200]);
    expect(greyOf(png(3, Uint8Array.of(255, 0, 0, 0, 255, 0)))).toEqual([54, 182]);
    expect(greyOf(png(4, Uint8Array.of(0, 0, 0, 0, 0, 0, 0, 255)))).toEqual([255, 0]);
    expect(greyOf(png(2, Uint8Array.of(0, 128, 100, 255)))).toEqual([127, 100]);
    expect(greyOf(png(1, Uint16Array.of(65535, 32768), 16))).toEqual([255, 128]);
  });

  it('weighs red, green and blue, half covers half, and what is clear is paper', () => {
    const grey = shadesOf(
      Uint8ClampedArray.of(0, 0, 0, 255, 255, 255, 255, 255, 0, 0, 0, 0, 255, 0, 0, 255, 0, 0, 0, 128),
    );
    expect([...grey]).toEqual([0, 255, 255, 54, 127]);
  });

  it('is refused where it is none, broken or too large', () => {
    const message = (bytes: Uint8Array): string => {
      const result = pictureOfPng(bytes);
      return result.ok ? '' : result.problems[0]!.message;
    };
    const sound = png(1, Uint8Array.of(0, 200));
    expect(message(new TextEncoder().encode('a picture, it says, of a sign'))).toContain('no PNG');
    expect(message(sound.slice(0, 45))).toContain('broken');
    const huge = sound.slice();
    new DataView(huge.buffer).setUint32(16, 1_000_000);
    expect(message(huge)).toContain('larger than 4000');
  });
});
