import type { Segment } from '../light-runs/index.js';

/**
 * Segments grouped into chains in wiring order, each within `longestMm` of strip and all about as long as each other.
 * A single segment longer than that stands alone (the findings name it).
 */
export const groupChains = (segments: readonly Segment[], longestMm: number): readonly (readonly number[])[] => {
  const total = segments.reduce((sum, { lengthMm }) => sum + lengthMm, 0);
  const target = total / Math.max(1, Math.ceil(total / longestMm));
  const chains: number[][] = [];
  let length = Infinity;
  segments.forEach((segment, index) => {
    const fits = length + segment.lengthMm <= longestMm && length + segment.lengthMm / 2 <= target;
    const chain = chains[chains.length - 1];
    if (fits && chain !== undefined) chain.push(index);
    else chains.push([index]);
    length = (fits ? length : 0) + segment.lengthMm;
  });
  return chains;
};
