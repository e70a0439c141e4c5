import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import type { Evaluation } from '../../sign/evaluate/index.js';
import { changed, dispensary, inAssembly, evaluated, signEvaluatedCoarsely, testFonts } from '../../testing/harness.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const figure = (evaluation: Evaluation, id: string) => evaluation.figures.find((each) => each.id === id)!;

describe('the figures that decide', () => {
  it.each(Object.keys(demoDesigns) as (keyof typeof demoDesigns)[])(
    'of %s each say how they came about, from what, and of which kind that is',
    (name) => {
      const { figures } = signEvaluatedCoarsely(demoDesigns[name], fonts);
      expect(new Set(figures.map(({ id, assembly }) => `${id} ${assembly}`)).size).toBe(figures.length);
      for (const { id, text, label, how, inputs, value, kind } of figures) {
        expect([id, Number.isFinite(value)]).toEqual([id, true]);
        expect(text.length).toBeGreaterThan(0);
        expect(text.length).toBeLessThan(18);
        expect(label).not.toBe('');
        expect(how.endsWith('.')).toBe(true);
        expect(inputs.length).toBeGreaterThan(0);
        expect(['computed', 'typical', 'measured']).toContain(kind);
        for (const input of inputs) expect(input.value).not.toMatch(/NaN|Infinity|undefined/);
      }
    },
  );

  it('are what the stages found', () => {
    const seen = evaluated(dispensary, fonts);
    expect(figure(seen, 'depth').value).toBe(seen.geometry.inside.depthMm);
    expect(figure(seen, 'evenness').value).toBe(seen.glow.evenness.minOverMean);
    expect(figure(seen, 'depth').text).toBe('81 mm');
  });

  it('follow the design', () => {
    const deeper = evaluated(changed(dispensary, inAssembly({ 'case.depthInsideMm': 120 })), fonts);
    const before = evaluated(dispensary, fonts);
    expect(figure(deeper, 'depth').value).toBe(120);
    for (const { id } of before.figures) expect(deeper.figures.map((each) => each.id)).toContain(id);
    expect(figure(deeper, 'evenness').value).not.toBe(figure(before, 'evenness').value);
  });
});
