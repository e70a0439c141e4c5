import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { set, fieldsOf } from '../../document/design/index.js';
import type { LightboxAssembly } from '../../builds/index.js';
import { brightnessLimit } from '../../light/glow/index.js';
import { testFonts, pageEvaluator } from '../../testing/harness.js';
import { newDesign } from '../demo/index.js';
import { applyChange, readDesign, type Design } from '../design/index.js';
import { createJudge, finish } from '../evaluate/index.js';
import { setByHand, solveSign } from './index.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const solved = (design: Design) => finish(solveSign(design, 0, createJudge(shippedCatalogue, fonts)));
const box = (widthMm: number, heightMm: number, brief: Partial<Design['brief']> = {}): Design => {
  const design = newDesign('lightbox', {
    name: 'New',
    text: 'OPEN',
    readingDistanceMm: 3000,
    sizesMm: { widthMm, heightMm },
  });
  return { ...design, brief: { ...design.brief, ...brief } };
};
const letters = (build: string, capHeightMm: number): Design =>
  newDesign(build, { name: 'New', text: 'TO', readingDistanceMm: 3000, sizesMm: { capHeightMm } });

const severe = (design: Design): readonly string[] => {
  const result = pageEvaluator(fonts).evaluate(design);
  if (!result.ok) throw new Error(result.problems[0]!.message);
  return result.value.findings.filter(({ severity }) => severity !== 'note').map(({ id }) => id);
};

describe('a new light box', () => {
  it.each([
    [200, 100],
    [600, 200],
    [2400, 1200],
    [3000, 500],
  ])('of %d × %d mm begins with neither stop nor fix, at a luminance for the place', (width, height) => {
    const { design, clean, sentence } = solved(box(width, height));
    expect([clean, severe(design)]).toEqual([true, []]);
    const result = pageEvaluator(fonts).evaluate(design);
    const { assemblies, circuit } = result.ok ? result.value : { assemblies: [], circuit: null };
    expect(assemblies[0]!.glow.evenness.meanCdM2).toBeLessThan(brightnessLimit(design.brief));
    expect(assemblies[0]!.heat.stripC.low).toBeLessThan(60);
    expect(circuit?.supply).not.toBeNull();
    expect(sentence).toContain(assemblies[0]!.materials.strip.name);
    expect(readDesign(JSON.parse(JSON.stringify(design))).ok).toBe(true);
  });

  it('that cannot be as wished says what stands in the way', () => {
    const { clean, sentence } = solved(box(11_000, 2500));
    expect(clean).toBe(false);
    expect(sentence).toMatch(/In the way: .*larger than its sheet/);
  });

  it('is turned down after dark alone where it stands against daylight', () => {
    const { design, clean } = solved(box(600, 200, { exposure: 'damp', ambient: 'overcast', surroundings: 'town' }));
    expect(clean).toBe(true);
    expect(design.power.nightLevel).toBeLessThan(1);
    expect(design.power.level ?? 1).toBe(1);
  });
});

describe('new letters', () => {
  it.each([
    ['halo', 120],
    ['halo', 300],
    ['face-lit', 120],
    ['face-lit', 200],
  ])('of %s, %d mm high, begin with neither stop nor fix', (build, capHeightMm) => {
    const { design, clean } = solved(letters(build, capHeightMm));
    expect([clean, severe(design)]).toEqual([true, []]);
  });
});

describe('solving again', () => {
  const field = fieldsOf<LightboxAssembly>('assemblies.0');

  it('keeps what was set by hand since, and chooses the rest anew', () => {
    const { design } = solved(box(600, 200));
    expect(setByHand(design)).toEqual([]);
    const deeper = applyChange(design, [set(field.case.depthInsideMm, 123)]);
    if (!deeper.ok) throw new Error('makes no sign');
    expect(setByHand(deeper.value)).toEqual(['assemblies.0.case.depthInsideMm']);
    const again = solved(deeper.value).design;
    const [own] = again.assemblies as unknown as readonly LightboxAssembly[];
    expect(own!.case.depthInsideMm).toBe(123);
    // And the time after that as well.
    expect(setByHand(again)).toEqual(['assemblies.0.case.depthInsideMm']);
    const third = solved(again).design.assemblies as unknown as readonly LightboxAssembly[];
    expect(third[0]!.case.depthInsideMm).toBe(123);
  });

  it('begins at full light again: what was turned down before is not what it goes by', () => {
    const { design } = solved(box(600, 200));
    const dimmed = applyChange({ ...design, solved: undefined }, [{ path: 'power.level', value: 0.1 }]);
    if (!dimmed.ok) throw new Error('makes no sign');
    const again = solved(dimmed.value).design;
    expect([again.assemblies, again.power]).toEqual([design.assemblies, design.power]);
  });

  it('comes to the same when nothing was changed', () => {
    const { design } = solved(box(600, 200));
    const again = solved(design).design;
    expect(again.assemblies).toEqual(design.assemblies);
    // What it might have set is on record, though it had nothing to set.
    expect(again.solved?.chosen.map(({ path }) => path)).toContain('assemblies.0.light.stripId');
  });
});
