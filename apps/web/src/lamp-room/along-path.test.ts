import { describe, expect, it } from '@jest/globals';
import { alongPath, lengthOf } from './along-path';

const corner = [
  [0, 0],
  [30, 0],
  [30, 40],
] as const;

describe('a path', () => {
  it('is as long as its stretches', () => {
    expect(lengthOf(corner)).toBe(70);
    expect(lengthOf([[5, 5]])).toBe(0);
  });

  it('is followed by shares of its length, round its corners', () => {
    expect(alongPath(corner, 0)).toEqual([0, 0]);
    expect(alongPath(corner, 15 / 70)).toEqual([15, 0]);
    expect(alongPath(corner, 50 / 70)).toEqual([30, 20]);
    expect(alongPath(corner, 1)).toEqual([30, 40]);
  });

  it('with doubled places, or of one place, stays on itself', () => {
    expect(alongPath([[1, 2]], 0.5)).toEqual([1, 2]);
    expect(
      alongPath(
        [
          [0, 0],
          [0, 0],
          [10, 0],
        ],
        0.5,
      ),
    ).toEqual([5, 0]);
  });
});
