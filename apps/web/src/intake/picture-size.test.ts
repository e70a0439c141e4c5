import { describe, expect, it } from '@jest/globals';
import { encode } from 'fast-png';
import { mostMegapixels, pictureProblem, PictureTooLarge, refuseLarge, sizeInHead } from './picture-size';

const png = (width: number, height: number): Uint8Array<ArrayBuffer> =>
  Uint8Array.from(encode({ width, height, depth: 8, channels: 1, data: new Uint8Array(width * height) }));

/** The same head with other sizes in it: what a hostile file would say. */
const claiming = (width: number, height: number): Uint8Array<ArrayBuffer> => {
  const bytes = png(2, 2);
  const view = new DataView(bytes.buffer);
  view.setUint32(16, width);
  view.setUint32(20, height);
  return bytes;
};

const problem = async (bytes: Uint8Array<ArrayBuffer>): Promise<string | null> => {
  try {
    await refuseLarge(new Blob([bytes]));
    return null;
  } catch (reason) {
    return pictureProblem('tides.png', reason);
  }
};

describe('the size of a picture', () => {
  it('is read from its head', () => {
    expect(sizeInHead(png(30, 20))).toMatchObject({ width: 30, height: 20 });
    expect(sizeInHead(Uint8Array.from([1, 2, 3]))).toBeNull();
    expect(sizeInHead(new Uint8Array())).toBeNull();
  });

  it('is refused at a hundred megapixels, with what to do, and taken below the most', async () => {
    expect(await problem(claiming(10_000, 10_000))).toBe(
      'tides.png has 100 megapixels; save it with 50 or fewer, which is sharp enough for any print',
    );
    expect(await problem(claiming(mostMegapixels * 1000, 1000))).toBeNull();
    expect(await problem(png(8, 8))).toBeNull();
  });

  it('leaves what is no picture to whoever unpacks it', async () => {
    expect(await problem(Uint8Array.from([9, 9, 9, 9]))).toBeNull();
    expect(pictureProblem('a.png', new Error('whatever'))).toContain('is no picture that can be read');
    expect(pictureProblem('a.png', new PictureTooLarge('is large'))).toBe('a.png is large');
  });
});
