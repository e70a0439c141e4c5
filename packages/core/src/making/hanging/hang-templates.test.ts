import { describe, expect, it } from '@jest/globals';
import { intersect, outlineArea, type Ring } from '../../base/outlines/index.js';
import { scaleFor } from '../templates/index.js';
import { cleatProfiles, footOutline } from './hang-templates.js';
import type { Cleat } from './types.js';

const cleat = { thicknessMm: 12, highMm: 40 } as Cleat;
const area = (ring: Ring): number => Math.abs(outlineArea([ring]));

describe('templates of what is sawn for hanging', () => {
  it('shows both battens of a cleat of one size, touching along their bevel and nowhere else', () => {
    const { wall, mate } = cleatProfiles(cleat);
    // 40 on the long side, 40 − 12 on the short one at 45°.
    expect(area(wall)).toBeCloseTo(12 * (40 + 28) * 0.5, 9);
    expect(area(mate)).toBeCloseTo(area(wall), 9);
    expect(Math.abs(outlineArea(intersect([wall], [mate])))).toBeLessThan(1e-9);
    // Lifted by less than the bevel rises it is still behind the wall’s batten, seen from the front.
    const lifted = mate.map(([x, y]) => [x + 1, y + 0.5] as const);
    expect(Math.abs(outlineArea(intersect([wall], [lifted])))).toBeGreaterThan(0.1);
  });

  it('rounds a foot above and leaves it flat below', () => {
    const foot = footOutline(98, 30, 20);
    const radius = 12;
    // A quarter round by eight chords.
    const quarter = 4 * radius ** 2 * Math.sin(Math.PI / 16);
    expect(area(foot)).toBeCloseTo(98 * 30 - 2 * (radius ** 2 - quarter), 6);
    expect(foot.filter(([, y]) => y === 0)).toEqual([
      [0, 0],
      [98, 0],
    ]);
  });

  it('leaves a foot square that ends under its case', () => {
    expect(area(footOutline(98, 30, 0))).toBeCloseTo(98 * 30, 9);
    expect(area(footOutline(98, 30, -4))).toBeCloseTo(98 * 30, 9);
  });

  it('takes the largest usual scale at which a drawing fits on its page', () => {
    expect(scaleFor({ widthMm: 200, heightMm: 150 }, 'a4')).toBe(1);
    expect(scaleFor({ widthMm: 300, heightMm: 150 }, 'a4')).toBe(2);
    expect(scaleFor({ widthMm: 273 * 5, heightMm: 178 * 5 }, 'a4')).toBe(5);
    expect(scaleFor({ widthMm: 273 * 5 + 1, heightMm: 100 }, 'a4')).toBe(10);
    expect(scaleFor({ widthMm: 1e6, heightMm: 100 }, 'a4')).toBe(100);
  });
});
