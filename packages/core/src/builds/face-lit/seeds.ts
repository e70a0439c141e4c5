import { set } from '../../document/design/index.js';
import { fieldsIn } from '../../judging/results/index.js';
import type { BuildWork } from '../common/build.js';
import { bestSeeds, givenLm, stripPrice, type RoughSeed } from '../common/seeds.js';
import { facesOnOffer } from '../faces/candidates.js';
import { besideStripMm, seedStrips } from '../letters/seed-strips.js';
import { meanStrokeMm, roundMmOf } from '../letters/stroke.js';
import type { FaceLitResults } from './results.js';

/** Depth by what one line of strip has to spread over; within what returns are bent to (mm); typical. */
const depthsAStroke = [1.4, 2.2] as const;
const [shallowestMm, deepestMm] = [28, 150] as const;
/** A stroke wider than this is a face of its own: rows, as far apart as they melt (mm; pitch by depth). */
const wideStrokeMm = 60;
const pitchesADepth = 0.8;

/** Face-lit letters with every strip that suits, along the middle of the strokes, or both sides of wide ones. */
export const faceLitSeeds: BuildWork<FaceLitResults['assembly'], never, FaceLitResults>['seeds'] = (
  results,
  catalogue,
  aim,
) => {
  const { glow, runs, materials } = results;
  const fields = fieldsIn(results);
  const strokeMm = meanStrokeMm(results);
  const roundMm = roundMmOf(results);
  const areaM2 = (strokeMm * roundMm) / 2e6;
  const cdPerLmM2 = glow.emittedLm > 0 ? (glow.evenness.meanCdM2 * areaM2) / glow.emittedLm : 0.1;
  const face =
    [...facesOnOffer(results, catalogue)]
      .filter(({ scatter }) => scatter.kind === 'lambertian')
      .sort((a, b) => a.price - b.price)[0] ?? materials.face;
  const { price, sheetWidthMm, sheetHeightMm } = materials.returnBoard;
  const returnPerMm2 = price / (sheetWidthMm * sheetHeightMm);
  const layouts = strokeMm > wideStrokeMm ? (['rows', 'outline'] as const) : (['centre', 'outline'] as const);
  const seeds = seedStrips(results, catalogue, strokeMm).flatMap(({ strip, penalty }) =>
    layouts.flatMap((layout) =>
      depthsAStroke.map((share): RoughSeed => {
        const lines = layout === 'centre' ? 1 : 2;
        const depth = Math.round(Math.min(deepestMm, Math.max(shallowestMm, (share * strokeMm) / lines + 10)));
        const pitch = Math.round(depth * pitchesADepth);
        const stripM = layout === 'rows' ? (1000 * areaM2) / pitch : (lines * roundMm) / 2000;
        return {
          kind: `${strip.id} ${layout}`,
          cdM2: runs.stripMm > 0 ? (cdPerLmM2 * stripM * givenLm(strip, results)) / areaM2 : aim.wantedCdM2,
          price: penalty + stripPrice(strip, stripM) + roundMm * depth * returnPerMm2,
          change: [
            set(fields.light.stripId, strip.id),
            set(fields.light.layout, layout),
            set(
              fields.light.setbackMm,
              layout === 'outline' ? Math.max(2, Math.round(strokeMm / 5)) : besideStripMm(strokeMm, strip),
            ),
            set(fields.light.linePitchMm, pitch),
            set(fields.light.lineCount, 1),
            set(fields.cans.depthInsideMm, depth),
            set(fields.face.sheetId, face.id),
          ],
        };
      }),
    ),
  );
  return bestSeeds(seeds, aim);
};
