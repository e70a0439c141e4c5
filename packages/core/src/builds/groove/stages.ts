import { recomputedOf } from '../common/common-stages.js';
import type { BuildWork } from '../common/build.js';
import { layGroove } from './lay.js';
import { factListOf, grooveMemos } from './memos.js';
import { factsOf, type GrooveLaid, type GrooveResults } from './results.js';
import type { GrooveAssembly } from './schema.js';

/** The stages of strip in a groove, in the order of the work. */
export const grooveStages: BuildWork<GrooveAssembly, GrooveLaid, GrooveResults>['stages'] = (
  catalogue,
  fonts,
  limits,
) => {
  const stages = grooveMemos(catalogue, limits);
  return {
    lay: layGroove(stages, catalogue, fonts),
    light: (brief, power, { carrier, groove }, { geometry, materials, runs }, { circuit, share, ownPower }) => {
      return {
        lit: () => {
          const glow = stages.glow.run(brief, carrier, groove, geometry, materials, runs, share);
          const shedding = stages.shedding.run(geometry, materials, runs, carrier.spacerMm, glow);
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
