import { describe, expect, it } from '@jest/globals';
import { gridOver } from '../../base/raster/index.js';
import { patchesOf, toLitEdge } from './patches.js';

const sheet = { x: -100, y: 0, width: 200, height: 100 };
const grid = gridOver(sheet, 100, 50);
const cells = (at: (x: number, y: number) => number): Float32Array =>
  Float32Array.from({ length: 5000 }, (_, cell) =>
    at(-100 + ((cell % 100) + 0.5) * 2, (Math.floor(cell / 100) + 0.5) * 2),
  );
const all = cells(() => 1);
const asked = { grid, sheet, lit: ['bottom'] as const, pitchMm: 8 };

describe('artwork patch by patch', () => {
  it('alike everywhere is even, whatever its luminance', () => {
    const found = patchesOf({ ...asked, covered: all, luminance: cells(() => 300) });
    expect(found).toMatchObject({ meanCdM2: 300, evenShare: 1, lastToFirst: 1 });
  });

  it('that falls off from the strip has its dimmest part far from it, and its last by its first', () => {
    const found = patchesOf({ ...asked, covered: all, luminance: cells((_, y) => 400 - 3 * y) });
    // The lowest patch is 20 mm high: 370 in its middle; the highest 130.
    expect(found.brightest.cdM2).toBeCloseTo(370, 0);
    expect(found.dimmest.cdM2).toBeCloseTo(130, 0);
    expect(found.evenShare).toBeCloseTo(130 / 370, 2);
    expect(found.lastToFirst).toBeCloseTo(130 / 370, 2);
    expect(found.dimmest.at[1]).toBeGreaterThan(80);
    expect(found.farMm).toBeCloseTo(90, 0);
    expect(found.sideMm).toBe(20);
  });

  it('counts what is worked in part by that part, and passes over what hardly is', () => {
    const covered = cells((x, y) => (y > 80 && x < 60 ? 0.5 : y < 20 ? 1 : y > 80 ? 0.01 : 0));
    const found = patchesOf({ ...asked, covered, luminance: cells((x, y) => (y < 20 ? 200 : x < 60 ? 100 : 1)) });
    expect(found.evenShare).toBeCloseTo(0.5, 2);
    // 2000 mm² at 200, 0.5 × 3200 mm² × … at 100: by area.
    expect(found.meanCdM2).toBeCloseTo((200 * 20 * 200 + 100 * 0.5 * 20 * 160) / (20 * 200 + 0.5 * 20 * 160), 0);
  });

  it('is even and dark where nothing is worked', () => {
    const found = patchesOf({ ...asked, covered: cells(() => 0), luminance: all });
    expect(found).toMatchObject({ meanCdM2: 0, evenShare: 1, lastToFirst: 1 });
  });

  it('evens out single rays: a checkerboard of cells is no unevenness', () => {
    const found = patchesOf({
      ...asked,
      covered: all,
      luminance: cells((x) => 100 + 50 * Math.sin(Math.PI * (x / 2 + 0.5))),
    });
    expect(found.evenShare).toBeGreaterThan(0.97);
  });

  it('goes by the nearest of several lit edges', () => {
    expect(toLitEdge([0, 90], sheet, ['bottom'])).toBe(90);
    expect(toLitEdge([0, 90], sheet, ['bottom', 'top'])).toBe(10);
    expect(toLitEdge([-95, 50], sheet, ['left', 'bottom'])).toBe(5);
    expect(toLitEdge([80, 50], sheet, ['right'])).toBe(20);
  });
});
