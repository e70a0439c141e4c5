import type { HaloAssembly } from './schema.js';
import type { HaloLaid, HaloResults } from './results.js';
import type { Looking } from '../../light/wall/index.js';
import { outlineArea } from '../../base/outlines/index.js';
import { recomputedOf } from '../common/common-stages.js';
import type { BuildWork } from '../common/build.js';
import { haloMemos, factListOf } from './memos.js';
import { layHalo } from './lay.js';

/** Strip on its side looks out, or in when it stands inside the return of an open shell. */
const lookingOf = ({ letters, light }: HaloAssembly): Looking => {
  if (!light.standing) return 'wall';
  return letters.form === 'hollow' && letters.back === 'open' ? 'in' : 'out';
};

/** The stages of halo letters, in the order of the work. */
export const haloStages: BuildWork<HaloAssembly, HaloLaid, HaloResults>['stages'] = (catalogue, fonts, limits) => {
  const stages = haloMemos(catalogue, limits);
  return {
    lay: layHalo(stages, catalogue, fonts),
    light: (brief, power, assembly, laid, { circuit, share, wires, ownPower }) => {
      const { lettering, geometry, materials, runs, distribution, posts } = laid;
      const outline = stages.shape.run(lettering.outline);
      const jumpers = stages.jumpers.run(wires, outline);
      return {
        jumpers,
        lit: () => {
          const glow = stages.glow.run(
            brief,
            outline,
            geometry,
            materials,
            runs,
            share,
            distribution,
            stages.posts.run(posts),
            lookingOf(assembly),
            assembly.light.setbackMm,
          );
          const shedding = stages.shedding.run(
            Math.abs(outlineArea(outline)),
            glow.outLm,
            materials.board,
            runs.stripMm,
          );
          return { glow, heat: stages.heat.run(brief, power, materials.strip, circuit, ownPower, shedding) };
        },
      };
    },
    parts: (results) =>
      stages.parts.run(results.jumpers, ...factListOf(results, stages.letters.run(results.lettering.outline))),
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
