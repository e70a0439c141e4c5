import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import { evaluate } from '../../sign/evaluate/index.js';
import { coarse, testFonts } from '../../testing/harness.js';
import { needsOf, type Need } from '../needs/index.js';
import { allot, type LaidSheet, type Lot } from './index.js';
import { leftOf } from './laid.js';

const need = (partsMm: NonNullable<Need['partsMm']>, rest: Partial<Need> = {}): Need => ({
  kind: 'boards',
  itemId: 'ply-3',
  lineId: 'ply-3',
  name: 'Plywood 3 mm',
  form: 'sheets',
  unit: 'sheet',
  amount: 1,
  each: 1,
  sheetMm: [1220, 610],
  partsMm,
  kerfMm: 3,
  ...rest,
});
const board = (id: string, widthMm: number, heightMm: number, amount = 1): Lot => ({
  id,
  kind: 'boards',
  lineId: 'ply-3',
  form: 'sheets',
  amount,
  sheetMm: [widthMm, heightMm],
});
const laidIn = (lots: readonly Lot[], ...needs: Need[]): readonly LaidSheet[] =>
  allot(lots, [{ jobId: 'job', needs }], new Set(['job']))[0]!.laid;
const overlap = (a: LaidSheet['placed'][number], b: LaidSheet['placed'][number], kerf: number): boolean =>
  a.x < b.x + b.widthMm + kerf - 1e-6 &&
  b.x < a.x + a.widthMm + kerf - 1e-6 &&
  a.y < b.y + b.heightMm + kerf - 1e-6 &&
  b.y < a.y + a.heightMm + kerf - 1e-6;

describe('parts of a job on what lies in the shop', () => {
  it('lie on the offcut that takes them, by their names, and the rest on what is to be bought', () => {
    const parts: NonNullable<Need['partsMm']> = [
      [300, 200],
      [1000, 500],
    ];
    const [offcut, bought] = laidIn([board('o', 320, 420)], need(parts, { partNames: ['Back', 'Top'] }));
    expect(offcut).toMatchObject({ lotId: 'o', offcut: true, sheetMm: [420, 320], name: 'Plywood 3 mm' });
    expect(offcut!.placed.map(({ label }) => label)).toEqual(['Back']);
    // 420 × 320 less 300 × 200 in its corner and a kerf of 3: 117 × 320 beside it, or 420 × 117 above.
    expect(offcut!.leftMm).toEqual([
      [420, 117],
      [200, 117],
    ]);
    expect(bought).toMatchObject({ lotId: null, offcut: false });
    expect(bought!.placed.map(({ label }) => label)).toEqual(['Top']);
    expect(bought!.leftMm).toEqual([
      [610, 217],
      [1000, 107],
    ]);
    // Nobody asked: nothing is laid out.
    expect(allot([board('o', 420, 320)], [{ jobId: 'job', needs: [need(parts)] }])[0]!.laid).toEqual([]);
  });

  it('go beside those of a job before, whose parts are shown without a name', () => {
    const claims = ['first', 'second'].map((jobId) => ({ jobId, needs: [need([[400, 300]], { partNames: [jobId] })] }));
    const [first, second] = allot([board('w', 1220, 610)], claims, new Set(['first', 'second']));
    expect(first!.laid[0]!.placed.map(({ label }) => label)).toEqual(['first']);
    expect(second!.laid[0]!.placed.map(({ label }) => label)).toEqual(['–', 'second']);
    // The rest is left by who began it.
    expect([first!.laid[0]!.leftMm.length, second!.laid[0]!.leftMm]).toEqual([2, []]);
  });

  it('turn where their material has no grain', () => {
    const long = [[150, 600]] as const;
    const tall = board('o', 620, 200);
    expect(laidIn([tall], need(long))[0]!.lotId).toBe('o');
    const two = [
      [290, 190],
      [290, 190],
      [190, 390],
    ] as const;
    expect(laidIn([board('o', 490, 393)], need(two)).map(({ lotId }) => lotId)).toEqual(['o', null]);
    expect(laidIn([board('o', 490, 393)], need(two, { mayTurn: true })).map(({ lotId }) => lotId)).toEqual(['o']);
  });

  it('lie apart by a kerf within their sheet, all of them once, and what is left is free', () => {
    const side = fc.integer({ min: 40, max: 600 });
    fc.assert(
      fc.property(
        fc.array(fc.tuple(side, side), { minLength: 1, maxLength: 8 }),
        fc.array(fc.tuple(side, side), { maxLength: 4 }),
        (parts, offcuts) => {
          const laid = laidIn(
            offcuts.map(([w, h], at) => board(`${at}`, w, h)),
            need(parts),
          );
          expect(laid.flatMap(({ placed }) => placed)).toHaveLength(parts.length);
          for (const { placed, sheetMm, leftMm } of laid) {
            placed.forEach((a, at) => {
              expect(a.x + a.widthMm).toBeLessThanOrEqual(sheetMm[0] + 1e-6);
              expect(a.y + a.heightMm).toBeLessThanOrEqual(sheetMm[1] + 1e-6);
              expect(placed.slice(at + 1).some((b) => overlap(a, b, 3))).toBe(false);
            });
            const used = placed.reduce((sum, { widthMm, heightMm }) => sum + widthMm * heightMm, 0);
            const left = leftMm.reduce((sum, [w, h]) => sum + w * h, 0);
            expect(used + left).toBeLessThanOrEqual(sheetMm[0] * sheetMm[1]);
          }
        },
      ),
      { numRuns: 150 },
    );
  });

  it('leave of a bar a length, of a sheet what is worth keeping', () => {
    const placed = [{ label: 'a', widthMm: 700, heightMm: 60, sheet: 0, x: 0, y: 0, turned: false }];
    const bar = { kerfMm: 3, mayTurn: false, bar: true };
    expect(leftOf(placed, [1000, 60], bar)).toEqual([[297, 60]]);
    expect(leftOf(placed, [890, 60], bar)).toEqual([]);
    expect(leftOf(placed, [890, 60], { ...bar, bar: false })).toEqual([]);
  });

  describe('of bars', () => {
    const bar = (partsMm: NonNullable<Need['partsMm']>, rest: Partial<Need> = {}): Need =>
      need(partsMm, { unit: 'bar', bar: true, sheetMm: [2400, 60], kerfMm: 0, ...rest });
    const lengths = (...mm: number[]): NonNullable<Need['partsMm']> => mm.map((each) => [each, 60] as const);

    it('lie on offcuts so that the fewest are bought, which one after the other does not find, and it is proven', () => {
      // Longest first, 900 goes on the 1500 alone with 500; by hand: 1500 = 900 + 600, 1000 = 500 + 500, nothing to buy.
      const lots = [board('a', 1500, 60), board('b', 1000, 60)];
      const [all] = allot(lots, [{ jobId: 'job', needs: [bar(lengths(900, 600, 500, 500))] }], new Set(['job']));
      expect(all!.shorts).toEqual([]);
      expect(all!.laid.map(({ lotId, placed }) => [lotId, placed.length])).toEqual([
        ['b', 2],
        ['a', 2],
      ]);
      const [more] = allot(lots, [{ jobId: 'job', needs: [bar(lengths(900, 600, 500, 500, 2000, 400, 300))] }]);
      // 2000 + 400 on one bar, and 300 has no room anywhere: two, by 5200 mm less 2500 there over 2400.
      expect(more!.shorts[0]).toMatchObject({ amount: 2, atLeast: 2 });
    });

    it('lose at both ends what is trimmed off, where they are bought and where they are whole; offcuts do not', () => {
      const trimmed = bar(lengths(1170, 1170), { trimMm: 50 });
      const bought = allot([], [{ jobId: 'job', needs: [trimmed] }], new Set(['job']))[0]!;
      // 2400 less 100 is less than twice 1170.
      expect(bought.shorts[0]).toMatchObject({ amount: 2, atLeast: 2 });
      expect(bought.laid[0]!.placed[0]).toMatchObject({ x: 50, y: 0 });
      expect(bought.laid[0]!.leftMm).toEqual([[1130, 60]]);
      const whole = allot([board('w', 2400, 60)], [{ jobId: 'job', needs: [trimmed] }])[0]!;
      expect(whole.shorts[0]!.amount).toBe(1);
      // An offcut of 2340 was trimmed when it was cut off.
      expect(allot([board('o', 2345, 60)], [{ jobId: 'job', needs: [trimmed] }])[0]!.shorts).toEqual([]);
    });

    it('go on what another job began, as far as it goes', () => {
      const claims = ['first', 'second'].map((jobId) => ({ jobId, needs: [bar(lengths(1100))] }));
      const [first, second] = allot([board('w', 2400, 60)], claims, new Set(['first', 'second']));
      expect([first!.shorts, second!.shorts]).toEqual([[], []]);
      expect(second!.laid[0]!.placed.map(({ label }) => label)).toEqual(['–', 'part 1']);
      const third = allot([board('w', 2400, 60)], [...claims, { jobId: 'third', needs: [bar(lengths(1100))] }])[2]!;
      expect(third.shorts[0]).toMatchObject({ amount: 1 });
    });

    it('that are longer than a bar that is bought go on a longer one that is here', () => {
      const [found] = allot(
        [board('long', 3200, 60)],
        [{ jobId: 'job', needs: [bar(lengths(3000, 1000))] }],
        new Set(['job']),
      );
      expect(found!.laid.map(({ lotId, placed }) => [lotId, placed.length])).toEqual([
        ['long', 1],
        [null, 1],
      ]);
      expect(found!.shorts[0]).toMatchObject({ amount: 1, atLeast: 1 });
    });

    it('so narrow that two are ripped side by side are not counted end to end', () => {
      // Four of 2300 × 25: two and two beside each other on bars 60 wide, not four bars.
      const narrow = bar([
        [2300, 25],
        [2300, 25],
        [2300, 25],
        [2300, 25],
      ]);
      expect(allot([], [{ jobId: 'job', needs: [narrow] }])[0]!.shorts[0]).toMatchObject({ amount: 2, atLeast: 2 });
      expect(allot([board('w', 2400, 60)], [{ jobId: 'job', needs: [narrow] }])[0]!.shorts[0]!.amount).toBe(1);
    });

    it('that are longer than any are missing, and told so', () => {
      const [found] = allot([], [{ jobId: 'job', needs: [bar(lengths(3000, 1000))] }]);
      expect(found!.shorts[0]).toMatchObject({ amount: 2, partsMm: expect.arrayContaining([[3000, 60]]) });
    });
  });

  it('are proven by their area and by what fits no offcut', () => {
    const short = allot(
      [board('o', 300, 300)],
      [
        {
          jobId: 'job',
          needs: [
            need([
              [1000, 500],
              [1000, 500],
              [280, 280],
            ]),
          ],
        },
      ],
    )[0]!;
    expect(short.shorts[0]).toMatchObject({ amount: 2, atLeast: 2 });
  });

  it('are named by the sign they belong to', async () => {
    const found = evaluate(demoDesigns.dispensary, shippedCatalogue, await testFonts(), coarse, 'none');
    if (!found.ok) throw new Error('no sign');
    const labels = laidIn([], ...needsOf(found.value, shippedCatalogue)).flatMap(({ placed }) =>
      placed.map(({ label }) => label),
    );
    const wanted = found.value.packing.sheets.flatMap(({ placed }) => placed.map(({ label }) => label));
    expect([...labels].sort()).toEqual([...wanted].sort());
  });
});
