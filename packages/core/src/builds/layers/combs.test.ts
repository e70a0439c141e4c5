import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { inOutline, outlineArea, outlineBounds } from '../../base/outlines/index.js';
import { slotLadder } from '../../making/fits/index.js';
import { changed, evaluatedCoarsely, inAssembly, reedBed, testFonts, coarseEvaluator } from '../../testing/harness.js';
import { mendedBy } from '../../testing/mended.js';
import { fitLadders } from './inlay.js';
import type { CombsDesign, SheetDesign } from './schema.js';
import { withSheets } from './section.js';
import { layersToFinish } from './to-finish.js';
import { toothOf } from './teeth.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const [farBank, , , , window] = reedBed.assemblies[0]!.scene.sheets;
type Change = Readonly<Record<string, unknown>>;
const combs: CombsDesign = { materialId: 'ply-3', highMm: 16, insetMm: 120 };
/** A bank over the whole width, so many mm high. */
const bank = (id: string, heightMm: number, high: number, rest: Partial<SheetDesign> = {}): SheetDesign => ({
  ...farBank!,
  id,
  name: id,
  heightMm,
  held: 'combs',
  drawing: { name: id, scale: 1, rings: [[-288, -140, 288, -140, 288, high - 138, -288, high - 138]] },
  ...rest,
});
const banks = [bank('Hill', 9, 150), bank('Hedge', 21, 110), bank('Grass', 33, 80)];
const made = (change: Change = {}, own: Partial<CombsDesign> = {}) =>
  changed(reedBed, inAssembly({ 'scene.combs': { ...combs, ...own }, 'scene.sheets': [...banks, window], ...change }));
const scene = (change: Change = {}, own: Partial<CombsDesign> = {}) => evaluatedCoarsely(made(change, own), fonts);

describe('combs on the floor', () => {
  it('hold sheets at the very height that is wanted, without a spacer', () => {
    const { sheets } = scene({
      'scene.sheets': [bank('Hill', 9.37, 150), window],
    }).scene;
    expect(sheets[0]!.rearZMm).toBe(9.37);
    expect(sheets[0]!.errorMm).toBe(0);
    expect(sheets[0]!.carried.flatMap(({ posts }) => posts)).toEqual([]);
    // The window reaches to the top: it cannot be lowered onto them.
    expect(sheets[1]!.carried.flatMap(({ posts }) => posts).length).toBeGreaterThan(0);
  });

  it('are slotted into sheets and sheets into them, each as wide as the other is thick but for the fit', () => {
    const own = scene({}, { overMm: 0.12 });
    const { sheets, combs: stood } = own.scene;
    const [halfInside] = [own.geometry.inside.heightMm / 2];
    expect(stood!.each.map(({ xMm }) => xMm)).toEqual([-(288 - 120), 288 - 120]);
    for (const sheet of sheets.slice(0, 3)) {
      const slots = sheet.carried.flatMap((each) => each.slots);
      expect(slots).toHaveLength(2);
      for (const slot of slots) {
        const bounds = outlineBounds([slot])!;
        expect(bounds.width).toBeCloseTo(3 - 0.12, 9);
        // Half of the comb from the floor, and a little of play.
        expect(bounds.y + bounds.height + halfInside).toBeCloseTo(8.2, 9);
      }
      const slotArea = 2 * (3 - 0.12) * (8.2 - 0.5);
      expect(Math.abs(outlineArea(sheet.outline)) - Math.abs(outlineArea(sheet.slotted))).toBeCloseTo(slotArea, 1);
    }
    const [left] = stood!.each;
    for (const at of left!.holds) {
      const { rearZMm, frontZMm } = sheets[at]!;
      const middle = (rearZMm + frontZMm) / 2;
      for (const side of [-1, 1]) {
        // Open as far as the slot goes, solid beyond it.
        expect(inOutline([middle + side * (1.44 - 0.01), 14], left!.profile)).toBe(false);
        expect(inOutline([middle + side * (1.44 + 0.01), 14], left!.profile)).toBe(true);
        expect(inOutline([middle, 7.7], left!.profile)).toBe(true);
        expect(inOutline([middle, 7.9], left!.profile)).toBe(false);
      }
    }
  });

  it('go over strip on the floor, and end before a sheet that stands by itself', () => {
    const low = scene({ 'light.fromBackMm': 45, 'scene.sheets': [...banks, { ...window, heightMm: 66 }] });
    const [comb] = low.scene.combs!.each;
    expect(comb!.passages).toBe(1);
    // It ends 5 mm before the foremost sheet that it holds: 36 + 5.
    expect(comb!.toZMm).toBeCloseTo(41, 9);
    const through = scene({ 'light.fromBackMm': 27.5 });
    const [over] = through.scene.combs!.each;
    const { strip } = through.materials;
    expect(inOutline([27.5, strip.heightMm + 1], over!.profile)).toBe(false);
    expect(inOutline([27.5, strip.heightMm + 2], over!.profile)).toBe(true);
    // The window is 3 mm before the grass: half a millimetre is left to it.
    const near = scene({ 'scene.sheets': [...banks, { ...window, heightMm: 39 }] });
    expect(near.scene.combs!.each[0]!.toZMm).toBeCloseTo(39 - 0.5, 6);
  });

  it('keep spacers of other sheets off where they run, and are glued', () => {
    // A low sill on spacers, where the combs run.
    const sill = bank('Sill', 50, 40, { held: 'spacers' });
    const own = scene({ 'scene.sheets': [...banks, sill, window] });
    const posts = own.scene.sheets.flatMap(({ carried }) => carried.flatMap((each) => each.posts));
    expect(posts.length).toBeGreaterThan(2);
    const floor = -own.geometry.inside.heightMm / 2;
    for (const { at, footMm } of posts)
      for (const { xMm } of own.scene.combs!.each)
        expect(at[1] - footMm / 2 >= floor + 16 || Math.abs(at[0] - xMm) >= (3 + footMm) / 2).toBe(true);
    const bond = layersToFinish(own).bonds.find(({ id }) => id === 'combs')!;
    expect(bond.mm).toBeCloseTo(2 * 41, 6);
  });

  it('are cut twice, with slots told, tried on a test strip first, and glued before sheets go in', () => {
    const own = scene();
    const part = own.cut.find(({ id }) => id === 'combs')!;
    expect(part.count).toBe(2);
    expect(part.note).toContain('3 slots, each 0.15 mm narrower');
    expect(part.kerfMm).toBeGreaterThan(0);
    expect(own.cut.find(({ name }) => name === 'Hill')!.note).toContain('2 slots for the combs');
    expect(own.cut.find(({ name }) => name === 'Hill')!.note).not.toContain('spacer');
    const ids = own.buildList.steps.map(({ id }) => id);
    const at = (id: string): number => ids.findIndex((each) => each === id || each.endsWith(`-${id}`));
    expect(at('slots')).toBeGreaterThan(-1);
    expect(at('sheets')).toBeGreaterThan(at('slots'));
    expect(at('combs')).toBeGreaterThan(at('sheets'));
    expect(at('comb-Hill')).toBeGreaterThan(at('combs'));
    const [ladder] = fitLadders(own.scene, own.materials);
    expect(ladder!.id).toBe('slot-ladder');
  });

  it('are drawn where the slice goes through one', () => {
    const own = scene();
    const drawn = (x: number) =>
      withSheets(own.caseSection, own.scene, own.geometry, null, [], own.materials.strip, x).shapes.filter(
        ({ role, ring }) => role === 'post' && ring.length > 8,
      );
    expect(drawn(288 - 120)).toHaveLength(1);
    expect(drawn(0)).toEqual([]);
    const bounds = outlineBounds([drawn(288 - 120)[0]!.ring])!;
    expect([bounds.x, bounds.y, bounds.height]).toEqual([0, -own.geometry.inside.heightMm / 2, 16]);
  });

  it('have teeth as wide as from sheet to sheet', () => {
    const { combs: stood, sheets } = scene().scene;
    expect(toothOf(stood!, sheets)!.wideMm).toBeCloseTo(9, 9);
    expect(toothOf({ each: [] }, sheets)).toBeNull();
  });

  it.each<[string, string, Change, Partial<CombsDesign>]>([
    ['slots-tight', 'usual-slots', {}, { overMm: 0.6 }],
    ['slots-loose', 'usual-slots', {}, { overMm: -0.4 }],
    ['comb-tooth-thin', 'sheets-apart', { 'scene.sheets': [banks[0], bank('Hedge', 14, 110), window] }, {}],
    ['comb-tooth-thin', 'on-spacers', { 'scene.sheets': [banks[0], bank('Hedge', 14, 110), window] }, {}],
    [
      'comb-meets-sheet',
      'hold-alike',
      { 'scene.sheets': [banks[0], { ...banks[1], held: 'spacers' }, banks[2], window] },
      {},
    ],
    [
      'combs-missed',
      'comb-elsewhere',
      {
        'scene.sheets': [
          {
            ...banks[0],
            heightMm: 45,
            drawing: { name: 'hill', scale: 1, rings: [[-140, -140, 140, -140, 140, 0, -140, 0]] },
          },
          window,
        ],
      },
      {},
    ],
    ['combs-missed', 'on-spacers', { 'scene.sheets': [banks[0], { ...window, held: 'combs' }] }, {}],
    [
      'comb-seen',
      'lower-combs',
      { 'scene.sheets': [bank('Hill', 30, 150), { ...window, heightMm: 66 }] },
      { highMm: 60 },
    ],
  ])('%s is found, and mended by %s', (rule, fix, change, own) => {
    expect(mendedBy(made(change, own), fonts, rule, fix).gone).toBe(true);
  });

  it('brings no alarm where all is well', () => {
    const { findings } = scene();
    expect(findings.filter(({ rule }) => /comb|slot/.test(rule))).toEqual([]);
  });

  it.each<[string, Change]>([
    ['and the box has none; add combs', { 'scene.combs': null }],
    ['“lost” is not in the catalogue', { 'scene.combs': { ...combs, materialId: 'lost' } }],
  ])('are refused with what to do: %s', (told, change) => {
    const result = coarseEvaluator(fonts).evaluate(made(change));
    if (result.ok) throw new Error('it is taken');
    expect(result.problems.map(({ message }) => message).join('; ')).toContain(told);
  });
});

describe('a test strip of slots', () => {
  it('has seven, each a step narrower, round the wanted fit', () => {
    const { layers, widthMm, heightMm } = slotLadder(0.15, 3, { name: 'Plywood', kerfMm: 0.2 });
    const [cut, marks] = layers;
    const [shape] = cut!.shapes;
    if (shape?.kind !== 'outline') throw new Error('no outline');
    // The strip less its slots: 3 − 0.15 ± steps of 0.05, 10 mm deep.
    const slots = [-3, -2, -1, 0, 1, 2, 3].reduce((sum, step) => sum + 10 * (3 - 0.15 - 0.05 * step), 0);
    expect(outlineArea(shape.outline)).toBeCloseTo(widthMm * heightMm - slots, 2);
    expect(marks!.shapes).toHaveLength(1 + 2 + 3 + 4 + 5 + 6 + 7);
  });
});
