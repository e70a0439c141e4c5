/** Where chains begin by hand, by index: segments that begin one, and segments whose chain is joined to the one before. */
export interface ChainOverrides {
  readonly begin: ReadonlySet<number>;
  readonly carryOn: ReadonlySet<number>;
}

const none: ChainOverrides = { begin: new Set(), carryOn: new Set() };

/**
 * Segments, by their lengths in wiring order, grouped into chains, each within `longestMm` of strip and all about as long as
 * each other. There are as many for each of the supplies, where there are segments enough. A single segment longer than that
 * stands alone (the findings name it). `first` is the index of the first of them.
 */
export const groupChains = (
  lengthsMm: readonly number[],
  longestMm: number,
  { begin }: Pick<ChainOverrides, 'begin'> = none,
  supplies = 1,
  first = 0,
): readonly (readonly number[])[] => {
  const total = lengthsMm.reduce((sum, lengthMm) => sum + lengthMm, 0);
  const target = total / Math.max(supplies, supplies * Math.ceil(total / longestMm / supplies));
  const chains: number[][] = [];
  let length = Infinity;
  lengthsMm.forEach((lengthMm, place) => {
    const index = first + place;
    const within = length + lengthMm <= longestMm && length + lengthMm / 2 <= target;
    const fits = within && !begin.has(index);
    const chain = chains[chains.length - 1];
    if (fits && chain !== undefined) chain.push(index);
    else chains.push([index]);
    length = (fits ? length : 0) + lengthMm;
  });
  return chains;
};

/** Chains whose first segment carries on joined to those before them. */
export const joinChains = (
  chains: readonly (readonly number[])[],
  carryOn: ReadonlySet<number>,
): readonly (readonly number[])[] => {
  const found: number[][] = [];
  for (const chain of chains) {
    const last = found[found.length - 1];
    if (last !== undefined && carryOn.has(chain[0]!)) last.push(...chain);
    else found.push([...chain]);
  }
  return found;
};
