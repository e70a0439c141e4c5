import { boxHung } from './hung.js';
import { boxToFinish } from './to-finish.js';
import type { BuildWork } from '../common/build.js';
import { dropRows } from './candidates.js';
import { lightboxFigures } from './figures.js';
import { lightboxFront } from './front.js';
import type { BoxLaid, BoxResults } from './results.js';
import { lightboxRules } from './rules.js';
import type { LightboxAssembly } from './schema.js';
import { boxSeeds } from './seeds.js';
import { lightboxStages } from './stages.js';
import { boxStripTemplate } from './template.js';
import { traceCheck } from './trace-check/index.js';

/** How light boxes are worked out, judged and made. */
export const lightboxWork: BuildWork<LightboxAssembly, BoxLaid, BoxResults> = {
  stages: lightboxStages,
  rules: lightboxRules,
  seeds: boxSeeds,
  lessStrip: dropRows,
  figures: lightboxFigures,
  front: lightboxFront,
  templates: (results) => ({ 'strip-template': boxStripTemplate(results) }),
  solids: () => [],
  // Panels are sawn; the tool of the artwork cuts the film alone.
  cutByTool: ({ stock }) => stock === 'film',
  hung: boxHung,
  toFinish: boxToFinish,
  trace: traceCheck,
};
