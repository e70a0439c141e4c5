import { describe, expect, it } from '@jest/globals';
import { inchFraction } from '../../base/units/index.js';
import { frameMembers, type CornerJoint, type Member } from '../members/index.js';
import {
  clearChannel,
  clearEdge,
  heightsTo,
  inchFence,
  metricFence,
  setFence,
  setUpsOf,
  type ChamferSetUp,
  type ChannelSetUp,
  type CutterInUse,
  type DrillSetUp,
  type SetUp,
} from './index.js';

const blade: CutterInUse = { id: 'blade', name: 'Blade', kind: 'blade', cutMm: 3.2, mostDeepMm: 70 };
const thin: CutterInUse = { ...blade, id: 'thin', name: 'Thin blade', cutMm: 1.8, mostDeepMm: 40 };
const bit: CutterInUse = { id: 'bit-3', name: 'Bit 3', kind: 'bit', cutMm: 3, mostDeepMm: 12 };
const cutters = [blade, thin, bit];

/** A case of 12 mm stock, 90 mm deep, with a groove for a 3 mm face and a rabbet for a 3 mm back. */
const members = (joint: CornerJoint, seatMm = 6): readonly Member[] =>
  frameMembers({
    insideWidthMm: 876,
    insideHeightMm: 276,
    memberWidthMm: 90,
    thicknessMm: 12,
    joint,
    seats: [
      { kind: 'groove', holds: 'face', fromFrontMm: 6, widthMm: 3.4, depthMm: seatMm, sheetMm: 3 },
      { kind: 'rabbet', holds: 'back', fromFrontMm: 87, widthMm: 3, depthMm: seatMm, sheetMm: 3 },
    ],
  });
const setUps = (joint: CornerJoint, scale = metricFence): readonly SetUp[] => {
  const found = setUpsOf(members(joint), cutters, scale);
  if (!found.ok) throw new Error(found.problems[0]!.message);
  return found.value;
};
const channels = (joint: CornerJoint, scale = metricFence): readonly ChannelSetUp[] =>
  setUps(joint, scale).filter((each) => each.kind === 'channel');

describe('a channel cleared in passes', () => {
  it('of 10 mm by a 3.2 mm blade takes four, each over its neighbour, from wall to wall', () => {
    const { passes, clearMm } = clearChannel({ fromMm: 6, widthMm: 10, leastMm: 9.8 }, 3.2, metricFence)!;
    // 10 − 3.2 = 6.8 from the first to the last; 3.2 − 0.3 = 2.9 apart at most: 6.8 / 2.9 = 2.3, so three steps.
    expect(passes.map(({ fenceMm }) => fenceMm)).toEqual([6, 8.3, 10.5, 12.8]);
    expect(clearMm).toBeCloseTo(10, 9);
  });

  it('as wide as the blade takes one', () => {
    expect(clearChannel({ fromMm: 8, widthMm: 3.2, leastMm: 3.1 }, 3.2, metricFence)!.passes).toHaveLength(1);
  });

  it('narrower than the blade is none', () => {
    expect(clearChannel({ fromMm: 8, widthMm: 3, leastMm: 3 }, 3.2, metricFence)).toBeNull();
  });

  it('never leaves a rib, and the sheet enters, with fences in 1/32 in (every width and place)', () => {
    for (let widthMm = 3.4; widthMm < 20; widthMm += 0.37)
      for (let fromMm = 3; fromMm < 12; fromMm += 0.71) {
        const leastMm = widthMm - 0.3;
        const { passes, clearMm } = clearChannel({ fromMm, widthMm, leastMm }, 3.2, inchFence)!;
        expect(clearMm).toBeGreaterThanOrEqual(leastMm - 1e-6);
        // Each end is off by half a step at most, the far one by a whole step where it had to go up.
        expect(clearMm).toBeLessThan(widthMm + 1.5 * inchFence.stepMm);
        passes.forEach(({ fenceMm }, at) => {
          expect(Math.abs(fenceMm / inchFence.stepMm - Math.round(fenceMm / inchFence.stepMm))).toBeLessThan(1e-4);
          if (at > 0) expect(fenceMm - passes[at - 1]!.fenceMm).toBeLessThan(3.2);
        });
      }
  });

  it('open at the edge may be narrower than the blade, which is sunk into the fence', () => {
    const { passes, clearMm } = clearEdge({ widthMm: 3, leastMm: 3 }, 3.2, metricFence);
    expect(passes).toHaveLength(1);
    expect(passes[0]!.fenceMm).toBeCloseTo(-0.2, 9);
    expect(clearMm).toBe(3);
  });

  it('is deepened by a bit in steps of half its width, by a blade at once', () => {
    expect(heightsTo(6, bit)).toEqual([1.5, 3, 4.5, 6]);
    expect(heightsTo(6, blade)).toEqual([6]);
    expect(heightsTo(7, { kind: 'bit', cutMm: 12 })).toEqual([3.5, 7]);
  });
});

describe('a fence', () => {
  it.each([
    [6, 'nearest', '1/4', 6.35],
    [12.7, 'nearest', '1/2', 12.7],
    [27.9, 'nearest', '1 3/32', 27.78],
    [6, 'down', '7/32', 5.56],
  ] as const)('in inches is set for %s mm, %s, to %s', (mm, way, text, set) => {
    expect(setFence(mm, inchFence, way)).toBeCloseTo(set, 2);
    expect(inchFraction(setFence(mm, inchFence, way)).text).toBe(text);
    expect(inchFraction(setFence(mm, inchFence, way)).errorMm).toBeCloseTo(0, 5);
  });
});

describe('set-ups of a case', () => {
  it('butted: short members are run through by the blade, long ones stopped by the bit, with blocks by hand sum', () => {
    const found = channels('butt');
    expect(found.map(({ cutter, members: own, channel }) => [cutter.id, channel.holds, own.join()])).toEqual([
      ['bit-3', 'face', 'top,bottom'],
      ['bit-3', 'back', 'top,bottom'],
      ['blade', 'face', 'left,right'],
      ['blade', 'back', 'left,right'],
    ]);
    // 900 long, 12 − 6 = 6 left at each end, a 3 mm bit: 900 − 6 − 3.
    expect(found[0]!.stopped).toEqual({ endMm: 6, blocksMm: 891 });
    expect(found[0]!.heightsMm).toEqual([1.5, 3, 4.5, 6]);
    // The groove lies 6 mm from the front; 3.4 − 3 = 0.4 wider than the bit: two passes.
    expect(found[0]!.passes.map(({ fenceMm }) => fenceMm)).toEqual([6, 6.4]);
    expect(found[2]!.passes.map(({ fenceMm }) => fenceMm)).toEqual([6, 6.2]);
    expect(found[2]!.clearMm).toBeCloseTo(3.4, 9);
    // The rabbet is nearer to the rear edge, which goes to the fence.
    expect(found.map(({ reference }) => reference)).toEqual(['front edge', 'rear edge', 'front edge', 'rear edge']);
  });

  it('mitred: all four share each setting, in long stock, before the mitres', () => {
    const found = setUps('mitre');
    expect(found.map(({ kind }) => kind)).toEqual(['rip', 'channel', 'channel', 'length', 'length']);
    expect(channels('mitre').map(({ members: own }) => own.length)).toEqual([4, 4]);
    expect(found.flatMap((each) => (each.kind === 'length' ? [[each.stopMm, each.ends]] : []))).toEqual([
      [900, 'mitre'],
      [300, 'mitre'],
    ]);
  });

  it('rabbeted: end rabbets half as deep as the stock swallow seats no deeper, which then need no stops', () => {
    const found = channels('rabbet');
    expect(found.every(({ stopped }) => stopped === null)).toBe(true);
    const across = found.find(({ channel }) => channel.across)!;
    expect([across.channel.widthMm, across.channel.depthMm, across.members]).toEqual([12, 6, ['top', 'bottom']]);
    // 276 inside, and 6 into each end rabbet.
    expect(setUps('rabbet').flatMap((each) => (each.kind === 'length' ? [each.stopMm] : []))).toEqual([900, 288]);
  });

  it('splined: slots come last, with a spline that is less than both slots deep', () => {
    const spline = setUps('mitre-spline').at(-1)!;
    // 0.4 of 12 is 4.8; twice that less half a millimetre.
    expect(spline).toMatchObject({ kind: 'spline', heightsMm: [4.8], splineMm: [3.2, 9.1] });
  });

  it('screwed: holes half a thickness from the ends, plug first, in the long members only', () => {
    const drilled = (plugged: boolean): DrillSetUp => {
      const found = setUpsOf(
        frameMembers({
          insideWidthMm: 876,
          insideHeightMm: 276,
          memberWidthMm: 90,
          thicknessMm: 18,
          joint: 'butt',
          seats: [],
          plugged,
        }),
        cutters,
        metricFence,
      );
      if (!found.ok) throw new Error(found.problems[0]!.message);
      return found.value.find((each) => each.kind === 'drill')!;
    };
    expect(drilled(false)).toMatchObject({
      members: ['top', 'bottom'],
      into: 'side',
      bores: [{ diameterMm: 4, depthMm: null }],
    });
    // Half of 18 from the end; 10 mm free at each edge, 70 between, and 70 / 6 in from there.
    expect(drilled(false).passes[0].fenceMm).toBe(9);
    expect(drilled(false).alongMm).toEqual([21.7, 68.3]);
    // 6 mm for a plug of 10 mm leave 12 under the head.
    expect(drilled(true).bores).toEqual([
      { diameterMm: 10, depthMm: 6 },
      { diameterMm: 4, depthMm: null },
    ]);
  });

  it('dowelled: two thirds of a thickness into the side, the rest and a millimetre at each end into the other', () => {
    const drilled = setUps('dowels').flatMap((each) => (each.kind === 'drill' ? [each] : []));
    expect(drilled.map(({ into, members: own, bores }) => [into, own.join(), bores[0]!.depthMm])).toEqual([
      ['side', 'top,bottom', 8],
      // 30 − 8 + 2.
      ['end', 'left,right', 24],
    ]);
  });

  it('with pocket screws: a pocket that leaves the end at half the thickness, and no point that comes through', () => {
    const [pocket] = setUps('pocket-screws').flatMap((each) => (each.kind === 'drill' ? [each] : []));
    const lean = (15 * Math.PI) / 180;
    // 6 mm deep at the end, 15° from the side: it enters 6 / tan 15° = 22.4 mm from there.
    expect(pocket!.passes[0].fenceMm).toBeCloseTo(22.4, 9);
    const { depthMm } = pocket!.bores[0]!;
    const beforeEnd = 6 / Math.sin(lean) - depthMm!;
    // A screw of 25 mm goes 10 into the other board of 12, and so has 15 before it.
    expect(beforeEnd).toBeCloseTo(15, 9);
    expect(pocket!.members).toEqual(['left', 'right']);
  });

  it('with loose tenons: slots that do not come out at the outer side', () => {
    for (const thicknessMm of [12, 15, 18, 22, 40]) {
      const found = setUpsOf(
        frameMembers({
          insideWidthMm: 876,
          insideHeightMm: 276,
          memberWidthMm: 90,
          thicknessMm,
          joint: 'mitre-tenon',
          seats: [],
        }),
        cutters,
        metricFence,
      );
      const slot = found.ok ? found.value.find((each) => each.kind === 'drill')! : null;
      // From the middle of the slot the outer side is √2 times as far as it lies under it.
      const behind = (thicknessMm - slot!.passes[0].fenceMm / Math.SQRT2) * Math.SQRT2;
      expect(slot!.bores[0]!.depthMm!).toBeLessThanOrEqual(behind - 1.9);
      expect(slot!.bores[0]!.depthMm!).toBeGreaterThan(6);
      expect(slot!.members).toHaveLength(4);
    }
  });

  it.each(['butt', 'rabbet', 'mitre', 'mitre-spline', 'dowels', 'pocket-screws', 'mitre-tenon'] as const)(
    '%s: in inches the fence shows thirty-seconds, and the sheet still enters',
    (joint) => {
      for (const { passes, clearMm, channel } of channels(joint, inchFence)) {
        if (!channel.across && passes[0]!.fenceMm >= 0)
          for (const { fenceMm } of passes)
            expect((fenceMm / 25.4) * 32).toBeCloseTo(Math.round((fenceMm / 25.4) * 32), 4);
        expect(clearMm).toBeGreaterThanOrEqual(channel.across ? 12 : 3);
      }
    },
  );

  it.each(['butt', 'rabbet', 'mitre', 'mitre-spline'] as const)('%s: leave no later cut impossible', (joint) => {
    const found = setUps(joint);
    const place = (
      kind: SetUp['kind'],
      name: string,
      which: (each: SetUp) => boolean = () => true,
    ): readonly number[] =>
      found.flatMap((each, at) => (each.kind === kind && each.members.includes(name) && which(each) ? [at] : []));
    for (const { name } of members(joint)) {
      const [rip] = place('rip', name);
      const [length] = place('length', name);
      expect(rip).toBe(0);
      const stopped = place('channel', name, (each) => each.kind === 'channel' && each.stopped !== null);
      const through = place('channel', name, (each) => each.kind === 'channel' && each.stopped === null);
      // Stops and ends are measured from the ends; long stock is grooved before it is mitred.
      for (const at of stopped) expect(at).toBeGreaterThan(length!);
      if (joint.startsWith('mitre')) for (const at of through) expect(at).toBeLessThan(length!);
      for (const at of [...place('spline', name), ...place('drill', name)]) expect(at).toBeGreaterThan(length!);
    }
  });

  describe('with mouths broken 1 mm', () => {
    const vBit: CutterInUse = { id: 'v', name: 'V bit', kind: 'v-bit', cutMm: 12, mostDeepMm: 6 };
    const broken = members('butt').map((member) => ({
      ...member,
      seats: member.seats.map((seat) => (seat.holds === 'face' ? { ...seat, mouthMm: 1 } : seat)),
    }));
    const chamfers = (own: readonly CutterInUse[], of = broken): readonly ChamferSetUp[] => {
      const found = setUpsOf(of, own, metricFence);
      if (!found.ok) throw new Error(found.problems[0]!.message);
      return found.value.filter((each) => each.kind === 'chamfer');
    };

    it('the V bit runs once along the middle: 1 mm before the groove, half of groove and mouths high', () => {
      // Groove 3.4 mm wide from 6 mm on: at the table the bit of 90° is 3.4 + 2 = 5.4 wide, so 2.7 high, from 6 − 1 = 5.
      const [stopped, through] = chamfers([...cutters, vBit]);
      for (const each of [stopped!, through!]) {
        expect(each.passes.map(({ fenceMm }) => fenceMm)).toEqual([5]);
        expect(each.heightsMm[0]).toBeCloseTo(2.7, 9);
        // Both mouths, by where its edges meet the table: 5 and 5 + 2 × 2.7 = 10.4, a millimetre past 6 and 9.4.
        expect(each.passes[0]!.fenceMm + 2 * each.heightsMm[0]!).toBeCloseTo(10.4, 9);
      }
      expect([stopped!.members, through!.members].map((names) => [...names].sort())).toEqual([
        ['bottom', 'top'],
        ['left', 'right'],
      ]);
      // Long members stop 6 mm short of their ends, as the groove does: 900 − 6 − 5.4.
      expect(stopped!.stopped).toEqual({ endMm: 6, blocksMm: expect.closeTo(900 - 6 - 5.4, 9) });
      expect(through!.stopped).toBeNull();
    });

    it('come after the groove that they belong to', () => {
      const found = setUpsOf(broken, [...cutters, vBit], metricFence);
      const order = found.ok ? found.value : [];
      for (const name of ['top', 'left']) {
        const at = (kind: SetUp['kind']): number =>
          order.findIndex(
            (each) =>
              each.kind === kind && each.members.includes(name) && 'channel' in each && each.channel.holds === 'face',
          );
        expect(at('chamfer')).toBeGreaterThan(at('channel'));
        expect(at('channel')).toBeGreaterThan(-1);
      }
    });

    it('take a pass each where the bit is narrower than the groove with both mouths', () => {
      const wide = broken.map((member) => ({
        ...member,
        seats: member.seats.map((seat) => (seat.holds === 'face' ? { ...seat, widthMm: 14, sheetMm: 13.6 } : seat)),
      }));
      const [first] = chamfers([...cutters, { ...bit, id: 'bit-12', cutMm: 12, mostDeepMm: 30 }, vBit], wide);
      // 2 mm high, 4 mm wide at the table: from 5 to 9, and from 6 + 14 + 1 − 4 = 17 to 21.
      expect(first!.passes.map(({ fenceMm }) => fenceMm)).toEqual([5, 17]);
      expect(first!.heightsMm).toEqual([2]);
    });

    it('are broken by hand where no V bit is on the shelf, which never serves for a groove', () => {
      const [first] = chamfers(cutters);
      expect(first).toMatchObject({
        passes: [],
        heightsMm: [],
        stopped: null,
        cutter: { name: expect.stringContaining('sanding') },
      });
      expect(setUpsOf(broken, [blade, vBit], metricFence).ok).toBe(false);
    });
  });

  it('say what no blade or bit of the shop can cut, and what the narrowest cuts', () => {
    const none = setUpsOf(members('mitre'), [blade], metricFence);
    expect(none.ok).toBe(true);
    const narrow = members('butt').map((each) => ({
      ...each,
      seats: each.seats.map((seat) => ({ ...seat, widthMm: 1.4, sheetMm: 1.2 })),
    }));
    const refused = setUpsOf(narrow, cutters, metricFence);
    expect(refused.ok ? '' : refused.problems[0]!.message).toBe(
      'the groove for the face in top is 1.4 mm wide and 6 mm deep; no blade or bit on the shelf is as narrow and reaches as deep (the narrowest cuts 1.8 mm)',
    );
    const bare = setUpsOf(members('butt'), [bit], metricFence);
    expect(bare.ok ? '' : bare.problems[0]!.message).toContain('no saw blade on the shelf');
    expect(setUpsOf([], [], metricFence)).toEqual({ ok: true, value: [] });
  });
});
