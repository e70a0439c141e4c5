import type { FontBook } from '../../artwork/lettering/index.js';
import type { Catalogue } from '../../document/catalogue/index.js';
import type { BuildWork, Stages } from '../common/build.js';
import { recomputedOf } from '../common/common-stages.js';
import type { BoxLaid, BoxResults } from './results.js';
import type { BoxAssembly } from './schema.js';
import { boxMemos, factListOf, type BoxMemos } from './memos.js';
import { layBox, type Strung } from './lay.js';

/** The stages of a case with a lit face by its memos, in the order of the work. */
export const boxStagesOf = (
  stages: BoxMemos,
  catalogue: Catalogue,
  fonts: FontBook,
  runsOf?: Strung,
): Stages<BoxAssembly, BoxLaid, BoxResults> => ({
  lay: layBox(stages, catalogue, fonts, runsOf),
  light: (brief, power, { artwork, case: design, light }, laid, { circuit, share, ownPower }) => {
    const { geometry, materials, stack, distribution, runs, lettering } = laid;
    return {
      lit: () => {
        const glow = stages.glow.run(
          brief,
          artwork.mode,
          geometry,
          materials,
          stack,
          distribution,
          runs,
          share,
          lettering,
        );
        const shedding = stages.shedding.run(
          geometry,
          design.vents,
          glow,
          stages.bed.run(geometry, light, materials, runs, brief.place),
        );
        return { glow, heat: stages.heat.run(brief, power, materials.strip, circuit, ownPower, shedding) };
      },
    };
  },
  parts: (results) => {
    const { cut, bought } = stages.parts.run(...factListOf(results));
    const { circuit, geometry, runs, materials } = results;
    return { cut: stages.eyed.run(cut, circuit.drive, geometry, runs, materials), bought };
  },
  steps: (results) =>
    stages.steps.run(results.circuit, results.cut, results.hang, results.finishing, ...factListOf(results)),
  recomputed: () => recomputedOf(stages),
});

/** The same, with memos of its own. */
export const boxStages: BuildWork<BoxAssembly, BoxLaid, BoxResults>['stages'] = (catalogue, fonts, limits) =>
  boxStagesOf(boxMemos(catalogue, limits), catalogue, fonts);
