import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../maths/index.js';
import {
  coverage,
  inOutline,
  insideByLine,
  moveOutline,
  outlineArea,
  outlineBounds,
  rectRing,
  ringArea,
  subtract,
  unite,
  type Point,
  type Ring,
} from './index.js';

const circle = (radius: number, points = 720): Ring =>
  Array.from({ length: points }, (_, index): Point => {
    const angle = (2 * Math.PI * index) / points;
    return [radius * Math.cos(angle), radius * Math.sin(angle)];
  });

describe('areas and bounds', () => {
  it('counts anticlockwise as positive', () => {
    const square = rectRing({ x: 0, y: 0, width: 4, height: 3 });
    expect(ringArea(square)).toBe(12);
    expect(ringArea([...square].reverse())).toBe(-12);
    expect(ringArea([])).toBe(0);
    expect(outlineBounds([])).toBeNull();
    expect(outlineBounds(moveOutline([square], 1, -1))).toEqual({ x: 1, y: -1, width: 4, height: 3 });
  });
});

describe('union and difference', () => {
  it('unites overlapping squares: areas add but for the overlap', () => {
    const both = unite([
      rectRing({ x: 0, y: 0, width: 10, height: 10 }),
      rectRing({ x: 5, y: 5, width: 10, height: 10 }),
    ]);
    expect(outlineArea(both)).toBeCloseTo(175, 6);
    expect(both).toHaveLength(1);
  });

  it('keeps a hole as a clockwise ring', () => {
    const ring = subtract([circle(10)], [circle(4)]);
    expect(ring.map((part) => Math.sign(ringArea(part))).sort()).toEqual([-1, 1]);
    expect(outlineArea(ring)).toBeCloseTo(Math.PI * (100 - 16), 1);
  });
});

describe('coverage of a raster', () => {
  const area = { x: -12, y: -12, width: 24, height: 24 };

  it('adds up to the area of the outline', () => {
    const map = coverage([circle(10)], area, 97, 61);
    const cell = (24 / 97) * (24 / 61);
    expect(map.reduce((sum, share) => sum + share, 0) * cell).toBeCloseTo(Math.PI * 100, 0);
    expect(Math.max(...map)).toBeLessThanOrEqual(1 + 1e-5);
  });

  it('is exact for rectangles on the grid and empty for nothing', () => {
    const map = coverage([rectRing({ x: -12, y: -12, width: 12, height: 24 })], area, 4, 4);
    expect([...map]).toEqual([1, 1, 0, 0, 1, 1, 0, 0, 1, 1, 0, 0, 1, 1, 0, 0]);
    expect(coverage([], area, 4, 4).every((share) => share === 0)).toBe(true);
  });

  it('agrees with random points thrown at a ring with a hole', () => {
    const ring = subtract([circle(10)], [circle(6)]);
    const map = coverage(ring, area, 48, 48);
    const random = seededRandom(2);
    const throws = 20_000;
    let hits = 0;
    for (let turn = 0; turn < throws; turn += 1) {
      const [x, y] = [random() * 24 - 12, random() * 24 - 12];
      const distance = Math.hypot(x, y);
      if (distance < 10 && distance > 6) hits += 1;
    }
    const share = map.reduce((sum, value) => sum + value, 0) / map.length;
    expect(Math.abs(share - hits / throws)).toBeLessThan(0.012);
  });
});

describe('inside', () => {
  const ringed = [circle(10, 60), [...circle(4, 60)].reverse()];

  it('is the same point by point and line by line, in any order of lines', () => {
    const [byLine, random] = [insideByLine(ringed), seededRandom(5)];
    const lines = Array.from({ length: 7 }, () => 22 * random() - 11);
    for (let at = 0; at < 4000; at += 1) {
      const [x, y] = [22 * random() - 11, lines[Math.floor(random() * lines.length)]!];
      expect(byLine(x, y)).toBe(inOutline([x, y], ringed));
    }
  });

  it('of nothing is nowhere', () => {
    expect(insideByLine([])(0, 0)).toBe(false);
  });
});
