import { shareSupply } from '../../document/catalogue/index.js';
import { set } from '../../document/design/index.js';
import { fieldsIn } from '../../judging/results/index.js';
import { suitableStrips } from '../../judging/findings/index.js';
import { bandLuminance } from '../../light/line/index.js';
import type { BuildWork } from '../common/build.js';
import { bestSeeds, givenLm, stripPrice, type RoughSeed } from '../common/seeds.js';
import { bareOf } from './even-ways.js';
import { grooveSize, leastFloorMm } from './groove-size.js';
import { lightOut } from './light-out.js';
import type { GrooveResults } from './results.js';
import { linesMm } from './runs.js';

/** What a run that does not come out even is worth to be without (in the catalogue’s currency). */
const worthOfEven = 4;

/** Where dots show farther than this share of the pitch lets them, a cover hides nothing. */
const hiddenDots = 0.2;

/** Strip in a groove with every strip that suits, under every cover that it goes under and the sheet is thick enough for. */
export const grooveSeeds: BuildWork<GrooveResults['assembly'], never, GrooveResults>['seeds'] = (
  results,
  catalogue,
  aim,
) => {
  const { assembly, materials, geometry } = results;
  const fields = fieldsIn(results);
  const metres = Math.max(0.01, linesMm(geometry) / 1000);
  // Too bright is told by the rectangle round the lines, of which they are a small part.
  const { evenness, overAllCdM2 } = results.glow;
  const litShare = evenness.meanCdM2 > 0 ? Math.max(0.005, overAllCdM2 / evenness.meanCdM2) : 1;
  const forLines = { ...aim, wantedCdM2: Math.max(aim.wantedCdM2, aim.leastCdM2), mostCdM2: aim.mostCdM2 / litShare };
  const covers = materials.sheet.clear ? [null] : catalogue.covers;
  const seeds = suitableStrips(results, catalogue)
    .filter(
      (strip) =>
        strip.form !== 'modules' &&
        strip.addressable !== true &&
        materials.layers.every((each) => shareSupply(each.strip, strip)),
    )
    .flatMap((strip) =>
      covers.flatMap((cover): readonly RoughSeed[] => {
        const tried = { ...materials, strip, cover };
        const design = { ...assembly.groove, coverId: cover?.id ?? null, widthMm: null, depthMm: null };
        const groove = grooveSize(design, tried);
        const fits =
          (cover === null || strip.widthMm <= cover.widthMm + 0.5) &&
          groove.depthMm <= materials.sheet.thicknessMm - leastFloorMm(materials.sheet.thicknessMm);
        if (!fits && assembly.carrier.kind !== 'two-layer') return [];
        const way = lightOut({ groove }, { carrier: assembly.carrier, groove: design }, tried, strip);
        return [
          {
            kind: cover?.id ?? 'bare',
            cdM2: bandLuminance((givenLm(strip, results) / 1000) * way.out, groove.litMm, groove.cover),
            price:
              stripPrice(strip, metres) +
              (cover === null ? 0 : (metres * cover.price * 1000) / cover.pieceMm) +
              (way.dotContrast > hiddenDots ? 40 * way.dotContrast : 0) +
              // Of runs as long as chance has them so many are left with more bare than may stay.
              worthOfEven * results.runs.stretches.length * Math.max(0, 1 - bareOf(results) / strip.cutPitchMm),
            change: [
              set(fields.light.stripId, strip.id),
              set(fields.groove.coverId, cover?.id ?? null),
              set(fields.groove.widthMm, null),
              set(fields.groove.depthMm, null),
            ],
          },
        ];
      }),
    );
  return bestSeeds(seeds, forLines);
};
