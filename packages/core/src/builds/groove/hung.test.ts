import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { changed, evaluatedCoarsely, inAssembly, lateSoup, testFonts } from '../../testing/harness.js';
import { grooveHung } from './hung.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const made = (change: Readonly<Record<string, unknown>> = {}) =>
  evaluatedCoarsely(changed(lateSoup, inAssembly({ 'artwork.toolId': 'bit-3', ...change })), fonts);

describe('a carrier as it hangs', () => {
  it('weighs what its parts and what is in them weigh', () => {
    const results = made();
    const [body] = grooveHung(results);
    const parts = results.cut.reduce((sum, { kg, count }) => sum + kg * count, 0);
    const things = results.bought.reduce((sum, { hangs, kg }) => sum + (hangs ? kg : 0), 0);
    expect(body!.kg).toBeCloseTo(parts + things, 9);
    // A board of 700 × 350 × 18 mm of birch, less its grooves.
    const solid = 0.7 * 0.35 * 0.018 * results.materials.sheet.densityKgM3;
    expect(parts).toBeLessThan(solid);
    expect(parts).toBeGreaterThan(0.85 * solid);
  });

  it('of two layers is heavier toward its back layer', () => {
    const results = made({ 'carrier.kind': 'two-layer', 'carrier.boardId': 'ply-12' });
    const [body] = grooveHung(results);
    expect(body!.centre[2]).toBeLessThan(body!.depthMm / 2);
    expect(body!.carrier?.partId).toBe('back');
  });

  it('in halves is held by no one part, and is as wide as both', () => {
    const results = made({ 'carrier.splits': [{ xMm: -9, yMm: 0, angleDeg: 90 }] });
    const [body] = grooveHung(results);
    expect(body!.carrier).toBeNull();
    expect(body!.bounds.width).toBeCloseTo(700, 6);
  });

  it('is fixed inside its edges, and stands off as far as its spacers', () => {
    const results = made({ 'carrier.spacerMm': 25 });
    const [body] = grooveHung(results);
    const { bounds, hold } = body!;
    expect(hold.x - bounds.x).toBeCloseTo(bounds.x + bounds.width - hold.x - hold.width, 9);
    expect(hold.width).toBeLessThan(bounds.width);
    expect(results.hang?.offWallMm).toBeGreaterThanOrEqual(25);
  });
});
