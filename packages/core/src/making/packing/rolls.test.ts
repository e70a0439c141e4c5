import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import { contradictions } from '../../testing/contradictions.js';
import { changed, evaluatedCoarsely, signEvaluatedCoarsely, testFonts } from '../../testing/harness.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

describe('film and return metal', () => {
  it('are bought off the roll: one length for each width of a material, a saw cut between its pieces', () => {
    const { packing, parts } = evaluatedCoarsely(demoDesigns.tern, fonts);
    const returns = parts.cut.filter(({ stock }) => stock === 'return');
    const rolls = packing.rolls.filter(({ stock }) => stock === 'return');
    const laid = returns.reduce(
      (sum, { widthMm, heightMm }) => sum + Math.max(widthMm, heightMm) + shippedCatalogue.rates.kerfMm,
      0,
    );
    expect(rolls.reduce((sum, { lengthMm }) => sum + lengthMm, 0)).toBeCloseTo(laid, 6);
    const widths = new Set(returns.map(({ widthMm, heightMm }) => Math.round(10 * Math.min(widthMm, heightMm)) / 10));
    expect(rolls.map(({ widthMm }) => widthMm).sort()).toEqual([...widths].sort());
  });

  it('are bought for the whole order', () => {
    const one = evaluatedCoarsely(demoDesigns.dispensary, fonts).packing.rolls;
    const five = evaluatedCoarsely(changed(demoDesigns.dispensary, { 'brief.quantity': 5 }), fonts).packing.rolls;
    expect(one.map(({ stock }) => stock)).toEqual(['film']);
    expect(five[0]!.lengthMm).toBeCloseTo(5 * one[0]!.lengthMm, 6);
    expect(five[0]!.widthMm).toBe(one[0]!.widthMm);
  });
});

describe('lists, drawings and sums', () => {
  it.each(Object.entries(demoDesigns))('of %s do not contradict each other', (_, design) => {
    expect(contradictions(signEvaluatedCoarsely(design, fonts))).toEqual([]);
  });

  it('are found out where they do', () => {
    const sound = signEvaluatedCoarsely(demoDesigns.dispensary, fonts);
    const [first, ...rest] = sound.parts.bought;
    const short = { ...sound, parts: { ...sound.parts, bought: [{ ...first!, quantity: 0.1 }, ...rest] } };
    expect(contradictions(short)).toEqual([expect.stringContaining('m of strip are laid')]);
    const heavy = { ...sound, parts: { ...sound.parts, kg: sound.parts.kg + 1 } };
    expect(contradictions(heavy).join()).toContain('the parts weigh');
    const odd = {
      ...sound,
      buildList: {
        ...sound.buildList,
        steps: sound.buildList.steps.map((step, index) => (index === 0 ? { ...step, detail: 'Drill 0 holes' } : step)),
      },
    };
    expect(contradictions(odd)).toHaveLength(1);
  });
});
