import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { outlineArea } from '../../base/outlines/index.js';
import { changed, evaluatedCoarsely, inAssembly, reedBed, testFonts, coarseEvaluator } from '../../testing/harness.js';
import { layers } from './index.js';
import type { LayersResults } from './results.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const trimmed = (widthMm = 12, more: Readonly<Record<string, unknown>> = {}) =>
  changed(reedBed, inAssembly({ trim: { materialId: 'ply-6', widthMm }, ...more }));
const problemOf = (design: ReturnType<typeof trimmed>): string => {
  const found = coarseEvaluator(fonts).evaluate(design);
  return found.ok ? '' : found.problems.map(({ path, message }) => `${path} ${message}`).join('; ');
};

describe('the trim round a scene', () => {
  it('is two strips along and two upright, mitred, as long as the case is wide and high', () => {
    const { parts, geometry } = evaluatedCoarsely(trimmed(), fonts);
    const [along, upright] = ['trim-along', 'trim-upright'].map((id) => parts.cut.find((part) => part.id === id)!);
    expect(along).toMatchObject({ count: 2, widthMm: geometry.outside.widthMm, heightMm: 12, thicknessMm: 6 });
    expect(upright).toMatchObject({ count: 2, widthMm: geometry.outside.heightMm });
    // A trapezoid: all four together cover the ring that they lie on.
    const areaOf = ({ layers }: NonNullable<typeof along>): number =>
      layers
        .flatMap(({ shapes }) => shapes)
        .reduce((sum, shape) => sum + (shape.kind === 'outline' ? Math.abs(outlineArea(shape.outline)) : 0), 0);
    const { widthMm: w, heightMm: h } = geometry.outside;
    expect(2 * areaOf(along!) + 2 * areaOf(upright!)).toBeCloseTo(w * h - (w - 24) * (h - 24), 6);
    expect(2 * along!.kg + 2 * upright!.kg).toBeCloseTo(((w * h - (w - 24) * (h - 24)) * 6 * 650) / 1e9, 9);
  });

  it('is drawn before both returns in the slice, which is deeper by it, wherever it is taken', () => {
    const plain = evaluatedCoarsely(reedBed, fonts);
    const own = evaluatedCoarsely(trimmed(), fonts);
    for (const x of [0, -140]) {
      const [without, section] = [plain, own].map((each) => layers.sectionAt(each as unknown as LayersResults, x));
      expect(section!.frontZMm).toBeCloseTo(without!.frontZMm + 6, 9);
      expect(section!.shapes.filter(({ material }) => material === 'Birch plywood 6 mm')).toHaveLength(
        without!.shapes.filter(({ material }) => material === 'Birch plywood 6 mm').length + 2,
      );
    }
  });

  it('counts in how deep the box is over all, and not in the room within', () => {
    const [plain, own] = [reedBed, trimmed()].map((design) => evaluatedCoarsely(design, fonts).geometry);
    expect(own!.outside.depthMm).toBeCloseTo(plain!.outside.depthMm + 6, 9);
    expect(own!.inside).toEqual(plain!.inside);
    const { section } = evaluatedCoarsely(trimmed(), fonts);
    expect(section.frontZMm - section.rearZMm).toBeCloseTo(own!.outside.depthMm, 9);
  });

  it('is glued on last, painted with the case, and bought', () => {
    const own = evaluatedCoarsely(trimmed(), fonts);
    const ids = own.buildList.steps.map(({ id }) => id);
    const at = (id: string): number => ids.findIndex((each) => each === id || each.endsWith(`-${id}`));
    expect(at('trim')).toBeGreaterThan(at('touch-up'));
    expect(own.buildList.steps[at('trim')]!.detail).toContain('never onto the clear front');
    const outside = (each: typeof own): number => each.finishing.surfaces.find(({ id }) => id === 'outside')!.m2;
    expect(outside(own)).toBeGreaterThan(outside(evaluatedCoarsely(reedBed, fonts)));
    const plain = evaluatedCoarsely(reedBed, fonts);
    const placed = (each: typeof own): number =>
      each.packing.sheets.find(({ materialId }) => materialId === 'ply-6')!.placed.length;
    expect(placed(own)).toBe(placed(plain) + 4);
  });

  it.each<readonly [string, number, Readonly<Record<string, unknown>>, string]>([
    ['past the returns', 20, {}, 'trim.widthMm reaches 8 mm past the returns'],
    ['short of the front', 6, {}, 'trim.widthMm ends short of the clear front'],
    ['from nothing known', 12, { trim: { materialId: 'moon', widthMm: 12 } }, 'moon'],
  ])('is refused %s, in a sentence', (_, widthMm, more, words) =>
    expect(problemOf(trimmed(widthMm, more))).toContain(words),
  );
});

describe('the slice of a scene', () => {
  it('shows the sheets where it is taken, and none of those elsewhere', () => {
    const own = evaluatedCoarsely(reedBed, fonts) as unknown as LayersResults;
    const at = (x: number) => layers.sectionAt(own, x);
    const lettersAt = (x: number) => at(x).shapes.filter(({ role }) => role === 'letter');
    expect(at(0).shapes).toEqual(own.section.shapes);
    const [left, right] = [lettersAt(-200), lettersAt(200)];
    expect(left).not.toEqual(right);
    // The window is met twice, above and below its opening, and every other sheet as often as it is cut through there.
    for (const shapes of [left, right]) expect(shapes.filter(({ material }) => material === 'Bank')).toHaveLength(2);
  });
});
