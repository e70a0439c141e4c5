import { describe, expect, it } from '@jest/globals';
import { rectRing, type Ring } from '../../base/outlines/index.js';
import { freePlace } from './free-place.js';
import { restOfReel } from './rest-of-reel.js';
import type { PanelResults } from './results.js';

type Bounds = readonly [x: number, y: number, width: number, height: number];
type Asked = Pick<PanelResults, 'areas' | 'geometry'>;

/** A sheet of 240 × 160 mm about the origin, its lowest 14 mm unseen, with areas of these bounds. */
const outlined = (ring: Ring, ...bounds: readonly Bounds[]): Asked =>
  ({
    geometry: {
      sheet: { x: -120, y: -80, width: 240, height: 160 },
      seen: { x: -120, y: -66, width: 240, height: 146 },
      ring,
    },
    areas: bounds.map(([x, y, width, height], place) => ({
      place,
      lettering: { outline: [rectRing({ x, y, width, height })] },
    })),
  }) as unknown as Asked;
const panel = (...bounds: readonly Bounds[]): Asked =>
  outlined(rectRing({ x: -120, y: -80, width: 240, height: 160 }), ...bounds);

describe('a place for a picture', () => {
  it('is what is seen of the sheet where nothing else is worked', () => {
    // 146 − 12 mm of height for 3 : 4, and 85 % of that.
    expect(freePlace(panel(), 0, 0.75)).toEqual({
      widthMm: Math.floor(0.85 * (134 / 0.75)),
      offsetXMm: 0,
      offsetYMm: 7,
    });
  });

  it('is the largest room beside what is worked', () => {
    const above = freePlace(panel([-60, -60, 120, 30]), 1, 0.75);
    expect(above.widthMm).toBe(Math.floor((80 + 30 - 12) / 0.75));
    expect(above.offsetYMm).toBe(25);
    const beside = freePlace(panel([-110, -60, 60, 130]), 1, 2);
    expect(beside.offsetXMm).toBe(35);
  });

  it('keeps within a drawn outline', () => {
    const gable: Ring = [
      [-120, -80],
      [120, -80],
      [120, 0],
      [0, 80],
      [-120, 0],
    ];
    const { widthMm, offsetXMm, offsetYMm } = freePlace(outlined(gable, [-60, -60, 120, 30]), 1, 0.75);
    expect(widthMm).toBeGreaterThan(40);
    const [half, high] = [widthMm / 2, offsetYMm + (0.75 * widthMm) / 2];
    // Its upper corners lie under the slope, which falls by 80 in 120.
    expect(offsetXMm).toBe(0);
    expect(high).toBeLessThanOrEqual(80 - (half * 80) / 120);
  });

  it('is small and over the middle where there is no room', () => {
    expect(freePlace(panel([-118, -64, 236, 142]), 1, 1).widthMm).toBe(Math.floor(0.3 * 146));
  });
});

describe('the rest of a reel', () => {
  const strip = { reelMm: 5000, cutPitchMm: 50 };
  const rest = (...laid: readonly (readonly [on: string, lengthMm: number])[]): number =>
    restOfReel({
      runs: { segments: laid.map(([on, lengthMm]) => ({ on, lengthMm })) },
      materials: { strip },
    } as unknown as Parameters<typeof restOfReel>[0]);

  it('is what the edges leave of the last one, in whole cuts, whatever lies underneath already', () => {
    expect(rest(['top', 650])).toBe(4350);
    expect(rest(['top', 660], ['back', 4000])).toBe(4300);
    expect(rest(['top', 3000], ['bottom', 3000])).toBe(4000);
    expect(rest(['left', 5000])).toBe(0);
    expect(rest()).toBe(0);
  });
});
