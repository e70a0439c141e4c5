import type { Jumper } from '../../light/runs/index.js';
import type { CutPart } from '../../making/parts/index.js';
import { wireHoleMm } from '../common/wire-routes.js';
import { backerOf, backerParts, type BackerHole } from '../letters/backer/backer.js';
import type { HaloFacts } from './parts.js';

/** The backer of halo letters, with a hole for every post and every wire that goes behind it. */
export const haloBacker = (
  { assembly, materials, letters, posts }: HaloFacts,
  jumpers: readonly Jumper[],
): readonly CutPart[] => {
  const holes: readonly BackerHole[] = [
    ...posts.flatMap((part) => part.posts.map(({ at, diameterMm }) => ({ at, diameterMm }))),
    ...jumpers.flatMap((jumper) => jumper.holes.map((at) => ({ at, diameterMm: wireHoleMm }))),
  ];
  return backerParts(backerOf(assembly.backer, materials.backer, letters.flat()), holes);
};
