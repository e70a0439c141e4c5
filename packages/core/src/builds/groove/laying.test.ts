import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { seededRandom } from '../../base/maths/index.js';
import { distanceToOutline, type Point } from '../../base/outlines/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { applyChange } from '../../sign/design/index.js';
import { changed, evaluatedCoarsely, inAssembly, lateSoup, testFonts } from '../../testing/harness.js';
import { evenWays, unevenRuns } from './even-ways.js';
import { grooveSize } from './groove-size.js';
import { linesMm } from './runs.js';
import { wireBetween, wiringOrder } from './wiring-order.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const lit = (change: Readonly<Record<string, unknown>> = {}) =>
  evaluatedCoarsely(changed(lateSoup, inAssembly(change)), fonts);

describe('strip in grooves', () => {
  it.each([1, 0.9, 1.15, 1.4])('is whole cuts that add up, its holes on their runs, at scale %d', (scale) => {
    const { runs, geometry, materials } = lit({ 'lines.scale': scale, 'carrier.shape': 'margin' });
    const { cutPitchMm } = materials.strip;
    const rooms = runs.stretches.reduce((sum, { roomMm }) => sum + roomMm, 0);
    for (const { lengthMm, bareMm, roomMm } of runs.stretches) {
      expect(lengthMm / cutPitchMm).toBeCloseTo(Math.round(lengthMm / cutPitchMm), 9);
      expect(lengthMm + bareMm).toBeCloseTo(roomMm, 6);
      expect(bareMm).toBeLessThan(cutPitchMm);
    }
    expect(runs.stripMm).toBeCloseTo(
      runs.segments.reduce((sum, { lengthMm }) => sum + lengthMm, 0),
      6,
    );
    // What no run takes: crossings and joins, less than a groove and a half each way of each.
    expect(linesMm(geometry) - rooms).toBeGreaterThanOrEqual(-1e-6);
    expect(runs.holes).toHaveLength(2 * runs.segments.length);
    const lines = geometry.lines.map(({ points, closed }) => (closed ? points : [...points, ...[...points].reverse()]));
    for (const { at } of runs.holes)
      expect(Math.min(...lines.map((line) => distanceToOutline(at, [line])))).toBeLessThan(0.5);
  });

  it('overlaps no wall of its groove', () => {
    const { runs, geometry } = lit();
    for (const { path } of runs.segments)
      for (const [x, y] of path)
        expect(distanceToOutline([x, y], geometry.grooveArea)).toBeGreaterThan(geometry.groove.stripAcrossMm / 2);
  });

  it('is numbered in the order in which it is wired, with less wire than as it was laid', () => {
    const { runs, circuit } = lit();
    expect(runs.segments.map(({ number }) => number)).toEqual(runs.segments.map((_, index) => index + 1));
    const wire = circuit.wires.reduce((sum, { lengthMm }) => sum + lengthMm, 0);
    // Two falls through the board and the way behind it for each piece of a word 630 mm wide.
    expect(wire).toBeLessThan(2000);
  });
});

describe('the order of pieces', () => {
  it('is the shortest of all, where all can be tried', () => {
    const random = seededRandom(7);
    const place = (): Point => [400 * random(), 300 * random()];
    for (let turn = 0; turn < 12; turn += 1) {
      const pieces = Array.from({ length: 5 }, () => ({ from: place(), to: place() }));
      const order = wiringOrder(pieces, [0, 0]);
      expect(order.map(({ piece }) => piece).sort()).toEqual([0, 1, 2, 3, 4]);
      const all = (left: readonly number[]): readonly (readonly { piece: number; reversed: boolean }[])[] =>
        left.length === 0
          ? [[]]
          : left.flatMap((piece) =>
              all(left.filter((each) => each !== piece)).flatMap((rest) =>
                [false, true].map((reversed) => [{ piece, reversed }, ...rest]),
              ),
            );
      const best = Math.min(...all([0, 1, 2, 3, 4]).map((each) => wireBetween(pieces, each, [0, 0])));
      expect(wireBetween(pieces, order, [0, 0]) / best).toBeLessThan(1.15);
    }
  });
});

describe('runs that come out even', () => {
  it('do so by ends moved where that is within bounds, and the change does it', () => {
    const results = lit();
    expect(unevenRuns(results)).toHaveLength(2);
    const [first] = evenWays(results);
    expect(first!.way).toMatchObject({ kind: 'ends-moved', uneven: 0 });
    const next = applyChange(lateSoup, first!.change);
    if (!next.ok) throw new Error('no design');
    const after = evaluatedCoarsely(next.value as unknown as typeof lateSoup, fonts);
    expect(unevenRuns(after)).toEqual([]);
    // No line has moved but at its ends, and by no more than was said.
    expect(Math.abs(linesMm(after.geometry) - linesMm(results.geometry))).toBeLessThan(4 * first!.way.movedMm + 0.1);
  });

  it('are found for drawings by chance wherever each line alone can be moved to whole cuts', () => {
    const random = seededRandom(4);
    for (let turn = 0; turn < 6; turn += 1) {
      const lines = Array.from({ length: 4 }, (_, at) => {
        const y = 60 * at - 90;
        return { points: [-150 + 30 * random(), y, 120 + 60 * random(), y], closed: false };
      });
      const design = changed(
        lateSoup,
        inAssembly({
          'lines.drawn': { name: 'bars', scale: 1, lines },
          'lines.ends': [],
          'carrier.shape': 'margin',
        }),
      );
      const [way] = evenWays(evaluatedCoarsely(design, fonts));
      if (way === undefined) continue;
      expect(way.way.uneven).toBe(0);
      const next = applyChange(design, way.change);
      if (!next.ok) throw new Error('no design');
      expect(unevenRuns(evaluatedCoarsely(next.value as unknown as typeof design, fonts))).toEqual([]);
    }
  });
});

describe('spare past the marks', () => {
  const bar = (lengthMm: number, spareMm: number) =>
    lit({
      'lines.drawn': { name: 'bar', scale: 1, lines: [{ points: [0, 0, lengthMm, 0], closed: false }] },
      'lines.ends': [],
      'light.spareMm': spareMm,
      'carrier.shape': 'margin',
    });

  it('takes room at both ends of a run: a cut less where it does not fit', () => {
    expect(bar(401, 0).runs.segments[0]!.lengthMm).toBe(400);
    const spare = bar(401, 3);
    expect(spare.runs.segments[0]!.lengthMm).toBe(375);
    const fits = bar(406.5, 3);
    expect(fits.runs.segments[0]!.lengthMm).toBe(400);
    expect(unevenRuns(fits)).toEqual([]);
    expect(evenWays(spare)[0]?.way).toMatchObject({ uneven: 0 });
  });

  it('is cut off with its piece, and costs the cut that it lies in', () => {
    const { packing, runs } = bar(406.5, 3);
    expect(runs.segments[0]).toMatchObject({ spareMm: 3 });
    expect(packing.reels[0]?.reels[0]?.pieces[0]?.lengthMm).toBe(425);
    expect(bar(406.5, 0).packing.reels[0]?.reels[0]?.pieces[0]?.lengthMm).toBe(400);
  });
});

describe('the size of a groove', () => {
  const [assembly] = lateSoup.assemblies;
  const strip = shippedCatalogue.strips.find(({ id }) => id === 'continuous-24v-320')!;
  const sheet = {
    id: 'ply-18',
    name: 'Birch plywood 18 mm',
    stuff: 'wood',
    thicknessMm: 18,
    densityKgM3: 680,
    conductsWmK: 0.13,
    sheetWidthMm: 2440,
    sheetHeightMm: 1220,
    price: 60,
    clear: false,
    showsGrain: true,
  } as const;

  it('is that of the widest thing in it: an end cap more than its tube', () => {
    const cover = shippedCatalogue.covers.find(({ id }) => id === 'soft-tube-8')!;
    const size = grooveSize({ ...assembly!.groove, clearanceMm: 0.3 }, { strip, layers: [], cover, sheet });
    expect(size.holds[0]).toEqual({ what: 'its end cap', mm: 9.5 });
    expect(size.widthMm).toBeCloseTo(9.8, 9);
    expect(size.depthMm).toBeCloseTo(cover.heightMm - cover.proudMm, 9);
  });

  it('is deeper for strip on its edge, which bends more tightly', () => {
    const bare = { ...assembly!.groove, coverId: null };
    const flat = grooveSize(bare, { strip, layers: [], cover: null, sheet });
    const edge = grooveSize({ ...bare, lies: 'edge' }, { strip, layers: [], cover: null, sheet });
    expect(edge.depthMm - flat.depthMm).toBeCloseTo(strip.widthMm - strip.heightMm, 9);
    expect(edge.bendRadiusMm).toBeCloseTo(flat.bendRadiusMm / 2, 9);
  });

  it('too shallow lets the cover stand out the more', () => {
    const cover = shippedCatalogue.covers.find(({ id }) => id === 'soft-dome-8')!;
    const size = grooveSize({ ...assembly!.groove, depthMm: 6 }, { strip, layers: [], cover, sheet });
    expect(size.proudMm).toBeCloseTo(cover.proudMm + size.wantedDepthMm - 6, 9);
  });
});
