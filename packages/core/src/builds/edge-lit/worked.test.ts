import { describe, expect, it } from '@jest/globals';
import { quietRoom } from '../../testing/harness.js';
import { filledShare, givenBy, gradedAt, rasterOver, sumOver, takenAt, workedFaces, type AreaLayer } from './worked.js';

const { artwork } = quietRoom.assemblies[0]!;
const engraving = {
  method: 'beam',
  lineMm: 0.2,
  takes: 0.6,
  ownSide: 0.5,
  fullMm: 0.1,
  passMm: 0.1,
  minPerM2: 1,
} as const;
const sheet = { x: -100, y: -50, width: 200, height: 100 };

describe('what is worked into a sheet', () => {
  it('is what lines and dots cover of a place', () => {
    expect(filledShare({ ...artwork, fill: 'solid' }, engraving)).toBe(1);
    expect(filledShare({ ...artwork, fill: 'hatch', spacingMm: 0.8 }, engraving)).toBeCloseTo(0.25, 12);
    expect(filledShare({ ...artwork, fill: 'dots', spacingMm: 0.4 }, engraving)).toBeCloseTo(Math.PI / 16, 12);
    // Lines that overlap are no more than all of it.
    expect(filledShare({ ...artwork, fill: 'hatch', spacingMm: 0.1 }, engraving)).toBe(1);
    expect(filledShare({ ...artwork, fill: 'hatch' }, engraving)).toBeCloseTo(0.2, 12);
  });

  it('takes the more the deeper it is, up to what the tool can', () => {
    expect(takenAt(engraving, 0.1)).toBeCloseTo(0.6 * (1 - 1 / Math.E), 12);
    expect(takenAt(engraving, 5)).toBeCloseTo(0.6, 9);
    expect(takenAt(engraving, 0)).toBe(0);
  });

  it('is graded between the middles of cells, and alike beyond the outermost', () => {
    const graded = { columns: 2, rows: 2, shares: [0, 1, 0.5, 1] };
    const at = (x: number, y: number): number => gradedAt({ graded }, sheet, x, y);
    expect(at(-50, -25)).toBe(0);
    expect(at(50, -25)).toBe(1);
    expect(at(0, -25)).toBeCloseTo(0.5, 12);
    expect(at(-50, 0)).toBeCloseTo(0.25, 12);
    expect(at(-100, -50)).toBe(0);
    expect(at(100, 50)).toBe(1);
    expect(gradedAt({ graded: null }, sheet, 0, 0)).toBe(1);
    // Fewer shares than cells are no grading.
    expect(gradedAt({ graded: { ...graded, shares: [0] } }, sheet, 0, 0)).toBe(1);
  });

  it('lies on the face that it is worked into; paint takes what is left of the back', () => {
    const raster = rasterOver(sheet, 2);
    expect(raster).toEqual({ cellMm: 100, columns: 2, rows: 1 });
    const alike = Float32Array.of(1, 1);
    const layer = { engraving, covered: Float32Array.of(0.5, 0), wanted: Float32Array.of(0.5, 0), chance: 0.6 };
    const { faces: front } = workedFaces(raster, [{ ...layer, onBack: false }], [alike], false);
    expect(front.back).toBeNull();
    expect([...front.front!].map((chance) => Math.round(1000 * chance))).toEqual([300, 0]);
    const { faces: painted } = workedFaces(raster, [{ ...layer, onBack: true }], [alike], true);
    expect(painted.front).toBeNull();
    expect([...painted.back!].map((chance) => Math.round(1000 * chance))).toEqual([800, 1000]);
  });

  it('of several areas is each on its own face; what a face gives off is shared by their chances', () => {
    const raster = rasterOver(sheet, 2);
    const alike = Float32Array.of(1, 1);
    const of = (covered: number, chance: number, onBack: boolean): AreaLayer => ({
      engraving,
      covered: Float32Array.of(covered, 0),
      wanted: Float32Array.of(covered, 0),
      chance,
      onBack,
    });
    const layers = [of(0.5, 0.4, false), of(0.25, 0.8, false), of(0.25, 0.4, true)];
    const graded = layers.map(() => alike);
    const shared = workedFaces(raster, layers, graded, false);
    const { faces } = shared;
    expect(faces.front![0]).toBeCloseTo(0.4, 6);
    expect(faces.back![0]).toBeCloseTo(0.1, 6);
    const out = { frontOut: Float64Array.of(8, 0), backOut: Float64Array.of(3, 0) };
    expect(layers.map((each, at) => givenBy(each, graded[at]!, shared, out)[0]!)).toEqual([
      expect.closeTo(4, 5),
      expect.closeTo(4, 5),
      expect.closeTo(3, 5),
    ]);
    expect([...sumOver(layers, 'covered')]).toEqual([1, 0]);
  });

  it('of areas over each other gives off no more than the face does', () => {
    const raster = rasterOver(sheet, 2);
    const alike = Float32Array.of(1, 1);
    const full = Float32Array.of(1, 0);
    const layer: AreaLayer = { engraving, covered: full, wanted: full, chance: 0.8, onBack: false };
    const shared = workedFaces(raster, [layer, layer], [alike, alike], false);
    expect(shared.faces.front![0]).toBe(1);
    const out = { frontOut: Float64Array.of(5, 0), backOut: new Float64Array(2) };
    const given = [layer, layer].map((each) => givenBy(each, alike, shared, out)[0]!);
    expect(given[0]! + given[1]!).toBeCloseTo(5, 6);
  });
});
