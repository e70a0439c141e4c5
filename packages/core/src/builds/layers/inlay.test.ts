import { beforeAll, describe, expect, it } from '@jest/globals';
import { strFromU8 } from 'fflate';
import { readSvg } from '../../artwork/drawings/index.js';
import type { FontBook } from '../../artwork/lettering/index.js';
import { outlineArea, outlineBounds, ringArea, solidParts, type Outline } from '../../base/outlines/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { cracks, fitLadder, pieceFor, usualFit } from '../../making/fits/index.js';
import { createEvaluator } from '../../sign/evaluate/index.js';
import {
  changed,
  coarse,
  evaluated,
  evaluatedCoarsely,
  inAssembly,
  reedBed,
  sound,
  testFonts,
} from '../../testing/harness.js';
import { packOf } from '../../testing/packs.js';
import { mendedBy } from '../../testing/mended.js';
import type { SheetDesign } from './schema.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const window = reedBed.assemblies[0]!.scene.sheets[4]!;
const lettered = (rest: Partial<SheetDesign> = {}): SheetDesign => ({
  ...window,
  id: 'lid',
  name: 'Lid',
  shape: 'lettered',
  heightMm: 66,
  inlay: { materialId: 'opal-3' },
  ...rest,
});
const made = (rest: Partial<SheetDesign> = {}, more: Readonly<Record<string, unknown>> = {}) =>
  changed(
    reedBed,
    inAssembly({ 'scene.sheets': [lettered(rest)], 'artwork.text': 'OAR', 'artwork.capHeightMm': 110, ...more }),
  );

/** Every outline that is cut of a drawing in the pack. */
const cutIn = (svg: string): Outline => {
  const read = readSvg(svg);
  if (!read.ok) throw new Error(read.problems[0]!.message);
  return read.value.shapes
    .filter(({ layer }) => layer.startsWith('CUT'))
    .flatMap(({ paths }) => paths.map(({ points }) => points));
};
const widthOf = (outline: Outline): number => outlineBounds(outline)!.width;

describe('letters let into a sheet', () => {
  it('leave the pack as wide over their pockets as they are to be, half a kerf beside where the tool goes', async () => {
    const overMm = 0.08;
    const design = made({ inlay: { materialId: 'opal-3', overMm } });
    const tools = shippedCatalogue.tools.map((tool) =>
      tool.id === 'laser' ? { ...tool, kerfs: { wood: 0.26, acrylic: 0.18 }, way: { leadMm: 0 } } : tool,
    );
    const measured = { ...shippedCatalogue, tools };
    const files = await packOf(sound(createEvaluator(measured, fonts, coarse).evaluate(design)));
    const fileOf = (path: string): Outline => cutIn(strFromU8(files.find((file) => file.path === path)!.bytes));
    // In the drawing of the sheet its pockets are the holes; the largest ring is its own outline.
    const lid = fileOf('parts/sheet-1.svg');
    const own = [...lid].sort((a, b) => Math.abs(ringArea(b)) - Math.abs(ringArea(a)))[0]!;
    const pockets = lid.filter((ring) => ring !== own);
    const letters = fileOf('parts/inlay-1.svg');
    expect(widthOf(letters) - widthOf(pockets)).toBeCloseTo(overMm, 2);
    // The middle of the cut: into the pocket by half of what wood loses, outside the letter by half of what acrylic does.
    const cutLid = fileOf('toolpaths/sheet-1.svg');
    const cutOwn = [...cutLid].sort((a, b) => Math.abs(ringArea(b)) - Math.abs(ringArea(a)))[0]!;
    expect(widthOf([cutOwn]) - widthOf([own])).toBeCloseTo(0.26, 2);
    expect(Math.abs(widthOf(cutLid.filter((ring) => ring !== cutOwn)) - widthOf(pockets) + 0.26)).toBeLessThan(0.01);
    expect(Math.abs(widthOf(fileOf('toolpaths/inlay-1.svg')) - widthOf(letters) - 0.18)).toBeLessThan(0.01);
    // The ladder is cut with both kerfs.
    const holes = fileOf('coupons/fit-ladder-pockets.svg').filter((ring) => widthOf([ring]) < 30);
    const plugs = fileOf('coupons/fit-ladder-plugs.svg');
    expect(holes).toHaveLength(7);
    for (const ring of holes) expect(widthOf([ring])).toBeCloseTo(20 - 0.26, 2);
    const sizes = plugs.map((ring) => widthOf([ring])).sort((a, b) => a - b);
    sizes.forEach((size, step) => expect(size).toBeCloseTo(20 + overMm + 0.05 * (step - 3) + 0.18, 2));
  });

  it('take their counters with them, which are counted and held by them', () => {
    const { scene, cut } = evaluatedCoarsely(made(), fonts);
    const [lid] = scene.sheets;
    // O, A and R have one each.
    expect(lid!.inlay!.counters).toHaveLength(3);
    expect(lid!.carried).toHaveLength(1);
    expect(cut.find(({ id }) => id === 'inlay-1')!.note).toContain('3 counters');
    // Without letters let in each wants spacers of its own.
    const open = evaluatedCoarsely(made({ inlay: null }), fonts);
    expect(open.scene.sheets[0]!.carried).toHaveLength(4);
  });

  it('glow with the light behind them', () => {
    const { glow } = evaluated(made(), fonts);
    const letters = glow.seen.find(({ inlay }) => inlay)!;
    const lid = glow.seen.find(({ inlay, index }) => index === 0 && !inlay)!;
    expect(letters.meanCdM2).toBeGreaterThan(20 * lid.meanCdM2);
    const { emittedLm, outLm, absorbedCaseLm, absorbedFaceLm } = glow.balance;
    expect(Math.abs((outLm + absorbedCaseLm + absorbedFaceLm) / emittedLm - 1)).toBeLessThan(0.001);
  });

  it.each<[string, string, Partial<SheetDesign>, Readonly<Record<string, unknown>>]>([
    ['inlay-tight', 'usual-fit', { inlay: { materialId: 'opal-3', overMm: 0.3 } }, {}],
    ['inlay-tight', 'usual-fit', { materialId: 'black-acrylic-5', inlay: { materialId: 'opal-5', overMm: 0.1 } }, {}],
    ['inlay-loose', 'usual-fit', { inlay: { materialId: 'opal-3', overMm: -0.4 } }, {}],
    [
      'inlay-necks',
      'wider-letters',
      { materialId: 'black-acrylic-5', inlay: { materialId: 'opal-5' } },
      { 'artwork.text': 'HILL', 'artwork.tracking': -0.08 },
    ],
    [
      'inlay-necks',
      'wooden-sheet',
      { materialId: 'black-acrylic-5', inlay: { materialId: 'opal-5' } },
      { 'artwork.text': 'HILL', 'artwork.tracking': -0.08 },
    ],
  ])('%s is found, and mended by %s', (rule, fix, sheet, more) => {
    expect(mendedBy(made(sheet, more), fonts, rule, fix).gone).toBe(true);
  });
});

describe('fits', () => {
  it('press into what gives, and leave brittle sheet the loose end', () => {
    expect(usualFit('acrylic', 'wood').overMm).toBeGreaterThan(0);
    expect(usualFit('acrylic', 'acrylic').overMm).toBeLessThan(0);
    expect([cracks('acrylic'), cracks('wood')]).toEqual([true, false]);
    for (const piece of ['acrylic', 'wood', 'metal'] as const)
      for (const pocket of ['acrylic', 'wood', 'metal'] as const) {
        const { overMm, leastMm, mostMm } = usualFit(piece, pocket);
        expect(leastMm <= overMm && overMm <= mostMm).toBe(true);
      }
  });

  it('move an outline by half on each side', () => {
    const pocket: Outline = [
      [
        [0, 0],
        [30, 0],
        [30, 20],
        [0, 20],
      ],
    ];
    const wide = outlineBounds(pieceFor(pocket, 0.2))!;
    expect(wide.width).toBeCloseTo(30.2, 6);
    expect(wide.height).toBeCloseTo(20.2, 6);
    const loose = pieceFor(pocket, -0.2);
    expect(Math.abs(outlineArea(loose))).toBeCloseTo(29.8 * 19.8, 1);
    expect(solidParts(loose)).toHaveLength(1);
    expect(fitLadder(0, { name: 'A', kerfMm: 0.2 }, { name: 'B', kerfMm: 0.3 }).map(({ kerfMm }) => kerfMm)).toEqual([
      0.3, 0.2,
    ]);
  });
});
