import { describe, expect, it } from '@jest/globals';
import { fingerprint, boundedCache } from '../maths/index.js';
import {
  byShape,
  moveOutline,
  offset,
  outlineArea,
  outlineByShape,
  rectRing,
  subtract,
  type Outline,
} from './index.js';

const rect = (x: number, y: number, width: number, height: number): Outline => [rectRing({ x, y, width, height })];
const ring = subtract(rect(0, 0, 40, 60), rect(10, 12, 15, 30));

describe('work done by shape', () => {
  const counted = () => {
    let calls = 0;
    const area = byShape(
      (part, times: number) => {
        calls += 1;
        return outlineArea(part) * times;
      },
      (value) => value,
    );
    return { area, calls: () => calls };
  };

  it('is done once for a shape, wherever it stands', () => {
    const { area, calls } = counted();
    for (let step = 0; step < 30; step += 1) {
      const moved = moveOutline(ring, 17.3 * step - 100 / 3, Math.PI * step);
      expect(area(moved, 2)).toBeCloseTo(2 * outlineArea(ring), 6);
    }
    expect(calls()).toBe(1);
  });

  it('is done anew for another shape, another wish, or a hole that has moved in it', () => {
    const { area, calls } = counted();
    area(ring, 1);
    area(ring, 2);
    area(rect(0, 0, 40, 60), 1);
    area(subtract(rect(0, 0, 40, 60), rect(10.001, 12, 15, 30)), 1);
    expect(calls()).toBe(4);
  });

  it('comes out where the part is, as if worked out there', () => {
    const inset = outlineByShape((part, mm: number) => offset(part, -mm));
    for (const [dx, dy] of [
      [0, 0],
      [123.456, -78.9],
      [-1e4, 1e4],
    ] as const) {
      const moved = moveOutline(ring, dx, dy);
      const [found, straight] = [inset(moved, 3).flat(), offset(moved, -3).flat()];
      expect(found).toHaveLength(straight.length);
      // The clipper counts whole micrometres, here from the part’s own corner.
      found.forEach(([x, y]) =>
        expect(Math.min(...straight.map((other) => Math.hypot(other[0] - x, other[1] - y)))).toBeLessThan(0.0025),
      );
    }
  });

  it('of nothing is nothing', () => expect(outlineByShape((part) => part)([])).toEqual([]));
});

describe('a memory by key', () => {
  it('answers from memory, and lets go of what was asked for longest ago', () => {
    const known = boundedCache<string>(2);
    const asked: string[] = [];
    const ask = (key: string): string =>
      known(key, () => {
        asked.push(key);
        return key.toUpperCase();
      });
    expect(['a', 'b', 'a', 'c', 'a', 'b'].map(ask)).toEqual(['A', 'B', 'A', 'C', 'A', 'B']);
    // b was let go for c, since a had been asked for after it.
    expect(asked).toEqual(['a', 'b', 'c', 'b']);
  });
});

describe('a fingerprint', () => {
  const of = (...numbers: readonly number[]): string => {
    const print = fingerprint();
    numbers.forEach((number) => print.add(number));
    return print.text();
  };

  it('tells lists apart by value, order, sign, length and size', () => {
    const lists = [[], [0], [0, 0], [1], [-1], [1, 2], [2, 1], [2 ** 32 + 1], [2 ** 33 + 1], [3_000_000_000]];
    expect(new Set(lists.map((list) => of(...list))).size).toBe(lists.length);
    expect(of(5, 7, -3)).toBe(of(5, 7, -3));
  });

  it('does not repeat itself over a hundred thousand neighbours', () => {
    const texts = new Set<string>();
    for (let x = 0; x < 316; x += 1) for (let y = 0; y < 316; y += 1) texts.add(of(x, y));
    expect(texts.size).toBe(316 * 316);
  });
});
