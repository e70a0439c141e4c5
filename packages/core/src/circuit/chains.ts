import type { Segment } from '../light-runs/index.js';

/** Where chains begin by hand: pieces that begin one, and pieces that carry on the one before although it would be long. */
export interface ChainWish {
  readonly begin: ReadonlySet<number>;
  readonly carryOn: ReadonlySet<number>;
}

/**
 * Segments grouped into chains in wiring order, each within `longestMm` of strip and all about as long as each other, but
 * for where the maker begins a chain or carries one on. A single segment longer than that stands alone (the findings name
 * it).
 */
export const groupChains = (
  segments: readonly Segment[],
  longestMm: number,
  { begin, carryOn }: ChainWish = { begin: new Set(), carryOn: new Set() },
): readonly (readonly number[])[] => {
  const total = segments.reduce((sum, { lengthMm }) => sum + lengthMm, 0);
  const target = total / Math.max(1, Math.ceil(total / longestMm));
  const chains: number[][] = [];
  let length = Infinity;
  segments.forEach(({ number, lengthMm }, index) => {
    const within = length + lengthMm <= longestMm && length + lengthMm / 2 <= target;
    const fits = (within || carryOn.has(number)) && !begin.has(number);
    const chain = chains[chains.length - 1];
    if (fits && chain !== undefined) chain.push(index);
    else chains.push([index]);
    length = (fits && chain !== undefined ? length : 0) + lengthMm;
  });
  return chains;
};
