import type { CornerWay, StripCorner } from '../runs/types.js';

const ways: readonly { readonly way: CornerWay; readonly words: string }[] = [
  { way: 'notch', words: 'with the coating notched on the inside' },
  { way: 'loop', words: 'by a loop standing off' },
  { way: 'cut-and-wire', words: 'cut and wired' },
];

/** How many corners strip goes round in each way. */
export const countWay = (corners: readonly StripCorner[], way: CornerWay): number =>
  corners.filter((corner) => corner.way === way).length;

/** Corners by how strip gets round them, in words: “2 corners cut and wired, 1 by a loop standing off”; empty without any. */
export const cornerWords = (corners: readonly StripCorner[]): string =>
  ways
    .map(({ way, words }) => ({ words, count: countWay(corners, way) }))
    .filter(({ count }) => count > 0)
    .map(({ words, count }, index) => `${count}${index > 0 ? '' : count === 1 ? ' corner' : ' corners'} ${words}`)
    .join(', ');
