import { describe, expect, it } from '@jest/globals';
import { fromByteArray } from 'base64-js';
import fc from 'fast-check';
import { outlineArea } from '../../base/outlines/index.js';
import { toLinear } from '../../light/colour/index.js';
import { bandLettering, bandOf } from './band.js';
import { passedAt, readPicture, type Picture } from '../common/picture.js';
import { clearSheetFor, opalBehind } from './sheets.js';

/** Two by two: red and green above, blue and white below. */
const four = {
  name: 'four',
  columns: 2,
  rows: 2,
  rgb: fromByteArray(Uint8Array.from([255, 0, 0, 0, 255, 0, 0, 0, 255, 255, 255, 255])),
};
const read = (design: typeof four): Picture => {
  const result = readPicture(design, 'shows.picture');
  if (!result.ok) throw new Error(result.problems[0]!.message);
  return result.value;
};
const face = { widthMm: 200, heightMm: 100, thicknessMm: 3 };

describe('what a printed picture passes', () => {
  it('is at the middle of each of its places what that place is printed in', () => {
    const picture = read(four);
    const least = expect.closeTo(0.02, 6);
    expect(passedAt(picture, face, [-50, 25])).toEqual([1, least, least]);
    expect(passedAt(picture, face, [50, 25])).toEqual([least, 1, least]);
    expect(passedAt(picture, face, [-50, -25])).toEqual([least, least, 1]);
    expect(passedAt(picture, face, [50, -25])).toEqual([1, 1, 1]);
  });

  it('goes straight between them, and on as at the edge beyond the last', () => {
    const picture = read(four);
    const [red, green, blue] = passedAt(picture, face, [0, 0]);
    for (const part of [red, green, blue]) expect(part).toBeCloseTo((2 + 2 * 0.02) / 4, 6);
    expect(passedAt(picture, face, [-99, 49])).toEqual(passedAt(picture, face, [-50, 25]));
    expect(passedAt(picture, face, [1e4, -1e4])).toEqual([1, 1, 1]);
  });

  it('is its sRGB as light, and never less than ink lets through', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 255 }), (grey) => {
        const picture = read({ ...four, rgb: fromByteArray(new Uint8Array(12).fill(grey)) });
        const [passes] = passedAt(picture, face, [3, 7]);
        expect(passes).toBeCloseTo(0.02 + 0.98 * toLinear(grey / 255), 5);
      }),
    );
  });

  it('is nothing where its bytes are too few', () => {
    expect(readPicture({ ...four, columns: 3 }, 'shows.picture').ok).toBe(false);
  });
});

describe('the band of a mirror', () => {
  const geometry = {
    face: { widthMm: 600, heightMm: 800, thicknessMm: 4 },
    inside: { widthMm: 586, heightMm: 786, depthMm: 60 },
  };
  const areaOf = (band: { readonly insetMm: number; readonly widthMm: number; readonly cornerMm?: number }): number => {
    const found = bandOf({ band }, geometry);
    if (!found.ok) throw new Error(found.problems[0]!.message);
    return bandLettering(found.value).areaMm2;
  };

  it('loses its outer corners where they are rounded, and gains within where the radius reaches so far', () => {
    const square = areaOf({ insetMm: 30, widthMm: 40 });
    // Each corner is drawn by eight chords: of a whole circle by 32.
    const corners = (radius: number): number => (4 - 16 * Math.sin(Math.PI / 16)) * radius ** 2;
    expect(areaOf({ insetMm: 30, widthMm: 40, cornerMm: 25 }) - square).toBeCloseTo(-corners(25), 3);
    const both = areaOf({ insetMm: 30, widthMm: 40, cornerMm: 100 }) - square;
    expect(both).toBeCloseTo(corners(60) - corners(100), 3);
  });

  it('is a ring: what is within it is mirror still', () => {
    const found = bandOf({ band: { insetMm: 30, widthMm: 40 } }, geometry);
    const rings = found.ok ? found.value : [];
    expect(rings).toHaveLength(2);
    expect(Math.sign(outlineArea([rings[0]!]))).toBe(-Math.sign(outlineArea([rings[1]!])));
  });

  it('has room, or is refused, wherever it is put', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 400 }), fc.integer({ min: 1, max: 300 }), (insetMm, widthMm) => {
        const found = bandOf({ band: { insetMm, widthMm } }, geometry);
        const fits = 2 * (insetMm + widthMm) <= 600 - 40 && insetMm >= 7;
        expect(found.ok).toBe(fits);
      }),
    );
  });
});

describe('sheets of a frame', () => {
  it('are of the usual size as long as it holds them either way round', () => {
    expect([clearSheetFor(594, 420), clearSheetFor(420, 594), clearSheetFor(590, 1190)]).toEqual(
      Array(3).fill('clear-3'),
    );
    expect([clearSheetFor(600, 600), clearSheetFor(1195, 200)]).toEqual(Array(2).fill('clear-3-large'));
    expect(opalBehind(700, 900)).toEqual({ sheetId: 'opal-3-large', gapMm: 0 });
  });
});
