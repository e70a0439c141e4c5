import { describe, expect, it } from '@jest/globals';
import { cosineLaw, ledsAt } from '../../validation/bench.js';
import { lightTable, nearAndFar, reachHeights, type LightTable } from './light-table.js';
import type { HaloScene } from './types.js';

const height = 18;
const scene = (change: Partial<HaloScene> = {}): HaloScene => ({
  outline: [],
  standoffMm: 20,
  returnMm: 0,
  posts: [],
  lights: ledsAt(
    [
      [0, 0, height],
      [30, 0, height],
    ],
    cosineLaw(1),
    2,
    [0, 0, -1],
  ),
  wallReflectance: 0,
  backReflectance: 0,
  ...change,
});
const table = lightTable(scene())!;
const at = ({ lux, stepsPerMm2, steps }: LightTable, far: number): number => {
  const place = far * far * stepsPerMm2;
  if (place >= steps) return 0;
  const step = Math.floor(place);
  return lux[step]! + (place - step) * (lux[step + 1]! - lux[step]!);
};
/** I cos γ / d² of one lumen with a cosine law. */
const exact = (far: number): number => (1e6 * height * height) / (Math.PI * (far * far + height * height) ** 2);

describe('a table of light by distance', () => {
  it('is I cos γ / d², to a few parts in ten thousand of its peak, out to its reach', () => {
    for (let far = 0; far < reachHeights * height; far += 0.37)
      expect(Math.abs(at(table, far) - exact(far))).toBeLessThan(4e-4 * exact(0));
    expect(at(table, reachHeights * height + 1)).toBe(0);
  });

  it('of a narrow beam is that of its law', () => {
    const narrow = lightTable(scene({ lights: ledsAt([[0, 0, height]], cosineLaw(4), 1, [0, 0, -1]) }))!;
    const axis = (5 / (2 * Math.PI)) * (1e6 / height ** 2);
    for (const far of [0, 5, 18, 40]) {
      const cosine = height / Math.hypot(far, height);
      expect(Math.abs(at(narrow, far) - axis * cosine ** 7)).toBeLessThan(1e-3 * axis);
    }
  });

  it('is none where more than distance counts: returns, unlike heights, strip that looks aside, no LEDs', () => {
    const down = [0, 0, -1] as const;
    expect(lightTable(scene({ returnMm: 30 }))).toBeNull();
    expect(
      lightTable(
        scene({
          lights: ledsAt(
            [
              [0, 0, 18],
              [5, 0, 12],
            ],
            cosineLaw(1),
            1,
            down,
          ),
        }),
      ),
    ).toBeNull();
    expect(lightTable(scene({ lights: ledsAt([[0, 0, 18]], cosineLaw(1), 1, [1, 0, 0]) }))).toBeNull();
    expect(lightTable(scene({ lights: ledsAt([], cosineLaw(1), 1, down) }))).toBeNull();
  });

  it('in two parts adds up to itself; the near one ends early, and the far one is nowhere steep', () => {
    const { near, far } = nearAndFar(table, height);
    for (let mm = 0; mm < reachHeights * height; mm += 0.9)
      expect(Math.abs(at(near, mm) + at(far, mm) - at(table, mm))).toBeLessThan(1e-3 * exact(0));
    expect(at(near, 0)).toBe(at(table, 0));
    expect(at(near, 4.6 * height)).toBe(0);
    expect(near.steps).toBeLessThan(table.steps / 3);
    // What is left for the coarse raster peaks low.
    let [peak, steepest] = [0, 0];
    for (let mm = 0; mm < reachHeights * height; mm += 1) {
      peak = Math.max(peak, at(far, mm));
      steepest = Math.max(steepest, Math.abs(at(far, mm + 1) - at(far, mm)));
    }
    expect(peak).toBeLessThan(0.05 * exact(0));
    expect(steepest).toBeLessThan(0.003 * exact(0));
  });
});
