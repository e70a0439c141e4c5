import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import type { Candidate, Remedy } from '../../judging/findings/index.js';
import { changed, dispensary, evaluatedCoarsely, inAssembly, testFonts } from '../../testing/harness.js';
import { secondSheet } from '../boxes/candidates.js';
import { coatLess, coatMore, filmForPaint, sandFace } from './coat-candidates.js';
import { straightShare } from './see-through.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

type Coats = readonly { readonly coatingId: string; readonly coats: number }[];
const withCoats = (coats: Coats, sheetId = 'opal-3') =>
  evaluatedCoarsely(changed(dispensary, inAssembly({ 'face.coats': coats, 'face.sheetId': sheetId })), fonts);
const coatsOf = ({ change }: Candidate): Coats => change[0]!.value as Coats;
const setOf = ({ candidates }: Remedy): readonly Coats[] => candidates.map(coatsOf);

describe('what is done to the inner side of a face', () => {
  it('is sanding where it is bare, from fine to coarse grit, and never over something else', () => {
    const grits = setOf(sandFace(withCoats([]), shippedCatalogue)).map(([coat]) => coat!.coatingId);
    expect(grits).toEqual(['sanded-320', 'sanded-240', 'sanded-180', 'sanded-120', 'sanded-80']);
    expect(sandFace(withCoats([{ coatingId: 'frosted-film', coats: 1 }]), shippedCatalogue).candidates).toEqual([]);
  });

  it('is a coat more of what is there, or the first of another, the clearest first', () => {
    const more = setOf(coatMore(withCoats([{ coatingId: 'white-paint', coats: 2 }]), shippedCatalogue));
    expect(more).toEqual([
      [
        { coatingId: 'white-paint', coats: 2 },
        { coatingId: 'frosted-spray', coats: 1 },
      ],
      [
        { coatingId: 'white-paint', coats: 2 },
        { coatingId: 'frosted-film', coats: 1 },
      ],
      [{ coatingId: 'white-paint', coats: 3 }],
    ]);
  });

  it('is no ninth coat, and no second film', () => {
    const full = withCoats([
      { coatingId: 'white-paint', coats: 8 },
      { coatingId: 'frosted-film', coats: 1 },
    ]);
    const added = setOf(coatMore(full, shippedCatalogue)).map((coats) => coats.at(-1)!.coatingId);
    expect(added).toEqual(['frosted-spray']);
  });

  it('is a coat less, one by one, down to none', () => {
    expect(setOf(coatLess(withCoats([{ coatingId: 'white-paint', coats: 3 }])))).toEqual([
      [{ coatingId: 'white-paint', coats: 2 }],
      [{ coatingId: 'white-paint', coats: 1 }],
      [],
    ]);
    expect(coatLess(withCoats([{ coatingId: 'sanded-80', coats: 1 }])).candidates).toEqual([]);
  });

  it('is film in place of all paint, beside what else is there', () => {
    const painted = withCoats([
      { coatingId: 'sanded-80', coats: 1 },
      { coatingId: 'white-paint', coats: 2 },
    ]);
    expect(setOf(filmForPaint(painted, shippedCatalogue))).toEqual([
      [
        { coatingId: 'sanded-80', coats: 1 },
        { coatingId: 'frosted-film', coats: 1 },
      ],
    ]);
  });

  it('is a second sheet like the face, tight or on spacers; one that is there goes farther off', () => {
    const gaps = (design: typeof dispensary): readonly number[] =>
      secondSheet(evaluatedCoarsely(design, fonts), shippedCatalogue)[0]!.candidates.map(
        ({ change }) => (change[0]!.value as { readonly gapMm: number }).gapMm,
      );
    expect(gaps(dispensary)).toEqual([0, 6, 12, 20]);
    expect(gaps(changed(dispensary, inAssembly({ 'face.second': { sheetId: 'opal-3', gapMm: 6 } })))).toEqual([12, 20]);
  });
});

describe('what goes straight through a face', () => {
  it('is the product over its layers, and nothing once one of them scatters every way', () => {
    const share = (coats: Coats, sheetId: string): number => straightShare(withCoats(coats, sheetId).stack);
    expect(share([], 'opal-3')).toBe(0);
    expect(share([], 'clear-3')).toBeCloseTo(0.99, 9);
    expect(share([{ coatingId: 'sanded-320', coats: 1 }], 'clear-3')).toBeCloseTo(0.99 * 0.045, 9);
    expect(share([{ coatingId: 'white-paint', coats: 1 }], 'clear-3')).toBe(0);
  });
});
