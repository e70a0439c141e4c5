import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { boughtAs } from '../../power/circuit/index.js';
import { demoDesigns, newDesign } from '../../sign/demo/index.js';
import type { Design } from '../../sign/design/index.js';
import { changed, evaluatedCoarsely, inAssembly, testFonts } from '../../testing/harness.js';
import { findingOn, mendedBy } from '../../testing/mended.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const { dispensary, slipway, tern } = demoDesigns;
/** Two letters are enough. */
const small = newDesign('halo', { name: 'IN', text: 'IN', readingDistanceMm: 3000, sizesMm: { capHeightMm: 260 } });
const box = (change: Readonly<Record<string, unknown>>, sign: Readonly<Record<string, unknown>> = {}): Design =>
  changed(dispensary, { ...inAssembly(change), ...sign });

/** A mistake that makers make: the rule that finds it, how gravely, and one of the fixes that mend it. */
const mistakes: readonly (readonly [
  what: string,
  rule: string,
  severity: 'stop' | 'fix' | 'note',
  fixId: string,
  design: () => Design,
])[] = [
  ['a bare clear face', 'shows-inside', 'fix', 'change-face', () => box({ 'face.sheetId': 'clear-3' })],
  [
    'paint by hand',
    'coats-uneven',
    'note',
    'film-for-paint',
    () =>
      box(
        { 'face.coats': [{ coatingId: 'white-paint', coats: 1 }], 'light.rowCount': 12 },
        { 'brief.ambient': 'evening', 'power.nightLevel': 0.05, 'brief.budget': null },
      ),
  ],
  ['strip stuck a second time', 'tape-lets-go', 'note', 'clips', () => box({ 'light.secondHand': true })],
  ['strip under a ceiling', 'tape-lets-go', 'note', 'clips', () => box({}, { 'brief.place': 'ceiling' })],
  [
    'strip on bare wood',
    'tape-lets-go',
    'note',
    'clips',
    () => box({ 'case.liningId': 'bare-ply', 'case.backBoardId': 'ply-6' }),
  ],
  [
    'letters with bare backs',
    'tape-lets-go',
    'note',
    'clips',
    () => changed(small, inAssembly({ 'letters.backFinishId': 'bare-ply' })),
  ],
  ['clips in a closed case', 'clips-lose-contact', 'note', 'solder', () => changed(slipway, { 'power.joint': 'clip' })],
  [
    'thick wire on narrow pads',
    'wire-over-pads',
    'fix',
    'thin-tails',
    () => changed(demoDesigns['net-loft'], { 'power.joint': 'solder' }),
  ],
  ['a supply among the rows', 'gear-inside', 'fix', 'supply-outside', () => box({}, { 'power.supplyPlace': 'inside' })],
  [
    'a supply higher than the case is deep',
    'gear-inside',
    'stop',
    'supply-outside',
    () => box({ 'case.depthInsideMm': 34 }, { 'power.supplyPlace': 'inside' }),
  ],
  [
    'a supply in a lit letter',
    'gear-inside',
    'fix',
    'supply-outside',
    () => changed(tern, { 'power.supplyPlace': 'inside' }),
  ],
  [
    'strip that doubles back along the bottom',
    'side-doubled',
    'note',
    'once-each',
    () =>
      box({
        'light.layout': 'rim',
        'light.sides': ['top', 'right', 'bottom', 'bottom', 'left'],
        'case.backBoardId': 'composite-3',
      }),
  ],
  ['rows nearer than strip is wide', 'strips-overlap', 'fix', 'drop-rows', () => box({ 'light.rowCount': 39 })],
  [
    'a shallow seat for a screwed back',
    'back-screws-near-edge',
    'fix',
    'deeper-seat',
    () => box({ 'case.seatMm': 4, 'case.playMm': 0.6 }),
  ],
  [
    'a shallow seat in stock too thin for a deeper one',
    'back-screws-near-edge',
    'fix',
    'thicker-returns',
    () => box({ 'case.seatMm': 4, 'case.playMm': 0.6 }),
  ],
  [
    'screws in returns that are mostly seats',
    'corners-without-room',
    'fix',
    'splined-mitre',
    () => box({ 'case.depthInsideMm': 13, 'light.rowCount': 12 }),
  ],
  [
    'a groove through most of the board',
    'weak-groove',
    'fix',
    'sturdy-groove',
    () => box({ 'case.retention': 'groove', 'case.seatMm': 9, 'case.lipMm': 2, 'case.playMm': 1 }),
  ],
  [
    'a groove deeper than any bit on the shelf reaches',
    'no-cutter',
    'fix',
    'mitred-through',
    () => box({ 'case.returnBoardId': 'oak-18', 'case.retention': 'groove', 'case.seatMm': 15 }),
  ],
  [
    'vents that run into each other',
    'holes-collide',
    'fix',
    'other-vents',
    () => box({ 'case.vents': { count: 40, diameterMm: 30 } }),
  ],
  [
    'lines nearer than strip is wide',
    'strips-overlap',
    'fix',
    'drop-lines',
    () => changed(small, inAssembly({ 'light.lineCount': 2, 'light.linePitchMm': 4 })),
  ],
];

describe('a mistake', () => {
  it.each(mistakes)('%s is found and mended: %s, a %s, by “%s”', (_, rule, severity, fixId, design) => {
    const { finding, gone } = mendedBy(design(), fonts, rule, fixId);
    expect([finding.severity, gone]).toEqual([severity, true]);
    expect(finding.numbers.length).toBeGreaterThan(0);
    for (const { value } of finding.numbers) expect(Number.isFinite(value)).toBe(true);
  });

  it.each([
    ['opal acrylic shows nothing behind it', 'shows-inside', () => box({})],
    [
      'one coat of spray is even enough',
      'coats-uneven',
      () => box({ 'face.coats': [{ coatingId: 'frosted-spray', coats: 1 }] }),
    ],
    ['clips hold used strip', 'tape-lets-go', () => box({ 'light.secondHand': true, 'light.hold': 'clips' })],
    ['soldered joints keep', 'clips-lose-contact', () => slipway],
    [
      'a block covers a supply that fits under it',
      'gear-inside',
      () =>
        changed(demoDesigns['fish-counter'], {
          'power.supplyPlace': 'inside',
          ...inAssembly({
            'case.block': { widthMm: 240, heightMm: 120, depthMm: 60, offsetXMm: 0, offsetYMm: 0 },
            'light.layout': 'block',
            'case.depthInsideMm': 120,
          }),
        }),
    ],
    ['two turns round all sides are alike', 'side-doubled', () => box({ 'light.layout': 'rim', 'light.turnCount': 2 })],
    [
      'light from the top alone is meant so',
      'side-doubled',
      () => box({ 'light.layout': 'rim', 'light.sides': ['top'] }),
    ],
    ['eight millimetres of seat hold a screw', 'back-screws-near-edge', () => box({})],
    ['a groove of half the board stands', 'weak-groove', () => box({ 'case.retention': 'groove', 'case.seatMm': 6 })],
    ['mitres need no room for screws', 'corners-without-room', () => box({ 'case.cornerJoint': 'mitre' })],
    ['vents with wood between them', 'holes-collide', () => box({ 'case.vents': { count: 12, diameterMm: 10 } })],
    [
      'a lead through the back goes beside the middle row',
      'holes-collide',
      () => box({ 'light.rowCount': 9 }, { 'brief.leadExit': 'back' }),
    ],
    ['rows side by side do not overlap', 'strips-overlap', () => box({ 'light.rowCount': 12 })],
  ] as const)('%s: no word of %s', (_, rule, design) => {
    expect(findingOn(design(), fonts, rule)).toBeNull();
  });
});

it('holes that collide are shown where they are, in the return that has them', () => {
  const found = findingOn(box({ 'case.vents': { count: 40, diameterMm: 30 } }), fonts, 'holes-collide');
  const { y, height } = found!.where!.rect;
  // Half of 300 mm outside, less half of the 12 mm board.
  expect(Math.abs(y + height / 2)).toBeCloseTo(150 - 6, 6);
});

it('clear acrylic sanded lightly is worth a word', () => {
  const sanded = box({ 'face.sheetId': 'clear-3', 'face.coats': [{ coatingId: 'sanded-320', coats: 1 }] });
  expect(findingOn(sanded, fonts, 'shows-inside')?.severity).toBe('note');
});

describe('strip round the rim', () => {
  const rim = (light: Readonly<Record<string, unknown>>) =>
    evaluatedCoarsely(changed(dispensary, inAssembly({ 'light.layout': 'rim', ...light })), fonts).runs.segments;

  it('runs along the sides that are named, in that order, a side named twice at two heights', () => {
    const segments = rim({ 'light.sides': ['left', 'top', 'top'] });
    expect(segments.map(({ on }) => on)).toEqual(['left', 'top', 'top']);
    const [, one, other] = segments.map(({ from }) => from[2]);
    expect(other! - one!).toBeGreaterThan(20);
  });

  it('runs along all four where none is named, as often as it turns', () => {
    expect(rim({}).map(({ on }) => on)).toEqual(['top', 'right', 'bottom', 'left']);
    expect(rim({ 'light.turnCount': 2 })).toHaveLength(8);
  });
});

describe('what is bought', () => {
  const bought = (design: Design) => evaluatedCoarsely(design, fonts).parts;

  it('is joints of the kind that is used, one a core or one a wire end', () => {
    const of = (joint: string) => {
      const evaluation = evaluatedCoarsely(changed(slipway, { 'power.joint': joint }), fonts);
      const ends = 2 * evaluation.circuit.wires.length;
      const cores = 2 * evaluation.circuit.wires.reduce((sum, wire) => sum + wire.cores.length, 0);
      return { ends, cores, joints: evaluation.parts.bought.filter(({ id }) => id.startsWith('joint-')) };
    };
    const [solder, clip] = [of('solder'), of('clip')];
    expect(solder.joints.map(({ id, quantity }) => [id, quantity])).toEqual([['joint-solder', solder.cores]]);
    expect(clip.joints.map(({ id, quantity }) => [id, quantity])).toEqual([['joint-clip', clip.ends]]);
  });

  it('is one lead of many cores where one is sold that is thick enough, else pairs side by side', () => {
    const { wires } = shippedCatalogue;
    const pair = (id: string) => wires.find((wire) => wire.id === id)!;
    expect(boughtAs(wires, pair('pair-0.5'), 2)).toEqual({ wire: pair('pair-0.5'), count: 1 });
    expect(boughtAs(wires, pair('pair-0.5'), 4).wire.name).toBe('Lead of 4 × 0.5 mm² (AWG 20)');
    expect(boughtAs(wires, pair('pair-0.5'), 5).wire.cores).toBe(5);
    expect(boughtAs(wires, pair('pair-1.5'), 4)).toEqual({ wire: pair('pair-1.5'), count: 2 });
    const inside = bought(slipway).bought.filter(({ unit, hangs }) => unit === 'm' && hangs);
    expect(inside.map(({ name }) => name)).toContain('Lead of 4 × 0.75 mm² (AWG 18), inside');
  });

  it('is clips where strip is held by them, and spacers under a second sheet that stands off', () => {
    const count = (design: Design, id: string) => bought(design).bought.find((each) => each.id === id)?.quantity ?? 0;
    expect(count(box({}), 'strip-clip')).toBe(0);
    expect(count(box({ 'light.hold': 'clips' }), 'strip-clip')).toBeGreaterThanOrEqual(4);
    expect(count(box({ 'face.second': { sheetId: 'opal-3', gapMm: 0 } }), 'spacer-strip')).toBe(0);
    expect(count(box({ 'face.second': { sheetId: 'opal-3', gapMm: 12 } }), 'spacer-strip')).toBeGreaterThan(1);
  });

  it('counts a supply inside to what hangs', () => {
    const outside = bought(box({}));
    const inside = bought(box({}, { 'power.supplyPlace': 'inside' }));
    const supply = inside.bought.find(({ name }) => /supply/i.test(name))!;
    expect(inside.kg - outside.kg).toBeCloseTo(supply.kg, 9);
  });

  it('is a block with all its sides, by the size it takes up', () => {
    const block = { widthMm: 240, heightMm: 120, depthMm: 60, offsetXMm: 0, offsetYMm: 0 };
    const design = changed(
      demoDesigns['fish-counter'],
      inAssembly({ 'case.block': block, 'light.layout': 'block', 'case.depthInsideMm': 120 }),
    );
    const { cut } = bought(design);
    const parts = cut.filter(({ id }) => id.startsWith('block-'));
    const board = parts[0]!.thicknessMm;
    expect(parts.map(({ widthMm, heightMm }) => [widthMm, heightMm])).toEqual([
      [240, 120],
      [240, 60 - board],
      [240, 60 - board],
      [120 - 2 * board, 60 - board],
      [120 - 2 * board, 60 - board],
    ]);
  });
});
