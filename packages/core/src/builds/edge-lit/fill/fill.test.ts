import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../../artwork/lettering/index.js';
import { rectRing } from '../../../base/outlines/index.js';
import { changed, evaluated, evaluatedCoarsely, inAssembly, quietRoom, testFonts } from '../../../testing/harness.js';
import { dotsOf } from './dots.js';
import { evenFill } from './even-fill.js';
import { faceRaster } from './face-raster.js';
import { hatchOf, lineTurn } from './hatch.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const bounds = { x: 10, y: 20, width: 100, height: 60 };
const square = [rectRing(bounds)];
const lengthOf = (strokes: NonNullable<ReturnType<typeof hatchOf>>): number =>
  strokes.reduce((sum, [[x0], [x1]]) => sum + x1 - x0, 0);

describe('lines of a hatch', () => {
  it('lie as far apart as asked, across what is inside', () => {
    const strokes = hatchOf(square, 2, bounds, () => 1)!;
    expect(strokes).toHaveLength(30);
    expect(lengthOf(strokes)).toBeCloseTo(30 * 100, 6);
    expect(strokes[0]![0]).toEqual([10, 21]);
  });

  it.each([0.5, 0.25, 0.7, 0.1])('are left out evenly where the fill is thinner: %d', (share) => {
    const strokes = hatchOf(square, 0.5, bounds, () => share)!;
    expect(Math.abs(lengthOf(strokes) / (120 * 100) - share)).toBeLessThan(0.02);
  });

  it('thin out along a line as well', () => {
    const strokes = hatchOf(square, 0.5, bounds, (x) => (x < 60 ? 1 : 0.5))!;
    expect(Math.abs(lengthOf(strokes) / (120 * 100) - 0.75)).toBeLessThan(0.02);
  });

  it('take turns that fill a half, a quarter, an eighth', () => {
    expect([0, 1, 2, 3, 4, 5].map(lineTurn)).toEqual([0, 0.5, 0.25, 0.75, 0.125, 0.625]);
  });

  it('are refused where they would be a million', () => {
    expect(hatchOf(square, 0.00005, bounds, () => 1)).toBeNull();
  });
});

describe('dots of a fill', () => {
  it('stand on a grid, as many as it has where it is densest', () => {
    expect(dotsOf(square, 2, bounds, () => 1)).toHaveLength(50 * 30);
  });

  it.each([0.5, 0.2, 0.05, 0.9])('keep the share everywhere by diffusing what is over: %d', (share) => {
    const dots = dotsOf(square, 1, bounds, () => share)!;
    expect(Math.abs(dots.length / 6000 - share)).toBeLessThan(0.01);
    const left = dots.filter(([x]) => x < 60).length;
    expect(Math.abs(left / 3000 - share)).toBeLessThan(0.02);
  });

  it('are none outside the artwork, and refused where there are too many', () => {
    const dots = dotsOf([rectRing({ x: 10, y: 20, width: 50, height: 60 })], 1, bounds, () => 1)!;
    expect(dots.every(([x]) => x <= 60)).toBe(true);
    expect(dotsOf(square, 0.02, bounds, () => 1)).toBeNull();
  });
});

describe('the picture for a machine', () => {
  const sheet = { x: 0, y: 0, width: 120, height: 90 };
  const black = ({ pixels }: { readonly pixels: Uint8Array }): number =>
    pixels.reduce((count, value) => count + (value === 0 ? 1 : 0), 0);

  it('is as large as the sheet at its fineness, with as much black as is worked', () => {
    const raster = faceRaster({ kind: 'area', outline: square }, square, sheet, 254);
    expect([raster.columns, raster.rows, raster.dotsPerInch]).toEqual([1200, 900, 254]);
    expect(Math.abs(black(raster) / (100 * 60 * 100) - 1)).toBeLessThan(0.002);
    // Its row 0 is at the top: the square ends 10 mm below it.
    expect(raster.pixels[95 * 1200 + 600]).toBe(255);
    expect(raster.pixels[105 * 1200 + 600]).toBe(0);
  });

  it('draws lines and dots as wide as they are', () => {
    const strokes = hatchOf(square, 2, bounds, () => 1)!;
    const lines = faceRaster({ kind: 'lines', strokes, lineMm: 0.4 }, square, sheet, 254);
    expect(Math.abs(black(lines) / (30 * 100 * 0.4 * 100) - 1)).toBeLessThan(0.03);
    const dots = dotsOf(square, 4, bounds, () => 1)!;
    const dotted = faceRaster({ kind: 'dots', dots, diameterMm: 2 }, square, sheet, 508);
    expect(Math.abs(black(dotted) / (dots.length * Math.PI * 400) - 1)).toBeLessThan(0.03);
  });

  it('is thinned where it would be too large', () => {
    const raster = faceRaster({ kind: 'area', outline: [] }, [], { x: 0, y: 0, width: 700, height: 400 }, 2032);
    expect(raster.columns * raster.rows).toBeLessThan(24_000_000);
    expect(raster.dotsPerInch).toBeLessThan(2032);
    expect(black(raster)).toBe(0);
  });
});

describe('a fill that evens the artwork', () => {
  it('evens one edge to nine tenths where it was less than half, and two edges too', () => {
    const fading = evaluatedCoarsely(quietRoom, fonts);
    expect(fading.glow.patches.evenShare).toBeLessThan(0.5);
    const [area] = fading.areas;
    const found = evenFill(fading, [{ ...area!, artwork: { ...area!.artwork, fill: 'hatch', spacingMm: 0.2 } }])!;
    const evened = evaluated(
      changed(
        quietRoom,
        inAssembly({ 'artwork.fill': 'hatch', 'artwork.spacingMm': 0.2, 'artwork.graded': found.graded }),
      ),
      fonts,
    );
    expect(evened.glow.patches.evenShare).toBeGreaterThan(0.88);
    expect(evened.glow.patches.lastToFirst).toBeGreaterThan(0.9);
    // Thin beside the strip, dense far from it.
    const { columns, rows, shares } = found.graded;
    const row = (at: number): number =>
      shares.slice(at * columns, (at + 1) * columns).reduce((sum, share) => sum + share, 0) / columns;
    expect(row(0)).toBeLessThan(0.7 * row(rows - 1));
  });

  it('is none where nothing is worked', () => {
    const bare = evaluatedCoarsely(changed(quietRoom, { 'brief.text': '' }), fonts);
    expect(evenFill(bare, bare.areas)).toBeNull();
  });
});
