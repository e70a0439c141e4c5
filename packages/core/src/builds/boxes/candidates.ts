import { capital } from '../../base/words/index.js';
import { fieldsIn } from '../../judging/results/index.js';
import { set } from '../../document/design/index.js';
import type { Catalogue } from '../../document/catalogue/index.js';
import type { BoxResults } from './results.js';
import type { Remedy } from '../../judging/findings/index.js';
import { ventLeakLm } from '../../power/heat/index.js';
import { ventChoices, ventsOf } from './vents.js';
import { whiterLinings } from '../common/whiter-linings.js';

/** How far the searches go. */
const depthStepMm = 2;
const deepestFactor = 3;
const mostExtraRows = 8;

/** Deeper by 2 mm steps, to three times the depth. */
export const deepen = (results: BoxResults): Remedy => {
  const { depthInsideMm } = results.assembly.case;
  const steps = Math.ceil((depthInsideMm * (deepestFactor - 1)) / depthStepMm);
  const depths = Array.from({ length: steps }, (_, step) => Math.round(depthInsideMm) + (step + 1) * depthStepMm);
  return {
    id: 'deepen',
    candidates: depths
      .filter((depth) => depth <= 1000)
      .map((depth) => ({
        label: `Deepen to ${depth} mm inside`,
        change: [set(fieldsIn(results).case.depthInsideMm, depth)],
      })),
  };
};

/** Holes through the bottom and the top return, from few to many; each says what light it lets out. */
export const ventCase = (results: BoxResults): Remedy => ({
  id: 'vent',
  candidates: ventChoices
    .filter(({ diameterMm }) => diameterMm < results.geometry.inside.depthMm / 2)
    .filter(({ count, diameterMm }) => {
      const given = results.assembly.case.vents;
      return !given || count * diameterMm ** 2 > given.count * given.diameterMm ** 2;
    })
    .map((vents) => {
      const leak = ventLeakLm(ventsOf(results.geometry, vents, results.glow.incidentLm)!);
      const share = (100 * leak) / Math.max(1, results.glow.balance.outLm);
      return {
        label: `${vents.count} vents of ${vents.diameterMm} mm, bottom and top; they leak ${leak.toFixed(1)} lm, ${share.toFixed(2)} % of the light`,
        change: [set(fieldsIn(results).case.vents, vents)],
      };
    }),
});

const numberWords = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'];
const inWords = (count: number): string => numberWords[count] ?? String(count);

/** One more row, two more, and so on; or more turns round the rim. */
export const addRows = (results: BoxResults): Remedy => {
  const { light } = results.assembly;
  const onBack = light.layout === 'rows';
  const now = onBack ? light.rowCount : light.turnCount;
  return {
    id: 'add-rows',
    candidates: Array.from({ length: mostExtraRows }, (_, extra) => now + extra + 1)
      .filter((count) => count <= (onBack ? 400 : 20))
      .map((count) => ({
        label: onBack ? `${capital(inWords(count))} rows` : `${capital(inWords(count))} turns round the rim`,
        change: [set(fieldsIn(results).light[onBack ? 'rowCount' : 'turnCount'], count)],
      })),
  };
};

/** Fewer rows, one by one. */
export const dropRows = (results: BoxResults): Remedy => {
  const { light } = results.assembly;
  const onBack = light.layout === 'rows';
  const now = onBack ? light.rowCount : light.turnCount;
  return {
    id: 'drop-rows',
    candidates: Array.from({ length: Math.max(0, now - 1) }, (_, fewer) => now - fewer - 1).map((count) => ({
      label: onBack
        ? `${capital(inWords(count))} row${count === 1 ? '' : 's'}`
        : `${capital(inWords(count))} turn${count === 1 ? '' : 's'} round the rim`,
      change: [set(fieldsIn(results).light[onBack ? 'rowCount' : 'turnCount'], count)],
    })),
  };
};

/** Whiter linings than the present one, cheapest first. */
export const whiterLining = (results: BoxResults, catalogue: Catalogue): Remedy =>
  whiterLinings(results.materials.lining, fieldsIn(results).case.liningId, catalogue);

/** Strip nearer to the returns, to 2 mm. */
export const closerEnds = (results: BoxResults): Remedy => ({
  id: 'closer-ends',
  candidates: Array.from({ length: 8 }, (_, step) =>
    Math.round(results.assembly.light.endMarginMm * (1 - (step + 1) / 8)),
  )
    .filter(
      (margin, index, all) =>
        margin >= 2 && margin < results.assembly.light.endMarginMm && all.indexOf(margin) === index,
    )
    .map((margin) => ({
      label: `Run the strip to ${margin} mm from the returns`,
      change: [set(fieldsIn(results).light.endMarginMm, margin)],
    })),
});

/** From the second sheet to the face (mm): tight, and on the spacers that are usual. */
const secondGapsMm = [0, 6, 12, 20] as const;

/** A second sheet like the face behind it, tight or on spacers; one that is there farther off. */
export const secondSheet = (results: BoxResults, catalogue: Catalogue): readonly Remedy[] => {
  const { face } = results.assembly;
  const now = face.second ?? null;
  const sheet = now === null ? face.sheetId : now.sheetId;
  const name = catalogue.faces.find(({ id }) => id === sheet)?.name ?? 'the same sheet';
  const fields = fieldsIn(results).face;
  return [
    {
      id: 'second-sheet',
      candidates: secondGapsMm
        .filter((gap) => now === null || gap > now.gapMm)
        .map((gapMm) => ({
          label:
            now === null
              ? `A second sheet of ${name}, ${gapMm === 0 ? 'tight behind the face' : `on ${gapMm} mm spacers`}`
              : `The second sheet on ${gapMm} mm spacers`,
          change: [set(fields.second, now === null ? { sheetId: sheet, gapMm } : { ...now, gapMm })],
        })),
    },
  ];
};
