import { describe, expect, it } from '@jest/globals';
import { gridOver } from '../../base/raster/index.js';
import { findRipple } from './ripple.js';

const [columns, rows, pitchMm] = [240, 120, 50];

/** A face of so many pitches across, 1 mm a cell up and 2 along, lit by a law of how far up it one is (mm). */
const seen = (pitches: number, law: (upMm: number) => number, counts: (cell: number) => boolean = () => true) => {
  const high = pitches * pitchMm;
  const grid = gridOver({ x: 0, y: 0, width: columns, height: high }, columns, rows);
  const map = Float64Array.from({ length: columns * rows }, (_, cell) =>
    law(((Math.floor(cell / columns) + 0.5) * high) / rows),
  );
  return findRipple(map, grid, 'y', pitchMm, counts);
};

/** Light that falls into both ends as it falls into corners: steeply, and ever less so. */
const falling =
  (highMm: number, rippled = 0) =>
  (up: number): number => {
    const fromEnd = Math.min(up, highMm - up);
    return (1 - 0.12 * Math.exp(-fromEnd / 12)) * (1 + rippled * Math.cos((2 * Math.PI * up) / pitchMm));
  };

describe('a ripple of rows', () => {
  it('of a wave over an even face is the wave’s own contrast, however many pitches there are', () => {
    for (const pitches of [3, 4, 5, 8])
      expect(seen(pitches, (up) => 1 + 0.02 * Math.cos((2 * Math.PI * up) / pitchMm)).contrast).toBeCloseTo(0.02, 3);
  });

  it('is none where light only falls off towards the ends', () => {
    for (const pitches of [4, 5, 8])
      expect(seen(pitches, falling(pitches * pitchMm)).contrast).toBeLessThan(
        (0.12 * Math.exp(-pitchMm / 4 / 12)) / 16,
      );
  });

  it('is found with its own contrast though light falls off besides', () => {
    for (const pitches of [5, 8])
      expect(seen(pitches, falling(pitches * pitchMm, 0.03)).contrast / 0.03).toBeCloseTo(1, 1);
  });

  it('is none of a slope or a bowl, and none where there is no room for a pitch', () => {
    expect(seen(6, (up) => 1 + up / 400).contrast).toBeLessThan(1e-9);
    expect(seen(6, (up) => 2 - ((up - 150) / 300) ** 2).contrast).toBeLessThan(1e-9);
    expect(seen(0.8, (up) => 1 + 0.1 * Math.cos(up))).toEqual({ contrast: 0, index: -1 });
  });

  it('is looked for where it counts alone', () => {
    const onlyRight = (cell: number): boolean => cell % columns > 200;
    const found = seen(5, (up) => 1 + 0.02 * Math.cos((2 * Math.PI * up) / pitchMm), onlyRight);
    expect(found.index % columns).toBeGreaterThan(200);
    expect(
      seen(
        5,
        () => 1,
        () => false,
      ).contrast,
    ).toBe(0);
  });
});
