import { recomputedOf } from '../common/common-stages.js';
import type { BuildWork } from '../common/build.js';
import { layStacked } from './lay.js';
import { stackedMemos, type FactList } from './memos.js';
import type { StackedLaid, StackedResults } from './results.js';
import type { StackedAssembly } from './schema.js';

const factsOf = ({
  design,
  geometry,
  materials,
  lid,
}: Pick<StackedResults, 'design' | 'geometry' | 'materials' | 'lid'>): FactList => [
  design.brief,
  geometry,
  materials,
  lid,
];

/** The stages of stacked plates, in the order of the work. */
export const stackedStages: BuildWork<StackedAssembly, StackedLaid, StackedResults>['stages'] = (
  catalogue,
  fonts,
  limits,
) => {
  const stages = stackedMemos(catalogue, limits);
  return {
    lay: layStacked(stages, catalogue, fonts),
    light: (brief, power, _assembly, laid, { circuit, share, ownPower }) => {
      const { geometry, materials, stack, room, lid, distribution, runs } = laid;
      return {
        lit: () => {
          const glow = stages.glow.run(brief, room, geometry, materials, stack, lid.pockets, distribution, runs, share);
          const shedding = stages.shedding.run(geometry, materials, runs, glow);
          return { glow, heat: stages.heat.run(brief, power, materials.strip, circuit, ownPower, shedding) };
        },
      };
    },
    parts: (results) => stages.parts.run(...factsOf(results)),
    steps: (results) =>
      stages.steps.run(
        results.circuit,
        results.cut,
        results.hang,
        results.finishing,
        results.assembly.light,
        results.runs,
        ...factsOf(results),
      ),
    recomputed: () => recomputedOf(stages),
  };
};
