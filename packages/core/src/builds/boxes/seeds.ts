import { boardFor } from './board-for.js';
import type { Strip } from '../../document/catalogue/index.js';
import { set } from '../../document/design/index.js';
import { suitableStrips } from '../../judging/findings/index.js';
import { fieldsIn } from '../../judging/results/index.js';
import type { BuildWork } from '../common/build.js';
import { bestSeeds, givenLm, stripPrice, type RoughSeed } from '../common/seeds.js';
import { facesOnOffer, holds } from '../faces/candidates.js';
import type { BoxResults } from './results.js';

/** Rows melt when they stand about as far apart as the case is deep; a little more hides them in any light (typical). */
const depthsAPitch = 1.1;
const [shallowestMm, deepestMm] = [36, 190] as const;
const marginMm = 10;
/** A back that carries heat along itself like this keeps strip cool (W/mK). */
const spreadsHeatWmK = 10;

/** Share of strip that a row of this length carries, whole cuts of it. */
const laidMm = (roomMm: number, { cutPitchMm }: Strip): number => Math.floor(roomMm / cutPitchMm) * cutPitchMm;

/** Light boxes with rows on the back: every strip that suits, from one row on, as deep as hides its rows. */
export const boxSeeds: BuildWork<BoxResults['assembly'], never, BoxResults>['seeds'] = (results, catalogue, aim) => {
  const { geometry, glow, materials, assembly } = results;
  const fields = fieldsIn(results);
  const { widthMm, heightMm } = geometry.inside;
  const areaM2 = (widthMm * heightMm) / 1e6;
  const lmPerM2 = glow.emittedLm / Math.max(areaM2, 1e-9);
  const cdPerLmM2 = lmPerM2 > 0 ? glow.evenness.meanCdM2 / lmPerM2 : 0.1;
  const face =
    [...facesOnOffer(results, catalogue)]
      .filter(({ scatter }) => scatter.kind === 'lambertian')
      .sort((a, b) => a.price - b.price || a.thicknessMm - b.thicknessMm)
      .find((sheet) => holds(sheet, geometry.face)) ?? materials.face;
  const spreading =
    [...catalogue.boards]
      .filter(({ uses, conductsWmK }) => uses.includes('back') && conductsWmK >= spreadsHeatWmK)
      .sort((a, b) => a.price - b.price)[0] ?? materials.backBoard;
  const back = boardFor(catalogue, spreading, 'back', {
    widthMm: geometry.outside.widthMm,
    heightMm: geometry.outside.heightMm,
  });
  const mostRows = Math.max(1, Math.min(40, Math.floor(heightMm / 30)));
  const seeds = suitableStrips(results, catalogue)
    .filter(
      (strip) => strip.form !== 'modules' && strip.addressable !== true && laidMm(widthMm - 2 * marginMm, strip) > 0,
    )
    .flatMap((strip) =>
      Array.from({ length: mostRows }, (_, index): RoughSeed | null => {
        const rows = index + 1;
        const pitch = heightMm / rows;
        const depth = Math.max(shallowestMm, Math.ceil(depthsAPitch * pitch));
        if (depth > deepestMm) return null;
        const stripM = (rows * laidMm(widthMm - 2 * marginMm, strip)) / 1000;
        const returns = boardFor(catalogue, materials.returnBoard, 'return', {
          widthMm: geometry.outside.widthMm,
          heightMm: depth + 20,
        });
        const perMm2 = (returns.price * 1.2) / (returns.sheetWidthMm * returns.sheetHeightMm);
        return {
          kind: strip.id,
          cdM2: (cdPerLmM2 * stripM * givenLm(strip, results)) / areaM2,
          price: stripPrice(strip, stripM) + 2 * (widthMm + heightMm) * depth * perMm2 + rows * 1.5,
          change: [
            set(fields.light.stripId, strip.id),
            set(fields.light.layout, 'rows'),
            set(fields.light.rowCount, rows),
            set(fields.light.endMarginMm, marginMm),
            set(fields.case.depthInsideMm, depth),
            set(fields.case.returnBoardId, returns.id),
            set(fields.case.backBoardId, back.id),
            set(fields.face.sheetId, face.id),
            ...(assembly.light.facing === undefined ? [] : [set(fields.light.facing, 'front' as const)]),
          ],
        };
      }).filter((seed) => seed !== null),
    );
  return bestSeeds(seeds, aim);
};
