import { describe, expect, it } from '@jest/globals';
import { shippedCatalogue, type Strip } from '../../document/catalogue/index.js';
import type { Brief } from '../../document/design/index.js';
import { colourOf, luminanceOf, planckianRgb, throughTint } from './index.js';

const stripOf = (colour: Strip['colour']): Strip => shippedCatalogue.strips.find((strip) => strip.colour === colour)!;
const white = (cctK: number): Brief['light'] => ({ kind: 'white', cctK });
const mixed = (colour: string): Brief['light'] => ({ kind: 'rgb', colour });

/** x, y of linear sRGB light (IEC 61966-2-1, D65). */
const chromaticity = ([r, g, b]: readonly [number, number, number]): readonly [number, number] => {
  const x = 0.4124 * r + 0.3576 * g + 0.1805 * b;
  const y = 0.2126 * r + 0.7152 * g + 0.0722 * b;
  const z = 0.0193 * r + 0.1192 * g + 0.9505 * b;
  return [x / (x + y + z), y / (x + y + z)];
};

describe('white light', () => {
  it.each([
    // Planckian locus, CIE 1931.
    [2700, 0.4599, 0.4106],
    [4000, 0.3805, 0.3768],
    [6500, 0.3135, 0.3237],
  ])('of %d K has the chromaticity of a black body', (cctK, x, y) => {
    const [ownX, ownY] = chromaticity(planckianRgb(cctK));
    expect(Math.abs(ownX - x)).toBeLessThan(0.004);
    expect(Math.abs(ownY - y)).toBeLessThan(0.004);
  });

  it('has luminance 1, whatever its temperature', () => {
    for (const cctK of [1800, 2700, 4000, 6500, 10_000]) expect(luminanceOf(planckianRgb(cctK))).toBeCloseTo(1, 9);
  });

  it('gets redder the warmer it is', () => {
    const redness = [6500, 4000, 2700].map((cctK) => planckianRgb(cctK)[0] / planckianRgb(cctK)[2]);
    expect(redness).toEqual([...redness].sort((a, b) => a - b));
  });
});

describe('light of a strip', () => {
  it('white gives all its lumens', () => {
    const strip = stripOf('white');
    expect(colourOf(white(4000), strip).lumensPerM).toBe(strip.lumensPerM);
  });

  it('mixed gives less, the fewer of its colours shine, and none for black', () => {
    const strip = stripOf('rgb');
    const lumens = (colour: string): number => colourOf(mixed(colour), strip).lumensPerM;
    expect(lumens('#ffffff')).toBeCloseTo(strip.lumensPerM, 6);
    expect(lumens('#ff0000') + lumens('#00ff00') + lumens('#0000ff')).toBeCloseTo(lumens('#ffffff'), 6);
    expect(lumens('#000000')).toBe(0);
    expect(lumens('#00ff00')).toBeGreaterThan(lumens('#ff0000'));
  });

  it('is halved in linear light by the sRGB value that stands for half', () => {
    const strip = stripOf('rgb');
    // 0.5 in linear light is 188 of 255 in sRGB.
    const ratio = colourOf(mixed('#bcbcbc'), strip).lumensPerM / colourOf(mixed('#ffffff'), strip).lumensPerM;
    expect(ratio).toBeCloseTo(0.5, 2);
  });

  it('with a white channel takes the common part from that', () => {
    const strip = stripOf('rgbw');
    const plain = colourOf(mixed('#ffffff'), { ...strip, colour: 'rgb' }).lumensPerM;
    expect(colourOf(mixed('#ffffff'), strip).lumensPerM).not.toBeCloseTo(plain, 1);
    // A pure colour has no common part.
    expect(colourOf(mixed('#ff0000'), strip).lumensPerM).toBeCloseTo(
      colourOf(mixed('#ff0000'), { ...strip, colour: 'rgb' }).lumensPerM,
      6,
    );
  });
});

describe('light through a coloured face', () => {
  it('keeps its luminance through a clear one', () => {
    const { luminanceShare, hue } = throughTint(planckianRgb(4000), [1, 1, 1]);
    expect(luminanceShare).toBeCloseTo(1, 9);
    expect(hue).toEqual(planckianRgb(4000).map((value) => expect.closeTo(value, 9)));
  });

  it('loses what the face holds back, channel by channel, and keeps a hue of luminance 1', () => {
    const light = planckianRgb(4000);
    const { luminanceShare, hue } = throughTint(light, [1, 0.2, 0.1]);
    expect(luminanceShare).toBeCloseTo(luminanceOf([light[0], 0.2 * light[1], 0.1 * light[2]]), 9);
    expect(luminanceOf(hue)).toBeCloseTo(1, 9);
    expect(hue[0] / hue[1]).toBeGreaterThan(light[0] / light[1]);
  });

  it('is dark where nothing of it passes', () => expect(throughTint([1, 0, 0], [0, 1, 1]).luminanceShare).toBe(0));
});
