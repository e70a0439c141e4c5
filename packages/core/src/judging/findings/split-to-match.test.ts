import { beforeAll, describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { FontBook } from '../../artwork/lettering/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { applyChange } from '../../sign/design/index.js';
import { finish } from '../../sign/evaluate/index.js';
import {
  changed,
  dispensary,
  evaluatedCoarsely,
  inAssembly,
  testFonts,
  coarseEvaluator,
} from '../../testing/harness.js';
import { cutsToMatch, worstMatch } from './split-to-match.js';

const strip = shippedCatalogue.strips.find(({ cutPitchMm }) => cutPitchMm === 50)!;
const segmentsOf = (lengths: readonly number[]) => lengths.map((lengthMm) => ({ lengthMm, strip }));
/** The lengths after cuts that come from the last segment to the first. */
const after = (lengths: readonly number[], cuts: NonNullable<ReturnType<typeof cutsToMatch>>): readonly number[] =>
  lengths.flatMap((mm, index) => {
    const cut = cuts.find((each) => each.index === index);
    return cut === undefined ? [mm] : [cut.atMm, mm - cut.atMm];
  });

describe('cuts after which all pairs match', () => {
  it('are one in the longest run where that does it', () => {
    expect(cutsToMatch(segmentsOf([450, 50, 400]))).toEqual([{ index: 0, atMm: 50 }]);
    expect(cutsToMatch(segmentsOf([600]))).toEqual([{ index: 0, atMm: 300 }]);
  });

  it('are two where one leaves a segment over, and all in half where nothing less will do', () => {
    expect(cutsToMatch(segmentsOf([500, 300]))).toHaveLength(2);
    const many = [1000, 700, 500, 300, 200, 100];
    const cuts = cutsToMatch(segmentsOf(many))!;
    expect(worstMatch(after(many, cuts))).toBeLessThanOrEqual(1.1);
    expect(cutsToMatch(segmentsOf([50]))).toBeNull();
  });

  it('always leave pairs that match, and never cut off a mark', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 2, max: 30 }), { minLength: 1, maxLength: 6 }), (cutCounts) => {
        const lengths = cutCounts.map((count) => 50 * count);
        const cuts = cutsToMatch(segmentsOf(lengths));
        if (cuts === null) return;
        for (const { index, atMm } of cuts) {
          expect(atMm % 50).toBe(0);
          expect(atMm).toBeGreaterThan(0);
          expect(atMm).toBeLessThan(lengths[index]!);
        }
        expect(worstMatch(after(lengths, cuts))).toBeLessThanOrEqual(1.1);
      }),
      { seed: 6, numRuns: 60 },
    );
  });
});

describe('an odd number of rows in series', () => {
  let fonts: FontBook;
  beforeAll(async () => {
    fonts = await testFonts();
  });

  it('is mended by a cut, which the design keeps: pairs match, and no light is lost', () => {
    const design = changed(dispensary, {
      ...inAssembly({ 'light.rowCount': 3, 'light.stripId': 'zigzag-12v-120' }),
      'power.arrangement': 'series-pairs',
    });
    const evaluator = coarseEvaluator(fonts);
    const before = evaluator.evaluate(design);
    if (!before.ok) throw new Error(before.problems[0]!.message);
    const finding = finish(evaluator.fixesOf('series-impossible'))!;
    const fix = finding.fixes.find(({ id }) => id === 'split-to-match')!;
    expect(fix.settles).toBe(true);
    expect(fix.label).toMatch(/^Cut segment \d at \d+ mm for pairs that match/);
    const mended = applyChange(design, fix.change);
    if (!mended.ok) throw new Error(mended.problems[0]!.message);
    const { circuit, assemblies, findings } = evaluatedCoarsely(mended.value, fonts);
    expect(circuit.alone).toEqual([]);
    expect(circuit.pairs).toHaveLength(2);
    expect(findings.map(({ id }) => id)).not.toContain('unequal-series');
    expect(assemblies[0]!.runs.stripMm).toBe(before.value.assemblies[0]!.runs.stripMm);
    expect(assemblies[0]!.runs.segments).toHaveLength(4);
  });
});
