import type { Strip } from '../../document/catalogue/index.js';
import { set } from '../../document/design/index.js';
import { fieldsIn } from '../../judging/results/index.js';
import type { BuildWork } from '../common/build.js';
import { bestSeeds, givenLm, stripPrice, type RoughSeed } from '../common/seeds.js';
import { besideStripMm, seedStrips } from '../letters/seed-strips.js';
import { meanStrokeMm, roundMmOf } from '../letters/stroke.js';
import type { HaloResults } from './results.js';

/** Standoffs by the height of the letters (share of it), and within what any wall fixing gives (mm); typical. */
const standoffShares = { outline: [1 / 12, 1 / 16], centre: [1 / 4, 1 / 3.4, 1 / 5] } as const;
const [nearestMm, farthestMm] = [10, 50] as const;
/** Strip along the outline leaves room for a post of this and what clears it in the middle of the stroke (mm). */
const postRoomMm = 14;

/** From the edge to the strip: far enough that the LEDs melt on their way out. */
const setbackMm = (standoffMm: number): number => Math.round(Math.min(14, Math.max(3, standoffMm / 3)));

/** Along the outline where the stroke has room for strip on both sides and a post between; else along its middle. */
const layoutsFor = (strokeMm: number, { widthMm }: Strip) =>
  strokeMm > 2 * (setbackMm(strokeMm / 3) + widthMm) + postRoomMm ? (['outline'] as const) : (['centre'] as const);

/** Halo letters with every strip that suits, along the outline where strokes are wide enough, else along their middle. */
export const haloSeeds: BuildWork<HaloResults['assembly'], never, HaloResults>['seeds'] = (results, catalogue, aim) => {
  const { glow, assembly, runs, geometry } = results;
  const fields = fieldsIn(results);
  const strokeMm = meanStrokeMm(results);
  const roundMm = roundMmOf(results);
  const { capHeightMm } = assembly.artwork;
  const lmPerM = runs.stripMm > 0 ? (glow.emittedLm * 1000) / runs.stripMm : 1000;
  const cdPerLmM = runs.stripMm > 0 ? (glow.overHalfCdM2 / lmPerM) * geometry.ledZMm : 100;
  const seeds = seedStrips(results, catalogue, strokeMm).flatMap(({ strip, penalty }) =>
    layoutsFor(strokeMm, strip).flatMap((layout) =>
      standoffShares[layout].map((share): RoughSeed => {
        const standoffMm = Math.round(Math.min(farthestMm, Math.max(nearestMm, capHeightMm * share)));
        const alongMm = layout === 'outline' ? roundMm : roundMm / 2;
        return {
          kind: `${strip.id} ${layout}`,
          cdM2: (cdPerLmM * givenLm(strip, results)) / standoffMm / (layout === 'centre' ? 1.6 : 1),
          price: penalty + stripPrice(strip, alongMm / 1000),
          change: [
            set(fields.light.stripId, strip.id),
            set(fields.light.layout, layout),
            set(fields.light.setbackMm, layout === 'centre' ? besideStripMm(strokeMm, strip) : setbackMm(standoffMm)),
            set(fields.light.lineCount, 1),
            set(fields.letters.standoffMm, standoffMm),
            set(fields.posts.diameterMm, strokeMm < 12 ? 2 : strokeMm < 40 ? 4 : 6),
          ],
        };
      }),
    ),
  );
  return bestSeeds(seeds, aim);
};
