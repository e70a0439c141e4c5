import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { createEvaluator } from '../../sign/evaluate/index.js';
import { shippedCatalogue, type Catalogue } from '../../document/catalogue/index.js';
import { gridOver } from '../../base/raster/index.js';
import { changed, dispensary, inAssembly, evaluated, testFonts, pageEvaluator } from '../../testing/harness.js';
import { crossSection, histogram, valueAt } from './cross-section.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const glow = (change: Readonly<Record<string, unknown>>) => evaluated(changed(dispensary, change), fonts).glow;
const box = (change: Readonly<Record<string, unknown>>) => glow(inAssembly(change));
const problem = (change: Readonly<Record<string, unknown>>) => {
  const result = pageEvaluator(fonts).evaluate(changed(dispensary, change));
  return result.ok ? null : result.problems[0];
};

const cosineFile = (power: number): string => {
  const angles = Array.from({ length: 19 }, (_, index) => index * 5);
  const candela = angles.map((angle) => 100 * Math.cos((angle * Math.PI) / 180) ** power);
  return `IESNA:LM-63-2002\nTILT=NONE\n1 -1 1 19 1 1 2 0 0 0\n1 1 1\n${angles.join(' ')}\n0\n${candela.join(' ')}\n`;
};

describe('where LEDs look', () => {
  it('rows on their edge light the face less directly and leave it evener', () => {
    const [front, side] = [box({}), box({ 'light.facing': 'side' })];
    expect(side.indirectShare).toBeGreaterThan(front.indirectShare);
    expect(side.evenness.dotContrast).toBeLessThan(front.evenness.dotContrast);
  });

  it('strip round a block lights the case from its middle, and the block shades what lies behind it', () => {
    const block = { widthMm: 300, heightMm: 90, depthMm: 40, offsetXMm: 0, offsetYMm: 0 };
    const out = box({ 'case.block': block, 'light.layout': 'block', 'light.turnCount': 1 });
    expect(out.balance.outLm).toBeGreaterThan(0);
    expect(out.incidentLm.block).toBeGreaterThan(0);
    const [with_, without] = [box({ 'case.block': block, 'light.rowCount': 4 }), box({ 'light.rowCount': 4 })];
    expect(with_.balance.outLm).toBeLessThan(without.balance.outLm);
    const { balance } = with_;
    const spent = balance.outLm + balance.absorbedFaceLm + balance.absorbedCaseLm;
    expect(spent / balance.emittedLm).toBeCloseTo(1, 3);
  });

  it.each([
    [inAssembly({ 'light.facing': 'in' }), 'assemblies.0.light.facing'],
    [inAssembly({ 'light.layout': 'block' }), 'assemblies.0.light.layout'],
    [
      inAssembly({ 'case.block': { widthMm: 2000, heightMm: 90, depthMm: 40, offsetXMm: 0, offsetYMm: 0 } }),
      'assemblies.0.case.block.widthMm',
    ],
    [
      inAssembly({ 'case.block': { widthMm: 200, heightMm: 90, depthMm: 80, offsetXMm: 0, offsetYMm: 0 } }),
      'assemblies.0.case.block.depthMm',
    ],
    [inAssembly({ 'face.second': { sheetId: 'clear-3', gapMm: 80 } }), 'assemblies.0.face.second.gapMm'],
    [inAssembly({ 'light.photometry': { name: 'a.ies', ies: 'nonsense' } }), 'assemblies.0.light.photometry.ies'],
    [inAssembly({ 'face.coats': [{ coatingId: 'jam', coats: 1 }] }), 'assemblies.0.face.coats.0.coatingId'],
  ])('what cannot be is refused with its path: %j', (change, path) => expect(problem(change)?.path).toBe(path));
});

describe('a catalogue that makes light from nothing', () => {
  it('is refused by the path of the sheet or coating', () => {
    const evaluate = (catalogue: Catalogue, change: Readonly<Record<string, unknown>>) => {
      const result = createEvaluator(catalogue, fonts).evaluate(changed(dispensary, inAssembly(change)));
      return result.ok ? null : result.problems[0];
    };
    const faces = shippedCatalogue.faces.map((face) => (face.id === 'opal-3' ? { ...face, reflectance: 0.8 } : face));
    expect(evaluate({ ...shippedCatalogue, faces }, {})).toMatchObject({
      path: 'assemblies.0.face.sheetId',
      message: expect.stringContaining('put its figures right on the shelf'),
    });
    const coatings = shippedCatalogue.coatings.map((coating) => ({ ...coating, transmittance: Number.NaN }));
    expect(
      evaluate({ ...shippedCatalogue, coatings }, { 'face.coats': [{ coatingId: 'sanded-80', coats: 1 }] })?.path,
    ).toBe('assemblies.0.face.coats.0.coatingId');
  });
});

describe('a measured distribution', () => {
  it('of a cosine shows what the beam angle shows', () => {
    const [measured, typical] = [box({ 'light.photometry': { name: 'cosine.ies', ies: cosineFile(1) } }), box({})];
    expect(measured.evenness.meanCdM2 / typical.evenness.meanCdM2).toBeCloseTo(1, 2);
    expect(measured.evenness.dotContrast / typical.evenness.dotContrast).toBeCloseTo(1, 1);
  });

  it('of a narrow beam shows the rows more', () => {
    const narrow = box({ 'light.photometry': { name: 'narrow.ies', ies: cosineFile(6) } });
    expect(narrow.evenness.dotContrast).toBeGreaterThan(1.5 * box({}).evenness.dotContrast);
  });
});

describe('faces in stacks', () => {
  const clear = (coats: readonly unknown[], second: unknown = null) =>
    box({ 'face.sheetId': 'clear-3', 'face.coats': coats, 'face.second': second });

  it('coarse grit hides more than fine, and a second sanded sheet on spacers more than a tight one', () => {
    const [fine, coarse] = [
      clear([{ coatingId: 'sanded-320', coats: 1 }]),
      clear([{ coatingId: 'sanded-80', coats: 1 }]),
    ];
    expect(coarse.evenness.dots.contrast).toBeLessThan(fine.evenness.dots.contrast);
    const second = (gapMm: number) => ({
      sheetId: 'clear-3',
      gapMm,
      coats: [{ coatingId: 'sanded-80', coats: 1 }],
    });
    const rows = {
      'light.rowCount': 6,
      'face.sheetId': 'clear-3',
      'face.coats': [{ coatingId: 'sanded-80', coats: 1 }],
    };
    const [one, two] = [box(rows), box({ ...rows, 'face.second': second(0) })];
    expect(two.evenness.dotContrast).toBeLessThan(0.6 * one.evenness.dotContrast);
  });

  it('two rows show as bands through one sanded sheet, however fine the map', () => {
    const sanded = { 'face.sheetId': 'clear-3', 'face.coats': [{ coatingId: 'sanded-80', coats: 1 }] };
    for (const rowCount of [2, 3, 4])
      expect(box({ ...sanded, 'light.rowCount': rowCount }).evenness.bands?.contrast).toBeGreaterThan(0.3);
  });

  it('a second opal sheet melts bands that one shows, and costs light', () => {
    const [one, two] = [box({}), box({ 'face.second': { sheetId: 'opal-3', gapMm: 20 } })];
    expect(two.evenness.meanCdM2).toBeLessThan(0.7 * one.evenness.meanCdM2);
    expect(two.evenness.dotContrast).not.toBeCloseTo(one.evenness.dotContrast, 3);
    const { balance } = two;
    expect((balance.outLm + balance.absorbedCaseLm + balance.absorbedFaceLm) / balance.emittedLm).toBeCloseTo(1, 5);
  });

  it('each coat of paint costs light', () => {
    const lit = [1, 2, 3].map(
      (coats) => box({ 'face.coats': [{ coatingId: 'white-paint', coats }] }).evenness.meanCdM2,
    );
    expect(lit[1]).toBeLessThan(0.75 * lit[0]!);
    expect(lit[2]).toBeLessThan(0.85 * lit[1]!);
  });

  it('a red sheet lets red out, and dims white light', () => {
    const red = box({ 'face.sheetId': 'opal-red-3' });
    expect(red.hue[0]).toBeGreaterThan(8 * red.hue[2]);
    expect(red.evenness.meanCdM2).toBeLessThan(0.5 * box({}).evenness.meanCdM2);
  });
});

describe('what the eye makes of it', () => {
  it('is one sentence with a number, for every state', () => {
    expect(box({}).verdict).toMatchObject({ verdict: 'bands', sentence: expect.stringMatching(/rows as bands: \d/) });
    expect(box({ 'light.rowCount': 6 }).verdict.verdict).toBe('even');
    expect(box({ 'face.sheetId': 'sanded-one-3', 'light.rowCount': 1 }).verdict.sentence).toContain('dot');
    expect(box({ 'light.rowCount': 0 }).verdict.verdict).toBe('dark');
    expect(box({ 'light.rowCount': 6, 'case.liningId': 'bare-ply', 'light.endMarginMm': 100 }).verdict.verdict).toBe(
      'falls off',
    );
  });

  it('judges the slow fall-off by the same eye: plain in a corner left dark, and coarser than the bands', () => {
    const [dark, even] = [box({ 'light.rowCount': 1, 'case.liningId': 'bare-ply' }), box({ 'light.rowCount': 6 })];
    expect(dark.evenness.fallOff.contrast).toBeGreaterThan(1.5 * even.evenness.fallOff.contrast);
    expect(dark.evenness.fallOff.contrast).toBeGreaterThan(dark.evenness.fallOff.threshold);
    expect(even.evenness.fallOff.threshold).toBeGreaterThan(0.001);
    expect(even.evenness.fallOff.threshold).toBeLessThan(0.1);
  });

  it('marks hot and dark places and says which strip and which return', () => {
    const { spots, evenness } = box({ 'light.rowCount': 1 });
    const [hot, dark] = [spots.find(({ kind }) => kind === 'hot')!, spots.find(({ kind }) => kind === 'dark')!];
    expect(hot.why).toContain('right over segment 1');
    expect(hot.cdM2).toBeGreaterThan(evenness.meanCdM2);
    expect(dark.why).toMatch(/aside of segment 1, \d+ mm from the (left|right|top|bottom) return/);
    expect(box({ 'light.rowCount': 6 }).spots.filter(({ kind }) => kind === 'hot')).toEqual([]);
  });
});

describe('reading the map', () => {
  const grid = gridOver({ x: -50, y: -20, width: 100, height: 40 }, 50, 20);
  const slope = Float64Array.from({ length: 1000 }, (_, cell) => (cell % 50) * 2 + 1 + 100);

  it('along any line follows the map, and its ends are the line’s', () => {
    const section = crossSection(slope, grid, [-40, -10], [40, 10], 81);
    expect(section.alongMm.at(-1)).toBeCloseTo(Math.hypot(80, 20), 9);
    expect(section.cdM2[0]).toBeCloseTo(110, 6);
    expect(section.cdM2.at(-1)).toBeCloseTo(190, 6);
    expect(valueAt(slope, grid, 0, 0)).toBeCloseTo(150, 6);
  });

  it('in a histogram counts every cell once', () => {
    const shares = histogram(slope, 200, 20);
    expect(shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9);
    expect(shares.slice(0, 10).every((share) => share === 0)).toBe(true);
  });
});
