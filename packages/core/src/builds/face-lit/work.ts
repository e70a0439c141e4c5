import { dropLines } from '../letters/candidates.js';
import { faceLitHung } from './hung.js';
import { faceLitToFinish } from './to-finish.js';
import type { BuildWork } from '../common/build.js';
import { faceLitFigures } from './figures.js';
import { faceLitFront } from './front.js';
import type { FaceLitLaid, FaceLitResults } from './results.js';
import { faceLitRules } from './rules.js';
import type { FaceLitAssembly } from './schema.js';
import { faceLitSeeds } from './seeds.js';
import { faceLitStages } from './stages.js';
import { cansStripTemplate } from './templates.js';

/** How face-lit letters are worked out, judged and made. */
export const faceLitWork: BuildWork<FaceLitAssembly, FaceLitLaid, FaceLitResults> = {
  stages: faceLitStages,
  rules: faceLitRules,
  seeds: faceLitSeeds,
  lessStrip: dropLines,
  figures: faceLitFigures,
  front: faceLitFront,
  templates: (results) => ({ 'strip-template': cansStripTemplate(results) }),
  solids: () => [],
  cutByTool: ({ stock }) => stock !== 'return',
  hung: faceLitHung,
  toFinish: faceLitToFinish,
  trace: null,
};
