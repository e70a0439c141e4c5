import type { FaceLitAssembly } from './schema.js';
import type { FaceLitLaid, FaceLitResults } from './results.js';
import { recomputedOf } from '../common/common-stages.js';
import type { BuildWork } from '../common/build.js';
import { shapesOf, faceLitMemos, factListOf } from './memos.js';
import { layFaceLit } from './lay.js';

/** The stages of face-lit letters, in the order of the work. */
export const faceLitStages: BuildWork<FaceLitAssembly, FaceLitLaid, FaceLitResults>['stages'] = (
  catalogue,
  fonts,
  limits,
) => {
  const stages = faceLitMemos(catalogue, limits);
  return {
    lay: layFaceLit(stages, catalogue, fonts),
    light: (brief, power, { cans }, laid, { circuit, share, wires, ownPower }) => {
      const { lettering, geometry, materials, stack, distribution, runs } = laid;
      const { outline, inside } = shapesOf(stages, lettering, cans.wallMm);
      const jumpers = stages.jumpers.run(wires, outline);
      return {
        jumpers,
        lit: () => {
          const shining = stages.lit.run(inside, Math.min(materials.face.thicknessMm, geometry.wallMm + 1));
          const glow = stages.glow.run(
            brief,
            outline,
            inside,
            shining,
            geometry,
            materials,
            stack,
            distribution,
            runs,
            share,
          );
          const shedding = stages.shedding.run(
            outline,
            geometry.outside.depthMm,
            glow.balance.outLm,
            materials.backBoard,
            runs.stripMm,
          );
          return { glow, heat: stages.heat.run(brief, power, materials.strip, circuit, ownPower, shedding) };
        },
      };
    },
    parts: (results) =>
      stages.parts.run(results.wires, ...factListOf(results, stages.letters.run(results.lettering.outline))),
    steps: (results) =>
      stages.steps.run(
        results.circuit,
        results.cut,
        results.jumpers,
        results.hang,
        results.finishing,
        ...factListOf(results, stages.letters.run(results.lettering.outline)),
      ),
    recomputed: () => recomputedOf(stages),
  };
};
