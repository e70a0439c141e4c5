import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../../base/maths/index.js';
import type { Point } from '../../base/outlines/index.js';
import { NearCells } from './near-cells.js';

describe('cells that places are looked up by', () => {
  it.each([2, 7.5, 40])('find everything within a cell of %d mm, as looking at all does', (cellMm) => {
    const random = seededRandom(Math.round(10 * cellMm));
    const places = Array.from({ length: 600 }, (): Point => [400 * random() - 200, 300 * random() - 150]);
    const cells = new NearCells(cellMm);
    places.forEach(([x, y], thing) => cells.add(x, y, thing));
    for (let turn = 0; turn < 80; turn += 1) {
      const [x, y] = [420 * random() - 210, 320 * random() - 160];
      const found: number[] = [];
      cells.near(x, y, (thing) => found.push(thing));
      expect(new Set(found).size).toBe(found.length);
      places.forEach(([px, py], thing) => {
        const away = Math.hypot(px - x, py - y);
        if (away <= cellMm) expect(found).toContain(thing);
        // Nothing from beyond the cells beside it.
        if (found.includes(thing)) expect(away).toBeLessThan(2 * Math.SQRT2 * cellMm);
      });
    }
  });

  it('are empty where nothing was put', () => {
    new NearCells(5).near(0, 0, () => {
      throw new Error('nothing is there');
    });
  });
});
