import type { BuildWork } from '../common/build.js';
import { dropLoop } from './candidates.js';
import { stackedFigures } from './figures.js';
import { stackedFront } from './front.js';
import { stackedHung } from './hung.js';
import { stackedLadder } from './parts.js';
import type { StackedLaid, StackedResults } from './results.js';
import { stackedRules } from './rules/index.js';
import type { StackedAssembly } from './schema.js';
import { stackedSeeds } from './seeds.js';
import { stackedStages } from './stages.js';
import { stackedTemplates } from './templates.js';
import { stackedToFinish } from './to-finish.js';

const plates = /^(base|ring-\d+|ledge|lid|inlays)$/;

/** How stacked plates are worked out, judged and made. */
export const stackedWork: BuildWork<StackedAssembly, StackedLaid, StackedResults> = {
  stages: stackedStages,
  rules: stackedRules,
  seeds: stackedSeeds,
  lessStrip: dropLoop,
  figures: stackedFigures,
  front: stackedFront,
  templates: stackedTemplates,
  solids: () => [],
  coupons: ({ lid, materials }) => stackedLadder(lid, materials),
  cutByTool: ({ id }) => plates.test(id),
  hung: stackedHung,
  toFinish: stackedToFinish,
  trace: null,
};
