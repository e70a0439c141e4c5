import { describe, expect, it } from '@jest/globals';
import { measureLine, shiftPoints, type Point, type Ring } from './index.js';

const line: Ring = [
  [0, 0],
  [50, 0],
  [100, 0],
  [100, 80],
];

describe('a line with points moved', () => {
  it('takes what lies between with it, in proportion, and leaves its ends', () => {
    expect(shiftPoints(line, false, [{ point: 2, by: [10, 4] }])).toEqual([
      [0, 0],
      [55, 2],
      [110, 4],
      [100, 80],
    ]);
  });

  it('is moved whole by two points that move alike, and by its ends where they are named', () => {
    const by: Point = [3, -2];
    const ends = shiftPoints(line, false, [
      { point: 3, by },
      { point: 0, by },
    ]);
    expect(ends).toEqual(line.map(([x, y]) => [x + 3, y - 2]));
  });

  it('goes all round where it is closed: between the last that moves and the first as well', () => {
    const ring: Ring = [
      [0, 0],
      [40, 0],
      [80, 0],
      [80, 40],
      [40, 40],
      [0, 40],
    ];
    const moved = shiftPoints(ring, true, [
      { point: 2, by: [6, 0] },
      { point: 5, by: [0, 0] },
    ]);
    // From the point that stays to the one that moves it is 120 mm, by 40 and 80 mm of which the way goes on.
    expect(moved[0]).toEqual([2, 0]);
    expect(moved[1]).toEqual([44, 0]);
    expect(moved[2]).toEqual([86, 0]);
    expect(moved[3]![0]).toBeCloseTo(84, 9);
    expect(moved[5]).toEqual([0, 40]);
    expect(measureLine(moved, true).lengthMm).toBeGreaterThan(0);
  });

  it('stays as it is where nothing moves, or a point is named that it has not', () => {
    expect(shiftPoints(line, false, [])).toBe(line);
    expect(shiftPoints(line, false, [{ point: 9, by: [5, 5] }])).toBe(line);
  });
});
