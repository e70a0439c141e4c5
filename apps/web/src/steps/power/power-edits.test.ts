import { describe, expect, it } from '@jest/globals';
import { applyChange, demoDesigns, type Design, type DesignChange, type SegmentRef } from '@vitrum/core';
import {
  beginChain,
  carryOn,
  inject,
  feedFrom,
  isByHand,
  isInjected,
  pairSegments,
  planAgain,
  putInZone,
  zoneOf,
} from './power-edits';

/** A change as the core takes it: refused ones fail the test. */
const after = (design: Design, change: DesignChange): Design => {
  const result = applyChange(design, change);
  if (!result.ok) throw new Error(result.problems[0]!.message);
  return result.value;
};

const { dispensary } = demoDesigns;
const own = dispensary.assemblies[0]!.id;
const ref = (segment: number): SegmentRef => ({ assembly: own, segment });
const refs = (...segments: readonly number[]): readonly SegmentRef[] => segments.map(ref);

describe('feeds by hand', () => {
  it('are put to an end of a segment once, and taken away', () => {
    const once = after(dispensary, inject(dispensary.power, ref(3), 'end', true));
    const twice = after(once, inject(once.power, ref(3), 'end', true));
    expect(twice.power.injections).toEqual([{ ...ref(3), end: 'end' }]);
    expect([isInjected(twice.power, ref(3), 'end'), isInjected(twice.power, ref(3), 'start')]).toEqual([true, false]);
    const both = after(twice, inject(twice.power, ref(3), 'start', true));
    expect(after(both, inject(both.power, ref(3), 'end', false)).power.injections).toEqual([
      { ...ref(3), end: 'start' },
    ]);
  });

  it('come in at either end of a chain, named by its first segment', () => {
    const turned = after(dispensary, feedFrom(dispensary.power, ref(2), true));
    expect(turned.power).toMatchObject({ fedBackward: refs(2), fedForward: [] });
    const back = after(turned, feedFrom(turned.power, ref(2), false));
    expect(back.power).toMatchObject({ fedBackward: [], fedForward: refs(2) });
    expect(isByHand(back.power)).toBe(true);
    expect(isByHand(after(back, planAgain()).power)).toBe(false);
  });
});

describe('chains by hand', () => {
  it('are split or joined before a segment, one or the other', () => {
    const split = after(dispensary, beginChain(dispensary.power, ref(3)));
    expect(split.power).toMatchObject({ chainsBegin: refs(3), chainsCarryOn: [] });
    const joined = after(split, carryOn(split.power, ref(3)));
    expect(joined.power).toMatchObject({ chainsBegin: [], chainsCarryOn: refs(3) });
    const two = after(joined, beginChain(joined.power, ref(2)));
    expect(two.power).toMatchObject({ chainsBegin: refs(2), chainsCarryOn: refs(3) });
  });

  it('are told from planned ones, and planned again', () => {
    expect(isByHand(dispensary.power)).toBe(false);
    const split = after(dispensary, beginChain(dispensary.power, ref(3)));
    expect(isByHand(split.power)).toBe(true);
    expect(isByHand(after(split, planAgain()).power)).toBe(false);
  });
});

describe('zones by hand', () => {
  it('take a segment in, hand it on, and go when they are empty', () => {
    const one = after(dispensary, putInZone(dispensary.power, ref(2), 1));
    expect(one.power.zones).toEqual([{ segments: refs(2), level: 1 }]);
    const two = after(one, putInZone(one.power, ref(1), 2));
    expect(two.power.zones).toEqual([
      { segments: refs(2), level: 1 },
      { segments: refs(1), level: 1 },
    ]);
    expect([zoneOf(two.power, ref(1)), zoneOf(two.power, ref(2)), zoneOf(two.power, ref(3))]).toEqual([2, 1, 0]);
    const moved = after(two, putInZone(two.power, ref(1), 1));
    expect(moved.power.zones).toEqual([{ segments: refs(1, 2), level: 1 }]);
    expect(
      after(moved, putInZone(after(moved, putInZone(moved.power, ref(1), 0)).power, ref(2), 0)).power.zones,
    ).toEqual([]);
  });

  it('keep their level while segments come and go', () => {
    const dim = { ...dispensary, power: { ...dispensary.power, zones: [{ segments: refs(1, 2), level: 0.3 }] } };
    expect(after(dim, putInZone(dim.power, ref(3), 1)).power.zones).toEqual([{ segments: refs(1, 2, 3), level: 0.3 }]);
    expect(after(dim, putInZone(dim.power, ref(2), 0)).power.zones).toEqual([{ segments: refs(1), level: 0.3 }]);
  });
});

describe('pairs by hand', () => {
  it('take apart those that either segment was in, and are forgotten when planned again', () => {
    const pair = (design: Design, first: number, second: number) =>
      after(design, pairSegments(design.power, ref(first), ref(second)));
    const three = pair(pair(pair(dispensary, 1, 2), 3, 4), 2, 3);
    expect(three.power.seriesPairs).toEqual([{ first: ref(2), second: ref(3) }]);
    expect(isByHand(three.power)).toBe(true);
    expect(isByHand(after(three, planAgain()).power)).toBe(false);
  });
});
