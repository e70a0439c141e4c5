import type { HaloResults } from '../index.js';
import type { Single } from '../../testing/harness.js';
import { beforeAll, describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { FontBook } from '../../artwork/lettering/index.js';
import { fontListings } from '../../artwork/lettering/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import type { DesignOf } from '../../document/design/index.js';
import { createEvaluator } from '../../sign/evaluate/index.js';
import { inOutline, outlineArea, outlineBounds, ringLength, solidParts } from '../../base/outlines/index.js';
import { changed, curlew, evaluatedCoarsely, inAssembly, testFonts, pageEvaluator } from '../../testing/harness.js';
import { halo } from './index.js';
import type { HaloAssembly } from './schema.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const of = (change: Readonly<Record<string, unknown>>, design: DesignOf<HaloAssembly> = curlew): Single<HaloResults> =>
  evaluatedCoarsely(changed(design, inAssembly(change)), fonts);
const hollow = { 'letters.form': 'hollow', 'letters.boardId': 'aluminium-2' };
const problems = (change: Readonly<Record<string, unknown>>) => {
  const result = pageEvaluator(fonts).quick(changed(curlew, inAssembly(change)));
  return result.ok ? [] : result.problems;
};

describe('depths of halo letters', () => {
  it('of a plate: standoff, board, LEDs a strip’s height under it', () => {
    const { geometry, materials } = of({});
    expect(geometry.outside.depthMm).toBe(20 + 12);
    expect(geometry.ledZMm).toBe(20 - materials.strip.heightMm);
    expect(geometry.returnMm).toBe(0);
  });

  it('of open shells: strip inside on the front, closed ones carry it on their backs', () => {
    const open = of({ ...hollow, 'letters.depthMm': 40 }).geometry;
    expect(open.bedZMm).toBe(20 + 40 - 2);
    expect(open.returnMm).toBe(38);
    const closed = of({ ...hollow, 'letters.depthMm': 40, 'letters.back': 'closed' }).geometry;
    expect(closed.bedZMm).toBe(20);
    expect(closed.returnMm).toBe(0);
    expect(closed.outside.depthMm).toBe(60);
  });

  it('are refused where there is no room for the strip, or no shell left, with the way out', () => {
    expect(problems({ 'letters.standoffMm': 4, 'light.stripId': 'modules-12v-75' })).toEqual([
      { path: 'assemblies.0.letters.standoffMm', message: expect.stringContaining('make it 9 mm or more') },
    ]);
    expect(problems({ ...hollow, 'letters.depthMm': 2 })[0]!.path).toBe('assemblies.0.letters.depthMm');
    expect(problems({ 'light.standing': true, 'light.layout': 'rows' })[0]!.path).toBe('assemblies.0.light.standing');
    expect(problems({ 'letters.wallId': 'moon' })[0]!.message).toContain('white-wall');
  });
});

describe('strip behind halo letters', () => {
  it('goes round every letter in whole cuts, clear of the posts that were solved', () => {
    const { runs, posts, materials } = of({});
    expect(runs.corners).toEqual([]);
    // C U L E W have one outline each, R two.
    expect(runs.segments).toHaveLength(7);
    for (const { lengthMm } of runs.segments) expect(lengthMm % materials.strip.cutPitchMm).toBeCloseTo(0, 9);
    for (const { at, diameterMm } of posts.flatMap((part) => part.posts))
      for (let led = 0; led < runs.leds.count; led += 1)
        expect(Math.hypot(runs.leds.x[led]! - at[0], runs.leds.y[led]! - at[1])).toBeGreaterThan(diameterMm / 2 + 3);
  });

  it('lies along the middle of strokes, in rows, or as modules on a grid, always behind the letters', () => {
    for (const change of [
      { 'light.layout': 'centre' },
      { 'light.layout': 'rows' },
      { 'light.layout': 'rows', 'light.stripId': 'modules-12v-75', 'light.linePitchMm': 40 },
    ]) {
      const { runs, lettering } = of(change);
      expect(runs.leds.count).toBeGreaterThan(10);
      if (!('light.stripId' in change)) expect(runs.bare).toEqual([]);
      for (let led = 0; led < runs.leds.count; led += 1)
        expect(inOutline([runs.leds.x[led]!, runs.leds.y[led]!], lettering.outline)).toBe(true);
    }
  });

  it('has a jumper for every wire of its circuit, and knows how much of it is in the open', () => {
    const { jumpers, circuit } = of({});
    expect(jumpers.map(({ from, to, lengthMm }) => ({ from, to, lengthMm }))).toEqual(
      circuit.wires.map(({ from, to, lengthMm }) => ({ from, to, lengthMm })),
    );
    for (const { openMm, lengthMm } of jumpers) expect(openMm).toBeLessThan(lengthMm);
    // From letter to letter wall is crossed; within R it is not. The feed of the far end crosses it too.
    const open = jumpers.filter(({ openMm }) => openMm > 3);
    expect(open.filter(({ from }) => from !== 'lead')).toHaveLength(5);
    expect(open.filter(({ from }) => from === 'lead').map(({ to }) => to)).toEqual(['segment 7 end']);
  });

  it('joins no segments by a jumper that the circuit feeds apart', () => {
    const design = changed(curlew, { 'power.feed': 'one-end', 'power.chainsBegin': [5] });
    const words = evaluatedCoarsely(design, fonts).jumpers.map(({ from, to }) => `${from} > ${to}`);
    expect(words).toContain('lead > segment 5 start');
    expect(words).not.toContain('segment 4 end > segment 5 start');
  });

  it('keeps what was pushed and leaves out what was taken away', () => {
    const free = of({}).runs;
    const { runs } = of({ 'light.moved': [{ segment: 1, alongMm: 30 }], 'light.leftOut': [3] });
    const [before, after] = [free.segments[0]!.from, runs.segments[0]!.from];
    expect(Math.hypot(after[0] - before[0], after[1] - before[1])).toBeGreaterThan(25);
    expect(runs.segments.map(({ number }) => number)).toEqual([1, 2, 4, 5, 6, 7]);
    expect(runs.stripMm).toBe(free.stripMm - free.segments[2]!.lengthMm);
  });
});

describe('the glow of halo letters', () => {
  it('is wider the farther they stand off, and never more than was emitted', () => {
    const [near, far] = [of({}), of({ 'letters.standoffMm': 40 })];
    expect(far.glow.halfMm).toBeGreaterThan(1.5 * near.glow.halfMm);
    expect(far.glow.evenness.meanCdM2).toBeLessThan(near.glow.evenness.meanCdM2);
    for (const { glow, materials } of [near, far]) {
      // What falls on the wall again and again is absorbed there at last, or leaves.
      const wall = materials.wall.reflectanceRgb;
      const absorbs = 1 - (0.2126 * wall[0] + 0.7152 * wall[1] + 0.0722 * wall[2]);
      expect(glow.onWallLm * absorbs).toBeLessThan(glow.emittedLm);
      expect(glow.outLm).toBeLessThan(glow.emittedLm);
      expect(glow.seenLm).toBeLessThan(glow.onWallLm);
    }
  });

  it('takes its colour and its strength from the wall', () => {
    const [white, blue] = [of({}).glow, of({ 'letters.wallId': 'sea-blue-paint' }).glow];
    expect(blue.evenness.meanCdM2).toBeLessThan(0.4 * white.evenness.meanCdM2);
    expect(blue.hue[2] / blue.hue[0]).toBeGreaterThan(3 * (white.hue[2] / white.hue[0]));
  });

  it('is weaker and wider from strip on its side that looks out, and stays in from strip that looks in', () => {
    const [flat, out] = [of({}), of({ 'light.standing': true })];
    expect(out.glow.halfMm).toBeGreaterThan(flat.glow.halfMm);
    const inward = of({ ...hollow, 'light.standing': true });
    expect(inward.glow.evenness.meanCdM2).toBeLessThan(out.glow.evenness.meanCdM2);
  });

  it('shows a post that stands outside the strip as a shadow at the edge beside it', () => {
    const { outline } = of({}).lettering;
    const top = outlineBounds([solidParts(outline)[3]![0]!])!;
    const shaded = of({ 'posts.pinned': [{ xMm: top.x + 20, yMm: top.y + top.height - 4 }] });
    const deepest = Math.max(...shaded.glow.shadows.map(({ share }) => share));
    expect(deepest).toBeGreaterThan(0.1);
    for (const { at } of shaded.glow.shadows) expect(Math.abs(at[0] - top.x - 20)).toBeLessThan(60);
    expect(of({}).glow.shadows).toEqual([]);
  });
});

describe('parts of halo letters', () => {
  it('are one front a letter, as heavy as their area, with a hole for each post', () => {
    const { parts, lettering, materials, posts } = of({});
    expect(parts.cut.map(({ id }) => id)).toEqual([1, 2, 3, 4, 5, 6].map((number) => `letter-${number}`));
    const kg = parts.cut.reduce((sum, part) => sum + part.kg, 0);
    expect(kg).toBeCloseTo((lettering.areaMm2 * 12 * materials.board.densityKgM3) / 1e9, 6);
    for (const [index, part] of parts.cut.entries()) {
      const holes = part.layers.filter(({ operation }) => operation === 'drill').flatMap(({ shapes }) => shapes);
      expect(holes).toHaveLength(posts[index]!.posts.length);
    }
    // Two each, and a third above the weight of the L, which has only its foot on both sides of it.
    expect(parts.bought.find(({ id }) => id === 'stand-off')?.quantity).toBe(13);
  });

  it('of hollow letters add returns as long as the outline, and backs when closed', () => {
    const { parts, lettering } = of({ ...hollow, 'letters.back': 'closed' });
    const returns = parts.cut.filter(({ stock }) => stock === 'return');
    const round = lettering.outline.reduce((sum, ring) => sum + ringLength(ring), 0);
    expect(returns.reduce((sum, { widthMm }) => sum + widthMm, 0)).toBeCloseTo(round + 12 * returns.length, 3);
    expect(parts.cut.filter(({ id }) => id.endsWith('-back'))).toHaveLength(6);
    const front = parts.cut.find(({ id }) => id === 'letter-1')!;
    expect(front.layers.map(({ operation }) => operation)).toEqual(['cut']);
  });

  it('are drawn mirrored when they are cut back up', () => {
    const first = (mirrored: boolean) => of({ 'artwork.mirrored': mirrored }).parts.cut[2]!;
    const [plain, turned] = [first(false), first(true)];
    const holeX = (part: typeof plain): readonly number[] =>
      part.layers
        .flatMap(({ shapes }) => shapes)
        .flatMap((shape) => (shape.kind === 'hole' ? [shape.x] : []))
        .sort((a, b) => a - b);
    expect(holeX(turned)).toEqual(
      holeX(plain)
        .map((x) => expect.closeTo(plain.widthMm - x, 6))
        .reverse(),
    );
  });
});

describe('letters split for a small machine', () => {
  const upright = { xMm: 0, yMm: 0, angleDeg: 90 };
  const one = (change: Readonly<Record<string, unknown>>) =>
    evaluatedCoarsely(
      changed(curlew, { 'brief.text': 'L', ...inAssembly({ 'artwork.toolId': 'laser', ...change }) }),
      fonts,
    );
  const kg = (evaluation: Single<HaloResults>): number => evaluation.parts.cut.reduce((sum, part) => sum + part.kg, 0);

  it('come in parts that weigh what the whole weighed, each with the posts it carries', () => {
    const [whole, split] = [
      one({}),
      one({ 'artwork.splits': [{ ...upright, xMm: -20 }], 'artwork.registration': 'pins' }),
    ];
    expect(split.parts.cut.map(({ id }) => id)).toEqual(['letter-1a', 'letter-1b']);
    expect(kg(split)).toBeCloseTo(kg(whole), 6);
    const holesOf = (evaluation: Single<HaloResults>): number =>
      evaluation.parts.cut
        .flatMap(({ layers }) => layers)
        .filter(({ operation }) => operation === 'drill')
        .reduce((sum, { shapes }) => sum + shapes.length, 0);
    expect(holesOf(split)).toBe(holesOf(whole));
    // A pin is a cross of two lines, in both parts.
    for (const { layers } of split.parts.cut)
      expect(layers.find(({ operation }) => operation === 'mark')?.shapes.length).toBeGreaterThanOrEqual(4);
  });

  it('are proposed where a letter is larger than the bed, and fit it then', () => {
    const tall = one({ 'artwork.capHeightMm': 1100 });
    expect(tall.findings.map(({ id }) => id)).toContain('over-bed');
    const { bounds } = tall.lettering;
    const split = one({
      'artwork.capHeightMm': 1100,
      'artwork.splits': [{ xMm: 0, yMm: Math.round(bounds!.y + bounds!.height / 2), angleDeg: 0 }],
    });
    expect(split.findings.map(({ id }) => id)).not.toContain('over-bed');
  });
});

describe('the slice through halo letters', () => {
  it('shows wall, post, strip and letter where they are, to scale', () => {
    const evaluation = of({});
    const roles = evaluation.section.shapes.map(({ role }) => role);
    for (const role of ['wall', 'post', 'strip', 'letter'] as const) expect(roles).toContain(role);
    for (const { role, ring } of evaluation.section.shapes) {
      const zs = ring.map(([z]) => z);
      if (role === 'letter') expect([Math.min(...zs), Math.max(...zs)]).toEqual([20, 32]);
      if (role === 'strip') expect([Math.min(...zs), Math.max(...zs)]).toEqual([18, 20]);
      if (role === 'post') expect(Math.min(...zs)).toBe(0);
    }
  });

  it('follows the line: between letters there is only the wall', () => {
    const evaluation = of({});
    const parts = solidParts(evaluation.lettering.outline).map((part) => outlineBounds(part)!);
    const [c, u] = parts.sort((a, b) => a.x - b.x);
    const gap = (c!.x + c!.width + u!.x) / 2;
    expect(halo.sectionAt(evaluation, gap).shapes.map(({ role }) => role)).toEqual(['wall']);
    expect(halo.sectionAt(evaluation, c!.x + 20).shapes.length).toBeGreaterThan(2);
  });

  it('of a shell shows front and returns, hollow between', () => {
    const { section } = of({ ...hollow, 'letters.depthMm': 40, 'letters.wallMm': 1.5 });
    const letters = section.shapes.filter(({ role }) => role === 'letter');
    const area = letters.reduce((sum, { ring }) => sum + outlineArea([ring]), 0);
    const whole = letters.reduce((most, { ring }) => {
      const { width, height } = outlineBounds([ring])!;
      return Math.max(most, width * height);
    }, 0);
    expect(letters.length % 3).toBe(0);
    expect(area).toBeLessThan(20 * whole);
  });
});

describe('any halo letters', () => {
  it('are evaluated with every number sound, or refused with the field', () => {
    const boards = shippedCatalogue.boards.filter(({ uses }) => uses.includes('letter')).map(({ id }) => id);
    const ids = (items: readonly { readonly id: string }[]) => fc.constantFrom(...items.map(({ id }) => id));
    const mm = (low: number, high: number) => fc.double({ min: low, max: high, noNaN: true });
    const evaluator = createEvaluator(shippedCatalogue, fonts);
    fc.assert(
      fc.property(
        fc.record({
          'artwork.fontId': ids(fontListings),
          'artwork.capHeightMm': mm(15, 160),
          'letters.form': fc.constantFrom('plate', 'hollow'),
          'letters.boardId': fc.constantFrom(...boards),
          'letters.depthMm': mm(2, 120),
          'letters.wallMm': mm(0.4, 12),
          'letters.back': fc.constantFrom('open', 'closed'),
          'letters.standoffMm': mm(4, 120),
          'letters.wallId': ids(shippedCatalogue.walls),
          'posts.diameterMm': mm(2, 30),
          'light.stripId': ids(shippedCatalogue.strips),
          'light.layout': fc.constantFrom('outline', 'centre', 'rows'),
          'light.standing': fc.boolean(),
          'light.setbackMm': mm(0, 40),
          'light.lineCount': fc.integer({ min: 1, max: 3 }),
          'light.linePitchMm': mm(8, 60),
        }),
        fc.constantFrom('', 'A', 'Sea & Co.\nQuay 4', '漢', 'iii', 'Wharf'),
        (change, text) => {
          const design = changed(curlew, { ...inAssembly(change), 'brief.text': text });
          const result = evaluator.quick(design);
          if (!result.ok) {
            for (const { path } of result.problems) expect(path).toMatch(/^assemblies\.0\./);
            return;
          }
          const { figures, findings, parts, cost } = result.value;
          const { glow } = result.value.assemblies[0]!;
          for (const { id, value } of figures) expect([id, Number.isFinite(value)]).toEqual([id, true]);
          expect(glow.luminance.every((value) => Number.isFinite(value) && value >= 0)).toBe(true);
          expect(new Set(findings.map(({ id }) => id)).size).toBe(findings.length);
          for (const { what, why, numbers } of findings) {
            expect(`${what} ${why}`).not.toMatch(/NaN|undefined|Infinity/);
            expect(numbers.every(({ value }) => Number.isFinite(value))).toBe(true);
          }
          expect(Number.isFinite(parts.kg) && Number.isFinite(cost.perSign)).toBe(true);
        },
      ),
      { seed: 77, numRuns: 16 },
    );
  });
});
