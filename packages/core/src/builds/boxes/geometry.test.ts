import { describe, expect, it } from '@jest/globals';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import type { CaseGeometry } from '../../light/geometry/index.js';
import { changed, dispensary, inAssembly } from '../../testing/harness.js';
import { boxGeometry } from './geometry.js';
import { findBoxMaterials } from './materials.js';

const geometryOf = (change: Readonly<Record<string, unknown>>): CaseGeometry => {
  const [assembly] = changed(dispensary, inAssembly(change)).assemblies;
  const materials = findBoxMaterials(assembly!, shippedCatalogue);
  if (!materials.ok) throw new Error('materials');
  const geometry = boxGeometry(assembly!.case, materials.value);
  if (!geometry.ok) throw new Error(geometry.problems[0]?.message);
  return geometry.value;
};

describe('sizes of a case with a lit face', () => {
  it('fit together to 0.1 mm in a rabbet, from the outside', () => {
    const { outside, inside, face, back, members } = geometryOf({});
    expect(inside.widthMm).toBeCloseTo(900 - 2 * 12, 9);
    expect(face.widthMm).toBeCloseTo(inside.widthMm + 2 * (8 - 1.2), 9);
    expect(back.heightMm).toBeCloseTo(inside.heightMm + 2 * (8 - 1.2), 9);
    expect(outside.depthMm).toBeCloseTo(6 + 81 + 3, 9);
    const [top, , left] = members;
    expect(top?.lengthMm).toBe(900);
    expect((left?.lengthMm ?? 0) + 2 * (top?.thicknessMm ?? 0)).toBe(300);
    expect(top?.widthMm).toBe(outside.depthMm);
  });

  it('come out the same from the face as from the outside', () => {
    const fromOutside = geometryOf({});
    const fromFace = geometryOf({
      'case.sizeBy': 'face',
      'case.widthMm': fromOutside.face.widthMm,
      'case.heightMm': fromOutside.face.heightMm,
    });
    expect(fromFace.outside.widthMm).toBeCloseTo(fromOutside.outside.widthMm, 9);
    expect(fromFace.back.heightMm).toBeCloseTo(fromOutside.back.heightMm, 9);
  });

  it('leave a lip in front of a groove, and lay a face on flush with the outside', () => {
    const groove = geometryOf({ 'case.retention': 'groove', 'case.lipMm': 6 });
    expect(groove.outside.depthMm).toBeCloseTo(6 + 81 + 3.4 + 6, 9);
    expect(groove.members[0]?.seats[0]).toMatchObject({ kind: 'groove', fromFrontMm: 6, depthMm: 8 });
    const laid = geometryOf({ 'case.retention': 'laid-on' });
    expect(laid.face.widthMm).toBe(900);
    expect(laid.members[0]?.widthMm).toBeCloseTo(laid.outside.depthMm - 3, 9);
  });

  it('have all members at full length when mitred, seats stopped short when butted', () => {
    const mitred = geometryOf({ 'case.cornerJoint': 'mitre' });
    expect(mitred.members.map(({ lengthMm }) => lengthMm)).toEqual([900, 900, 300, 300]);
    expect(mitred.members[0]?.seats.every(({ stopMm }) => stopMm === 0)).toBe(true);
    expect(geometryOf({}).members[0]?.seats.every(({ stopMm }) => stopMm === 4)).toBe(true);
  });

  it.each([
    [{ 'case.seatMm': 11 }, 'leaves less than 2 mm'],
    [{ 'case.playMm': 9 }, 'fall out'],
    [{ 'case.widthMm': 40, 'case.returnBoardId': 'ply-18', 'case.heightMm': 42 }, 'inside the returns'],
  ])('are refused when parts cut through each other: %j', (change, message) => {
    expect(() => geometryOf(change)).toThrow(message);
  });
});
