import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { applyChange } from '../../sign/design/index.js';
import { finish } from '../../sign/evaluate/index.js';
import { changed, curlew, evaluatedCoarsely, inAssembly, testFonts, coarseEvaluator } from '../../testing/harness.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const shells = (change: Readonly<Record<string, unknown>> = {}) =>
  changed(curlew, {
    'brief.text': 'LE',
    ...inAssembly({
      'letters.form': 'hollow',
      'letters.boardId': 'printed-black-3',
      'letters.depthMm': 30,
      'letters.wallMm': 2.4,
      'artwork.toolId': 'printer',
      ...change,
    }),
  });
const idsOf = (change: Readonly<Record<string, unknown>>) =>
  evaluatedCoarsely(shells(change), fonts).findings.map(({ id }) => id);

describe('printed shells', () => {
  it('hold light back by colour and by how much of them is solid', () => {
    expect(idsOf({})).not.toContain('light-leaks');
    // One thin line of black still shows the LEDs beside it; white shows through what usual settings make of it.
    expect(idsOf({ 'letters.wallMm': 0.4, 'light.setbackMm': 3 })).toContain('light-leaks');
    expect(idsOf({ 'letters.boardId': 'printed-white-3' })).toContain('light-leaks');
  });

  it('of loosely filled walls are mended by more perimeters', () => {
    const loose = shells({
      'letters.wallMm': 1,
      'letters.perimeters': 1,
      'letters.layerMm': 0.6,
      'light.setbackMm': 2,
    });
    const evaluator = coarseEvaluator(fonts);
    expect(evaluator.evaluate(loose).ok).toBe(true);
    const finding = finish(evaluator.fixesOf('light-leaks'))!;
    expect(finding.why).toContain('mm of it');
    const fix = finding.fixes.find(({ id }) => id === 'more-perimeters')!;
    expect(fix.settles).toBe(true);
    const mended = applyChange(loose, fix.change);
    if (!mended.ok) throw new Error(mended.problems[0]!.message);
    expect(evaluatedCoarsely(mended.value, fonts).findings.map(({ id }) => id)).not.toContain('light-leaks');
  });

  it('are printed, not cut: no router, no gloves, nothing drilled, no returns, and filament bought by weight', () => {
    const { parts, buildList, findings, packing } = evaluatedCoarsely(shells(), fonts);
    const words = buildList.steps.map(({ title, detail, caution }) => `${title} ${detail} ${caution ?? ''}`).join(' ');
    expect(words).toMatch(/Print 2 parts/);
    expect(words).not.toMatch(/router|gloves|[Dd]rill \d/);
    expect(parts.cut.map(({ stock }) => stock)).toEqual(['print', 'print']);
    const shellKg = parts.cut.reduce((sum, { kg }) => sum + kg, 0);
    const filament = parts.bought.find(({ unit }) => unit === 'kg')!;
    expect(filament.quantity).toBeCloseTo(1.15 * shellKg, 12);
    // More than fronts alone, less than solid blocks.
    const boxes = parts.cut.reduce(
      (sum, { widthMm, heightMm, thicknessMm }) => sum + widthMm * heightMm * thicknessMm,
      0,
    );
    expect(shellKg).toBeGreaterThan(0.03);
    expect(shellKg).toBeLessThan((boxes * 1240) / 1e9);
    expect(packing.sheets).toEqual([]);
    expect(findings.map(({ id }) => id)).not.toContain('tool-cannot-cut');
  });

  it('want a printer: a router is told apart, and the fix is to print', () => {
    const evaluator = coarseEvaluator(fonts);
    expect(evaluator.evaluate(shells({ 'artwork.toolId': 'bit-3' })).ok).toBe(true);
    const finding = finish(evaluator.fixesOf('tool-cannot-cut'))!;
    expect(finding.fixes.map(({ label }) => label)).toEqual(['Print with: Printer, 0.4 mm nozzle']);
  });
});
