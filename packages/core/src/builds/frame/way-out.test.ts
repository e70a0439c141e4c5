import { beforeAll, describe, expect, it } from '@jest/globals';
import loadManifold, { type Manifold, type ManifoldToplevel } from 'manifold-3d';
import type { FontBook } from '../../artwork/lettering/index.js';
import { memberMm3 } from '../../joinery/members/index.js';
import {
  brimTile,
  changed,
  evaluatedCoarsely,
  fittingMirror,
  inAssembly,
  testFonts,
  tideTable,
} from '../../testing/harness.js';
import { boxIn, placedMember } from '../../testing/members-in.js';

let fonts: FontBook;
let kernel: ManifoldToplevel;
beforeAll(async () => {
  fonts = await testFonts();
  kernel = await loadManifold();
  kernel.setup();
});

/** What of a millimetre cubed the kernel makes of faces that touch. */
const touching = 1e-3;

/** A frame as solids: members, face, second sheet and back where they are put, the front of the frame at z = 0. */
const solidsOf = (design: typeof tideTable) => {
  const { geometry, materials, cut } = evaluatedCoarsely(design, fonts);
  const { inside, outside, back, face, recessMm } = geometry;
  const boardMm = Math.max(...geometry.members.map(({ widthMm }) => widthMm));
  const members = new Map(
    geometry.members.map((member) => [member.name, placedMember(kernel, member, inside, boardMm)] as const),
  );
  const sheet = (size: { widthMm: number; heightMm: number }, rearZ: number, frontZ: number): Manifold =>
    boxIn(kernel, [-size.widthMm / 2, -size.heightMm / 2, rearZ], [size.widthMm / 2, size.heightMm / 2, frontZ]);
  // The inner side of the back lies so far behind the front edges.
  const backZ = -(boardMm - recessMm - back.thicknessMm);
  const faceZ = backZ + inside.depthMm;
  const { second } = materials;
  const behind = cut.find(({ id }) => id === 'second-sheet');
  return {
    geometry,
    outside,
    members,
    face: sheet(face, faceZ, faceZ + face.thicknessMm),
    second:
      second === null || behind === undefined
        ? null
        : sheet(behind, faceZ - second.gapMm - second.sheet.thicknessMm, faceZ - second.gapMm),
    back: sheet(back, backZ - back.thicknessMm, backZ),
  };
};

const meets = (a: Manifold, others: Iterable<Manifold>): number =>
  [...others].reduce((worst, other) => Math.max(worst, a.intersect(other).volume()), 0);

/** Whether something goes along a way by steps of 5 mm without meeting anything that stays. */
const goes = (
  part: Manifold,
  way: readonly [number, number, number],
  mm: number,
  stays: readonly Manifold[],
): boolean => {
  for (let gone = 0; gone <= mm; gone += 5)
    if (meets(part.translate(way[0] * gone, way[1] * gone, way[2] * gone), stays) > touching) return false;
  return true;
};

const all = <T>(values: readonly (T | null)[]): readonly T[] => values.filter((value): value is T => value !== null);

describe('the frames of the demos as solids', () => {
  it.each([
    ['print', () => tideTable],
    ['tile', () => brimTile],
    ['mirror', () => fittingMirror],
  ] as const)(
    'of the %s go together: nothing overlaps, each member weighs what is said, the back comes out behind',
    (_, design) => {
      const { geometry, members, face, second, back } = solidsOf(design());
      const parts = [...members.values()];
      for (const [at, part] of parts.entries()) {
        expect(part.volume()).toBeCloseTo(memberMm3(geometry.members[at]!), 2);
        expect(meets(part, parts.slice(at + 1))).toBeLessThan(touching);
      }
      const sheets = all([face, second, back]);
      for (const [at, sheet] of sheets.entries()) {
        expect(meets(sheet, parts)).toBeLessThan(touching);
        expect(meets(sheet, sheets.slice(at + 1))).toBeLessThan(touching);
      }
      expect(goes(back, [0, 0, -1], 60, [...parts, face])).toBe(true);
      expect(goes(back, [0, 0, 1], 60, [...parts, face])).toBe(false);
    },
  );

  it('let the tile out upward past its top, and no other way; the diffuser stays in its groove', () => {
    const { members, face, second, geometry } = solidsOf(brimTile);
    const stays = [...members.values(), ...all([second])];
    expect(goes(face, [0, 1, 0], geometry.outside.heightMm + 20, stays)).toBe(true);
    for (const way of [
      [0, -1, 0],
      [1, 0, 0],
      [0, 0, 1],
    ] as const)
      expect(goes(face, way, 30, stays)).toBe(false);
    expect(goes(second!, [0, 1, 0], 30, [...members.values()])).toBe(false);
  });

  it('let both sheets of a print out together once the top is off, and hold them while it is on', () => {
    const { members, face, second, geometry } = solidsOf(tideTable);
    const both = kernel.Manifold.union(all([face, second]));
    const without = [...members].filter(([name]) => name !== 'top').map(([, part]) => part);
    expect(goes(both, [0, 1, 0], geometry.outside.heightMm + 20, without)).toBe(true);
    expect(goes(both, [0, 1, 0], 30, [...members.values()])).toBe(false);
    // The top itself lifts off, sheets or no sheets.
    expect(goes(members.get('top')!, [0, 1, 0], 60, [...without, both])).toBe(true);
  });

  it('shut a print in where its corners are mitred round it', () => {
    const mitred = changed(tideTable, inAssembly({ 'case.cornerJoint': 'mitre-spline', 'case.faceOut': 'never' }));
    const { members, face } = solidsOf(mitred);
    for (const way of [
      [0, 1, 0],
      [0, -1, 0],
      [1, 0, 0],
      [0, 0, 1],
      [0, 0, -1],
    ] as const)
      expect(goes(face, way, 30, [...members.values()])).toBe(false);
  });

  it('leave the inner frame of the mirror within its band, short of what lies before it', () => {
    const { geometry, second, members } = solidsOf(fittingMirror);
    const { block, face, inside } = geometry;
    const boardMm = Math.max(...geometry.members.map(({ widthMm }) => widthMm));
    const backZ = -(boardMm - geometry.back.thicknessMm);
    const inner = boxIn(kernel, [block!.x0, block!.y0, backZ], [block!.x1, block!.y1, backZ + block!.heightMm]);
    expect(meets(inner, [...members.values(), ...all([second])])).toBeLessThan(touching);
    expect(inside.depthMm - 3 - block!.heightMm).toBeCloseTo(5, 9);
    // 35 in, 35 wide, 4 clear.
    expect(face.widthMm / 2 - block!.x1).toBeCloseTo(74, 9);
  });
});
