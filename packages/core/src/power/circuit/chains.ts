import type { Segment } from '../../light/runs/index.js';

/** Where chains begin by hand: pieces that begin one, and pieces whose chain is joined to the one before. */
export interface ChainOverrides {
  readonly begin: ReadonlySet<number>;
  readonly carryOn: ReadonlySet<number>;
}

/** Chains whose first piece carries on joined to those before them. */
const joined = (
  chains: readonly (readonly number[])[],
  segments: readonly Segment[],
  carryOn: ReadonlySet<number>,
): readonly (readonly number[])[] => {
  const found: number[][] = [];
  for (const chain of chains) {
    const last = found[found.length - 1];
    if (last !== undefined && carryOn.has(segments[chain[0]!]!.number)) last.push(...chain);
    else found.push([...chain]);
  }
  return found;
};

/**
 * Segments grouped into chains in wiring order, each within `longestMm` of strip and all about as long as each other; then
 * split and joined where the maker wants it. There are as many for each of the supplies, where there are pieces enough. A
 * single segment longer than that stands alone (the findings name it).
 */
export const groupChains = (
  segments: readonly Segment[],
  longestMm: number,
  { begin, carryOn }: ChainOverrides = { begin: new Set(), carryOn: new Set() },
  supplies = 1,
): readonly (readonly number[])[] => {
  const total = segments.reduce((sum, { lengthMm }) => sum + lengthMm, 0);
  const target = total / Math.max(supplies, supplies * Math.ceil(total / longestMm / supplies));
  const chains: number[][] = [];
  let length = Infinity;
  segments.forEach(({ number, lengthMm }, index) => {
    const within = length + lengthMm <= longestMm && length + lengthMm / 2 <= target;
    const fits = within && !begin.has(number);
    const chain = chains[chains.length - 1];
    if (fits && chain !== undefined) chain.push(index);
    else chains.push([index]);
    length = (fits ? length : 0) + lengthMm;
  });
  return joined(chains, segments, carryOn);
};
