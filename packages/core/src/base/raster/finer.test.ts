import { describe, expect, it } from '@jest/globals';
import { blurOver, cellMiddle, finer, gridOver } from './index.js';

const smooth = (x: number, y: number): number => 100 / (1 + (x * x + y * y) / 900) ** 2;

const filled = (grid: ReturnType<typeof gridOver>): Float64Array =>
  Float64Array.from({ length: grid.columns * grid.rows }, (_, cell) => smooth(...cellMiddle(grid, cell)));

describe('a coarse map made finer', () => {
  const coarse = gridOver({ x: -120, y: -90, width: 240, height: 180 }, 24, 18);

  it('is the smooth thing it was taken from', () => {
    const fine = gridOver({ x: -80, y: -50, width: 160, height: 100 }, 64, 50);
    const worst = (from: ReturnType<typeof gridOver>): number => {
      const found = finer(filled(from), from, fine);
      return filled(fine).reduce((most, expected, cell) => Math.max(most, Math.abs(found[cell]! - expected)), 0);
    };
    // Of a peak of 100, and falling with the fourth power of the spacing.
    const twiceAsFine = gridOver(coarse.area, 48, 36);
    expect(worst(coarse)).toBeLessThan(1);
    expect(worst(twiceAsFine)).toBeLessThan(worst(coarse) / 8);
  });

  it('is itself on its own raster, wherever that lies', () => {
    const found = finer(filled(coarse), coarse, coarse);
    filled(coarse).forEach((expected, cell) => expect(found[cell]).toBeCloseTo(expected, 9));
  });
});

describe('a blur', () => {
  const grid = gridOver({ x: 0, y: 0, width: 60, height: 40 }, 30, 20);
  const map = filled(gridOver({ x: -30, y: -20, width: 60, height: 40 }, 30, 20));
  const sum = (values: Float64Array): number => values.reduce((all, value) => all + value, 0);

  it('that lets everything through changes nothing', () => {
    const found = blurOver(grid, () => 1, 10)(map);
    map.forEach((expected, cell) => expect(found[cell]).toBeCloseTo(expected, 9));
  });

  it('keeps the sum, since edges mirror, and evens out', () => {
    const found = blurOver(grid, (f) => Math.exp(-((f * 40) ** 2)), 60)(map);
    expect(Math.abs(sum(found) / sum(map) - 1)).toBeLessThan(0.02);
    expect(Math.max(...found) - Math.min(...found)).toBeLessThan(0.8 * (Math.max(...map) - Math.min(...map)));
  });

  it('is made once for many maps, each by itself', () => {
    const blur = blurOver(grid, (f) => Math.exp(-((f * 10) ** 2)), 30);
    const once = blur(map);
    blur(map.map((value) => 2 * value));
    expect(blur(map)).toEqual(once);
    blur(map.map((value) => 3 * value)).forEach((value, cell) => expect(value).toBeCloseTo(3 * once[cell]!, 9));
  });
});
