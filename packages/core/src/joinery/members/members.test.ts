import { describe, expect, it } from '@jest/globals';
import {
  cornerFasteners,
  cornerJoints,
  frameMembers,
  frameSide,
  insideOf,
  memberMm3,
  panelOf,
  seatStop,
  type CornerJoint,
  type Member,
  type Seat,
} from './index.js';

const joints = Object.keys(cornerJoints) as readonly CornerJoint[];
const seats: readonly Omit<Seat, 'stopMm'>[] = [
  { kind: 'groove', holds: 'face', fromFrontMm: 6, widthMm: 3.4, depthMm: 6, sheetMm: 3 },
  { kind: 'rabbet', holds: 'back', fromFrontMm: 87, widthMm: 3, depthMm: 6, sheetMm: 3 },
];
const frame = (joint: CornerJoint, thicknessMm = 12): readonly Member[] =>
  frameMembers({ insideWidthMm: 876, insideHeightMm: 276, memberWidthMm: 90, thicknessMm, joint, seats });

describe('lengths from a panel', () => {
  it('go back to the panel: play is a side, the seat is what the panel may reach into', () => {
    // 886 of panel, 6 of seat and 1 of play on each side: 886 + 2 − 12.
    expect(insideOf(886, 6, 1)).toBe(876);
    expect(panelOf(876, 6, 1)).toBe(886);
  });

  it.each([
    // Between members are as long as the inside, by hand: 276.
    ['butt', 300, 276],
    ['pocket-screws', 300, 276],
    ['dowels', 300, 276],
    // Half of 12 at each end: 276 + 2 · 6.
    ['rabbet', 300, 288],
    ['mitre', 300, 300],
    ['mitre-spline', 300, 300],
    ['mitre-tenon', 300, 300],
  ] as const)('with %s', (joint, outsideMm, betweenMm) => {
    expect(frameSide(276, 12, joint)).toEqual({ outsideMm, throughMm: outsideMm, betweenMm });
  });

  it('stop a seat where it would show, and nowhere else', () => {
    expect(seatStop('through', 'butt', 12, 6)).toBe(6);
    expect(seatStop('between', 'butt', 12, 6)).toBe(0);
    expect(seatStop('through', 'mitre', 12, 6)).toBe(0);
    // An end rabbet of 6 swallows a seat of 6, not one of 8.
    expect(seatStop('through', 'rabbet', 12, 6)).toBe(0);
    expect(seatStop('through', 'rabbet', 12, 8)).toBe(4);
  });
});

describe('fasteners at a corner', () => {
  it.each(['butt', 'rabbet', 'pocket-screws', 'dowels', 'mitre-tenon'] as const)(
    'of %s keep clear of every seat and both edges, in returns of any width',
    (joint) => {
      for (let widthMm = 16; widthMm < 240; widthMm += 3) {
        const own = [
          { ...seats[0]!, stopMm: 0 },
          { ...seats[1]!, fromFrontMm: widthMm - 3, stopMm: 0 },
        ];
        const found = cornerFasteners(joint, widthMm, 12, own);
        if (found === null) {
          // Edge, groove, rabbet and the clearances of the smallest leave nothing.
          expect(widthMm).toBeLessThan(45);
          continue;
        }
        for (const { fromFrontMm, diameterMm } of found) {
          expect(fromFrontMm - diameterMm / 2).toBeGreaterThan(diameterMm);
          expect(widthMm - fromFrontMm - diameterMm / 2).toBeGreaterThan(diameterMm);
          for (const seat of own)
            expect(
              fromFrontMm + diameterMm / 2 <= seat.fromFrontMm ||
                fromFrontMm - diameterMm / 2 >= seat.fromFrontMm + seat.widthMm,
            ).toBe(true);
        }
        for (const [at, each] of found.entries())
          if (at > 0) expect(each.fromFrontMm - found[at - 1]!.fromFrontMm).toBeGreaterThanOrEqual(2 * each.diameterMm);
      }
    },
  );

  it('stand clear of the groove that a hole once ran through', () => {
    // 12 mm returns with the groove at 6 to 9.4: nothing within a radius and 2.5 mm of it.
    const found = cornerFasteners('butt', 90, 12, [{ ...seats[0]!, stopMm: 0 }])!;
    expect(found).toHaveLength(2);
    expect(Math.min(...found.map(({ fromFrontMm }) => fromFrontMm))).toBeGreaterThanOrEqual(9.4 + 2 + 2.5);
  });

  it('are none for glued mitres, and more in wide boards', () => {
    expect(cornerFasteners('mitre', 90, 12, [])).toEqual([]);
    expect(cornerFasteners('mitre-spline', 90, 12, [])).toEqual([]);
    expect(cornerFasteners('butt', 300, 12, [])!.length).toBeGreaterThanOrEqual(4);
    expect(cornerFasteners('butt', 30, 12, [])!.length).toBe(1);
    expect(cornerFasteners('butt', 18, 12, [])).toBeNull();
  });
});

describe('a frame', () => {
  it.each(joints)('with %s weighs what its outside holds less inside, seats and laps', (joint) => {
    // Summed ring by ring: the case wall, less each seat all round by its own depth, less what laps take twice or not at all.
    const [long, short, wide, t] = [900, 300, 90, 12];
    const wall = (long * short - (long - 2 * t) * (short - 2 * t)) * wide;
    const ringOf = (depth: number): number => (876 + 2 * depth) * (276 + 2 * depth) - 876 * 276;
    const seatMm3 = (3.4 + 3) * ringOf(6);
    const total = frame(joint).reduce((sum, member) => sum + memberMm3(member), 0);
    // In butt and rabbet corners a seat of the between member and one of the through member meet once, without a gap.
    expect(Math.abs(total - (wall - seatMm3)) / wall).toBeLessThan(joint.startsWith('mitre') ? 1e-12 : 4e-4);
  });

  it('names members once, two of a length', () => {
    for (const joint of joints) {
      const members = frame(joint);
      expect(new Set(members.map(({ name }) => name)).size).toBe(4);
      expect(members[0]!.lengthMm).toBe(members[1]!.lengthMm);
      expect(members[2]!.lengthMm).toBe(members[3]!.lengthMm);
    }
  });
});
