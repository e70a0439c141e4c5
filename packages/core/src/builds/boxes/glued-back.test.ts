import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { demoDesigns } from '../../sign/demo/index.js';
import { contradictions } from '../../testing/contradictions.js';
import { changed, evaluatedCoarsely, inAssembly, testFonts, coarseEvaluator } from '../../testing/harness.js';
import { findingOn, mendedBy, notMendedBy } from '../../testing/mended.js';
import { gluedBackOf } from './glued-back.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const ofBoards = (more: Readonly<Record<string, unknown>> = {}) =>
  changed(
    demoDesigns['reed-bed'],
    inAssembly({ 'case.backBoardId': 'pine-board-12', 'case.backPlayMm': 1.5, ...more }),
  );

describe('a back of boards glued side by side', () => {
  it('takes as many as cover it with something to saw off, along its longer side', () => {
    const { geometry, materials, parts } = evaluatedCoarsely(ofBoards(), fonts);
    const glued = gluedBackOf({ geometry, materials })!;
    const { widthMm, heightMm } = geometry.back;
    expect(widthMm).toBeGreaterThan(heightMm);
    expect(glued.lengthMm).toBe(widthMm + 10);
    // 93 mm of each board are left once its edges are straight.
    expect(glued.boards).toBe(Math.ceil((heightMm + 10) / 93));
    expect(glued.jointsMm).toBeCloseTo((glued.boards - 1) * (widthMm + 10), 9);
    const boards = parts.cut.find(({ id }) => id === 'back-boards')!;
    expect(boards).toMatchObject({ count: glued.boards, stock: 'board', hangs: false });
    expect(parts.cut.find(({ id }) => id === 'back')!.stock).toBe('panel');
  });

  it('is bought as boards, counted once, and weighs once', () => {
    const found = coarseEvaluator(fonts).evaluate(ofBoards());
    if (!found.ok) throw new Error('it makes no sign');
    const { packing } = found.value;
    expect(contradictions(found.value)).toEqual([]);
    // As the list of parts weighs it, and what hangs on the wall.
    const [own] = found.value.assemblies;
    expect(own!.hang!.kg).toBeCloseTo(found.value.parts.kg, 6);
    const boards = packing.sheets.find(({ materialId }) => materialId === 'pine-board-12')!;
    expect(boards.tooLarge).toEqual([]);
    // Four of 600 mm come from one bar of 2400, or one more for the saw.
    expect(boards.placed).toHaveLength(4);
    expect(boards.sheets).toBeLessThanOrEqual(2);
  });

  it('is glued before the returns are cut to their lengths, which is said where they are ripped', () => {
    const { steps } = evaluatedCoarsely(ofBoards(), fonts).buildList;
    const at = (id: string) => steps.findIndex((step) => step.id === id || step.id.endsWith(`:${id}`));
    expect(at('glue-back')).toBeGreaterThan(at('rip'));
    expect(at('lengths-last')).toBeGreaterThan(at('glue-back'));
    expect(at('face')).toBeGreaterThan(at('lengths-last'));
    expect(steps[at('rip')]!.detail).toContain('Leave the returns 5 mm long');
    expect(steps[at('glue-back')]!.detail).toMatch(/\d clamps/);
    expect(steps[at('glue-back')]!.waitMinutes).toBeGreaterThanOrEqual(30);
    const plain = evaluatedCoarsely(demoDesigns['reed-bed'], fonts).buildList.steps;
    expect(plain.some(({ id }) => id.endsWith('glue-back'))).toBe(false);
  });

  it('moves with the seasons across its boards, by its width alone', () => {
    const tight = ofBoards({ 'case.backPlayMm': 0.5 });
    const { finding } = mendedBy(tight, fonts, 'back-swells', 'more-back-play');
    const { geometry } = evaluatedCoarsely(tight, fonts);
    expect(finding.numbers[0]!.value).toBeCloseTo(geometry.back.heightMm * 0.0021 * 4, 1);
    expect(notMendedBy(tight, fonts, 'back-swells', ['more-back-play', 'sheet-back'])).toEqual([]);
    expect(findingOn(ofBoards(), fonts, 'back-swells')).toBeNull();
  });

  it('lies along the longer side of what stands upright', () => {
    const { geometry, materials } = evaluatedCoarsely(
      ofBoards({ 'case.widthMm': 300, 'case.heightMm': 500, 'scene.sheets': [] }),
      fonts,
    );
    expect(gluedBackOf({ geometry, materials })!.lengthMm).toBe(geometry.back.heightMm + 10);
  });
});
