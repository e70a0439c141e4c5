import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../maths/index.js';
import { inOutline } from './inside.js';
import { lengthInside } from './inside-length.js';
import { rectRing } from './measure.js';
import type { Outline, Point } from './types.js';
import { subtract } from './unite.js';

const frame = subtract(
  [rectRing({ x: 0, y: 0, width: 100, height: 60 })],
  [rectRing({ x: 20, y: 20, width: 60, height: 20 })],
);

/** The same by places along it. */
const sampled = (from: Point, to: Point, outline: Outline): number => {
  const count = 4000;
  let inside = 0;
  for (let step = 0; step < count; step += 1) {
    const share = (step + 0.5) / count;
    if (inOutline([from[0] + (to[0] - from[0]) * share, from[1] + (to[1] - from[1]) * share], outline)) inside += 1;
  }
  return (inside / count) * Math.hypot(to[0] - from[0], to[1] - from[1]);
};

describe('how much of a line is inside', () => {
  it.each<[string, Point, Point, number]>([
    ['across', [-10, 10], [110, 10], 100],
    ['over the hole', [-10, 30], [110, 30], 40],
    ['from one edge to another', [0, 30], [100, 30], 40],
    ['from the edge in', [0, 30], [20, 30], 20],
    ['to the edge', [10, 10], [100, 10], 90],
    ['from a corner', [0, 0], [20, 20], Math.hypot(20, 20)],
    ['from an edge outward', [100, 30], [140, 30], 0],
    ['from the edge of the hole across it', [20, 30], [80, 30], 0],
  ])('%s', (_, from, to, mm) => {
    expect(lengthInside(from, to, frame)).toBeCloseTo(mm, 6);
    expect(lengthInside(to, from, frame)).toBeCloseTo(mm, 6);
  });

  it('agrees with looking at place after place, on lines by chance', () => {
    const random = seededRandom(5);
    for (let line = 0; line < 200; line += 1) {
      const from: Point = [random() * 140 - 20, random() * 100 - 20];
      const to: Point = [random() * 140 - 20, random() * 100 - 20];
      expect(Math.abs(lengthInside(from, to, frame) - sampled(from, to, frame))).toBeLessThan(0.2);
    }
  });
});
