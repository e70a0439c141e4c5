import { describe, expect, it } from '@jest/globals';
import { arrowWay } from './arrow-way';

describe('arrow keys on the front', () => {
  it.each([
    ['ArrowRight', false, [1, 0]],
    ['ArrowLeft', true, [-10, 0]],
    ['ArrowUp', true, [0, 10]],
    ['ArrowDown', false, [0, -1]],
    ['a', false, null],
  ] as const)('%s (Shift: %s) moves by %j', (key, shiftKey, way) => expect(arrowWay({ key, shiftKey })).toEqual(way));
});
