import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { acrossCorners, cornerJoints, opensWith, type CornerJoint } from '../../joinery/members/index.js';
import { metricFence, setUpsOf } from '../../joinery/setups/index.js';
import { membersOf } from '../../making/parts/index.js';
import { changed, dispensary, evaluatedCoarsely, inAssembly, testFonts } from '../../testing/harness.js';
import { faceOutOf, lockedBy, shutIn, wayOutOf } from './way-out.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const joints = Object.keys(cornerJoints) as readonly CornerJoint[];
const grooved = { ...dispensary.assemblies[0]!.case, retention: 'groove', lipMm: 7 } as const;
const box = (change: Readonly<Record<string, unknown>>) =>
  evaluatedCoarsely(
    changed(
      dispensary,
      inAssembly({ 'case.retention': 'groove', 'case.lipMm': 8, 'case.depthInsideMm': 90, ...change }),
    ),
    fonts,
  );

describe('how a face comes out of its case', () => {
  it('is asked of grooves alone, and locked by every corner that its way does not allow', () => {
    expect(faceOutOf({ retention: 'rabbet', faceOut: 'top-off' })).toBe('never');
    expect(faceOutOf({ retention: 'groove' })).toBe('never');
    for (const faceOut of ['top-off', 'open-top'] as const)
      for (const cornerJoint of joints)
        expect(lockedBy({ retention: 'groove', faceOut, cornerJoint })).toBe(!opensWith[faceOut].includes(cornerJoint));
    expect(lockedBy({ retention: 'groove', cornerJoint: 'mitre' })).toBe(false);
  });

  it('sets a top back behind the sheet with room to slide', () => {
    expect(wayOutOf({ ...grooved, faceOut: 'open-top' }, 11.4)).toEqual({ by: 'open-top', setBackMm: 11.9 });
    expect(wayOutOf({ ...grooved, faceOut: 'top-off' }, 11.4)).toEqual({ by: 'top-off' });
    expect(wayOutOf(grooved, 11.4)).toBeUndefined();
  });

  it('shuts in what stands in grooves while corners are glued, each sheet by its own', () => {
    const second = { gapMm: 0, seated: true } as NonNullable<Parameters<typeof shutIn>[1]>;
    const apart = { ...second, gapMm: 6 };
    const butt = { ...grooved, cornerJoint: 'butt' } as const;
    expect(shutIn(butt, null)).toEqual({ face: true, second: false });
    expect(shutIn({ ...butt, faceOut: 'top-off' }, apart)).toEqual({ face: false, second: false });
    expect(shutIn({ ...butt, faceOut: 'open-top' }, apart)).toEqual({ face: false, second: true });
    // In one groove they go together.
    expect(shutIn({ ...butt, faceOut: 'open-top' }, second)).toEqual({ face: false, second: false });
    expect(shutIn(butt, second)).toEqual({ face: true, second: true });
    // Locked corners let nothing out, whatever was asked.
    expect(shutIn({ ...butt, cornerJoint: 'mitre', faceOut: 'top-off' }, null).face).toBe(true);
    expect(shutIn({ ...butt, retention: 'rabbet' }, null)).toEqual({ face: false, second: false });
  });
});

describe('a top that comes off', () => {
  it('is held by machine screws in inserts, without glue; the bottom as ever', () => {
    const fixed = box({ 'case.cornerJoint': 'butt' });
    const open = box({ 'case.cornerJoint': 'butt', 'case.faceOut': 'top-off' });
    const kinds = (own: typeof open) => acrossCorners(own.geometry.members).map(({ kind }) => kind);
    expect(new Set(kinds(fixed))).toEqual(new Set(['screw']));
    expect(kinds(open).filter((kind) => kind === 'insert').length).toBe(
      kinds(open).filter((kind) => kind === 'screw').length,
    );
    const bought = (own: typeof open, id: string) => own.bought.find((each) => each.id === id)?.quantity ?? 0;
    expect(bought(open, 'machine-screw')).toBe(bought(open, 'insert'));
    expect(bought(open, 'corner-screw')).toBe(bought(fixed, 'corner-screw') / 2);
    const glue = (own: typeof open) => own.finishing.bonds.find(({ id }) => id === 'corners')!.mm;
    expect(glue(open)).toBeCloseTo(glue(fixed) / 2, 9);
  });

  it('has holes in the top and bores in the upper ends, at the same places', () => {
    const open = box({ 'case.cornerJoint': 'butt', 'case.faceOut': 'top-off' });
    const found = setUpsOf(membersOf(open.cut), shippedCatalogue.cutters, metricFence);
    if (!found.ok) throw new Error(found.problems[0]!.message);
    const drills = found.value.flatMap((each) => (each.kind === 'drill' ? [each] : []));
    const top = drills.find(({ title }) => title.includes('comes off'))!;
    const ends = drills.find(({ title }) => title.includes('upper ends'))!;
    expect(top.members).toEqual(['Top return']);
    expect(ends.members).toEqual(['Left return', 'Right return']);
    expect(ends.alongMm).toEqual(top.alongMm);
    // Through the top with room for an M4, 12 deep into the ends for its insert.
    expect(top.bores).toEqual([{ diameterMm: 4.5, depthMm: null }]);
    expect(ends.bores).toEqual([{ diameterMm: 6, depthMm: 12 }]);
    expect(open.findings.map(({ rule }) => rule)).not.toContain('holes-collide');
  });

  it('set back, stands between uprights that run through, and is told apart by its width', () => {
    const { geometry, materials } = box({ 'case.cornerJoint': 'butt', 'case.faceOut': 'open-top' });
    const member = (name: string) => geometry.members.find((each) => each.name === name)!;
    const faceMm = materials.face.thicknessMm;
    // Lip 8, the face with 0.4 of play, half a millimetre to slide past.
    expect(member('bottom').widthMm - member('top').widthMm).toBeCloseTo(8 + faceMm + 0.4 + 0.5, 9);
    expect(member('left').runs).toBe('through');
    expect(member('top').runs).toBe('between');
  });
});
