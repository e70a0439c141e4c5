import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import type { CutPart } from '../../making/parts/index.js';
import { changed, dispensary, evaluatedCoarsely, inAssembly, testFonts } from '../../testing/harness.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const boxed = (change: Readonly<Record<string, unknown>>) =>
  evaluatedCoarsely(changed(dispensary, inAssembly(change)), fonts);
const part = (parts: readonly CutPart[], id: string): CutPart => parts.find((each) => each.id === id)!;
/** Birch plywood of 12 mm, a seat of 6 mm with 1 mm play. */
const usual = {
  'case.returnBoardId': 'ply-12',
  'case.sizeBy': 'outside',
  'case.widthMm': 900,
  'case.heightMm': 300,
  'case.seatMm': 6,
  'case.playMm': 1,
};

describe('members of a case with a lit face', () => {
  it.each([
    ['butt', 900, 300 - 2 * 12],
    ['mitre', 900, 300],
  ] as const)('with %s joints are as long as the outside asks', (cornerJoint, through, upright) => {
    const { cut } = boxed({ ...usual, 'case.cornerJoint': cornerJoint }).parts;
    expect(['top', 'bottom', 'left', 'right'].map((id) => part(cut, id).widthMm)).toEqual([
      through,
      through,
      upright,
      upright,
    ]);
  });

  it.each(['butt', 'mitre'] as const)(
    'with %s joints come to the outside again when they are put together',
    (joint) => {
      const { parts, geometry } = boxed({ ...usual, 'case.cornerJoint': joint });
      const { thicknessMm } = part(parts.cut, 'top');
      const across = part(parts.cut, 'left').widthMm + (joint === 'butt' ? 2 * thicknessMm : 0);
      expect([part(parts.cut, 'top').widthMm, across]).toEqual([geometry.outside.widthMm, geometry.outside.heightMm]);
      expect(geometry.inside.widthMm).toBe(900 - 2 * thicknessMm);
    },
  );

  it.each(['rabbet', 'groove'] as const)('hold the face in a %s with its play all round', (retention) => {
    const { parts, geometry } = boxed({ ...usual, 'case.retention': retention });
    const face = part(parts.cut, 'face');
    // From seat to seat, less the play at either side.
    expect(face.widthMm).toBeCloseTo(geometry.inside.widthMm + 2 * (6 - 1), 9);
    expect(face.heightMm).toBeCloseTo(geometry.inside.heightMm + 2 * (6 - 1), 9);
    const seat = geometry.members[0]!.seats.find(({ holds }) => holds === 'face')!;
    expect(seat.depthMm).toBe(6);
    expect(seat.widthMm).toBeGreaterThanOrEqual(geometry.face.thicknessMm);
    expect(seat.kind).toBe(retention);
  });

  it('have no seat for a face that is laid on: it covers the case', () => {
    const { parts, geometry } = boxed({ ...usual, 'case.retention': 'laid-on' });
    expect(geometry.members[0]!.seats.filter(({ holds }) => holds === 'face')).toEqual([]);
    expect(part(parts.cut, 'face').widthMm).toBe(geometry.outside.widthMm);
  });

  it('that run through a butt joint stop their seats short of the end, so that none shows', () => {
    const through = boxed({ ...usual, 'case.cornerJoint': 'butt' }).geometry.members;
    expect(through.find(({ name }) => name === 'top')!.seats.every(({ stopMm }) => stopMm === 12 - 6)).toBe(true);
    expect(through.find(({ name }) => name === 'left')!.seats.every(({ stopMm }) => stopMm === 0)).toBe(true);
    const mitred = boxed({ ...usual, 'case.cornerJoint': 'mitre' }).geometry.members;
    expect(mitred.flatMap(({ seats }) => seats).every(({ stopMm }) => stopMm === 0)).toBe(true);
  });

  it('grow by the face when the size is that of the face', () => {
    const { parts } = boxed({ ...usual, 'case.sizeBy': 'face', 'case.retention': 'rabbet' });
    const face = part(parts.cut, 'face');
    expect([face.widthMm, face.heightMm]).toEqual([900, 300]);
    expect(part(parts.cut, 'top').widthMm).toBe(900 + 2 * (1 - 6 + 12));
  });

  it('weigh what their wood weighs, less what is cut for the seats', () => {
    const { parts, geometry, materials } = boxed({ ...usual, 'case.cornerJoint': 'butt' });
    const left = geometry.members.find(({ name }) => name === 'left')!;
    const seats = left.seats.reduce((sum, seat) => sum + seat.widthMm * seat.depthMm * left.lengthMm, 0);
    const mm3 = left.lengthMm * left.widthMm * left.thicknessMm - seats;
    expect(part(parts.cut, 'left').kg).toBeCloseTo((mm3 * materials.returnBoard.densityKgM3) / 1e9, 9);
  });

  it.each([
    [{ 'case.seatMm': 11 }, 'case.seatMm', 'less than 2 mm of the 12 mm return'],
    [{ 'case.playMm': 6 }, 'case.playMm', 'fall out of a 6 mm seat'],
    [{ 'case.heightMm': 41, 'case.returnBoardId': 'oak-18' }, 'case.heightMm', 'mm inside the returns'],
  ])('that cannot be made of %j are refused with the field', (change, field, sentence) => {
    expect(() => boxed({ ...usual, ...change })).toThrow(field);
    expect(() => boxed({ ...usual, ...change })).toThrow(sentence);
  });
});
