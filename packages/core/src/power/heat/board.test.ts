import { describe, expect, it } from '@jest/globals';
import { boardRise, type StripBed } from './board.js';

const ply: StripBed = { conductsWmK: 0.13, thicknessMm: 6, openSides: 2, pitchMm: 1000 };
const composite: StripBed = { conductsWmK: 40, thicknessMm: 3, openSides: 2, pitchMm: 1000 };
/** Heat of a usual strip (W/m): watts less light; and its width (mm). */
const [heat, width] = [7.8, 8];
const rise = (bed: StripBed, film: number): number => boardRise(heat, width, bed, film);

describe('how much warmer than the air strip is on its board', () => {
  it.each([
    ['6 mm plywood, open on both sides', ply, 8, 26, 32],
    ['the same in moving air', ply, 10, 24, 30],
    ['plywood with its back closed', { ...ply, openSides: 1 } as const, 8, 35, 42],
    ['the same, kindly', { ...ply, openSides: 1 } as const, 10, 32, 40],
    ['aluminium composite, a lone strip', composite, 9, 2.5, 4.5],
    ['composite under rows at 80 mm', { ...composite, pitchMm: 80 }, 9, 6, 9],
    ['composite under rows at 40 mm', { ...composite, pitchMm: 40 }, 9, 10, 15],
  ])('%s: %#', (_, bed, film, low, high) => {
    expect(rise(bed, film)).toBeGreaterThan(low);
    expect(rise(bed, film)).toBeLessThan(high);
  });

  it('goes with the heat, and is less on what conducts better, is thicker or open on both sides', () => {
    expect(boardRise(2 * heat, width, ply, 9)).toBeCloseTo(2 * rise(ply, 9), 9);
    expect(rise({ ...ply, conductsWmK: 0.26 }, 9)).toBeLessThan(rise(ply, 9));
    expect(rise({ ...composite, thicknessMm: 6 }, 9)).toBeLessThan(rise(composite, 9));
    expect(rise({ ...ply, openSides: 1 }, 9)).toBeGreaterThan(rise(ply, 9));
  });

  it('is that of the whole board where rows are so close that it is warm all over', () => {
    const bed: StripBed = { conductsWmK: 200, thicknessMm: 2, openSides: 2, pitchMm: 20 };
    // All of the heat leaves by 20 mm of board for each strip, both sides; the tape adds its own.
    const even = heat / (2 * 9 * 0.02);
    const tape = (heat * (0.15e-3 / 0.2)) / 0.008;
    expect(rise(bed, 9)).toBeCloseTo(even + tape, 0);
  });

  it('follows the thin fin on a lone strip: 1/√(k t h) on either side', () => {
    const bed: StripBed = { conductsWmK: 200, thicknessMm: 1, openSides: 2, pitchMm: 1e6 };
    const both = 18;
    const fin = heat / (both * 0.008 + 2 * Math.sqrt(200 * 0.001 * both));
    expect(rise(bed, 9) - fin).toBeCloseTo((heat * (0.15e-3 / 0.2)) / 0.008, 1);
  });
});
