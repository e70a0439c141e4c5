import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { meetingsOf, reachInto, rod, type Body } from './index.js';

const box = (from: Body['from'], to: Body['to'], group = 'thing'): Body => ({ name: group, group, from, to });

describe('bodies in a case', () => {
  it('are rods round their line, as long as it and no longer', () => {
    expect(rod('screw', 'corner', [10, 50, 20], [10, 20, 20], 2)).toMatchObject({
      from: [8, 20, 18],
      to: [12, 50, 22],
    });
  });

  it('reach into each other by what the shortest way out is; crossing screws by their radii less what parts their axes', () => {
    const across = rod('a', 'a', [0, 0, 10], [30, 0, 10], 2);
    const along = (z: number): Body => rod('b', 'b', [15, -20, z], [15, 20, z], 1.5);
    // Axes 3 mm apart, radii 2 + 1.5, a millimetre to be left: 3.5 − 3 + 1 = 1.5.
    expect(reachInto(across, along(13), 1)).toBeCloseTo(1.5, 9);
    expect(reachInto(across, along(14.5), 1)).toBeCloseTo(0, 9);
    expect(reachInto(across, along(20), 1)).toBeLessThan(0);
    // One that ends before the other begins.
    expect(reachInto(across, rod('b', 'b', [32, 0, 10], [50, 0, 10], 2), 1)).toBeCloseTo(-1, 9);
  });

  it('meet where a point lies in both, and nowhere else (by chance, against a grid of points)', () => {
    const size = fc.tuple(fc.integer({ min: 0, max: 12 }), fc.integer({ min: 1, max: 6 }));
    const body = fc
      .tuple(size, size, size)
      .map((axes): Body =>
        box(
          axes.map(([at]) => at) as unknown as Body['from'],
          axes.map(([at, wide]) => at + wide) as unknown as Body['to'],
        ),
      );
    fc.assert(
      fc.property(body, body, (a, b) => {
        let common = false;
        for (let x = 0.5; x < 18; x += 1)
          for (let y = 0.5; y < 18; y += 1)
            for (let z = 0.5; z < 18; z += 1) {
              const within = ({ from, to }: Body): boolean =>
                [x, y, z].every((value, axis) => value > from[axis]! && value < to[axis]!);
              common ||= within(a) && within(b);
            }
        expect(reachInto(a, b, 0) > 0).toBe(common);
      }),
      { numRuns: 60 },
    );
  });

  it('of one group may meet: two screws of the back are placed by the same rule', () => {
    const [one, other] = [box([0, 0, 0], [4, 4, 4], 'back'), box([2, 2, 2], [6, 6, 6], 'back')];
    expect(meetingsOf([one, other], [], 0)).toEqual([]);
    const foot = { ...other, group: 'foot' };
    expect(meetingsOf([one, foot], [], 0)).toEqual([{ one, other: foot, byMm: 2 }]);
    expect(meetingsOf([one], [foot], 0)).toHaveLength(1);
  });
});
