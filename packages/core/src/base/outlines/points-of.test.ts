import { describe, expect, it } from '@jest/globals';
import { pointsOf } from './index.js';

describe('points kept as a row of numbers', () => {
  it('are read two by two, and grow with their scale', () => {
    expect(pointsOf([1, 2, 3, 4])).toEqual([
      [1, 2],
      [3, 4],
    ]);
    expect(pointsOf([1, -2, 3, 0.5], 2)).toEqual([
      [2, -4],
      [6, 1],
    ]);
  });

  it('lose a last number that has no partner, and are none where there are none', () => {
    expect(pointsOf([1, 2, 3])).toEqual([[1, 2]]);
    expect(pointsOf([])).toEqual([]);
  });
});
