import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  intersect,
  outlineArea,
  outlineBounds,
  rectRing,
  splitAlong,
  splitAlongAll,
  subtract,
  unite,
  type Outline,
} from './index.js';

const bar: Outline = [rectRing({ x: 0, y: 0, width: 300, height: 100 })];
const areaOf = (parts: readonly Outline[]): number => parts.reduce((sum, part) => sum + outlineArea(part), 0);

describe('cutting an outline along a line', () => {
  it('gives the parts of both sides; with pins nothing is lost, and pins stand on the joint', () => {
    const { parts, pins } = splitAlong(bar, { at: [120, 50], angleDeg: 90 }, 'pins');
    expect(parts).toHaveLength(2);
    expect(areaOf(parts)).toBeCloseTo(30_000, 3);
    expect(parts.map((part) => outlineBounds(part)!.width).sort((a, b) => a - b)).toEqual([
      expect.closeTo(120, 3),
      expect.closeTo(180, 3),
    ]);
    expect(pins).toHaveLength(2);
    for (const [x, y] of pins) {
      expect(x).toBeCloseTo(120, 6);
      expect([25, 75].some((place) => Math.abs(y - place) < 1e-6)).toBe(true);
    }
  });

  it('with tabs gives one side a dovetail that the other takes with a little play', () => {
    const { parts, pins } = splitAlong(bar, { at: [150, 50], angleDeg: 90 }, 'tabs');
    expect(pins).toEqual([]);
    expect(parts).toHaveLength(2);
    const widths = parts.map((part) => outlineBounds(part)!.width).sort((a, b) => a - b);
    // 35 % of the joint wide, half as deep.
    expect(widths[0]).toBeCloseTo(150, 1);
    expect(widths[1]).toBeCloseTo(150 + 17.5, 1);
    // The parts do not overlap, and what is missing is the play round one tab.
    expect(Math.abs(outlineArea(intersect(parts[0]!, parts[1]!)))).toBeLessThan(1);
    const missing = 30_000 - areaOf(parts);
    expect(missing).toBeGreaterThan(0);
    expect(missing).toBeLessThan(0.1 * 100 + 1);
  });

  it('cuts several times, at any angle, and leaves what it does not meet as it was', () => {
    const { parts } = splitAlongAll(
      bar,
      [
        { at: [100, 50], angleDeg: 90 },
        { at: [200, 50], angleDeg: 80 },
      ],
      'pins',
    );
    expect(parts).toHaveLength(3);
    expect(areaOf(parts)).toBeCloseTo(30_000, 0);
    expect(splitAlong(bar, { at: [0, 500], angleDeg: 0 }, 'tabs').parts).toHaveLength(1);
    expect(splitAlong([], { at: [0, 0], angleDeg: 0 }, 'tabs').parts).toEqual([]);
  });

  it('loses nothing but play, whatever the outline and the line', () => {
    const size = fc.integer({ min: 30, max: 200 });
    const part = fc.tuple(size, size, size, size).map(([x, y, width, height]) => rectRing({ x, y, width, height }));
    fc.assert(
      fc.property(
        fc.array(part, { minLength: 1, maxLength: 4 }),
        fc.tuple(size, size),
        fc.integer({ min: 0, max: 179 }),
        fc.constantFrom('tabs' as const, 'pins' as const),
        (bars, at, angleDeg, registration) => {
          const outline = unite(bars);
          const { parts } = splitAlong(outline, { at, angleDeg }, registration);
          const missing = outlineArea(outline) - areaOf(parts);
          expect(missing).toBeGreaterThan(-1);
          expect(missing).toBeLessThan(60);
          const outside = subtract(parts.flat(), outline);
          expect(Math.abs(outlineArea(outside))).toBeLessThan(1);
        },
      ),
      { seed: 19, numRuns: 80 },
    );
  });
});
