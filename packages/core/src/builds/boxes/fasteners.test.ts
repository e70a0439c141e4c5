import { beforeAll, describe, expect, it } from '@jest/globals';
import type { FontBook } from '../../artwork/lettering/index.js';
import { meetingsOf, type Body } from '../../joinery/collisions/index.js';
import { seededRandom } from '../../base/maths/index.js';
import { changed, dispensary, evaluatedCoarsely, inAssembly, testFonts } from '../../testing/harness.js';
import { findingOn, mendedBy } from '../../testing/mended.js';
import { boxFasteners, boxThings } from './fasteners.js';

let fonts: FontBook;
beforeAll(async () => {
  fonts = await testFonts();
});

const boxOf = (change: Readonly<Record<string, unknown>>) => changed(dispensary, inAssembly(change));
const bodies = (change: Readonly<Record<string, unknown>>): readonly Body[] =>
  boxFasteners(evaluatedCoarsely(boxOf(change), fonts));
const of = (all: readonly Body[], name: string): readonly Body[] => all.filter((each) => each.name === name);

/** A block where the plates of the dispensary’s box are: 408 mm to both sides, 120 mm up. */
const blocked = {
  hanging: { way: 'keyholes' },
  'case.block': { widthMm: 100, heightMm: 90, depthMm: 30, offsetXMm: 360, offsetYMm: 86 },
};

describe('fasteners of a case in space', () => {
  it('are where their joints put them: corner screws down from the top by their length, the back’s from behind', () => {
    const all = bodies({ 'case.cornerJoint': 'butt' });
    const corner = of(all, 'a screw of the corners');
    // 900 × 300 mm over all in 12 mm stock: half a thickness from the ends, 30 mm long from the outside.
    for (const { from, to } of corner) {
      expect(Math.abs((from[0] + to[0]) / 2)).toBeCloseTo(450 - 6, 6);
      expect(to[1] - from[1]).toBeCloseTo(30, 6);
      expect(Math.max(Math.abs(from[1]), Math.abs(to[1]))).toBeCloseTo(150, 6);
    }
    // Four corners, as many in each.
    expect(corner.length % 4).toBe(0);
    for (const { from, to } of of(all, 'a screw of the back')) {
      expect(from[2]).toBeCloseTo(0, 6);
      expect(to[2]).toBeCloseTo(16, 6);
    }
  });

  it('keep clear of one another in cases of every joint, size and way to hang (60 by chance)', () => {
    const random = seededRandom(17);
    const pick = <T>(items: readonly T[]): T => items[Math.floor(random() * items.length)]!;
    for (let seed = 0; seed < 60; seed += 1) {
      const change = {
        'case.widthMm': 140 + random() * 900,
        'case.heightMm': 120 + random() * 400,
        'case.depthInsideMm': 50 + random() * 80,
        'case.cornerJoint': pick(['butt', 'rabbet', 'pocket-screws', 'dowels', 'mitre']),
        'case.retention': pick(['rabbet', 'groove']),
        'case.lipMm': 8,
        'case.faceOut': pick(['never', 'open-top', 'top-off']),
        hanging: { way: pick(['keyholes', 'chain', 'feet', 'cleat']) },
      };
      const results = evaluatedCoarsely(boxOf(change), fonts);
      expect([change, meetingsOf(boxFasteners(results), boxThings(results), 1)]).toEqual([change, []]);
    }
  });

  it('that meet what stands on the back are told, with the number, and mended by moving it', () => {
    const { finding, gone } = mendedBy(boxOf(blocked), fonts, 'fasteners-meet', 'block-aside');
    expect(gone).toBe(true);
    expect(finding.what).toBe('A bolt of a plate meets the block');
    // The bolt’s nut side stands 7 mm out of a 3 mm back, over the whole of which the block stands; 1 mm is to be left.
    expect(finding.numbers[0]!.value).toBeGreaterThan(1);
    expect(findingOn(boxOf({ ...blocked, 'case.block': null }), fonts, 'fasteners-meet')).toBeNull();
  });

  it('of a back are kept clear of screws into the ends of its bottom, where its sides run through', () => {
    const small = {
      'case.widthMm': 110,
      'case.heightMm': 160,
      'case.retention': 'groove',
      'case.lipMm': 8,
      'case.faceOut': 'open-top',
      'case.cornerJoint': 'butt',
    };
    const all = bodies(small);
    const reach = Math.min(
      ...of(all, 'a screw of the corners').map(({ from, to }) => Math.min(Math.abs(from[0]), Math.abs(to[0]))),
    );
    // 55 mm to the outside less 30 of the screw.
    expect(reach).toBeCloseTo(25, 6);
    const low = of(all, 'a screw of the back').filter(({ from }) => from[1] < -60);
    expect(low.length).toBeGreaterThan(0);
    for (const { from, to } of low) expect(Math.max(Math.abs(from[0]), Math.abs(to[0]))).toBeLessThan(reach - 0.9);
  });
});
