import { describe, expect, it } from '@jest/globals';
import { applyChange, demoDesigns, type Design, type DesignChange, type Segment } from '@vitrum/core';
import {
  alongPiece,
  freePost,
  layPiece,
  letLie,
  movedOf,
  pinAt,
  pinPost,
  pinsOf,
  pushAlong,
  pushOf,
  type Place,
} from './halo-edits';

/** A change as the core takes it: refused ones fail the test. */
const after = (design: Design, change: DesignChange): Design => {
  const result = applyChange(design, change);
  if (!result.ok) throw new Error(result.problems[0]!.message);
  return result.value;
};

const { curlew, dispensary } = demoDesigns;

describe('posts moved by hand', () => {
  it('are pinned to a tenth of a millimetre where they are put', () => {
    const design = after(curlew, pinPost([], [10, 10], [12.34, -5.678]));
    expect(pinsOf(design)).toEqual([{ xMm: 12.3, yMm: -5.7 }]);
  });

  it('stay one post when moved again, among others', () => {
    const pins = [
      { xMm: 1, yMm: 1 },
      { xMm: 40, yMm: 2 },
    ];
    const design = after(curlew, pinPost(pins, [1.1, 1], [5, 6]));
    expect(pinsOf(design)).toEqual([
      { xMm: 5, yMm: 6 },
      { xMm: 40, yMm: 2 },
    ]);
  });

  it('are solved again when freed, and only they', () => {
    const pins = [
      { xMm: 1, yMm: 1 },
      { xMm: 40, yMm: 2 },
    ];
    expect(pinAt(pins, [40, 2])).toBe(1);
    expect(pinAt(pins, [41, 2])).toBe(-1);
    expect(pinsOf(after(curlew, freePost(pins, [40, 2])))).toEqual([{ xMm: 1, yMm: 1 }]);
    expect(pinsOf(after(curlew, freePost(pins, [7, 7])))).toEqual(pins);
  });

  it('are none on a build without posts, the same list each time', () => {
    expect(pinsOf(dispensary)).toEqual([]);
    expect(pinsOf(dispensary)).toBe(pinsOf(null));
  });
});

describe('pieces of strip pushed by hand', () => {
  it('are held where they were pushed last', () => {
    const once = after(curlew, pushAlong([], { piece: 2 }, 7.06));
    const twice = after(once, pushAlong(movedOf(once), { piece: 2 }, -3));
    const other = after(twice, pushAlong(movedOf(twice), { piece: 4 }, 1));
    expect(movedOf(once)).toEqual([{ piece: 2, alongMm: 7.1 }]);
    expect(movedOf(other)).toEqual([
      { piece: 2, alongMm: -3 },
      { piece: 4, alongMm: 1 },
    ]);
    expect(movedOf(after(other, letLie(movedOf(other), { piece: 2 })))).toEqual([{ piece: 4, alongMm: 1 }]);
  });

  it('and single modules of them are held apart from each other', () => {
    const [piece, module] = [{ piece: 2 }, { piece: 2, module: 3 }];
    const once = after(curlew, pushAlong([], module, 4));
    const both = after(once, pushAlong(movedOf(once), piece, -6));
    expect([pushOf(movedOf(both), module), pushOf(movedOf(both), piece)]).toEqual([4, -6]);
    expect(pushOf(movedOf(both), { piece: 2, module: 4 })).toBeNull();
    const again = after(both, pushAlong(movedOf(both), module, 5));
    expect(movedOf(again)).toEqual([
      { piece: 2, alongMm: -6 },
      { piece: 2, module: 3, alongMm: 5 },
    ]);
    expect(movedOf(after(again, letLie(movedOf(again), piece)))).toEqual([{ piece: 2, module: 3, alongMm: 5 }]);
    expect(applyChange(curlew, pushAlong([], { piece: 2, module: 0 }, 1)).ok).toBe(false);
  });

  it('are left out and laid again', () => {
    const leftOut = (design: Design): readonly number[] => {
      const assembly = design.assemblies[0]!;
      return assembly.build === 'halo' ? (assembly.light.leftOut ?? []) : [];
    };
    const without = after(curlew, layPiece([], 3, false));
    expect(leftOut(without)).toEqual([3]);
    expect(leftOut(after(without, layPiece(leftOut(without), 3, true)))).toEqual([]);
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
    expect(alongPiece({ path } as unknown as Segment, place)).toBeCloseTo(mm);
  });
});
