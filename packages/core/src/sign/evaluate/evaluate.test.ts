import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { fontListings } from '../../artwork/lettering/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { buildOf, type AnyResults } from '../../builds/index.js';
import { findAgain, findFaults, ofBuild } from '../../judging/findings/index.js';
import { demoDesigns } from '../demo/index.js';
import type { Design } from '../design/index.js';
import { seededRandom, type Random } from '../../base/maths/index.js';
import { changed, coarse, dispensary, inAssembly, testFonts } from '../../testing/harness.js';
import { createEvaluator, stageNames } from './index.js';
import { createStages } from './stages.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const pick = <T>(random: Random, items: readonly T[]): T => items[Math.floor(random() * items.length)]!;
const between = (random: Random, low: number, high: number): number => low + random() * (high - low);

/** Any valid design, odd ones too. */
const randomDesign = (seed: number): Design => {
  const random = seededRandom(seed);
  const ids = (items: readonly { readonly id: string }[]) => items.map(({ id }) => id);
  const { strips, faces, linings, films } = shippedCatalogue;
  return changed(dispensary, {
    'brief.text': pick(random, ['OPEN', 'Port Sallow', '', 'a\nb\nc', 'ÄÖÜ &?!', '漢字', '   ']),
    'brief.readingDistanceMm': between(random, 200, 20_000),
    'brief.ambient': pick(random, ['noon', 'overcast', 'shop', 'evening', 'dark']),
    'brief.exposure': pick(random, ['indoors', 'damp', 'outdoors']),
    'brief.light': pick(random, [
      { kind: 'white', cctK: 4000 },
      { kind: 'white', cctK: 2222 },
      { kind: 'rgb', colour: '#3388ff' },
      { kind: 'rgb', colour: '#000000' },
    ]),
    'brief.leadExit': pick(random, ['left', 'right', 'top', 'bottom', 'back']),
    'brief.leadLengthMm': between(random, 0, 30_000),
    'brief.quantity': pick(random, [1, 2, 7, 400]),
    'power.supplyCount': pick(random, [1, 1, 2, 5]),
    'power.feed': pick(random, ['one-end', 'both-ends']),
    ...inAssembly({
      'artwork.fontId': pick(random, ids(fontListings)),
      'artwork.mode': pick(random, ['opaque-letters', 'lit-letters', 'coloured-letters']),
      'artwork.filmId': pick(random, ids(films)),
      'artwork.capHeightMm': between(random, 2, 600),
      'case.sizeBy': pick(random, ['outside', 'face']),
      'case.widthMm': between(random, 60, 3000),
      'case.heightMm': between(random, 60, 1500),
      'case.depthInsideMm': between(random, 8, 400),
      'case.returnBoardId': pick(random, ['ply-12', 'ply-18', 'oak-18']),
      'case.retention': pick(random, ['rabbet', 'groove', 'laid-on']),
      'case.cornerJoint': pick(random, ['butt', 'mitre']),
      'case.liningId': pick(random, ids(linings)),
      'light.stripId': pick(random, ids(strips)),
      'light.layout': pick(random, ['rows', 'rim']),
      'light.rowCount': pick(random, [0, 1, 2, 3, 5, 9, 30]),
      'light.turnCount': pick(random, [1, 2, 6]),
      'light.endMarginMm': between(random, 0, 120),
      'face.sheetId': pick(random, ids(faces)),
    }),
  });
};

describe('200 random designs', () => {
  it('evaluate without an exception, with finite figures, and with light that balances', () => {
    const evaluator = createEvaluator(shippedCatalogue, fonts, coarse);
    let lit = 0;
    for (let seed = 1; seed <= 200; seed += 1) {
      const result = evaluator.evaluate(randomDesign(seed));
      if (!result.ok) {
        expect(
          result.problems.every(({ path, message }) => path.startsWith('assemblies.0.') && message.length > 10),
        ).toBe(true);
        continue;
      }
      const own = result.value.assemblies[0]!;
      if (own.build !== 'lightbox') throw new Error('a box became something else');
      const { figures, findings, cost, parts } = result.value;
      const { glow, heat } = own;
      lit += 1;
      for (const { id, value } of figures) expect([seed, id, Number.isFinite(value)]).toEqual([seed, id, true]);
      const { emittedLm, outLm, absorbedCaseLm, absorbedFaceLm } = glow.balance;
      expect(Math.abs(emittedLm - outLm - absorbedCaseLm - absorbedFaceLm)).toBeLessThanOrEqual(1e-6 * emittedLm);
      expect(glow.luminance.every((value) => Number.isFinite(value) && value >= 0)).toBe(true);
      expect(findings.flatMap(({ numbers }) => numbers).every(({ value }) => Number.isFinite(value))).toBe(true);
      expect(Number.isFinite(heat.stripC.high) && Number.isFinite(cost.perSign) && parts.kg > 0).toBe(true);
    }
    expect(lit).toBeGreaterThan(150);
  });

  it('give bounded answers at absurd sizes', () => {
    const evaluator = createEvaluator(shippedCatalogue, fonts);
    const huge = changed(dispensary, {
      ...inAssembly({
        'case.widthMm': 10_000,
        'case.heightMm': 10_000,
        'case.depthInsideMm': 1000,
        'light.rowCount': 60,
      }),
    });
    const result = evaluator.evaluate(huge);
    if (!result.ok) throw new Error(result.problems[0]?.message);
    expect(
      result.value.assemblies[0]!.glow.grid.columns * result.value.assemblies[0]!.glow.grid.rows,
    ).toBeLessThanOrEqual(60_000);
    expect(result.value.findings.map(({ severity }) => severity)).toContain('stop');
  });

  it('name a catalogue id that is not there by its path', () => {
    const result = createEvaluator(shippedCatalogue, fonts).evaluate(
      changed(dispensary, inAssembly({ 'face.sheetId': 'moon' })),
    );
    expect(result.ok ? null : result.problems).toEqual([
      { path: 'assemblies.0.face.sheetId', message: expect.stringContaining('opal-3') },
    ]);
  });
});

describe('memoised stages', () => {
  const fresh = (design: Design): Design => structuredClone<Design>(design);

  it('compute everything once, nothing for an equal copy', () => {
    const evaluator = createEvaluator(shippedCatalogue, fonts);
    const first = evaluator.evaluate(fresh(dispensary));
    const second = evaluator.evaluate(fresh(dispensary));
    expect(first.ok && first.value.recomputed).toEqual(stageNames);
    expect(second.ok && second.value.recomputed).toEqual([]);
  });

  it('work light out only once it is asked for, then once; parts, sheets and the price want none of it', () => {
    const run = createStages(shippedCatalogue, fonts, coarse.grid)(dispensary);
    if (!run.ok) throw new Error(run.problems[0]?.message);
    const { results, recomputed } = run.value;
    const [own] = results.assemblies;
    expect([results.cost.perSign, results.parts.cut.length, own!.packing.sheets.length].every((each) => each > 0)).toBe(
      true,
    );
    expect(recomputed()).not.toContain('glow');
    const { glow } = own!;
    expect(recomputed()).toContain('glow');
    expect(own!.glow).toBe(glow);
    expect({ ...own! }.heat).toBe(own!.heat);
  });

  it.each(['slipway', 'curlew', 'late-soup', 'lantern-rooms', 'quiet-room'] as const)(
    'find each finding of %s again by its own check alone, as grave as it was',
    (name) => {
      const run = createStages(shippedCatalogue, fonts, coarse.grid)(demoDesigns[name]);
      if (!run.ok) throw new Error(run.problems[0]?.message);
      const { results } = run.value;
      const context = { results, catalogue: shippedCatalogue };
      const checks = results.assemblies.flatMap((own: AnyResults) => ofBuild(buildOf(own).work.rules, own));
      const found = findFaults(context, checks);
      expect(found.length).toBeGreaterThan(0);
      for (const finding of found) {
        expect(findAgain(context, checks, finding)).toBe(finding.severity);
        expect(findAgain(context, checks, { ...finding, id: 'another' })).toBeNull();
      }
    },
  );

  it('recompute only what lies downstream of the edit', () => {
    const evaluator = createEvaluator(shippedCatalogue, fonts);
    evaluator.evaluate(fresh(dispensary));
    const edit = (change: Readonly<Record<string, unknown>>) => {
      const result = evaluator.evaluate(fresh(changed(dispensary, change)));
      evaluator.evaluate(fresh(dispensary));
      return result.ok ? result.value.recomputed : [];
    };
    expect(edit(inAssembly({ 'case.depthInsideMm': 99 }))).not.toContain('artwork');
    expect(edit(inAssembly({ 'artwork.capHeightMm': 60 }))).not.toContain('runs');
    expect(edit({ 'brief.quantity': 2 })).not.toContain('geometry');
    expect(edit({ name: 'Another name' })).toEqual([]);
  });

  it('agree with an evaluation from scratch after every one of a row of edits', () => {
    const evaluator = createEvaluator(shippedCatalogue, fonts);
    const random = seededRandom(8);
    for (let turn = 0; turn < 12; turn += 1) {
      const design = changed(
        dispensary,
        inAssembly({
          'case.depthInsideMm': Math.round(between(random, 30, 160)),
          'light.rowCount': pick(random, [2, 3, 4]),
          'artwork.capHeightMm': pick(random, [50, 80]),
        }),
      );
      const [kept, scratch] = [
        evaluator.evaluate(fresh(design)),
        createEvaluator(shippedCatalogue, fonts).evaluate(design),
      ];
      expect(kept.ok && kept.value.figures).toEqual(scratch.ok && scratch.value.figures);
      expect(kept.ok && kept.value.findings).toEqual(scratch.ok && scratch.value.findings);
    }
  });

  it.each(Object.keys(demoDesigns))('demo %s: figures explain themselves, each with its kind and inputs', (name) => {
    const result = createEvaluator(shippedCatalogue, fonts).evaluate(demoDesigns[name as keyof typeof demoDesigns]);
    if (!result.ok) throw new Error(name);
    for (const figure of result.value.figures) {
      expect(figure.how.length).toBeGreaterThan(30);
      expect(figure.inputs.length).toBeGreaterThan(1);
      expect(['computed', 'typical', 'measured']).toContain(figure.kind);
    }
  });
});
