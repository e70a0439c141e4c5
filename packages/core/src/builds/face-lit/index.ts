import type { FaceLitAssembly } from '../../document/design/index.js';
import type { FaceLitResults } from '../../sign/evaluate/types.js';
import type { Build } from '../shared/types.js';
import { faceLitFigures } from './figures.js';
import { faceLitPipeline } from './pipeline.js';
import { faceLitRules } from './rules.js';
import { faceLitSectionAt } from './section.js';

/** Letter-shaped cases with diffusing faces. */
export const faceLit: Build<FaceLitAssembly, FaceLitResults> = {
  pipeline: faceLitPipeline,
  rules: faceLitRules,
  figures: faceLitFigures,
  sectionAt: ({ lettering, geometry, assembly, materials, runs }, x) =>
    faceLitSectionAt(x, lettering.outline, geometry, assembly, materials, runs),
};
