import { recomputedOf } from '../common/common-stages.js';
import type { BuildWork } from '../common/build.js';
import { layPanel } from './lay.js';
import { factListOf, panelMemos } from './memos.js';
import { factsOf, type PanelLaid, type PanelResults } from './results.js';
import type { EdgeLitAssembly } from './schema.js';

/** The stages of an edge-lit sheet, in the order of the work. */
export const panelStages: BuildWork<EdgeLitAssembly, PanelLaid, PanelResults>['stages'] = (
  catalogue,
  fonts,
  limits,
) => {
  const stages = panelMemos(catalogue, limits);
  return {
    lay: layPanel(stages, catalogue, fonts),
    light: (brief, power, { sheet, light }, laid, { circuit, share, ownPower }) => {
      const { geometry, materials, runs, areas } = laid;
      return {
        lit: () => {
          const glow = stages.glow.run(brief, areas, sheet, light, geometry, materials, runs, share);
          const shedding = stages.shedding.run(geometry, materials, glow);
          return { glow, heat: stages.heat.run(brief, power, materials.strip, circuit, ownPower, shedding) };
        },
      };
    },
    parts: (results) => stages.parts.run(...factListOf(factsOf(results))),
    steps: (results) =>
      stages.steps.run(results.circuit, results.cut, results.hang, results.finishing, ...factListOf(factsOf(results))),
    recomputed: () => recomputedOf(stages),
  };
};
