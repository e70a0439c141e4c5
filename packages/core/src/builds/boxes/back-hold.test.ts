import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { inAssembly, changed, dispensary, evaluatedCoarsely, testFonts } from '../../testing/harness.js';
import { findingOn, mendedBy } from '../../testing/mended.js';
import { backHolds, boreDeepMm, holdPlaces } from './back-hold.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

type Change = Readonly<Record<string, unknown>>;
const boxed = (change: Change) => evaluatedCoarsely(changed(dispensary, inAssembly(change)), fonts);
const found = (change: Change, rule: string) => findingOn(changed(dispensary, inAssembly(change)), fonts, rule);
const mended = (change: Change, rule: string, fix: string) =>
  mendedBy(changed(dispensary, inAssembly(change)), fonts, rule, fix);
const holes = (change: Change): readonly number[] =>
  boxed(change)
    .parts.cut.find(({ id }) => id === 'back')!
    .layers.filter(({ operation }) => operation === 'drill')
    .flatMap(({ shapes }) => shapes)
    .flatMap((shape) => (shape.kind === 'hole' ? [shape.diameterMm] : []));
const bought = (change: Change) => {
  const { parts } = boxed(change);
  return (id: string): number => parts.bought.find((part) => part.id === id)?.quantity ?? 0;
};
/** A seat that takes an insert, in a board that takes the seat. */
const forInserts = { 'case.returnBoardId': 'oak-18', 'case.seatMm': 12, 'case.backHold': 'inserts' };

describe('what holds the back of a box', () => {
  it('is all round it, at most 150 mm apart, and as often bought', () => {
    const { assembly, geometry } = boxed({});
    const places = holdPlaces({ widthMm: 900, heightMm: 300 }, { ...assembly.case, seatMm: 7, playMm: 1 }, 0);
    // 820 mm between the outermost in six stretches, above and below; 220 mm in two, so one in the middle of each side.
    expect(places).toHaveLength(2 * 7 + 2 * 1);
    expect(new Set(places.map(([, y]) => y))).toEqual(new Set([3, 297, 150]));
    expect(bought(forInserts)('machine-screw')).toBe(bought(forInserts)('insert'));
    // Buttons hold farther: 3 + 3 along 810 mm and none between on the short sides.
    expect(geometry.back.widthMm).toBeCloseTo(889.6, 6);
    expect(bought({ 'case.backHold': 'turn-buttons' })('turn-button')).toBe(2 * 4);
  });

  it('takes holes of its own size through the back; buttons take none', () => {
    // Two slotted plates are screwed to the back beside them.
    expect(holes(forInserts).filter((mm) => mm === 4.5).length).toBe(bought(forInserts)('insert'));
    expect(holes({}).filter((mm) => mm === 3).length).toBeGreaterThan(0);
    expect(holes({ 'case.backHold': 'turn-buttons' }).filter((mm) => mm === 3).length).toBeLessThanOrEqual(4);
  });

  it('counts no lead as a screw', () => {
    const exit = (leadExit: string) => {
      const { parts } = evaluatedCoarsely(changed(dispensary, { 'brief.leadExit': leadExit }), fonts);
      return parts.bought.find(({ id }) => id === 'screw')?.quantity;
    };
    expect(exit('back')).toBe(exit('bottom'));
  });

  it.each(Object.entries(backHolds))(
    '%s: is told in the steps, and seen in the slice',
    (backHold, { closed, prepared }) => {
      const {
        buildList: { steps },
        section,
      } = boxed({ ...forInserts, 'case.backHold': backHold });
      expect(steps.find(({ id }) => id === 'close')!.detail).toBe(closed);
      expect(steps.find(({ id }) => id === 'holes')!.detail).toContain(prepared);
      expect(section.shapes.filter(({ role }) => role === 'fixing')).toHaveLength(2);
    },
  );

  it('leaves the back its own play', () => {
    const { geometry } = boxed({ 'case.playMm': 1.2, 'case.backPlayMm': 0.5 });
    expect(geometry.back.widthMm - geometry.face.widthMm).toBeCloseTo(2 * (1.2 - 0.5), 9);
    expect(() => boxed({ 'case.backPlayMm': 8 })).toThrow('lets the back fall out');
  });

  it('in inserts wants a wide ledge; wood screws or a deeper seat mend it', () => {
    const narrow = { 'case.returnBoardId': 'oak-18', 'case.backHold': 'inserts' };
    const { finding, gone } = mended(narrow, 'back-screws-near-edge', 'back-screws');
    expect(finding.what).toContain('inserts');
    expect(gone).toBe(true);
    expect(mended(narrow, 'back-screws-near-edge', 'deeper-seat').gone).toBe(true);
    expect(found(forInserts, 'back-screws-near-edge')).toBeNull();
  });

  it('has a bore as deep as its screw asks behind a back so thick', () => {
    // 16 mm long: through 3 mm of back, 13 in wood, and a millimetre free where a thread would end in its bore.
    expect(boreDeepMm(backHolds.screws, 3)).toBe(13);
    expect(boreDeepMm(backHolds.screws, 6)).toBe(10);
    expect(boreDeepMm(backHolds.inserts, 3)).toBe(14);
    expect(boreDeepMm(backHolds.inserts, 9)).toBe(11);
    const { buildList } = boxed(forInserts);
    expect(buildList.steps.find(({ id }) => id === 'holes')!.detail).toContain('Ø6 mm, 11 mm deep');
  });

  it('does not reach the face of a shallow case', () => {
    // 10 mm of a screw in wood behind 6 mm of back, and 2 mm before the seat: 12 mm are enough.
    const shallow = (depthInsideMm: number) => ({ 'case.depthInsideMm': depthInsideMm });
    expect(mended(shallow(11), 'back-screws-too-deep', 'deeper-case').gone).toBe(true);
    expect(mended(shallow(11), 'back-screws-too-deep', 'turn-buttons').gone).toBe(true);
    expect(found(shallow(12), 'back-screws-too-deep')).toBeNull();
  });

  it('by buttons rocks on a wall that it hangs flush on, and reaches no back that is set in', () => {
    const flush = { 'case.backHold': 'turn-buttons', hanging: { way: 'keyholes' } };
    const { finding, gone } = mended(flush, 'buttons-at-wall', 'back-screws');
    expect(finding.numbers[0]!.value).toBeGreaterThan(0);
    expect(gone).toBe(true);
    expect(mended(flush, 'buttons-at-wall', 'hang-cleat').gone).toBe(true);
    expect(found({ ...flush, hanging: { way: 'cleat' } }, 'buttons-at-wall')).toBeNull();
    expect(() => boxed({ 'case.backHold': 'turn-buttons', 'case.recessMm': 12 })).toThrow('reach no back');
  });
});

describe('plugs over the screws of the corners', () => {
  const plugged = { 'case.cornerJoint': 'butt', 'case.plugged': true };

  it('are bored in the drilling, bought and glued in before paint', () => {
    const {
      buildList: { steps },
      geometry,
    } = boxed(plugged);
    const [first] = geometry.members[0]!.fasteners;
    // 12 mm boards: 6 mm for the plug and 6 mm under the head.
    expect(first!.plug).toEqual({ diameterMm: 10, depthMm: 6 });
    expect(bought(plugged)('wood-plug')).toBe(bought(plugged)('corner-screw-30'));
    const at = (id: string): number => steps.findIndex((step) => step.id === id);
    expect(at('plugs')).toBeGreaterThan(at('glue-up'));
    expect(steps[at('set-up-drill-1-1')]!.detail).toContain('Ø10 6 mm deep, then Ø4 through');
    expect(boxed({ 'case.cornerJoint': 'butt' }).buildList.steps.find(({ id }) => id === 'plugs')).toBeUndefined();
  });

  it('have no place in thin returns', () => {
    expect(() => boxed({ ...plugged, 'case.returnBoardId': 'ply-6', 'case.seatMm': 3 })).toThrow('plugs want');
  });
});
