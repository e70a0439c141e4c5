import { boxHung } from '../boxes/hung.js';
import { boxToFinish } from '../boxes/to-finish.js';
import type { BuildWork } from '../common/build.js';
import { dropRows } from '../boxes/candidates.js';
import { boxFigures } from '../boxes/figures.js';
import { boxFront } from '../boxes/front.js';
import type { BoxLaid, BoxResultsOf } from '../boxes/results.js';
import { boxRules } from '../boxes/rules.js';
import type { LightboxAssembly } from './schema.js';
import { boxSeeds } from '../boxes/seeds.js';
import { boxStages } from '../boxes/stages.js';
import { boxStripTemplate } from '../boxes/template.js';
import { traceCheck } from '../boxes/trace-check/index.js';

/** How light boxes are worked out, judged and made. */
export const lightboxWork: BuildWork<LightboxAssembly, BoxLaid, BoxResultsOf<LightboxAssembly>> = {
  stages: boxStages,
  rules: boxRules,
  seeds: boxSeeds,
  lessStrip: dropRows,
  figures: boxFigures,
  front: boxFront,
  templates: (results) => ({ 'strip-template': boxStripTemplate(results) }),
  solids: () => [],
  // Panels are sawn; the tool of the artwork cuts the film alone.
  cutByTool: ({ stock }) => stock === 'film',
  hung: boxHung,
  toFinish: boxToFinish,
  trace: traceCheck,
};
