import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../../base/maths/index.js';
import { cellMiddle, gridOver } from '../../base/raster/index.js';
import { cosineLaw, ledsAt } from '../../validation/bench.js';
import { directOnWall } from './direct.js';
import { luxAt, sourcesOf, withoutPosts } from './sources.js';
import type { HaloScene, Post } from './types.js';

const grid = gridOver({ x: -200, y: -120, width: 400, height: 240 }, 200, 120);

/** LEDs 18 mm off the wall and posts among them, strewn by a seed. */
const strewn = (seed: number, posts: number): HaloScene => {
  const random = seededRandom(seed);
  const within = (mm: number): number => (random() - 0.5) * mm;
  return {
    outline: [],
    standoffMm: 20,
    returnMm: 0,
    posts: Array.from({ length: posts }, (): Post => ({
      at: [within(200), within(100)],
      diameterMm: 4 + 8 * random(),
    })),
    lights: ledsAt(
      Array.from({ length: 40 }, () => [within(240), within(120), 18] as const),
      cosineLaw(1),
      2,
      [0, 0, -1],
    ),
    wallReflectance: 0,
    backReflectance: 0,
  };
};

/** Whether a straight way passes through a disc, looked at in small steps. */
const passesThrough = ([ax, ay]: readonly number[], [bx, by]: readonly number[], { at, diameterMm }: Post): boolean => {
  for (let step = 0; step <= 500; step += 1) {
    const [x, y] = [ax! + ((bx! - ax!) * step) / 500, ay! + ((by! - ay!) * step) / 500];
    if (Math.hypot(x - at[0], y - at[1]) < diameterMm / 2) return true;
  }
  return false;
};

/** I cos γ / d² of one LED that faces the wall with a cosine law. */
const fromLed = ({ lights }: HaloScene, led: number, x: number, y: number): number => {
  const h = lights.z[led]!;
  const d2 = (x - lights.x[led]!) ** 2 + (y - lights.y[led]!) ** 2 + h * h;
  return (lights.fluxLm[led]! * 1e6 * h * h) / (Math.PI * d2 * d2);
};

describe('the wall lit straight', () => {
  it('is on the raster what the plain sum gives, near the LEDs and far', () => {
    const scene = strewn(1, 0);
    const lux = directOnWall(sourcesOf(scene), grid);
    const peak = Math.max(...lux);
    for (let cell = 0; cell < lux.length; cell += 37) {
      const [x, y] = cellMiddle(grid, cell);
      let sum = 0;
      for (let led = 0; led < scene.lights.count; led += 1) sum += fromLed(scene, led, x, y);
      // What lies beyond an LED’s reach is left out: a few parts in ten thousand of the peak.
      expect(Math.abs(lux[cell]! - sum)).toBeLessThan(2e-3 * peak);
    }
  });

  it.each([2, 3, 4])('lacks what posts keep off, and no more (seed %d)', (seed) => {
    const scene = strewn(seed, 3);
    const sources = sourcesOf(scene);
    const [lux, free] = [directOnWall(sources, grid), directOnWall(withoutPosts(sources), grid)];
    const peak = Math.max(...free);
    let shaded = 0;
    for (let cell = 11; cell < lux.length; cell += 83) {
      const [x, y] = cellMiddle(grid, cell);
      let taken = 0;
      for (let led = 0; led < scene.lights.count; led += 1) {
        const from = [scene.lights.x[led]!, scene.lights.y[led]!];
        const near = scene.posts.filter(({ at }) => Math.hypot(at[0] - from[0]!, at[1] - from[1]!) < 4.5 * 18);
        if (near.some((post) => passesThrough(from, [x, y], post))) taken += fromLed(scene, led, x, y);
      }
      if (taken > 2e-3 * peak) shaded += 1;
      expect(Math.abs(free[cell]! - lux[cell]! - taken)).toBeLessThan(2e-3 * peak);
    }
    expect(shaded).toBeGreaterThan(10);
  });

  it('is at any place what it is on the raster there', () => {
    const sources = sourcesOf(strewn(5, 2));
    const lux = directOnWall(sources, grid);
    const peak = Math.max(...lux);
    for (let cell = 5; cell < lux.length; cell += 97) {
      const [x, y] = cellMiddle(grid, cell);
      expect(Math.abs(luxAt(sources, x, y) - lux[cell]!)).toBeLessThan(1e-3 * peak);
    }
  });
});
