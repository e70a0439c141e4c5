import type { Jumper } from '../../light/runs/index.js';
import type { Catalogue } from '../../document/catalogue/index.js';
import type { OwnParts } from '../common/build.js';
import { wireHoleMm } from '../common/wire-routes.js';
import { backerBought, backerOf, backerParts, type BackerHole } from '../letters/backer/backer.js';
import type { HaloFacts } from './parts.js';

/** The backer of halo letters, with a hole for every post and every wire that goes behind it. */
export const haloBacker = (
  { assembly, materials, letters, posts }: HaloFacts,
  jumpers: readonly Jumper[],
  catalogue: Catalogue,
): OwnParts => {
  const holes: readonly BackerHole[] = [
    ...posts.flatMap((part) => part.posts.map(({ at, diameterMm }) => ({ at, diameterMm }))),
    ...jumpers.flatMap((jumper) => jumper.holes.map((at) => ({ at, diameterMm: wireHoleMm }))),
  ];
  const backer = backerOf(assembly.backer, materials.backer, letters.flat());
  // Posts come with what holds them in letter and backer.
  return { cut: backerParts(backer, holes), bought: backerBought(backer, 0, catalogue) };
};
