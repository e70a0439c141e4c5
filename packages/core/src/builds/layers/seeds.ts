import { set } from '../../document/design/index.js';
import { suitableStrips } from '../../judging/findings/index.js';
import { fieldsIn } from '../../judging/results/index.js';
import type { BuildWork } from '../common/build.js';
import { bestSeeds, givenLm, stripPrice, type RoughSeed } from '../common/seeds.js';
import type { LayersLaid, LayersResults } from './results.js';
import type { LayersAssembly } from './schema.js';

/** A scene with every strip that suits, where its strip runs now: its sheets stay as they are drawn. */
export const layersSeeds: BuildWork<LayersAssembly, LayersLaid, LayersResults>['seeds'] = (results, catalogue, aim) => {
  const { glow, materials, runs, scene, geometry } = results;
  const fields = fieldsIn(results);
  const metres = runs.stripMm / 1000;
  const now = givenLm(materials.strip, results);
  const front = scene.sheets.at(-1);
  const seeds = suitableStrips(results, catalogue)
    .filter(({ form, addressable }) => form !== 'modules' && addressable !== true)
    .map((strip): RoughSeed => {
      const room = (front?.rearZMm ?? geometry.inside.depthMm) - strip.widthMm / 2 - 1;
      return {
        kind: strip.id,
        cdM2: now > 0 ? (glow.evenness.meanCdM2 * givenLm(strip, results)) / now : 0,
        price: stripPrice(strip, metres),
        change: [
          set(fields.light.stripId, strip.id),
          ...(results.assembly.light.layout === 'rim' && room < (results.assembly.light.fromBackMm ?? 0)
            ? [set(fields.light.fromBackMm, Math.floor(room))]
            : []),
        ],
      };
    });
  return bestSeeds(seeds, aim);
};
