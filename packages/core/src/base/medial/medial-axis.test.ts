import { describe, expect, it } from '@jest/globals';
import { offset, rectRing, subtract, unite, type Outline } from '../outlines/index.js';
import { medialAxis, wideStrokes } from './index.js';

const rect = (x: number, y: number, width: number, height: number): Outline => [rectRing({ x, y, width, height })];
const lengthOf = (points: readonly (readonly [number, number])[], closed = false): number =>
  (closed ? [...points, points[0]!] : points).reduce(
    (sum, [x, y], at, all) => (at === 0 ? 0 : sum + Math.hypot(x - all[at - 1]![0], y - all[at - 1]![1])),
    0,
  );

describe('the medial axis', () => {
  it('of a bar is its middle line, as wide as the bar', () => {
    const lines = medialAxis(rect(0, 0, 200, 30));
    const spine = lines.reduce((a, b) => (lengthOf(b.points) > lengthOf(a.points) ? b : a));
    const inner = spine.points.filter(([x]) => x > 25 && x < 175);
    expect(inner.length).toBeGreaterThan(50);
    for (const [, y] of inner) expect(Math.abs(y - 15)).toBeLessThan(0.8);
    spine.widths.forEach((width, at) => {
      if (spine.points[at]![0] > 25 && spine.points[at]![0] < 175) expect(width).toBeCloseTo(30, 0);
    });
    expect(lengthOf(spine.points)).toBeGreaterThan(165);
  });

  it('of a ring is a closed circle half-way', () => {
    const disc = (radius: number): Outline => offset(rect(-0.5, -0.5, 1, 1), radius - 0.5);
    const [line, ...others] = medialAxis(subtract(disc(100), disc(60)));
    expect(others).toEqual([]);
    expect(line!.closed).toBe(true);
    for (const [x, y] of line!.points) expect(Math.abs(Math.hypot(x, y) - 80)).toBeLessThan(1);
    expect(lengthOf(line!.points, true)).toBeCloseTo(2 * Math.PI * 80, -1);
  });

  it('of a cross is two strokes that pass through each other', () => {
    const lines = medialAxis(unite([...rect(-100, -15, 200, 30), ...rect(-15, -100, 30, 200)]));
    const long = lines.filter(({ points }) => lengthOf(points) > 120);
    expect(long).toHaveLength(2);
    for (const { points } of long) expect(lengthOf(points)).toBeGreaterThan(165);
  });

  it('is none of nothing', () => expect(medialAxis([])).toEqual([]));
});

describe('middles for strip', () => {
  it('leave out strokes that are too narrow', () => {
    const dumbbell = unite([...rect(0, 0, 80, 60), ...rect(80, 25, 100, 10), ...rect(180, 0, 80, 60)]);
    const lines = wideStrokes(medialAxis(dumbbell), 20);
    const xs = lines.flatMap(({ points }) => points.map(([x]) => x));
    expect(xs.some((x) => x < 80)).toBe(true);
    expect(xs.some((x) => x > 180)).toBe(true);
    expect(xs.filter((x) => x > 95 && x < 165)).toEqual([]);
    expect(wideStrokes(medialAxis(rect(0, 0, 200, 8)), 20)).toEqual([]);
  });
});
