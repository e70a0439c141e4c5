import type { CutPart } from '../../making/parts/index.js';
import { wireHoleMm } from '../common/wire-routes.js';
import { backerOf, backerParts, type BackerHole } from '../letters/backer/backer.js';
import type { FaceLitFacts } from './parts.js';

/** Pilot holes for the screws that hold letters on their backer (mm). */
const pilotMm = 3;

/** The backer of face-lit letters, with a hole for every screw through a back and every wire. */
export const faceLitBacker = (
  { assembly, materials, letters, wireHoles }: FaceLitFacts,
  cut: readonly CutPart[],
): readonly CutPart[] => {
  const wires = new Map(wireHoles.map((at) => [at.join(), at]));
  const holes: readonly BackerHole[] = [
    ...cut.flatMap(({ fixedAt }) => (fixedAt ?? []).map((at) => ({ at, diameterMm: pilotMm }))),
    ...[...wires.values()].map((at) => ({ at, diameterMm: wireHoleMm })),
  ];
  return backerParts(backerOf(assembly.backer, materials.backer, letters.flat()), holes);
};
