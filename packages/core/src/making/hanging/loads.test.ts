import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { Point } from '../../base/outlines/index.js';
import { fixingLoads, leanOver } from './index.js';

const coordinate = fc.integer({ min: -500, max: 500 });
const point = fc.tuple(coordinate, coordinate);

describe('what fixings carry', () => {
  it('is by the lever rule for two on a level line', () => {
    const [left, right] = fixingLoads(
      [
        [0, 50],
        [200, 50],
      ],
      [60, 0],
      3,
    );
    expect(left!.downKg).toBeCloseTo(3 * 0.7, 12);
    expect(right!.downKg).toBeCloseTo(3 * 0.3, 12);
    expect(left!.acrossKg).toBeCloseTo(0, 12);
  });

  it('pulls and pushes level on two that stand above each other, beside the weight', () => {
    const [upper, lower] = fixingLoads(
      [
        [0, 100],
        [0, -100],
      ],
      [30, 0],
      2,
    );
    expect([upper!.downKg, lower!.downKg]).toEqual([1, 1]);
    // A couple of 2 kg × 30 mm over 200 mm.
    expect(upper!.acrossKg).toBeCloseTo(0.3, 12);
    expect(upper!.acrossKg).toBeCloseTo(-lower!.acrossKg, 12);
    expect(upper!.kg).toBeCloseTo(Math.hypot(1, 0.3), 12);
  });

  it('is in balance with the weight, whatever hangs on whatever', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(point, { minLength: 2, maxLength: 7, selector: String }),
        point,
        (fixings: Point[], centre: Point) => {
          const loads = fixingLoads(fixings, centre, 5);
          const sum = (of: (at: number) => number): number => loads.reduce((all, _, at) => all + of(at), 0);
          expect(sum((at) => loads[at]!.downKg)).toBeCloseTo(5, 9);
          expect(sum((at) => loads[at]!.acrossKg)).toBeCloseTo(0, 9);
          // Moments about the origin: of what the fixings give, and of the weight.
          const held = sum((at) => fixings[at]![0] * loads[at]!.downKg + fixings[at]![1] * loads[at]!.acrossKg);
          expect(held).toBeCloseTo(5 * centre[0], 6);
        },
      ),
      { seed: 4, numRuns: 100 },
    );
  });
});

describe('leaning', () => {
  const pair: readonly Point[] = [
    [0, 0],
    [100, 0],
  ];
  const lean = (x: number): number => leanOver(pair, fixingLoads(pair, [x, -50], 1), 0.25, 300);

  it('is none while both carry, and takes up the play where one is lifted', () => {
    expect(lean(10)).toBe(0);
    expect(lean(90)).toBe(0);
    expect(lean(150)).toBeCloseTo((2 * 0.25 * 300) / 100, 12);
  });

  it('is some on two above each other, the more the farther the weight is aside', () => {
    const stem: readonly Point[] = [
      [0, 100],
      [0, -100],
    ];
    const aside = (x: number): number => leanOver(stem, fixingLoads(stem, [x, 0], 1), 0.25, 300);
    expect(aside(0)).toBe(0);
    // Pulled aside as hard as down: each goes 0.25 / √2 that way.
    expect(aside(100)).toBeCloseTo((2 * (0.25 / Math.SQRT2) * 300) / 200, 12);
    expect(aside(30)).toBeLessThan(aside(60));
  });
});
