import { fieldsIn } from '../../judging/results/index.js';
import { letterMigrations } from '../letters/migrations.js';
import { letterSizes } from '../letters/sizes.js';
import { faceLitHanging } from './hung.js';
import type { Build } from '../common/build.js';
import { facedMeterSpot } from '../common/meter-spots.js';
import { closedSoakPoints } from '../common/soak-points.js';
import { canCones } from './cones.js';
import { faceLitDemos, newFaceLit } from './demos.js';
import type { FaceLitLaid, FaceLitResults } from './results.js';
import { faceLitSchema, type FaceLitAssembly } from './schema.js';
import { faceLitSectionAt } from './section.js';
import { faceLitWork } from './work.js';

/** Letter-shaped cases with a diffusing face each. */
export const faceLit: Build<FaceLitAssembly, FaceLitLaid, FaceLitResults, typeof faceLitDemos> = {
  name: 'face-lit',
  words: {
    name: 'Face-lit letters',
    detail: 'letter-shaped cases with glowing faces',
    sizesAsk: 'How tall are the letters?',
  },
  schema: faceLitSchema,
  migrations: letterMigrations,
  sizes: letterSizes,
  work: faceLitWork,
  start: newFaceLit,
  sectionAt: ({ lettering, geometry, assembly, materials, runs }, x) =>
    faceLitSectionAt(x, lettering.outline, geometry, assembly, materials, runs),
  cones: canCones,
  depth: (results) => ({
    field: fieldsIn(results).cans.depthInsideMm,
    label: 'Depth inside',
    mm: results.geometry.depthInsideMm,
    leastMm: 8,
    mostMm: 400,
  }),
  hanging: faceLitHanging,
  soakPoints: closedSoakPoints,
  meterSpot: facedMeterSpot,
  tryout: null,
  demos: faceLitDemos,
};
