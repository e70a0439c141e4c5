import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../../base/maths/index.js';
import { cosineLaw, ledsAt } from '../../validation/bench.js';
import { nearbyLeds } from './index.js';

describe('LEDs near a place', () => {
  const random = seededRandom(3);
  const places = Array.from({ length: 300 }, () => [(random() - 0.5) * 900, (random() - 0.5) * 400, 10] as const);
  const lights = ledsAt(places, cosineLaw(1));

  it.each([15, 60, 250])('are all those within %d mm, each once, and none far beyond', (reach) => {
    const near = nearbyLeds(lights, reach);
    for (let trial = 0; trial < 60; trial += 1) {
      const [x, y] = [(random() - 0.5) * 1000, (random() - 0.5) * 500];
      const found = [...near(x, y)];
      const once = new Set(found);
      expect(once.size).toBe(found.length);
      const far = (led: number): number => Math.hypot(places[led]![0] - x, places[led]![1] - y);
      expect([...places.keys()].filter((led) => far(led) <= reach && !once.has(led))).toEqual([]);
      // Buckets are a third of the reach: the farthest corner of the last lies so far out.
      expect(Math.max(0, ...found.map(far))).toBeLessThan(reach * (4 / 3) * Math.SQRT2 + 1e-9);
    }
  });

  it('are the same when asked for again, and none where there are none', () => {
    const near = nearbyLeds(lights, 60);
    expect(near(12, -7)).toEqual(near(12, -7));
    expect(near(9000, 9000)).toHaveLength(0);
    expect(nearbyLeds(ledsAt([], cosineLaw(1)), 60)(0, 0)).toHaveLength(0);
  });

  it('are told apart on both sides of zero', () => {
    const four = ledsAt(
      [
        [-1, -1, 0],
        [1, -1, 0],
        [-1, 1, 0],
        [1, 1, 0],
      ],
      cosineLaw(1),
    );
    const near = nearbyLeds(four, 3);
    for (const at of [-0.5, 0, 0.5]) expect([...near(at, at)].sort()).toEqual([0, 1, 2, 3]);
  });
});
