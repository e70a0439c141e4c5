import { describe, expect, it } from '@jest/globals';
import type { AssemblyEvaluation, Section } from '@vitrum/core';
import { luminanceProfile, onSlice, ringPath, sliceDrawing } from './slice-drawing';

const section = { heightMm: 300, frontZMm: 90, rearZMm: 0, shapes: [], layers: [], at: 0 } as unknown as Section;

describe('the slice on the screen', () => {
  it('lies on its back: the front up, the top of the sign at the left, to one scale', () => {
    const drawing = sliceDrawing(section, { width: 900, height: 400 }, null);
    const [topX, frontY] = onSlice(drawing, 90, 150);
    const [bottomX, rearY] = onSlice(drawing, 0, -150);
    expect(topX).toBeLessThan(bottomX);
    expect(frontY).toBeLessThan(rearY);
    expect((bottomX - topX) / 300).toBeCloseTo(drawing.scale, 9);
    expect((rearY - frontY) / 90).toBeCloseTo(drawing.scale, 9);
    expect(drawing.faceY).toBeCloseTo(frontY, 9);
  });

  it.each([
    [900, 400],
    [420, 700],
    [1600, 240],
  ])('fits into %d × %d px, with room for the profile above it', (width, height) => {
    const drawing = sliceDrawing(section, { width, height }, null);
    const [left, top] = onSlice(drawing, 90, 150);
    const [right, bottom] = onSlice(drawing, 0, -150);
    expect(left).toBeGreaterThanOrEqual(46);
    expect(right).toBeLessThanOrEqual(width - 45.9);
    expect(top).toBeGreaterThanOrEqual(76);
    expect(bottom).toBeLessThanOrEqual(height - 29.9);
    expect((left + right) / 2).toBeCloseTo(width / 2, 6);
  });

  it('keeps the scale that a handle holds while it is dragged', () => {
    const held = sliceDrawing({ ...section, frontZMm: 200 }, { width: 900, height: 400 }, 1.25);
    expect(held.scale).toBe(1.25);
    expect(held.widthPx).toBe(375);
  });

  it('draws only the window that a section asks for, and the larger for it', () => {
    const near = { lowMm: -150, highMm: -90, rearZMm: -20, frontZMm: 40 };
    const whole = sliceDrawing(section, { width: 900, height: 400 }, null);
    const window = sliceDrawing({ ...section, near }, { width: 900, height: 400 }, null);
    expect(window.scale).toBeGreaterThan(1.5 * whole.scale);
    const [left, top] = onSlice(window, near.frontZMm, near.highMm);
    const [right, bottom] = onSlice(window, near.rearZMm, near.lowMm);
    expect((right - left) / 60).toBeCloseTo(window.scale, 9);
    expect((bottom - top) / 60).toBeCloseTo(window.scale, 9);
    expect(left).toBeGreaterThanOrEqual(46);
    expect(right).toBeLessThanOrEqual(900 - 45.9);
  });

  it('stays drawable in no room at all', () => {
    const { scale } = sliceDrawing(section, { width: 10, height: 10 }, null);
    expect(scale).toBeGreaterThan(0);
  });

  it('draws rings closed, in whole tenths of a pixel', () => {
    const drawing = sliceDrawing(section, { width: 900, height: 400 }, 1);
    const path = ringPath(drawing, [
      [0, 0],
      [10, 0],
      [10, 20],
    ]);
    expect(path).toMatch(/^M[\d.]+ [\d.]+(L[\d.]+ [\d.]+){2}Z$/);
  });
});

describe('luminance along the slice', () => {
  /** Three columns by four rows over 300 × 300 mm; the middle column is brightest at the top. */
  const map = (profile: string, letters: readonly number[] = []): AssemblyEvaluation =>
    ({
      glow: {
        grid: {
          columns: 3,
          rows: 4,
          cellWidthMm: 100,
          cellHeightMm: 75,
          area: { x: -150, y: -150, width: 300, height: 300 },
        },
        luminance: Float32Array.from([1, 10, 1, 1, 20, 1, 1, 30, 1, 1, 40, 1]),
        letters: Float32Array.from({ length: 12 }, (_, cell) => letters[cell] ?? 0),
        evenness: { maxCdM2: 40 },
      },
      front: { profile },
    }) as unknown as AssemblyEvaluation;
  const drawing = sliceDrawing(section, { width: 900, height: 400 }, null);

  it('is that of the column it is taken through, and of the outermost beyond the edge', () => {
    expect(luminanceProfile(drawing, map('face'), 0)).toMatchObject({ topCdM2: 40, lowCdM2: 10 });
    expect(luminanceProfile(drawing, map('face'), -140)).toMatchObject({ topCdM2: 1, lowCdM2: 1 });
    expect(luminanceProfile(drawing, map('face'), 9999)).toMatchObject({ topCdM2: 1, lowCdM2: 1 });
  });

  it('rises with the light: brighter cells are drawn higher', () => {
    const { path } = luminanceProfile(drawing, map('face'), 0);
    const points = path
      .slice(1)
      .split('L')
      .map((point) => point.split(' ').map(Number));
    expect(points).toHaveLength(4);
    const byPlace = [...points].sort((a, b) => a[0]! - b[0]!);
    expect(byPlace.map(([, y]) => y)).toEqual([...byPlace.map(([, y]) => y!)].sort((a, b) => a - b));
  });

  it('is nothing where letters stand before a lit wall, and nothing beside lit letters', () => {
    const covered = [0, 0, 0, 0, 1, 0, 0, 0, 0, 0, 0, 0];
    expect(luminanceProfile(drawing, map('round-letters', covered), 0)).toMatchObject({ topCdM2: 40, lowCdM2: 0 });
    expect(luminanceProfile(drawing, map('letters', covered), 0)).toMatchObject({ topCdM2: 20, lowCdM2: 0 });
  });
});
