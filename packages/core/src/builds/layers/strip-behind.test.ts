import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { distanceToLine, distanceToOutline, inOutline, rectRing, type Ring } from '../../base/outlines/index.js';
import { changed, evaluatedCoarsely, inAssembly, reedBed, testFonts, coarseEvaluator } from '../../testing/harness.js';
import { mendedBy } from '../../testing/mended.js';
import type { StripBehind } from './schema.js';
import { bedBehind, linesBehind, ringWithin } from './strip-behind.js';
import { layersTemplates } from './templates.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const [farBank, , otter, , window] = reedBed.assemblies[0]!.scene.sheets;
type Change = Readonly<Record<string, unknown>>;
const behind = (rest: Partial<StripBehind> = {}): StripBehind => ({
  sheetId: 'window',
  setbackMm: 8,
  looks: 'back',
  ...rest,
});
const made = (change: Change, stripBehind: StripBehind = behind()) =>
  changed(reedBed, inAssembly({ 'scene.stripBehind': stripBehind, ...change }));
const scene = (change: Change = {}, stripBehind: StripBehind = behind()) =>
  evaluatedCoarsely(made(change, stripBehind), fonts);

describe('strip behind an overlap', () => {
  it('follows the edge of a window so far in that its near side is set back as wanted', () => {
    const { runs, scene: stood, materials } = scene();
    const { outline, rearZMm } = stood.sheets.find(({ sheet }) => sheet.id === 'window')!;
    expect(runs.leds.count).toBeGreaterThan(100);
    for (let led = 0; led < runs.leds.count; led += 1) {
      const at = [runs.leds.x[led]!, runs.leds.y[led]!] as const;
      expect(inOutline(at, outline)).toBe(true);
      expect(distanceToOutline(at, outline)).toBeGreaterThan(8 + materials.strip.widthMm / 2 - 0.2);
      // On its rear side, however its spacers came out.
      expect(runs.leds.z[led]).toBeCloseTo(rearZMm - materials.strip.heightMm, 9);
    }
    expect(Array.from(runs.ways!.looks.slice(0, 3))).toEqual([0, 0, -1]);
    // The hole is 516 × 216 in 576 × 276; the middle of 8 mm strip 12 mm out of it; what is left to corners and cut marks is little.
    const round = 2 * (516 + 216 + 4 * (8 + materials.strip.widthMm / 2));
    expect(runs.stripMm).toBeLessThan(round);
    expect(runs.stripMm).toBeGreaterThan(0.85 * round);
  });

  it('lies on the back and looks to the front where it is wanted there', () => {
    const { runs, materials } = scene({ 'scene.sheets': [window] }, behind({ looks: 'front' }));
    expect(new Set(runs.leds.z)).toEqual(new Set([materials.strip.heightMm]));
    expect(runs.segments.every(({ on }) => on === 'back')).toBe(true);
    expect(Array.from(runs.ways!.looks.slice(0, 3))).toEqual([0, 0, 1]);
  });

  it('leaves out the edges that a sheet has at the rim', () => {
    const geometry = scene().geometry;
    const { inside } = geometry;
    const [w, h] = [inside.widthMm, inside.heightMm];
    // A bank over the whole width, 100 mm high: its upper edge alone lies in the box.
    const bank = [rectRing({ x: 0.5 - w / 2, y: 0.5 - h / 2, width: w - 1, height: 100 })];
    const lines = linesBehind(bank, geometry, 12, 10);
    expect(lines).toHaveLength(1);
    expect(lines[0]!.closed).toBe(false);
    for (const [, y] of lines[0]!.points) expect(y).toBeCloseTo(0.5 - h / 2 + 100 - 12, 6);
    expect(Math.abs(lines[0]!.points[0]![0] - lines[0]!.points.at(-1)![0])).toBeCloseTo(w - 2 * (0.5 + 2), 6);
  });

  it('cuts a ring off at a rectangle by what lies in it', () => {
    const square = { x: 0, y: 0, width: 10, height: 10 };
    const whole: Ring = [
      [2, 2],
      [8, 2],
      [8, 8],
      [2, 8],
    ];
    expect(ringWithin(whole, square)).toEqual([{ points: whole, closed: true }]);
    // A rectangle that reaches out at the right: one line, from the right edge round and back to it.
    const [line, ...more] = ringWithin(
      [
        [2, 2],
        [14, 2],
        [14, 8],
        [2, 8],
      ],
      square,
    );
    expect(more).toEqual([]);
    expect(line!.closed).toBe(false);
    expect(line!.points[0]).toEqual([10, 8]);
    expect(line!.points.at(-1)).toEqual([10, 2]);
    expect(distanceToLine([2, 5], line!.points)).toBeCloseTo(0, 9);
    // All round outside it; and one through it twice.
    expect(
      ringWithin(
        [
          [-5, -5],
          [15, -5],
          [15, 15],
          [-5, 15],
        ],
        square,
      ),
    ).toEqual([]);
    expect(
      ringWithin(
        [
          [-5, 3],
          [15, 3],
          [15, 6],
          [-5, 6],
        ],
        square,
      ),
    ).toHaveLength(2);
  });

  it('loses no light', () => {
    const { glow } = scene();
    const { emittedLm, outLm, absorbedCaseLm, absorbedFaceLm } = glow.balance;
    expect(emittedLm).toBeGreaterThan(50);
    expect((outLm + absorbedCaseLm + absorbedFaceLm) / emittedLm).toBeCloseTo(1, 2);
  });

  it('keeps spacers off, and is seen in the slice and on a plan of its own', () => {
    const own = scene();
    const posts = own.scene.sheets.flatMap(({ carried, sheet }) =>
      sheet.id === 'window' ? carried.flatMap((each) => each.posts) : [],
    );
    expect(posts.length).toBeGreaterThan(0);
    for (const { at, footMm } of posts)
      for (const { path } of own.runs.segments)
        expect(
          distanceToLine(
            at,
            path.map(([x, y]) => [x, y] as const),
          ),
        ).toBeGreaterThan(footMm / 2 + own.materials.strip.widthMm / 2);
    const met = own.section.shapes.filter(({ role }) => role === 'strip');
    // Above the opening and below it.
    expect(met).toHaveLength(2);
    for (const { ring } of met)
      expect(Math.max(...ring.map(([z]) => z))).toBeCloseTo(own.scene.sheets.at(-1)!.rearZMm, 6);
    expect(Object.keys(layersTemplates({ ...own, design: made({}) }))).toContain('strip-behind');
    const told = own.buildList.steps.find(({ id }) => id === 'strip' || id.endsWith('-strip'))!;
    expect(told.detail).toContain('on the rear side of Bank, before that is glued in');
  });

  it('gives its heat to the sheet that carries it, which has air on both sides', () => {
    const { scene: stood, runs } = scene();
    const back = { conductsWmK: 1, thicknessMm: 6, openSides: 1, pitchMm: 50 } as const;
    const bed = bedBehind(back, made({}).assemblies[0]!.scene, runs, stood);
    expect(bed).toMatchObject({ thicknessMm: 3, openSides: 2 });
    // A window of 575 × 275 with a hole of 516 × 216.
    expect(bed.pitchMm).toBeCloseTo((575 * 275 - 516 * 216) / runs.stripMm, 0);
    expect(bedBehind(back, made({}, behind({ looks: 'front' })).assemblies[0]!.scene, runs, stood)).toBe(back);
  });

  it.each<[string, string, Change, Partial<StripBehind>]>([
    [
      'strip-seen',
      'farther-behind',
      { 'scene.sheets': [{ ...window!, borderMm: 60, heightMm: 20 }] },
      { setbackMm: 1, looks: 'front' },
    ],
    ['sheet-meets-strip', 'raise-carrier', { 'scene.sheets': [farBank, { ...window!, heightMm: 12.5 }] }, {}],
    [
      'sheet-meets-strip',
      'raise-carrier',
      { 'scene.sheets': [{ ...farBank!, shape: 'whole', heightMm: 0 }, window] },
      { looks: 'front' },
    ],
  ])('%s is found, and mended by %s', (rule, fix, change, rest) => {
    expect(mendedBy(made(change, behind(rest)), fonts, rule, fix).gone).toBe(true);
  });

  it.each<[string, Change, Partial<StripBehind>]>([
    ['names “lost”, and no sheet is called so', {}, { sheetId: 'lost' }],
    ['leaves no line for strip', {}, { setbackMm: 200 }],
    ['all its edges are at the rim', { 'scene.sheets': [{ ...otter, id: 'window', shape: 'whole' }] }, {}],
  ])('is refused with what to do: %s', (told, change, rest) => {
    const result = coarseEvaluator(fonts).evaluate(made(change, behind(rest)));
    if (result.ok) throw new Error('it is taken');
    expect(result.problems.map(({ message }) => message).join('; ')).toContain(told);
    expect(result.problems[0]!.path).toContain('stripBehind');
  });
});
