import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import { applyChange, type Design } from '../../sign/design/index.js';
import { finish } from '../../sign/evaluate/index.js';
import { changed, dispensary, inAssembly, testFonts, coarseEvaluator } from '../../testing/harness.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const found = (design: Design) => {
  const evaluator = coarseEvaluator(fonts);
  expect(evaluator.evaluate(design).ok).toBe(true);
  return finish(evaluator.fixes('too-bright')).find(({ rule }) => rule === 'too-bright');
};
const inPlace = (surroundings: string, level = 1): Design =>
  changed(dispensary, { 'brief.surroundings': surroundings, 'power.level': level });

describe('a sign that is too bright', () => {
  it('is told where the place takes less, and not where it takes more', () => {
    expect(found(inPlace('country'))).toMatchObject({ severity: 'fix' });
    expect(found(inPlace('town'))).toMatchObject({ severity: 'fix' });
    expect(found(inPlace('country', 0.03))).toBeUndefined();
    expect(found(inPlace('town', 0.5))).toBeUndefined();
  });

  it('against daylight is turned down after dark alone, under the limit', () => {
    const finding = found(inPlace('town'))!;
    const fix = finding.fixes.find(({ id }) => id === 'turn-down')!;
    expect(fix.change).toEqual([{ path: 'power.nightLevel', value: expect.any(Number) }]);
    expect(fix.after).toBeLessThanOrEqual(800);
    expect(fix.label).toMatch(/after dark, \d+ W less/);
    const mended = applyChange(inPlace('town'), fix.change);
    if (!mended.ok) throw new Error('makes no sign');
    expect(found(mended.value)).toBeUndefined();
  });

  it('counts what it saves from where the light stands now', () => {
    const half = changed(dispensary, { 'brief.surroundings': 'country', 'power.nightLevel': 0.5 });
    const result = coarseEvaluator(fonts).evaluate(half);
    const fix = found(half)!.fixes.find(({ id }) => id === 'turn-down')!;
    const level = fix.change[0]!.value as number;
    const saved = Number(/(\d+) W less/.exec(fix.label)![1]);
    expect(level).toBeLessThan(0.5);
    expect(saved).toBe(Math.round(result.ok ? result.value.circuit.setWatts * (0.5 - level) : 0));
  });

  it('is turned down by a dimmer that is bought', () => {
    const evaluator = coarseEvaluator(fonts);
    const result = evaluator.evaluate(changed(dispensary, { 'power.nightLevel': 0.5 }));
    expect(result.ok && result.value.circuit.drive.controller?.kind).toBe('dimmer');
    const plain = evaluator.evaluate(dispensary);
    expect(plain.ok && plain.value.circuit.drive.controller).toBeNull();
  });

  it('indoors is turned down for good, or has a weaker strip', () => {
    const bright = changed(demoDesigns['ticket-hall'], inAssembly({ 'light.stripId': 'white-24v-120' }));
    const { fixes, what } = found(bright)!;
    expect(what).toBe('Too bright in here');
    expect(fixes.find(({ id }) => id === 'turn-down')?.change[0]?.path).toBe('power.level');
    expect(fixes.some(({ id, settles }) => id === 'change-strip' && settles)).toBe(true);
    expect(fixes.some(({ id }) => id === 'drop-rows')).toBe(true);
  });

  it('of halo letters is judged by the wall over the half width of the glow', () => {
    const bright = changed(demoDesigns.curlew, { 'brief.text': 'O', 'power.level': 1 });
    const finding = found(bright)!;
    expect(finding.why).toContain('half width of the glow');
    const evaluation = coarseEvaluator(fonts).evaluate(bright);
    const [own] = evaluation.ok ? evaluation.value.assemblies : [];
    const { overHalfCdM2, evenness } = own!.glow as unknown as {
      overHalfCdM2: number;
      evenness: { meanCdM2: number };
    };
    expect(overHalfCdM2).toBeGreaterThan(evenness.meanCdM2 / 2);
    expect(overHalfCdM2).toBeLessThan(1.1 * evenness.meanCdM2);
  });

  it('is none of the demos', () => {
    for (const name of ['dispensary', 'ticket-hall', 'rye-and-salt', 'slipway', 'tern'] as const)
      expect(found(demoDesigns[name])).toBeUndefined();
  });
});
