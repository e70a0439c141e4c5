import { dropLines } from '../letters/candidates.js';
import { haloHung } from './hung.js';
import { haloToFinish } from './to-finish.js';
import type { BuildWork } from '../common/build.js';
import { haloFigures } from './figures.js';
import { haloFront } from './front.js';
import type { HaloLaid, HaloResults } from './results.js';
import { haloRules } from './rules.js';
import type { HaloAssembly } from './schema.js';
import { haloSeeds } from './seeds.js';
import { haloSolids } from './solids.js';
import { haloStages } from './stages.js';
import { haloTemplates } from './templates.js';

/** How halo letters are worked out, judged and made. */
export const haloWork: BuildWork<HaloAssembly, HaloLaid, HaloResults> = {
  stages: haloStages,
  rules: haloRules,
  seeds: haloSeeds,
  lessStrip: dropLines,
  figures: haloFigures,
  front: haloFront,
  templates: haloTemplates,
  solids: haloSolids,
  cutByTool: ({ stock }) => stock !== 'return',
  hung: haloHung,
  toFinish: haloToFinish,
  trace: null,
};
