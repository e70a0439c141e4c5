import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { shippedCatalogue, type Catalogue } from '../../document/catalogue/index.js';
import { coarse, testFonts } from '../../testing/harness.js';
import { demoDesigns } from '../../sign/demo/index.js';
import { evaluate } from '../../sign/evaluate/index.js';
import { needsOf, type Need } from '../needs/index.js';
import { allot, shoppingList, type Lot } from './index.js';

const strip = shippedCatalogue.strips.find(({ id }) => id === 'white-12v-60')!;
const strips = (...lengthsMm: number[]): Need => ({
  kind: 'strips',
  itemId: strip.id,
  lineId: strip.id,
  name: strip.name,
  form: 'lengths',
  unit: 'mm',
  amount: lengthsMm.reduce((sum, mm) => sum + mm, 0),
  each: strip.reelMm,
  lengthsMm,
});
const reel = (id: string, amount: number): Lot => ({ id, kind: 'strips', lineId: strip.id, form: 'lengths', amount });
const ply = shippedCatalogue.boards.find(({ id }) => id === 'ply-3')!;
const sheets = (count: number, partsMm?: Need['partsMm']): Need => ({
  kind: 'boards',
  itemId: ply.id,
  lineId: ply.id,
  name: ply.name,
  form: 'sheets',
  unit: 'sheet',
  amount: count,
  each: 1,
  sheetMm: [ply.sheetWidthMm, ply.sheetHeightMm],
  ...(partsMm === undefined ? {} : { partsMm }),
});
const board = (id: string, amount: number, ...sheetMm: readonly [number, number]): Lot => ({
  id,
  kind: 'boards',
  lineId: ply.id,
  form: 'sheets',
  amount,
  sheetMm,
});
const glue = shippedCatalogue.glues.find(({ id }) => id === 'wood-glue')!;
const glueFor = (ml: number): Need => ({
  kind: 'glues',
  itemId: glue.id,
  lineId: glue.id,
  name: glue.name,
  form: 'amount',
  unit: 'ml',
  amount: ml,
  each: glue.ml,
});
const tin = (id: string, amount: number): Lot => ({ id, kind: 'glues', lineId: glue.id, form: 'amount', amount });
const of = (lots: readonly Lot[], ...needs: Need[]) => allot(lots, [{ jobId: 'job', needs }])[0]!;

describe('what is there', () => {
  it('of a reel in pieces is not added up: each length comes from one piece, the tightest that has it', () => {
    // 1.5 m in all, and no metre of it in one piece.
    expect(of([reel('a', 700), reel('b', 800)], strips(1000)).shorts[0]).toMatchObject({
      lengthsMm: [1000],
      there: 1500,
    });
    const { shorts, taken } = of([reel('a', 5000), reel('b', 900), reel('c', 700)], strips(600, 850));
    expect(shorts).toEqual([]);
    expect(taken).toEqual([
      { lotId: 'b', amount: 850 },
      { lotId: 'c', amount: 600 },
    ]);
  });

  it('of sheets is taken from offcuts first, the smallest that takes a part', () => {
    const { shorts, taken } = of(
      [board('whole', 2, 1220, 610), board('offcut', 1, 320, 220)],
      sheets(1, [
        [300, 200],
        [1000, 500],
      ]),
    );
    expect(shorts).toEqual([]);
    expect(taken).toEqual([
      { lotId: 'whole', amount: 1 },
      { lotId: 'offcut', amount: 1 },
    ]);
    // A part that no offcut takes wants a whole sheet, however large the offcuts are together.
    const missing = of([board('a', 5, 320, 220)], sheets(1, [[1000, 500]]));
    expect(missing.shorts[0]).toMatchObject({ amount: 1, partsMm: [[1000, 500]], there: 5 });
    expect(of([board('w', 3, ply.sheetWidthMm, ply.sheetHeightMm)], sheets(5)).shorts[0]).toMatchObject({ amount: 2 });
  });

  it('of a sheet that one job began is left to those after it, as far as their parts still lie on it', () => {
    const half = [[ply.sheetWidthMm / 2 - 10, ply.sheetHeightMm - 10]] as const;
    const found = allot(
      [board('w', 1, ply.sheetWidthMm, ply.sheetHeightMm)],
      ['a', 'b', 'c'].map((jobId) => ({ jobId, needs: [sheets(1, half)] })),
    );
    expect(found.map(({ shorts }) => shorts.length)).toEqual([0, 0, 1]);
    // The sheet is taken once, by who began it.
    expect(found.map(({ taken }) => taken)).toEqual([[{ lotId: 'w', amount: 1 }], [], []]);
  });

  it('goes to claims one after the other', () => {
    const [first, second] = allot(
      [tin('open', 30), tin('full', glue.ml)],
      [
        { jobId: 'one', needs: [glueFor(50)] },
        { jobId: 'two', needs: [glueFor(glue.ml)] },
      ],
    );
    expect(first!.shorts).toEqual([]);
    // What is open is used up first.
    expect(first!.taken).toEqual([
      { lotId: 'open', amount: 30 },
      { lotId: 'full', amount: 20 },
    ]);
    expect(second!.shorts[0]).toMatchObject({ amount: 20, there: glue.ml - 20 });
  });

  it('is never given twice, and what is given and what is short are what was wanted', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 5000 }), { maxLength: 8 }),
        fc.array(fc.array(fc.integer({ min: 1, max: 5000 }), { minLength: 1, maxLength: 6 }), { maxLength: 5 }),
        (lots, jobs) => {
          const own = lots.map((mm, at) => reel(`r${at}`, mm));
          const found = allot(
            own,
            jobs.map((lengths, at) => ({ jobId: `${at}`, needs: [strips(...lengths)] })),
          );
          for (const lot of own) {
            const given = found.flatMap(({ taken }) => taken.filter(({ lotId }) => lotId === lot.id));
            expect(given.reduce((sum, { amount }) => sum + amount, 0)).toBeLessThanOrEqual(lot.amount);
          }
          found.forEach(({ shorts, taken }, at) => {
            const given = taken.reduce((sum, { amount }) => sum + amount, 0);
            const short = shorts.reduce((sum, { amount }) => sum + amount, 0);
            expect(given + short).toBe(jobs[at]!.reduce((sum, mm) => sum + mm, 0));
          });
        },
      ),
    );
  });
});

describe('one list of what is to be bought', () => {
  it('puts the lengths of all jobs on the fewest reels, and counts packs, price and days', () => {
    const catalogue: Catalogue = {
      ...shippedCatalogue,
      strips: shippedCatalogue.strips.map((each) =>
        each.id === strip.id ? { ...each, packOf: 2, supplier: 'Quay Lights', leadDays: 4, price: 10 } : each,
      ),
    };
    // Three jobs of 2 m: one reel of 5 m takes two of them, two make a pack.
    const shorts = ['a', 'b', 'c'].map((jobId) => ({ jobId, shorts: of([], strips(2000)).shorts }));
    expect(shoppingList(shorts, catalogue)).toEqual([
      expect.objectContaining({
        pieces: 2,
        packs: 1,
        packOf: 2,
        price: 20,
        supplier: 'Quay Lights',
        leadDays: 4,
        jobIds: ['a', 'b', 'c'],
        amount: 6000,
      }),
    ]);
  });

  it('buys what stands on the shelf now, in whole tins and sheets', () => {
    const newer = { ...glue, id: 'wood-glue--2', lineId: glue.id, price: 9 };
    const catalogue = {
      ...shippedCatalogue,
      glues: [
        ...shippedCatalogue.glues.map((each) => (each.id === glue.id ? { ...each, newerId: newer.id } : each)),
        newer,
      ],
    };
    const list = shoppingList([{ jobId: 'a', shorts: of([], glueFor(glue.ml + 1), sheets(3)).shorts }], catalogue);
    expect(list.map(({ itemId, pieces, price }) => [itemId, pieces, price])).toEqual(
      expect.arrayContaining([
        ['wood-glue--2', 2, 18],
        ['ply-3', 3, 3 * ply.price],
      ]),
    );
    // Parts of two jobs that share a sheet.
    const half = [[ply.sheetWidthMm / 2 - 10, ply.sheetHeightMm - 10]] as const;
    const both = ['a', 'b'].map((jobId) => ({ jobId, shorts: of([], sheets(1, half)).shorts }));
    expect(shoppingList(both, catalogue)[0]!.pieces).toBe(1);
  });
});

describe('what a job takes from the shelf', () => {
  it.each(Object.entries(demoDesigns))(
    '%s: strip by its pieces, sheets by their parts, tins and supplies',
    async (_, design) => {
      const found = evaluate(design, shippedCatalogue, await testFonts(), coarse, 'none');
      if (!found.ok) throw new Error('no sign');
      const needs = needsOf(found.value, shippedCatalogue);
      const { packing, circuit } = found.value;
      const lengths = needs.filter(({ form }) => form === 'lengths');
      expect(lengths.reduce((sum, { amount }) => sum + amount, 0)).toBeCloseTo(
        packing.reels
          .flatMap(({ reels }) => reels.flatMap(({ pieces }) => pieces))
          .reduce((sum, { lengthMm }) => sum + lengthMm, 0),
        6,
      );
      if (circuit.supply !== null)
        expect(needs.find(({ kind }) => kind === 'supplies')).toMatchObject({
          itemId: circuit.supply.id,
          amount: circuit.supplyCount * design.brief.quantity,
        });
      for (const need of needs) {
        expect(need.amount).toBeGreaterThan(0);
        expect(need.each).toBeGreaterThan(0);
        const list = shippedCatalogue[need.kind] as readonly { readonly id: string }[];
        expect(list.some(({ id }) => id === need.itemId)).toBe(true);
      }
      // With nothing on the shelf all of it is to be bought; a small part is no joint of the same name.
      const [own] = allot([], [{ jobId: 'job', needs }]);
      expect(own!.shorts).toHaveLength(needs.length);
      const list = shoppingList([own!], shippedCatalogue);
      expect(list.every(({ pieces, price }) => pieces > 0 && price >= 0)).toBe(true);
      const screws = list.find(({ itemId }) => itemId === 'screw');
      if (screws !== undefined) expect(screws.kind).toBe('sundries');
    },
  );
});
