import type { Catalogue } from '../../document/catalogue/index.js';
import type { CutPart } from '../../making/parts/index.js';
import type { OwnParts } from '../common/build.js';
import { wireHoleMm } from '../common/wire-routes.js';
import { backerBought, backerOf, backerParts, type BackerHole } from '../letters/backer/backer.js';
import type { FaceLitFacts } from './parts.js';

/** Pilot holes for the screws that hold letters on their backer (mm). */
const pilotMm = 3;

/** The backer of face-lit letters, with a hole for every screw through a back and every wire. */
export const faceLitBacker = (
  { assembly, materials, letters, wireHoles }: FaceLitFacts,
  cut: readonly CutPart[],
  catalogue: Catalogue,
): OwnParts => {
  const wires = new Map(wireHoles.map((at) => [at.join(), at]));
  const screws = cut.flatMap(({ fixedAt }) => fixedAt ?? []);
  const holes: readonly BackerHole[] = [
    ...screws.map((at) => ({ at, diameterMm: pilotMm })),
    ...[...wires.values()].map((at) => ({ at, diameterMm: wireHoleMm })),
  ];
  const backer = backerOf(assembly.backer, materials.backer, letters.flat());
  return { cut: backerParts(backer, holes), bought: backerBought(backer, screws.length, catalogue) };
};
