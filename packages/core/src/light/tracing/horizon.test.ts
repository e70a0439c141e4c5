import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../../base/maths/index.js';
import { rectRing, subtract, unite, type Outline } from '../../base/outlines/index.js';
import { horizonFrom, turnOf } from './horizon.js';
import { nearestWall } from '../../base/walls/nearest-wall.js';
import { wallsOf } from '../../base/walls/index.js';

const rect = (x: number, y: number, width: number, height: number): Outline => [rectRing({ x, y, width, height })];

describe('a horizon', () => {
  it('is the way to the sides of a box', () => {
    const horizon = horizonFrom(rect(-30, -10, 100, 40), 0, 0);
    for (const [dx, dy, far] of [
      [1, 0.001, 70],
      [-1, 0.001, 30],
      [0.001, 1, 30],
      [0.001, -1, 10],
    ] as const)
      expect(Math.abs(horizon[turnOf(dx, dy)]! / far - 1)).toBeLessThan(0.001);
  });

  it('tells every direction apart, in the order of the angle', () => {
    const turns = Array.from({ length: 3600 }, (_, step) => {
      const angle = ((step + 0.5) / 3600) * 2 * Math.PI;
      return turnOf(Math.cos(angle), Math.sin(angle));
    });
    expect(turns.every((turn, step) => step === 0 || turn >= turns[step - 1]!)).toBe(true);
    expect([turns[0], turns.at(-1)! + 1, new Set(turns).size]).toEqual([0, 400, 400]);
  });

  it('is what rays find, whatever the outline and wherever in it', () => {
    const random = seededRandom(8);
    const outline = subtract(unite([...rect(0, 0, 90, 60), ...rect(40, 30, 30, 100)]), rect(20, 15, 40, 25));
    const walls = wallsOf(outline);
    for (let trial = 0; trial < 40; trial += 1) {
      const [x, y] = [1 + 17 * random(), 1 + 57 * random()];
      const horizon = horizonFrom(outline, x, y);
      for (let look = 0; look < 25; look += 1) {
        const angle = 2 * Math.PI * random();
        const [dx, dy] = [Math.cos(angle), Math.sin(angle)];
        const reach = (turn: number): number => {
          const way = Float64Array.of(Infinity);
          nearestWall(walls, Float64Array.of(x, y, 0, Math.cos(turn), Math.sin(turn), 0, 0), way);
          return way[0]!;
        };
        // Within its direction, a little over half a degree to each side.
        const ways = Array.from({ length: 41 }, (_, step) => reach(angle + ((step - 20) / 20) * 0.015));
        const found = horizon[turnOf(dx, dy)]!;
        expect(found).toBeGreaterThan(Math.min(...ways) * 0.999);
        expect(found).toBeLessThan(Math.max(...ways) * 1.001);
      }
    }
  });

  it('is endless without walls', () => expect(horizonFrom([], 3, 4).every((way) => way === Infinity)).toBe(true));
});
