import type { BuildWork } from '../common/build.js';
import { grooveFigures } from './figures.js';
import { grooveFront } from './front.js';
import { grooveHung } from './hung.js';
import type { GrooveLaid, GrooveResults } from './results.js';
import { lessLine } from './rules/common.js';
import { grooveRules } from './rules/index.js';
import type { GrooveAssembly } from './schema.js';
import { grooveSeeds } from './seeds.js';
import { grooveStages } from './stages.js';
import { grooveTables } from './tables.js';
import { grooveTemplates } from './templates.js';
import { grooveToFinish } from './to-finish.js';

/** How strip in a groove is worked out, judged and made. */
export const grooveWork: BuildWork<GrooveAssembly, GrooveLaid, GrooveResults> = {
  stages: grooveStages,
  rules: grooveRules,
  seeds: grooveSeeds,
  lessStrip: lessLine,
  figures: grooveFigures,
  front: grooveFront,
  templates: grooveTemplates,
  solids: () => [],
  tables: grooveTables,
  cutByTool: ({ id }) => id.startsWith('carrier-'),
  hung: grooveHung,
  toFinish: grooveToFinish,
  trace: null,
};
