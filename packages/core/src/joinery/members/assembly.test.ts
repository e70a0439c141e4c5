import { beforeAll, describe, expect, it } from '@jest/globals';
import loadManifold, { type Manifold, type ManifoldToplevel } from 'manifold-3d';
import { boxIn, placedMember } from '../../testing/members-in.js';
import { cornerJoints, frameMembers, memberMm3, panelOf, type CornerJoint, type Member, type Seat } from './index.js';

let solid: ManifoldToplevel;
beforeAll(async () => {
  solid = await loadManifold();
  solid.setup();
});

type Corner = Parameters<typeof boxIn>[1];

const box = (low: Corner, high: Corner): Manifold => boxIn(solid, low, high);

const [insideW, insideH, wide] = [876, 276, 90];

/** Each member where it belongs, round the middle. */
const placed = (member: Member): Manifold => placedMember(solid, member, { widthMm: insideW, heightMm: insideH }, wide);

const joints = Object.keys(cornerJoints) as readonly CornerJoint[];
const cases = joints.flatMap((joint) =>
  [
    { thicknessMm: 12, seatMm: 6, playMm: 1 },
    { thicknessMm: 12, seatMm: 8, playMm: 1.2 },
    { thicknessMm: 18, seatMm: 10, playMm: 0.5 },
  ].map((stock) => ({ joint, ...stock })),
);

describe.each(['butt', 'rabbet', 'pocket-screws', 'dowels'] as const)(
  'a lip that is ripped off a top with %s',
  (joint) => {
    const [thicknessMm, seatMm] = [12, 6];
    const asked = {
      insideWidthMm: insideW,
      insideHeightMm: insideH,
      memberWidthMm: wide,
      thicknessMm,
      joint,
      seats: [
        { kind: 'groove', holds: 'face', fromFrontMm: 8, widthMm: 3.4, depthMm: seatMm, sheetMm: 3 },
        { kind: 'rabbet', holds: 'back', fromFrontMm: wide - 4, widthMm: 4, depthMm: seatMm, sheetMm: 4 },
      ],
    } as const;
    const size = { widthMm: insideW, heightMm: insideH };
    // Its front is the front of the frame: its rear edge lies as far behind as it is wide.
    const inPlace = (member: Member): Manifold =>
      placedMember(
        solid,
        { ...member, name: member.name.replace('-lip', '') },
        size,
        member.name === 'top-lip' ? member.widthMm : wide,
      );

    it('closes to the very frame that is glued in one', () => {
      const parted = frameMembers({ ...asked, wayOut: { by: 'lip-back' } });
      const whole = solid.Manifold.union(frameMembers(asked).map(inPlace));
      const closed = solid.Manifold.union(parted.map(inPlace));
      expect(parted).toHaveLength(5);
      expect(whole.subtract(closed).volume()).toBeLessThan(1e-3);
      expect(closed.subtract(whole).volume()).toBeLessThan(1e-3);
      for (const member of parted) expect(inPlace(member).volume()).toBeCloseTo(memberMm3(member), 3);
    });

    it('lets the sheet in from above while it is off, and not once it is on', () => {
      const parted = frameMembers({ ...asked, wayOut: { by: 'lip-back' } });
      const without = solid.Manifold.union(parted.filter(({ name }) => name !== 'top-lip').map(inPlace));
      const [w, h] = [panelOf(insideW, seatMm, 1) / 2, panelOf(insideH, seatMm, 1) / 2];
      const sheet = (up: number): Manifold => box([-w, -h + up, -11.2], [w, h + up, -8.2]);
      for (let up = 0; up <= insideH + 60; up += 12) expect(without.intersect(sheet(up)).volume()).toBeLessThan(1e-3);
      const lip = inPlace(parted.find(({ name }) => name === 'top-lip')!);
      expect(lip.intersect(sheet(0)).volume()).toBeLessThan(1e-3);
      expect(lip.intersect(sheet(20)).volume()).toBeGreaterThan(1);
    });
  },
);

describe.each(cases)('a case with %j', ({ joint, thicknessMm, seatMm, playMm }) => {
  const seats: readonly Omit<Seat, 'stopMm'>[] = [
    { kind: 'groove', holds: 'face', fromFrontMm: 6, widthMm: 3.4, depthMm: seatMm, sheetMm: 3 },
    { kind: 'rabbet', holds: 'back', fromFrontMm: wide - 4, widthMm: 4, depthMm: seatMm, sheetMm: 4 },
  ];
  const members = frameMembers({
    insideWidthMm: insideW,
    insideHeightMm: insideH,
    memberWidthMm: wide,
    thicknessMm,
    joint,
    seats,
  });
  const half = [panelOf(insideW, seatMm, playMm) / 2, panelOf(insideH, seatMm, playMm) / 2] as const;
  /** A panel grown all round, from one depth to another. */
  const panel = (grownMm: number, fromZ: number, toZ: number): Manifold =>
    box([-half[0] - grownMm, -half[1] - grownMm, fromZ], [half[0] + grownMm, half[1] + grownMm, toZ]);
  const overlap = (a: Manifold, b: Manifold): number => a.intersect(b).volume();

  it('goes together: nothing overlaps, the outside is closed, and each member weighs what is said', () => {
    const parts = members.map(placed);
    for (const [at, part] of parts.entries()) {
      expect(part.volume()).toBeCloseTo(memberMm3(members[at]!), 3);
      for (const other of parts.slice(at + 1)) expect(overlap(part, other)).toBeLessThan(1e-3);
    }
    const whole = solid.Manifold.union(parts);
    const { min, max } = whole.boundingBox();
    expect([max[0] - min[0], max[1] - min[1]].map((each) => Math.round(each * 1e6) / 1e6)).toEqual([
      insideW + 2 * thicknessMm,
      insideH + 2 * thicknessMm,
    ]);
    // Cut off between the seats, it is a closed ring of the full thickness: no joint gapes.
    const slab = whole.trimByPlane([0, 0, 1], -60).trimByPlane([0, 0, -1], 40);
    const ring = (insideW + 2 * thicknessMm) * (insideH + 2 * thicknessMm) - insideW * insideH;
    expect(slab.volume() / (20 * ring)).toBeCloseTo(1, 9);
  });

  it('takes its panels with their play and no more, and the back goes in from behind', () => {
    const parts = members.map(placed);
    const face = (grownMm: number): Manifold => panel(grownMm, -9.2, -6.2);
    const back = (grownMm: number): Manifold => panel(grownMm, -wide - 30, -wide + 4);
    for (const made of [face, back]) {
      const reaches = (grownMm: number): number => parts.reduce((sum, part) => sum + overlap(part, made(grownMm)), 0);
      expect(reaches(0)).toBeLessThan(1e-3);
      expect(reaches(playMm - 0.01)).toBeLessThan(1e-3);
      expect(reaches(playMm + 0.01)).toBeGreaterThan(1e-3);
    }
  });

  it('shows no seat outside', () => {
    // A skin of the outside, a tenth of a millimetre thick, is whole but for the rabbet that is open behind.
    const whole = solid.Manifold.union(members.map(placed));
    const [w, h] = [insideW / 2 + thicknessMm, insideH / 2 + thicknessMm];
    const skin = box([-w, -h, -wide + 4], [w, h, 0]).subtract(box([-w + 0.1, -h + 0.1, -wide], [w - 0.1, h - 0.1, 1]));
    expect(skin.subtract(whole).volume()).toBeLessThan(1e-3);
  });
});
