import { describe, expect, it } from '@jest/globals';
import {
  applyChange,
  demoDesigns,
  fieldsOf,
  set,
  type Design,
  type DesignChange,
  type LetterAssembly,
  type Segment,
} from '@vitrum/core';
import type { Place } from '../../lamp-room/front-view';
import { alongSegment, leaveOut, letLie, movedNow, pushAlong, pushOf } from './strip-edits';

/** A change as the core takes it: refused ones fail the test. */
const after = (design: Design, change: DesignChange): Design => {
  const result = applyChange(design, change);
  if (!result.ok) throw new Error(result.problems[0]!.message);
  return result.value;
};

const { curlew } = demoDesigns;
const { light } = fieldsOf<LetterAssembly>('assemblies.0');

const movedOf = (design: Design) => movedNow(design, null);

describe('segments of strip pushed by hand', () => {
  it('are held where they were pushed last', () => {
    const once = after(curlew, pushAlong(light.moved, [], { segment: 2 }, 7.06));
    const twice = after(once, pushAlong(light.moved, movedOf(once), { segment: 2 }, -3));
    const other = after(twice, pushAlong(light.moved, movedOf(twice), { segment: 4 }, 1));
    expect(movedOf(once)).toEqual([{ segment: 2, alongMm: 7.1 }]);
    expect(movedOf(other)).toEqual([
      { segment: 2, alongMm: -3 },
      { segment: 4, alongMm: 1 },
    ]);
    expect(movedOf(after(other, letLie(light.moved, movedOf(other), { segment: 2 })))).toEqual([
      { segment: 4, alongMm: 1 },
    ]);
  });

  it('and single modules of them are held apart from each other', () => {
    const [segment, module] = [{ segment: 2 }, { segment: 2, module: 3 }];
    const once = after(curlew, pushAlong(light.moved, [], module, 4));
    const both = after(once, pushAlong(light.moved, movedOf(once), segment, -6));
    expect([pushOf(movedOf(both), module), pushOf(movedOf(both), segment)]).toEqual([4, -6]);
    expect(pushOf(movedOf(both), { segment: 2, module: 4 })).toBeNull();
    const again = after(both, pushAlong(light.moved, movedOf(both), module, 5));
    expect(movedOf(again)).toEqual([
      { segment: 2, alongMm: -6 },
      { segment: 2, module: 3, alongMm: 5 },
    ]);
    expect(movedOf(after(again, letLie(light.moved, movedOf(again), segment)))).toEqual([
      { segment: 2, module: 3, alongMm: 5 },
    ]);
    expect(applyChange(curlew, pushAlong(light.moved, [], { segment: 2, module: 0 }, 1)).ok).toBe(false);
  });

  it('are left out and laid again', () => {
    const leftOut = (design: Design): readonly number[] => {
      const assembly = design.assemblies[0]!;
      return assembly.build === 'halo' ? (assembly.light.leftOut ?? []) : [];
    };
    const without = after(curlew, leaveOut(light.leftOut, [], 3));
    expect(leftOut(without)).toEqual([3]);
    expect(leftOut(after(without, leaveOut(light.leftOut, leftOut(without), 5)))).toEqual([3, 5]);
    expect(leftOut(after(without, [set(light.leftOut, [])]))).toEqual([]);
  });

  it.each<[string, Place, number]>([
    ['on it', [30, 0], 30],
    ['beside it', [30, 8], 30],
    ['before its start', [-12, 0], -12],
    ['round its bend', [100, 40], 140],
    ['past its end', [100, 70], 150],
  ])('know how far along a place %s is', (_, place, mm) => {
    const path = [
      [0, 0, 5],
      [100, 0, 5],
      [100, 50, 5],
    ] as const;
    expect(alongSegment({ path } as unknown as Segment, place)).toBeCloseTo(mm);
  });
});
