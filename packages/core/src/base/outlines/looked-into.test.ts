import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../maths/index.js';
import { distanceToOutline } from './distance.js';
import { inOutline } from './inside.js';
import { lookedInto } from './looked-into.js';
import type { Outline, Point } from './types.js';

/** A star of so many points about a middle, with a hole in it. */
const star = (points: number, [x, y]: Point): Outline =>
  [60, 20].map((mm) =>
    Array.from({ length: 2 * points }, (_, at): Point => {
      const turn = (Math.PI * at) / points;
      const reach = at % 2 === 0 ? mm : mm / 2;
      return [x + reach * Math.cos(turn), y + reach * Math.sin(turn)];
    }),
  );

describe('an outline made ready to be asked', () => {
  it.each([
    ['of two rings', star(5, [10, -20])],
    ['of four hundred edges', star(100, [0, 0])],
    ['of several stars', [...star(7, [-50, 0]), ...star(30, [80, 40])]],
    [
      'of one level line, which holds nothing',
      [
        [
          [0, 0],
          [10, 0],
          [20, 0],
        ],
      ] as Outline,
    ],
  ])('tells of one %s what is told edge by edge', (_, outline) => {
    const random = seededRandom(3);
    const { has, edgeWithin } = lookedInto(outline);
    for (let turn = 0; turn < 2000; turn += 1) {
      const place: Point = [300 * random() - 150, 300 * random() - 150];
      const mm = 30 * random();
      expect(has(place)).toBe(inOutline(place, outline));
      expect(edgeWithin(place, mm)).toBe(distanceToOutline(place, outline) < mm);
    }
  });

  it('has no place where there is nothing', () => {
    const { has, edgeWithin } = lookedInto([]);
    expect(has([0, 0])).toBe(false);
    expect(edgeWithin([0, 0], 1e9)).toBe(false);
  });
});
