import type { BuildWork } from '../common/build.js';
import { dropRows } from '../boxes/candidates.js';
import { boxHung } from '../boxes/hung.js';
import { boxStripTemplate } from '../boxes/template.js';
import { layersFigures } from './figures.js';
import { isOfScene } from './parts.js';
import { layersFront } from './front.js';
import { fitLadders } from './inlay.js';
import type { LayersLaid, LayersResults } from './results.js';
import { layersRules } from './rules/index.js';
import type { LayersAssembly } from './schema.js';
import { layersSeeds } from './seeds.js';
import { layersStages } from './stages.js';
import { layersTemplates } from './templates.js';
import { layersToFinish } from './to-finish.js';

/** How layered scenes are worked out, judged and made. */
export const layersWork: BuildWork<LayersAssembly, LayersLaid, LayersResults> = {
  stages: layersStages,
  rules: layersRules,
  seeds: layersSeeds,
  lessStrip: dropRows,
  figures: layersFigures,
  front: layersFront,
  templates: (results) => ({ 'strip-template': boxStripTemplate(results), ...layersTemplates(results) }),
  solids: () => [],
  coupons: ({ scene, materials }) => fitLadders(scene, materials),
  cutByTool: ({ id }) => isOfScene(id),
  hung: boxHung,
  toFinish: layersToFinish,
  trace: null,
};
