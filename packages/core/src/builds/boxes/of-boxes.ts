import { fieldsIn } from '../../judging/results/index.js';
import type { SliceDepth } from '../common/build.js';
import { facedMeterSpot } from '../common/meter-spots.js';
import { closedSoakPoints } from '../common/soak-points.js';
import { boxCones } from './cones.js';
import { boxHanging } from './hung.js';
import type { BoxResults } from './results.js';
import { boxTryout } from './tryout.js';

/** What every build that is a case with a lit face tells of itself alike. */
export const ofBoxes = {
  // A case is the same all along.
  sectionAt: ({ section }: BoxResults) => section,
  cones: (results: BoxResults, _section: unknown, spread: number) => boxCones(results, spread),
  depth: (results: BoxResults): SliceDepth => ({
    field: fieldsIn(results).case.depthInsideMm,
    label: 'Depth inside',
    mm: results.geometry.inside.depthMm,
    leastMm: 8,
    mostMm: 1000,
  }),
  hanging: boxHanging,
  soakPoints: closedSoakPoints,
  meterSpot: facedMeterSpot,
  tryout: boxTryout,
} as const;
