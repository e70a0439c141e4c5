import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { Segment } from '../runs/index.js';
import { placeLeds, snapToCut } from './index.js';

const segment = (from: Segment['from'], to: Segment['to'], lengthMm: number, ledCount: number): Segment =>
  ({ from, to, lengthMm, ledCount }) as Segment;

describe('snapping to cut marks', () => {
  it.each([
    [1000, 50, 1000, 0],
    [999.9999999, 50, 1000, 0],
    [1049, 50, 1000, 49],
    [49, 50, 0, 49],
    [0, 50, 0, 0],
    [-20, 50, 0, 0],
  ])('%d mm of room by cuts of %d mm is %d mm of strip and %d mm over', (room, cut, length, left) => {
    expect(snapToCut(room, cut).lengthMm).toBe(length);
    expect(snapToCut(room, cut).leftoverMm).toBeCloseTo(left, 5);
  });

  it('never lays more than there is room for, nor leaves a whole cut', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 20_000, noNaN: true }),
        fc.double({ min: 5, max: 200, noNaN: true }),
        (room, cut) => {
          const { lengthMm, leftoverMm } = snapToCut(room, cut);
          expect(lengthMm).toBeLessThanOrEqual(room + 1e-5);
          expect(leftoverMm).toBeLessThan(cut);
          expect(lengthMm + leftoverMm).toBeCloseTo(room, 4);
        },
      ),
      { seed: 3, numRuns: 300 },
    );
  });
});

describe('LEDs on segments', () => {
  it('stand half a pitch from the cut and a pitch from each other, in the order of the segments', () => {
    const field = placeLeds(
      [segment([0, 10, 3], [100, 10, 3], 100, 4), segment([100, -10, 3], [100, -60, 3], 50, 2)],
      25,
    );
    expect(field.count).toBe(6);
    expect(Array.from(field.x)).toEqual([12.5, 37.5, 62.5, 87.5, 100, 100]);
    expect(Array.from(field.y)).toEqual([10, 10, 10, 10, -22.5, -47.5]);
    expect(Array.from(field.segment)).toEqual([0, 0, 0, 0, 1, 1]);
    expect(Array.from(field.along)).toEqual([12.5, 37.5, 62.5, 87.5, 12.5, 37.5]);
  });

  it('of no segments are none', () => expect(placeLeds([], 10).count).toBe(0));
});
