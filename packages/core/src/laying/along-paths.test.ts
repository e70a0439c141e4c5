import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { ellipseRing } from '../curves/index.js';
import { inOutline, offset, rectRing, subtract, unite, type Outline } from '../outlines/index.js';
import { layAlongOutline, type OutlineWish } from './index.js';

const wish: OutlineWish = {
  setbackMm: 10,
  lines: 1,
  linePitchMm: 12,
  stripWidthMm: 8,
  cutPitchMm: 25,
  ledPitchMm: 12.5,
  bendRadiusMm: 20,
};
const plate = (width: number, height: number): Outline => [rectRing({ x: 0, y: 0, width, height })];

describe('strip along an outline', () => {
  it('runs all round a disc in one piece of whole cuts', () => {
    const disc: Outline = [ellipseRing([0, 0], 80, 80, 0, 0.02)];
    const { pieces, corners, jumpers } = layAlongOutline(disc, wish);
    expect(pieces).toHaveLength(1);
    expect(corners).toEqual([]);
    expect(jumpers).toEqual([]);
    const round = 2 * Math.PI * (80 - 14);
    expect(pieces[0]!.lengthMm).toBe(Math.floor(round / 25) * 25);
    expect(pieces[0]!.leftoverMm).toBeCloseTo(round - pieces[0]!.lengthMm, 0);
    expect(pieces[0]!.leds).toHaveLength(pieces[0]!.lengthMm / 12.5);
    for (const { at } of pieces[0]!.leds) expect(Math.hypot(...at)).toBeCloseTo(66, 1);
  });

  it('is cut at the corners of a plate, a piece a side, and wired on', () => {
    const { pieces, corners, jumpers } = layAlongOutline(plate(300, 150), wish);
    expect(corners).toHaveLength(4);
    for (const { turnDeg, way } of corners) {
      expect(turnDeg).toBeCloseTo(90, 0);
      expect(way).toBe('cut-and-wire');
    }
    expect(pieces.map(({ lengthMm }) => lengthMm).sort((a, b) => a - b)).toEqual([100, 100, 250, 250]);
    expect(jumpers).toHaveLength(3);
    for (const { from, to, lengthMm } of jumpers)
      expect(lengthMm).toBeCloseTo(Math.hypot(from[0] - to[0], from[1] - to[1]) + 30, 6);
  });

  it('bends round corners that are round enough, and loops round gentle ones', () => {
    const round = offset(plate(300, 150), 60);
    expect(layAlongOutline(round, wish).corners).toEqual([]);
    const hexagon: Outline = [
      Array.from(
        { length: 6 },
        (_, at) => [150 * Math.cos((at * Math.PI) / 3), 150 * Math.sin((at * Math.PI) / 3)] as const,
      ),
    ];
    expect(layAlongOutline(hexagon, wish).corners.map(({ way }) => way)).toEqual(
      Array.from({ length: 6 }, () => 'loop'),
    );
  });

  it('follows counters too, and lies in several lines side by side', () => {
    const ring = subtract(plate(300, 300), [rectRing({ x: 120, y: 120, width: 60, height: 60 })]);
    const one = layAlongOutline(ring, wish);
    expect(one.pieces).toHaveLength(8);
    const two = layAlongOutline(ring, { ...wish, lines: 2 });
    expect(new Set(two.pieces.map(({ line }) => line))).toEqual(new Set([0, 1]));
    expect(two.stripMm).toBeGreaterThan(1.7 * one.stripMm);
  });

  it('leaves what is too narrow bare, and says which', () => {
    const both = unite([...plate(200, 200), rectRing({ x: 400, y: 0, width: 20, height: 200 })]);
    const { bare, pieces } = layAlongOutline(both, wish);
    expect(bare).toHaveLength(1);
    expect(bare[0]!.every(([x]) => x >= 400)).toBe(true);
    expect(pieces.flatMap(({ path }) => path).every(([x]) => x < 200)).toBe(true);
    expect(layAlongOutline([], wish)).toMatchObject({ pieces: [], corners: [], jumpers: [], stripMm: 0, bare: [] });
  });

  it('keeps every LED behind the letter by its setback, on whole cuts, numbered in order', () => {
    const size = fc.integer({ min: 40, max: 300 });
    const part = fc.tuple(size, size, size, size).map(([x, y, width, height]) => rectRing({ x, y, width, height }));
    fc.assert(
      fc.property(fc.array(part, { minLength: 1, maxLength: 4 }), (parts) => {
        const outline = unite(parts);
        const { pieces } = layAlongOutline(outline, wish);
        const inside = offset(outline, -wish.setbackMm);
        pieces.forEach(({ number, lengthMm, leds, leftoverMm }, index) => {
          expect(number).toBe(index + 1);
          expect(lengthMm % 25).toBe(0);
          expect(leftoverMm).toBeLessThan(25);
          for (const { at, along } of leds) {
            expect(inOutline(at, inside)).toBe(true);
            expect(Math.hypot(...along)).toBeCloseTo(1, 6);
          }
        });
      }),
      { seed: 31, numRuns: 60 },
    );
  });
});
