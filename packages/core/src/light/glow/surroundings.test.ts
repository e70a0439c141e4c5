import { describe, expect, it } from '@jest/globals';
import { demoDesigns } from '../../sign/demo/index.js';
import type { Brief } from '../../document/design/index.js';
import { brightnessLimit, surroundingsOf, wallBesideCdM2, wantedCdM2 } from './surroundings.js';

const brief = (change: Partial<Brief>): Brief => {
  const { surroundings: _, ...plain } = demoDesigns.dispensary.brief;
  return { ...plain, ...change };
};

describe('how bright a place takes', () => {
  it.each([
    ['country', 50],
    ['low', 400],
    ['town', 800],
    ['city', 1000],
  ] as const)('after dark in %s: %d cd/m²', (surroundings, limit) => {
    expect(brightnessLimit(brief({ surroundings, exposure: 'outdoors' }))).toBe(limit);
  });

  it('is a town where a sign in the wet does not say, and indoors where it hangs indoors', () => {
    expect(surroundingsOf(brief({ exposure: 'outdoors' }))).toBe('town');
    expect(surroundingsOf(brief({ exposure: 'indoors' }))).toBe('indoors');
    expect(surroundingsOf(brief({ exposure: 'indoors', surroundings: 'city' }))).toBe('city');
  });

  it('indoors goes by a white wall in the light of the place: twenty times', () => {
    const shop = brief({ exposure: 'indoors', ambient: 'shop' });
    expect(wallBesideCdM2(shop)).toBeCloseTo((500 * 0.8) / Math.PI, 9);
    expect(brightnessLimit(shop)).toBeCloseTo(20 * wallBesideCdM2(shop), 9);
    // Nor sun nor darkness falls on a wall indoors.
    expect(brightnessLimit(brief({ exposure: 'indoors', ambient: 'noon' }))).toBe(brightnessLimit(shop));
    const evening = brightnessLimit(brief({ exposure: 'indoors', ambient: 'evening' }));
    expect(brightnessLimit(brief({ exposure: 'indoors', ambient: 'dark' }))).toBe(evening);
    expect(evening).toBeLessThan(brightnessLimit(shop));
  });

  it('wants less than the limit everywhere', () => {
    for (const surroundings of ['indoors', 'country', 'low', 'town', 'city'] as const) {
      const asked = brief({ surroundings, ambient: 'shop' });
      expect(wantedCdM2(asked)).toBeLessThanOrEqual(brightnessLimit(asked) / 2);
    }
  });
});
