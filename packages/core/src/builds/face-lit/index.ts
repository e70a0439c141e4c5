import { fieldsIn } from '../../judging/results/index.js';
import { dropLines } from '../letters/candidates.js';
import { letterMigrations } from '../letters/migrations.js';
import { letterSizes } from '../letters/sizes.js';
import type { Build } from '../common/build.js';
import { closedSoakPoints } from '../common/soak-points.js';
import { canCones } from './cones.js';
import { faceLitDemos, newFaceLit } from './demos.js';
import { faceLitFigures } from './figures.js';
import { faceLitFront } from './front.js';
import type { FaceLitLaid, FaceLitResults } from './results.js';
import { faceLitRules } from './rules.js';
import { faceLitSeeds } from './seeds.js';
import { faceLitSchema, type FaceLitAssembly } from './schema.js';
import { faceLitSectionAt } from './section.js';
import { faceLitStages } from './stages.js';
import { cansStripTemplate } from './templates.js';

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
  start: newFaceLit,
  stages: faceLitStages,
  rules: faceLitRules,
  seeds: faceLitSeeds,
  lessStrip: dropLines,
  figures: faceLitFigures,
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
  front: faceLitFront,
  templates: (results) => ({ 'strip-template': cansStripTemplate(results) }),
  solids: () => [],
  cutByTool: ({ stock }) => stock !== 'return',
  soakPoints: closedSoakPoints,
  trace: null,
  tryout: null,
  demos: faceLitDemos,
};
