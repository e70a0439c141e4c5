import { set } from '../../document/design/index.js';
import { suitableStrips } from '../../judging/findings/index.js';
import { fieldsIn } from '../../judging/results/index.js';
import type { BuildWork } from '../common/build.js';
import { bestSeeds, givenLm, stripPrice, type RoughSeed } from '../common/seeds.js';
import { loopsMm } from './geometry.js';
import type { StackedLaid, StackedResults } from './results.js';
import type { StackedAssembly } from './schema.js';

/** Stacked plates with every strip that suits and goes in their height, in one loop or two: plates stay as they are. */
export const stackedSeeds: BuildWork<StackedAssembly, StackedLaid, StackedResults>['seeds'] = (
  results,
  catalogue,
  aim,
) => {
  const { glow, materials, runs, geometry, assembly } = results;
  const fields = fieldsIn(results);
  const now = givenLm(materials.strip, results);
  const metres = runs.stripMm / 1000 / assembly.light.loops;
  const seeds = suitableStrips(results, catalogue)
    .filter(({ form, addressable }) => form !== 'modules' && addressable !== true)
    .flatMap((strip) =>
      [1, 2]
        .filter((loops) => loopsMm({ loops }, strip.widthMm) <= geometry.roomMm)
        .map((loops): RoughSeed => ({
          kind: strip.id,
          cdM2:
            now > 0
              ? (glow.evenness.meanCdM2 * givenLm(strip, results) * loops) / (now * assembly.light.loops)
              : aim.wantedCdM2,
          price: stripPrice(strip, metres * loops),
          change: [set(fields.light.stripId, strip.id), set(fields.light.loops, loops)],
        })),
    );
  return bestSeeds(seeds, aim);
};
