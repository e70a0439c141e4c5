import { describe, expect, it } from '@jest/globals';
import { demoDesigns } from '../../sign/demo/index.js';
import type { PowerDesign } from '../../document/design/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { inRows, rowsOfStrip, signOfRuns } from '../../testing/rows-of-strip.js';
import { jointOf, jointPieces } from './joints.js';
import { planWiring } from './wiring-plan.js';

const stripOf = (id: string) => shippedCatalogue.strips.find((strip) => strip.id === id)!;
const [white, pixels] = [stripOf('white-24v-120'), stripOf('pixels-5v-60')];

/** Rows 800 mm long one above the other, run there and back. */
const rows = (count: number) =>
  rowsOfStrip(
    Array.from({ length: count }, () => 800),
    100,
    1000 / 60,
  );
const plan = (count: number, change: Partial<PowerDesign> = {}, longestMm = 5000) =>
  planWiring({
    sign: signOfRuns(rows(count), white, [0, -50, 0]),
    power: { ...demoDesigns.dispensary.power, ...change },
    longestMm: () => longestMm,
  });
const words = (wires: ReturnType<typeof plan>['wires']): readonly string[] =>
  wires.map(({ from, to, injected }) => {
    const name = (end: (typeof wires)[number]['from']): string =>
      end === 'lead' ? 'lead' : `${end.segment + 1} ${end.end}`;
    return `${name(from)} > ${name(to)}${injected ? ' +' : ''}`;
  });

describe('a wiring plan', () => {
  it('goes from the lead to the first segment and on from end to start', () => {
    const { chains, wires } = plan(3);
    expect(chains).toEqual([[0, 1, 2]]);
    expect(words(wires)).toEqual(['lead > 1 start', '1 end > 2 start', '2 end > 3 start']);
    // Straight between the ends, with room for both joints.
    expect(wires[0]!.lengthMm).toBeCloseTo(50 + 40, 9);
    expect(wires[1]!.lengthMm).toBeCloseTo(100 + 40, 9);
    expect(wires[1]!.route.path).toEqual([
      [800, 0, 0],
      [800, 100, 0],
    ]);
  });

  it('feeds the far end too where both ends are fed, and an end only once', () => {
    expect(words(plan(2, { feed: 'both-ends' }).wires)).toEqual([
      'lead > 1 start',
      '1 end > 2 start',
      'lead > 2 end +',
    ]);
    const twice = plan(2, { feed: 'both-ends', injections: [{ ...inRows(2), end: 'end' }] });
    expect(words(twice.wires)).toEqual(['lead > 1 start', '1 end > 2 start', 'lead > 2 end +']);
  });

  it('feeds besides where it is told to, and passes over segments that are not there', () => {
    const { wires } = plan(3, {
      injections: [
        { ...inRows(2), end: 'end' },
        { ...inRows(9), end: 'start' },
      ],
    });
    expect(words(wires)).toEqual(['lead > 1 start', '1 end > 2 start', '2 end > 3 start', 'lead > 2 end +']);
  });

  it('fed backward begins at the end of the last segment, and its far end is the first one’s start', () => {
    const { chains, wires } = plan(3, { fedBackward: [inRows(1)] });
    expect(chains).toEqual([[2, 1, 0]]);
    expect(words(wires)).toEqual(['lead > 3 end', '3 start > 2 end', '2 start > 1 end']);
    expect(words(plan(3, { fedBackward: [inRows(1)], feed: 'both-ends' }).wires).at(-1)).toBe('lead > 1 start +');
    // Only the chain that is named is turned.
    expect(words(plan(2, { fedBackward: [inRows(2)], chainsBegin: [inRows(2)] }).wires)).toEqual([
      'lead > 1 start',
      'lead > 2 end',
    ]);
  });

  it('feeds a chain at its far end unasked where that lies much nearer, unless told otherwise; pixels never', () => {
    // The lead comes in at the end of the third row.
    const far = (change: Partial<PowerDesign>, data = false) =>
      planWiring({
        sign: signOfRuns(rows(3), data ? pixels : white, [830, 200, 0]),
        power: { ...demoDesigns.dispensary.power, ...change },
        longestMm: () => 5000,
      });
    expect(far({})).toMatchObject({ chains: [[2, 1, 0]], backward: [true] });
    expect(words(far({}).wires)[0]).toBe('lead > 3 end');
    expect(far({ fedForward: [inRows(1)] })).toMatchObject({ chains: [[0, 1, 2]], backward: [false] });
    expect(far({ feed: 'both-ends' }).backward).toEqual([false]);
    expect(far({}, true).backward).toEqual([false]);
    expect(far({ fedBackward: [inRows(1)] }, true).backward).toEqual([true]);
  });

  it('has a chain of its own wherever the longest run asks for one', () => {
    const { chains, wires } = plan(4, {}, 1700);
    expect(chains).toEqual([
      [0, 1],
      [2, 3],
    ]);
    expect(words(wires).filter((wire) => wire.startsWith('lead'))).toEqual(['lead > 1 start', 'lead > 3 start']);
    expect(wires.map(({ chain }) => chain)).toEqual([0, 0, 1, 1]);
  });

  it('of nothing is nothing', () => expect(plan(0)).toMatchObject({ chains: [], wires: [] }));
});

describe('joints', () => {
  it('have a resistance and a rating, and are named where the shop has several of a kind', () => {
    const { joints } = shippedCatalogue;
    for (const { kind, ohm, ratedA, stripMm } of joints) {
      expect(jointOf(shippedCatalogue, kind).kind).toBe(kind);
      expect([ohm > 0, ratedA > 0.1, stripMm > 0]).toEqual([true, true, true]);
    }
    expect(jointOf(shippedCatalogue, 'plug', 'thin-plug').ratedA).toBeLessThan(
      jointOf(shippedCatalogue, 'plug').ratedA,
    );
    // One of another kind is not taken.
    expect(jointOf(shippedCatalogue, 'clip', 'thin-plug').kind).toBe('clip');
    expect(jointOf(shippedCatalogue, 'clip').ohm).toBeGreaterThan(jointOf(shippedCatalogue, 'solder').ohm);
  });

  it('are the shop’s own where it has some, else those that ship', () => {
    const own = { ...jointOf(shippedCatalogue, 'clip'), id: 'own', ratedA: 1.5 };
    expect(jointOf({ joints: [own] }, 'clip')).toBe(own);
    expect(jointOf({ joints: [own] }, 'plug').ratedA).toBe(3);
  });

  it('take all cores at once, or one each', () => {
    expect(jointPieces(jointOf(shippedCatalogue, 'solder'), 4)).toBe(4);
    expect(jointPieces(jointOf(shippedCatalogue, 'clip'), 4)).toBe(1);
  });
});
