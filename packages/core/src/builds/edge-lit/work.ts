import type { BuildWork } from '../common/build.js';
import { panelFigures } from './figures.js';
import { panelFront } from './front.js';
import { panelHung } from './hung.js';
import { workedFacesOf } from './sheet-parts.js';
import { eyeHoleOf } from './eye-hole.js';
import { panelSolids } from './printed-base.js';
import { factsOf, type PanelLaid, type PanelResults } from './results.js';
import { fewerEdges } from './rules/common.js';
import { panelRules } from './rules/index.js';
import type { EdgeLitAssembly } from './schema.js';
import { panelSeeds } from './seeds.js';
import { panelStages } from './stages.js';
import { panelTemplates } from './templates.js';
import { panelTrace } from './trace-check.js';
import { panelToFinish } from './to-finish.js';

/** How edge-lit sheets are worked out, judged and made. */
export const edgeLitWork: BuildWork<EdgeLitAssembly, PanelLaid, PanelResults> = {
  stages: panelStages,
  rules: panelRules,
  seeds: panelSeeds,
  lessStrip: fewerEdges,
  figures: panelFigures,
  front: panelFront,
  templates: panelTemplates,
  solids: (results) => panelSolids(factsOf(results), eyeHoleOf(results)),
  // The tool of the artwork works the face; outlines are cut by others.
  cutByTool: () => false,
  workedFaces: (results) => workedFacesOf(factsOf(results)),
  hung: panelHung,
  toFinish: panelToFinish,
  trace: panelTrace,
};
