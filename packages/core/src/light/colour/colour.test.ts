import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { channelsOf, shippedCatalogue } from '../../document/catalogue/index.js';
import { channelHue, colourOf, luminanceOf, mixOf, planckianRgb, uvOf } from './index.js';

const strips = shippedCatalogue.strips;

describe('CIE 1976 u′, v′', () => {
  // Of the primaries and the white of sRGB, IEC 61966-2-1, worked out from their x and y.
  it.each([
    ['white', [1, 1, 1], 0.1978, 0.4683],
    ['red', [1, 0, 0], 0.4507, 0.5229],
    ['green', [0, 1, 0], 0.125, 0.5625],
    ['blue', [0, 0, 1], 0.1754, 0.1579],
  ] as const)('of %s', (_, rgb, u, v) => {
    expect(uvOf(rgb)[0]).toBeCloseTo(u, 3);
    expect(uvOf(rgb)[1]).toBeCloseTo(v, 3);
  });

  it('does not depend on how bright it is; black has those of white', () => {
    expect(uvOf([0.2, 0.1, 0.05])[0]).toBeCloseTo(uvOf([0.4, 0.2, 0.1])[0], 12);
    expect(uvOf([0, 0, 0])[0]).toBeCloseTo(uvOf([1, 1, 1])[0], 3);
  });
});

describe('the light of a strip from its channels', () => {
  const colour = fc
    .tuple(fc.integer({ min: 0, max: 255 }), fc.integer({ min: 0, max: 255 }), fc.integer({ min: 0, max: 255 }))
    .map((parts) => `#${parts.map((part) => part.toString(16).padStart(2, '0')).join('')}`);

  it.each(strips.filter((strip) => strip.colour !== 'white').map((strip) => [strip.name, strip] as const))(
    'of %s adds up to the mixed colour, lumens and hue',
    (_, strip) => {
      fc.assert(
        fc.property(colour, (hex) => {
          const light = { kind: 'rgb', colour: hex } as const;
          const { hue, lumensPerM } = colourOf(light, strip);
          const levels = mixOf(light, strip);
          const sum = [0, 0, 0];
          let lumens = 0;
          channelsOf(strip).forEach((channel, index) => {
            const own = channel.lumensPerM * levels[index]!;
            lumens += own;
            channelHue(channel.name, strip).forEach((part, at) => (sum[at]! += own * part));
          });
          expect(lumens).toBeCloseTo(lumensPerM, 6);
          if (lumensPerM < 1e-6) return;
          const luminance = luminanceOf([sum[0]!, sum[1]!, sum[2]!]);
          // Each part of the hue within a thousandth of white’s.
          sum.forEach((part, at) => expect(Math.abs(part / luminance - hue[at]!)).toBeLessThan(2e-3));
        }),
        { numRuns: 60 },
      );
    },
  );

  it('has hues of luminance 1, white by its temperature', () => {
    for (const name of ['red', 'green', 'blue', 'white'] as const)
      expect(luminanceOf(channelHue(name, { whitesK: [3000] }))).toBeCloseTo(1, 9);
    expect(channelHue('white', { whitesK: [3000] })).toEqual(planckianRgb(3000));
    expect(channelHue('white', { whitesK: [] })).toEqual(planckianRgb(4000));
  });
});
