import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { shippedCatalogue } from '../../document/catalogue/index.js';
import { acrossCorners, cornerJoints, opensWith, type CornerJoint } from '../../joinery/members/index.js';
import { metricFence, setUpsOf } from '../../joinery/setups/index.js';
import { membersOf } from '../../making/parts/index.js';
import {
  changed,
  dispensary,
  evaluatedCoarsely,
  evaluatedWithFixes,
  inAssembly,
  testFonts,
} from '../../testing/harness.js';
import { faceOutOf, lockedBy, shutIn, wayOutOf } from './way-out.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const joints = Object.keys(cornerJoints) as readonly CornerJoint[];
const grooved = { ...dispensary.assemblies[0]!.case, retention: 'groove', lipMm: 7 } as const;
const grooveBox = (change: Readonly<Record<string, unknown>>) =>
  changed(dispensary, inAssembly({ 'case.retention': 'groove', 'case.lipMm': 8, 'case.depthInsideMm': 90, ...change }));
const box = (change: Readonly<Record<string, unknown>>) => evaluatedCoarsely(grooveBox(change), fonts);

describe('how a face comes out of its case', () => {
  it('is asked of grooves alone, and locked by every corner that its way does not allow', () => {
    expect(faceOutOf({ retention: 'rabbet', faceOut: 'top-off' })).toBe('never');
    expect(faceOutOf({ retention: 'groove' })).toBe('never');
    for (const faceOut of ['top-off', 'open-top', 'lip-back'] as const)
      for (const cornerJoint of joints)
        expect(lockedBy({ retention: 'groove', faceOut, cornerJoint })).toBe(!opensWith[faceOut].includes(cornerJoint));
    expect(lockedBy({ retention: 'groove', cornerJoint: 'mitre' })).toBe(false);
  });

  it('sets a top back behind the sheet with room to slide', () => {
    expect(wayOutOf({ ...grooved, faceOut: 'open-top' }, 11.4)).toEqual({ by: 'open-top', setBackMm: 11.9 });
    expect(wayOutOf({ ...grooved, faceOut: 'top-off' }, 11.4)).toEqual({ by: 'top-off' });
    expect(wayOutOf({ ...grooved, faceOut: 'lip-back' }, 11.4)).toEqual({ by: 'lip-back' });
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
    expect(shutIn({ ...butt, faceOut: 'lip-back' }, apart)).toEqual({ face: false, second: true });
    // Locked corners let nothing out, whatever was asked.
    expect(shutIn({ ...butt, cornerJoint: 'mitre', faceOut: 'top-off' }, null).face).toBe(true);
    expect(shutIn({ ...butt, retention: 'rabbet' }, null)).toEqual({ face: false, second: false });
  });
});

describe('a lip that is glued back', () => {
  let made: ReturnType<typeof box>;
  beforeAll(() => {
    made = box({ 'case.cornerJoint': 'butt', 'case.faceOut': 'lip-back' });
  });
  const part = (id: string) => made.cut.find((each) => each.id === id)!;

  it('is ripped off the top at the rear wall of its groove: together they are as wide as the rest', () => {
    const [top, lip, bottom] = [part('top'), part('top-lip'), part('bottom')];
    expect(lip.name).toBe('Lip of the top');
    expect(top.heightMm + lip.heightMm).toBeCloseTo(bottom.heightMm, 9);
    const groove = bottom.member!.seats.find(({ holds }) => holds === 'face')!;
    expect(lip.heightMm).toBeCloseTo(groove.fromFrontMm + groove.widthMm, 9);
    expect(lip.member!.seats).toEqual([{ ...groove, kind: 'rabbet' }]);
    expect(top.member!.seats.map(({ holds }) => holds)).toEqual(['back']);
    // What is screwed is behind it, with wood round it.
    for (const { fromFrontMm } of top.member!.fasteners) expect(fromFrontMm).toBeGreaterThan(6);
    expect(top.kg + lip.kg).toBeCloseTo(bottom.kg, 6);
  });

  it('has its set-ups: ripped by itself, a rabbet at its rear edge', () => {
    const setUps = setUpsOf(membersOf(made.cut), shippedCatalogue.cutters, metricFence);
    if (!setUps.ok) throw new Error(setUps.problems[0]!.message);
    const own = setUps.value.filter(({ members }) => members.includes('Lip of the top'));
    expect(own.map(({ kind }) => kind)).toEqual(expect.arrayContaining(['rip', 'length', 'channel']));
    const channel = own.find(({ kind }) => kind === 'channel')!;
    expect(channel.reference).toBe('rear edge');
    expect(own.find(({ kind }) => kind === 'rip')!.widthMm).toBeCloseTo(part('top-lip').heightMm, 9);
  });

  it('is glued on when the face is in, and waited for; the corners are glued without it', () => {
    const { steps } = made.buildList;
    const [glueUp, close] = ['glue-up', 'close'].map((id) => steps.find((step) => step.id === id)!);
    expect(glueUp!.detail).toContain('The lip of the top stays off until the face is in.');
    const chamfers = steps.filter(({ id }) => id.startsWith('set-up-chamfer'));
    expect(chamfers.map(({ title }) => title)).toEqual(
      expect.arrayContaining([
        expect.stringMatching(/^Router: chamfer for the face, in .*Bottom return/u),
        'By hand: chamfer for the face, in Lip of the top',
      ]),
    );
    expect(close!.title).toBe('Slide the face in, glue the lip back, close the back');
    expect(close!.waitMinutes).toBeGreaterThan(0);
  });

  it('is told where ends are mitred, and mended by a square corner; sharp mouths are told and mended', () => {
    const locked = evaluatedWithFixes(
      grooveBox({ 'case.cornerJoint': 'mitre', 'case.faceOut': 'lip-back' }),
      fonts,
      'top-locked',
    );
    const found = locked.findings.find(({ id }) => id.startsWith('top-locked'))!;
    expect(found.what).toBe('The lip of the top cannot be glued back');
    expect(found.fixes.length).toBeGreaterThan(0);
    const sharp = evaluatedWithFixes(
      grooveBox({ 'case.cornerJoint': 'butt', 'case.faceOut': 'top-off', 'case.mouthMm': 0 }),
      fonts,
      'mouth-catches',
    );
    const mouth = sharp.findings.find(({ id }) => id.startsWith('mouth-catches'))!;
    expect(mouth.why).toContain('They are sharp');
    expect(mouth.fixes[0]!.label).toBe('Mouths chamfered 1 mm');
    const plain = box({ 'case.cornerJoint': 'butt', 'case.faceOut': 'top-off' });
    expect(plain.findings.some(({ id }) => id.startsWith('mouth-catches'))).toBe(false);
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
