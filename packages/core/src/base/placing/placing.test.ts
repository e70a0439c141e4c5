import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../maths/index.js';
import { placed, placedOn, placedRect, unplaced, unplacing, type Placing } from './index.js';

const random = seededRandom(8);
const between = (low: number, high: number): number => low + (high - low) * random();
const byChance = (): Placing => ({
  xMm: between(-900, 900),
  yMm: between(-900, 900),
  zMm: between(0, 60),
  turnRad: between(-4, 4),
});
const point = (): readonly [number, number] => [between(-500, 500), between(-500, 500)];

describe('where something stands', () => {
  it('is undone by what takes its points back, one at a time or many', () => {
    for (let time = 0; time < 200; time += 1) {
      const [placing, own] = [byChance(), point()];
      const there = placed(placing, own);
      const back = unplaced(placing, there);
      expect(Math.hypot(back[0] - own[0], back[1] - own[1])).toBeLessThan(1e-9);
      const into = new Float64Array(2);
      unplacing(placing)(...there, into);
      expect([...into]).toEqual([...back]);
    }
  });

  it('on something that stands somewhere is as far from it, and turned by both', () => {
    for (let time = 0; time < 200; time += 1) {
      const [below, own, at] = [byChance(), byChance(), point()];
      const [x, y] = placed(placedOn(below, own), at);
      const [wantedX, wantedY] = placed(below, placed(own, at));
      expect(Math.hypot(x - wantedX, y - wantedY)).toBeLessThan(1e-9);
      expect(placedOn(below, own).zMm).toBeCloseTo(below.zMm + own.zMm, 12);
    }
  });

  it('has a box round it that every corner touches at most', () => {
    const rect = { x: -40, y: -10, width: 100, height: 30 };
    for (let time = 0; time < 200; time += 1) {
      const placing = byChance();
      const box = placedRect(placing, rect);
      const corners = [0, 1, 2, 3].map((corner) =>
        placed(placing, [rect.x + (corner % 2) * rect.width, rect.y + (corner >> 1) * rect.height]),
      );
      const [xs, ys] = [corners.map(([x]) => x), corners.map(([, y]) => y)];
      expect(box.x).toBeCloseTo(Math.min(...xs), 9);
      expect(box.x + box.width).toBeCloseTo(Math.max(...xs), 9);
      expect(box.y).toBeCloseTo(Math.min(...ys), 9);
      expect(box.y + box.height).toBeCloseTo(Math.max(...ys), 9);
    }
  });
});
