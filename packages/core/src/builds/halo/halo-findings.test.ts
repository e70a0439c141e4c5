import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { applyChange } from '../../sign/design/index.js';
import { finish } from '../../sign/evaluate/index.js';
import { only } from '../../testing/only.js';
import { distanceToOutline, solidParts } from '../../base/outlines/index.js';
import type { HaloResults } from './results.js';
import { changed, curlew, evaluatedCoarsely, inAssembly, testFonts, pageEvaluator } from '../../testing/harness.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

/** One letter: enough to make every mistake with, and quick. */
const small = { 'brief.text': 'L' };
const ids = (change: Readonly<Record<string, unknown>>) =>
  evaluatedCoarsely(changed(curlew, { ...small, ...change }), fonts).findings.map(({ id }) => id);

const barAndBand = {
  name: 'bar and band.svg',
  rings: [
    [0, 0, 200, 0, 200, 100, 0, 100],
    [0, 150, 200, 150, 200, 170, 0, 170],
  ],
  scale: 1,
};

/** All posts of an L at the heel: its foot hangs out to the right. */
const onTheLeft = [
  { xMm: -58, yMm: -95 },
  { xMm: -50, yMm: -92 },
  { xMm: -54, yMm: -85 },
];

/** Each mistake of the trade made on purpose. */
const mistakes: Readonly<Record<string, Readonly<Record<string, unknown>>>> = {
  'post-outside-strip': inAssembly({ 'posts.pinned': [{ xMm: -81, yMm: 60 }] }),
  'post-loose': inAssembly({ 'posts.pinned': [{ xMm: 60, yMm: 60 }] }),
  // Too thick for more of them to find room.
  'post-overloaded': inAssembly({ 'posts.diameterMm': 24, 'posts.perPostKg': 0.2, 'posts.pinned': onTheLeft }),
  'letter-leans': inAssembly({ 'posts.pinned': onTheLeft }),
  'too-few-posts': inAssembly({ 'posts.diameterMm': 24 }),
  'stroke-too-narrow': inAssembly({ 'artwork.drawing': barAndBand, 'light.setbackMm': 9 }),
  'no-strip': inAssembly({ 'artwork.capHeightMm': 60, 'light.setbackMm': 14 }),
  'glow-too-narrow': inAssembly({ 'letters.standoffMm': 7 }),
  'glow-too-wide': inAssembly({ 'artwork.capHeightMm': 60, 'letters.standoffMm': 40, 'light.setbackMm': 2 }),
  'dots-show': inAssembly({ 'light.stripId': 'white-24v-70', 'letters.standoffMm': 14 }),
  'letter-too-wide': inAssembly({ 'light.layout': 'centre', 'artwork.capHeightMm': 400, 'letters.standoffMm': 12 }),
  'edge-uneven': inAssembly({ 'light.stripId': 'white-24v-70' }),
  'split-misses': inAssembly({ 'artwork.splits': [{ xMm: 500, yMm: 0, angleDeg: 90 }] }),
  'too-dim': { 'brief.ambient': 'noon' },
  'light-leaks': inAssembly({
    'letters.form': 'hollow',
    'letters.boardId': 'printed-white-3',
    'letters.wallMm': 1.2,
  }),
  'bends-too-tight': inAssembly({ 'light.stripId': 'coated-white-24v-120' }),
  'between-cut-marks': inAssembly({ 'light.stripId': 'white-24v-70', 'artwork.capHeightMm': 200 }),
  'bare-outdoors': { 'brief.exposure': 'outdoors' },
  'wrong-colour': { 'brief.light': { kind: 'rgb', colour: '#ff0000' } },
};

describe('mistakes with halo letters', () => {
  it('are none on the ferry’s letters but the dim far end, which feeding differently mends', () => {
    const own = evaluatedCoarsely(curlew, fonts).findings;
    expect(own.filter(({ severity }) => severity !== 'note').map(({ id }) => id)).toEqual(['run-too-long']);
  });

  it.each(Object.keys(mistakes))('%s is found where it is made, and only there', (id) => {
    expect(ids(mistakes[id]!)).toContain(id);
    expect(ids({})).not.toContain(id);
  });

  it('wire between letters in the open is told', () =>
    expect(ids({ 'brief.text': 'LL' })).toContain('jumpers-in-the-open'));

  it('an inner edge left dark on purpose is no uneven edge', () => {
    const ring = { ...small, 'brief.text': 'O' };
    const whole = only(evaluatedCoarsely(changed(curlew, ring), fonts).assemblies) as unknown as HaloResults;
    const [outer, counter] = solidParts(whole.lettering.outline)[0]!;
    const inner = whole.runs.segments
      .filter(({ path }) => {
        const at = [path[0]![0], path[0]![1]] as const;
        return distanceToOutline(at, [counter!]) < distanceToOutline(at, [outer!]);
      })
      .map(({ number }) => number);
    expect(inner.length).toBeGreaterThan(0);
    const design = changed(curlew, { ...ring, ...inAssembly({ 'light.leftOut': inner }) });
    const { findings, assemblies } = evaluatedCoarsely(design, fonts);
    expect(findings.map(({ id }) => id)).not.toContain('edge-uneven');
    const { evenness } = (only(assemblies) as unknown as HaloResults).glow;
    // The mean is that of the lit edge, not of both.
    expect(evenness.meanCdM2).toBeGreaterThan(0.8 * whole.glow.evenness.meanCdM2);
    expect(evenness.minOverMean).toBeGreaterThan(0.4);
  });

  it('a supply that is too small is found', () => {
    const smallest = shippedCatalogue.supplies.filter(({ voltageV }) => voltageV === 12)[0]!;
    const design = changed(curlew, {
      'brief.text': 'CURLEW CURLEW',
      'power.supplyId': smallest.id,
    });
    expect(evaluatedCoarsely(design, fonts).findings.map(({ id }) => id)).toContain('supply-too-small');
  });

  it.each([
    ['post-outside-strip', 'place-posts'],
    ['post-loose', 'place-posts'],
    ['post-overloaded', 'thinner-posts'],
    ['letter-leans', 'place-posts'],
    ['too-few-posts', 'thinner-posts'],
    ['stroke-too-narrow', 'closer'],
    ['no-strip', 'closer'],
    ['glow-too-narrow', 'farther'],
    ['glow-too-wide', 'nearer'],
    ['dots-show', 'farther'],
    ['letter-too-wide', 'along-outline'],
    ['light-leaks', 'other-board'],
    ['bends-too-tight', 'change-strip'],
    ['edge-uneven', 'change-strip'],
    ['split-misses', 'move-split'],
    ['split-misses', 'take-split'],
  ])('%s is settled by “%s”, and the fix does what it says', (id, fixId) => {
    const evaluator = pageEvaluator(fonts);
    const design = changed(curlew, { ...small, ...mistakes[id]! });
    expect(evaluator.evaluate(design).ok).toBe(true);
    const finding = finish(evaluator.fixesOf(id))!;
    const fix = finding.fixes.find((each) => each.id === fixId)!;
    expect(fix).toBeDefined();
    const mended = applyChange(design, fix.change);
    if (!mended.ok) throw new Error(mended.problems[0]!.message);
    const after = evaluator.quick(mended.value);
    if (!after.ok) throw new Error(after.problems[0]!.message);
    expect(after.value.findings.some((each) => each.id === id)).toBe(!fix.settles);
    expect(fix.settles).toBe(true);
  });
});
