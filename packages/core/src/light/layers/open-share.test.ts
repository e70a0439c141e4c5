import { describe, expect, it } from '@jest/globals';
import { gridOver } from '../../base/raster/index.js';
import { seededRandom } from '../../base/maths/index.js';
import { coarser, coarserMask, solidAt } from './open-share.js';

const area = { x: -60, y: -40, width: 120, height: 80 };
const grid = gridOver(area, 12, 8);
const mask = (of: (column: number, row: number) => number): Float32Array =>
  Float32Array.from({ length: 96 }, (_, at) => of(at % 12, Math.floor(at / 12)));
const mean = (values: Float32Array): number => values.reduce((sum, value) => sum + value, 0) / values.length;

describe('a mask over a coarser raster', () => {
  it('is the mean of the cells in each where they divide', () => {
    const steps = mask((column) => (column < 3 ? 1 : 0));
    expect([...coarser(steps, grid, 4, 1)]).toEqual([1, 0, 0, 0].map((value) => expect.closeTo(value, 6)));
    expect([...coarser(steps, grid, 2, 1)]).toEqual([0.5, 0].map((value) => expect.closeTo(value, 6)));
  });

  it('shares out a cell that lies over an edge, and keeps the mean whatever the sizes', () => {
    const random = seededRandom(5);
    const any = mask(() => random());
    for (const [columns, rows] of [
      [5, 3],
      [7, 8],
      [1, 1],
      [12, 8],
    ] as const)
      expect(mean(coarser(any, grid, columns, rows))).toBeCloseTo(mean(any), 5);
  });

  it('is made once for a mask and a size, and anew for another', () => {
    const any = mask((column, row) => (column + row) % 2);
    const once = coarserMask(any, grid, 4, 4);
    expect(coarserMask(any, grid, 4, 4)).toBe(once);
    expect(coarserMask(any, grid, 4, 2)).not.toBe(once);
    expect([...coarserMask(any.slice(), grid, 4, 4)]).toEqual([...once]);
    expect([...once]).toEqual([...coarser(any, grid, 4, 4)]);
  });
});

describe('what is solid at a place', () => {
  it('goes straight from the middle of a cell to that of the next, and stays past the last', () => {
    const ramp = mask((column) => column / 11);
    // Middles lie 10 mm apart, the first 5 mm in.
    expect(solidAt(ramp, grid, -55, 0)).toBeCloseTo(0, 6);
    expect(solidAt(ramp, grid, -50, 0)).toBeCloseTo(0.5 / 11, 6);
    expect(solidAt(ramp, grid, 0, 13)).toBeCloseTo(5.5 / 11, 6);
    expect(solidAt(ramp, grid, 55, 0)).toBeCloseTo(1, 3);
    expect(solidAt(ramp, grid, 500, 500)).toBeCloseTo(1, 3);
    expect(solidAt(ramp, grid, -500, -500)).toBeCloseTo(0, 6);
  });
});
