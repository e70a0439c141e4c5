import type { GrooveResults } from './results.js';

/** What is between a carrier and the wall: what it hangs by leaves it, or its spacers where nothing is chosen (mm). */
export const roomBehind = ({ assembly, hang }: Pick<GrooveResults, 'assembly' | 'hang'>): number =>
  hang === null || hang.way === null ? assembly.carrier.spacerMm : hang.offWallMm;
