import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../maths/index.js';
import { measureLine, ringArea, roundCorners, type Point, type Ring } from './index.js';

const square: Ring = [
  [0, 0],
  [100, 0],
  [100, 100],
  [0, 100],
];

/** How far a place is from a stretch of line. */
const offStretch = ([px, py]: Point, [ax, ay]: Point, [bx, by]: Point): number => {
  const length2 = (bx - ax) ** 2 + (by - ay) ** 2;
  const share = length2 === 0 ? 0 : Math.max(0, Math.min(1, ((px - ax) * (bx - ax) + (py - ay) * (by - ay)) / length2));
  return Math.hypot(px - ax - share * (bx - ax), py - ay - share * (by - ay));
};

describe('corners that are rounded', () => {
  it.each([5, 20, 45])('take (4 − π) r² of a square at a radius of %d mm', (radiusMm) => {
    const lost = 100 * 100 - ringArea(roundCorners(square, true, radiusMm));
    // Chords of an arc lie inside it: they take a little more.
    expect(lost / ((4 - Math.PI) * radiusMm ** 2)).toBeGreaterThan(1 - 1e-9);
    expect(lost - (4 - Math.PI) * radiusMm ** 2).toBeLessThan(0.05 * 2 * Math.PI * radiusMm);
  });

  it('of more than half a side make a circle of it', () => {
    const round = roundCorners(square, true, 400);
    for (const [x, y] of round) expect(Math.hypot(x - 50, y - 50)).toBeCloseTo(50, 6);
  });

  it('of a line leave its ends, and may take all of a side that ends it', () => {
    const bent = roundCorners(
      [
        [0, 0],
        [60, 0],
        [60, 40],
      ],
      false,
      100,
    );
    expect(bent[0]).toEqual([0, 0]);
    expect(bent.at(-1)).toEqual([60, 40]);
    // The shorter side is all arc: a quarter of 40 mm.
    expect(measureLine(bent, false).lengthMm).toBeCloseTo(20 + (Math.PI * 40) / 2, 0);
  });

  it('leave straight lines, doubled points and lines without a corner alone', () => {
    const straight: Ring = [
      [0, 0],
      [30, 0],
      [80, 0],
    ];
    expect(roundCorners(straight, false, 10)).toEqual(straight);
    expect(roundCorners(straight.slice(0, 2), false, 10)).toEqual(straight.slice(0, 2));
    expect(roundCorners(square, true, 0)).toBe(square);
    const doubled: Ring = [
      [0, 0],
      [50, 0],
      [50, 0],
      [50, 50],
    ];
    expect(roundCorners(doubled, false, 10)).toEqual(doubled);
  });

  it('make lines by chance shorter, and leave them no farther than the radius allows', () => {
    const random = seededRandom(12);
    for (let turn = 0; turn < 60; turn += 1) {
      const closed = turn % 2 === 0;
      const line = Array.from({ length: 3 + (turn % 6) }, (): Point => [300 * random(), 200 * random()]);
      const radiusMm = 1 + 40 * random();
      const round = roundCorners(line, closed, radiusMm);
      const ring = closed ? [...line, line[0]!] : line;
      expect(measureLine(round, closed).lengthMm).toBeLessThanOrEqual(measureLine(line, closed).lengthMm + 1e-9);
      for (const place of round) {
        expect(place.every(Number.isFinite)).toBe(true);
        const off = Math.min(...ring.slice(1).map((to, at) => offStretch(place, ring[at]!, to)));
        // An arc is nowhere farther from the sides that it touches than its radius.
        expect(off).toBeLessThanOrEqual(radiusMm + 1e-6);
      }
    }
  });
});
