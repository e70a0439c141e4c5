import { describe, expect, it } from '@jest/globals';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { testFonts } from '../../testing/harness.js';
import { demoDesigns } from '../demo/index.js';
import type { Design } from '../design/index.js';
import { createEvaluator } from './index.js';
import { crossingsAbout, tooMuchWork } from './too-much-work.js';

/** A ring of `count` thin teeth across a square of 100 mm, standing or lying. */
const comb = (count: number, lying: boolean): readonly number[] => {
  const points: (readonly [number, number])[] = [];
  for (let tooth = 0; tooth < count; tooth += 1) {
    const at = ((tooth + 0.25) / count) * 100;
    points.push([at, -5], [at, 105], [at + 25 / count, 105], [at + 25 / count, -5]);
  }
  points.push([100, -10], [0, -10]);
  return points.flatMap(([x, y]) => (lying ? [y, x] : [x, y]));
};

const withDrawing = (rings: readonly (readonly number[])[]): Design => {
  const [letters] = demoDesigns.curlew.assemblies;
  const drawing = { name: 'tangle.svg', rings: rings.map((ring) => [...ring]), scale: 1 };
  return {
    ...demoDesigns.curlew,
    assemblies: [{ ...letters!, artwork: { ...letters!.artwork, drawing } }],
  };
};
const withText = (text: string, assemblies: number): Design => {
  const [letters] = demoDesigns.curlew.assemblies;
  return {
    ...demoDesigns.curlew,
    assemblies: Array.from({ length: assemblies }, (_, at) => ({
      ...letters!,
      id: `letters-${at}`,
      artwork: { ...letters!.artwork, text },
    })),
  };
};

describe('how often outlines cross', () => {
  it.each([20, 60, 200])('is found of two combs of %i teeth, whose sides cross once each', (teeth) => {
    const about = crossingsAbout([comb(teeth, false), comb(teeth, true)]);
    // Two sides a tooth of one across two a tooth of the other.
    expect(about / (4 * teeth * teeth)).toBeGreaterThan(0.9);
    expect(about / (4 * teeth * teeth)).toBeLessThan(1.1);
  });

  it('is never of nothing', () => expect(crossingsAbout([])).toBe(0));

  it('is never of outlines side by side, however many', () => {
    const rings = Array.from({ length: 2000 }, (_, at) => {
      const [x, y] = [10 * (at % 50), 10 * Math.floor(at / 50)];
      return [x, y, x + 8, y, x + 8, y + 8, x, y + 8];
    });
    expect(crossingsAbout(rings)).toBe(0);
  });
});

describe('work that is too much', () => {
  it.each(Object.entries(demoDesigns))('is not that of %s', (_, design) => expect(tooMuchWork(design)).toBeNull());

  it('is a tangle of a few kilobytes, refused with its place before anything is worked out', async () => {
    const tangle = withDrawing([comb(400, false), comb(400, true)]);
    const refused = createEvaluator(shippedCatalogue, await testFonts()).evaluate(tangle);
    expect(refused).toMatchObject({ ok: false, problems: [{ path: 'assemblies.0.artwork.drawing' }] });
    expect(refused.ok ? '' : refused.problems[0]!.message).toContain('crosses itself some 600,000 times');
    expect(tooMuchWork(withDrawing([comb(300, false)]))).toBeNull();
  });

  it('is more letters than a sign says, counted over all its parts and without spaces', () => {
    expect(tooMuchWork(withText('A B'.repeat(66), 3))).toBeNull();
    expect(tooMuchWork(withText('A'.repeat(200), 3))).toMatchObject({ path: 'assemblies.2.artwork.text' });
  });

  it('is more points than one drawing may have, in several', () => {
    const design = withText('A', 3);
    const ring = Array.from({ length: 45_000 }, (_, at) => [Math.cos(at / 7200), Math.sin(at / 7200)]).flat();
    const drawing = { name: 'ring.svg', rings: [ring], scale: 100 };
    const assemblies = design.assemblies.map((each) => ({ ...each, artwork: { ...each.artwork, drawing } }));
    expect(tooMuchWork({ ...design, assemblies } as Design)).toMatchObject({ path: 'assemblies.2.artwork.drawing' });
  });
});

describe('work that is too much beside the artwork', () => {
  const [panel] = demoDesigns['quiet-room'].assemblies;
  const withAreas = (change: object): Design => ({
    ...demoDesigns['quiet-room'],
    assemblies: [{ ...panel!, ...change }],
  });
  const drawing = (rings: readonly (readonly number[])[]) => ({
    name: 'tangle.svg',
    rings: rings.map((ring) => [...ring]),
    scale: 1,
  });
  const tangle = drawing([comb(1500, false), comb(1500, true)]);

  it('is found in other areas and in the outline of a sheet, with their places', () => {
    const area = { ...panel!.artwork, drawing: tangle };
    expect(tooMuchWork(withAreas({ areas: [panel!.artwork, area] }))?.path).toBe('assemblies.0.areas.1.drawing');
    expect(tooMuchWork(withAreas({ sheet: { ...panel!.sheet, outline: tangle } }))?.path).toBe(
      'assemblies.0.sheet.outline',
    );
    const says = { ...panel!.artwork, text: 'x'.repeat(199) };
    expect(tooMuchWork(withAreas({ areas: [says, says, says] }))?.path).toBe('assemblies.0.areas.1.text');
    expect(tooMuchWork(withAreas({ areas: [{ ...panel!.artwork, text: 'a few words' }] }))).toBeNull();
  });
});
