import { describe, expect, it } from '@jest/globals';
import { applyChange, demoDesigns, fieldsOf, type Design, type DesignChange, type HaloAssembly } from '@vitrum/core';
import { freePin, pinAt, pinTo } from '../../document/pins';
import { pinsNow } from './post-edits';

/** A change as the core takes it: refused ones fail the test. */
const after = (design: Design, change: DesignChange): Design => {
  const result = applyChange(design, change);
  if (!result.ok) throw new Error(result.problems[0]!.message);
  return result.value;
};

const { curlew, dispensary } = demoDesigns;
const field = fieldsOf<HaloAssembly>('assemblies.0').posts.pinned;
const pinsOf = (design: Design) => pinsNow(design, null);

describe('posts moved by hand', () => {
  it('are pinned to a tenth of a millimetre where they are put', () => {
    const design = after(curlew, pinTo(field, [], [10, 10], [12.34, -5.678]));
    expect(pinsOf(design)).toEqual([{ xMm: 12.3, yMm: -5.7 }]);
  });

  it('stay one post when moved again, among others', () => {
    const pins = [
      { xMm: 1, yMm: 1 },
      { xMm: 40, yMm: 2 },
    ];
    const design = after(curlew, pinTo(field, pins, [1.1, 1], [5, 6]));
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
    expect(pinsOf(after(curlew, freePin(field, pins, [40, 2])))).toEqual([{ xMm: 1, yMm: 1 }]);
    expect(pinsOf(after(curlew, freePin(field, pins, [7, 7])))).toEqual(pins);
  });

  it('are none on a build without posts, the same list each time', () => {
    expect(pinsOf(dispensary)).toEqual([]);
    expect(pinsOf(dispensary)).toBe(pinsNow(null, null));
  });
});
