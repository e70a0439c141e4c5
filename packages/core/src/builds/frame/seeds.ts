import { pathOf, set } from '../../document/design/index.js';
import { suitableStrips } from '../../judging/findings/index.js';
import { fieldsIn } from '../../judging/results/index.js';
import { boxSeeds } from '../boxes/seeds.js';
import type { BuildWork } from '../common/build.js';
import { bestSeeds, givenLm, stripPrice, type RoughSeed } from '../common/seeds.js';
import type { FrameLaid, FrameResults } from './results.js';
import { bandChange, bandLight } from './inner-frame.js';
import type { FrameAssembly } from './schema.js';

type Seeds = BuildWork<FrameAssembly, FrameLaid, FrameResults>['seeds'];

/** Depths that are tried behind a band (mm). */
const bandDepthsMm = [40, 50, 57, 70, 90, 115] as const;
/** Strip half way up an inner frame melts into a line before an opal sheet when the case is so many LED pitches deep (typical). */
const depthsAPitch = 6.8;
/** What a millimetre of depth costs in wood by the metre of frame; typical. */
const depthPrice = 0.05;

/** Strip round an inner frame behind the band: every strip that suits, in shallow frames and deeper ones. */
const bandSeeds: Seeds = (results, catalogue, aim) => {
  const fields = fieldsIn(results);
  const { glow, materials, runs, geometry } = results;
  const { face } = geometry;
  const metres = runs.stripMm / 1000;
  const now = givenLm(materials.strip, results);
  const round = (2 * (geometry.outside.widthMm + geometry.outside.heightMm)) / 1000;
  const seeds = suitableStrips(results, catalogue)
    .filter(({ form, addressable }) => form !== 'modules' && addressable !== true)
    .flatMap((strip) =>
      bandDepthsMm
        .filter((depth) => depth >= (depthsAPitch * 1000) / strip.ledsPerM)
        .map((depth): RoughSeed => ({
          kind: strip.id,
          cdM2: now > 0 ? (glow.evenness.meanCdM2 * givenLm(strip, results)) / now : 0,
          price: stripPrice(strip, metres) + depth * depthPrice * round,
          change: [
            set(fields.light.stripId, strip.id),
            set(fields.light.turnCount, 1),
            set(fields.case.depthInsideMm, depth),
            ...bandChange(fields, bandLight(face, results.assembly.shows.band, depth)),
          ],
        })),
    );
  return bestSeeds(seeds, aim);
};

/** Ways to make a frame: as a case with rows behind its face, which stays what it shows; round the rim behind a band. */
export const frameSeeds: Seeds = (results, catalogue, aim) => {
  if (results.assembly.shows.kind === 'lit-mirror') return bandSeeds(results, catalogue, aim);
  const sheet = pathOf(fieldsIn(results).face.sheetId);
  return boxSeeds(results, catalogue, aim).map((seed) => ({
    ...seed,
    change: seed.change.filter(({ path }) => path !== sheet),
  }));
};
