import { fieldsIn } from '../../judging/results/index.js';
import type { LetterResults } from './results.js';
import { cornerWords, countWay } from '../../light/laying/index.js';
import {
  changeStrip,
  oneChange,
  suitableStrips,
  wholeFront,
  type Place,
  type Rule,
} from '../../judging/findings/index.js';
import { outlineArea, outlineBounds } from '../../base/outlines/index.js';
import { setCloser } from './candidates.js';
import { stripLaid } from '../common/strip-laid.js';

const one = (value: number): number => Math.round(value * 10) / 10;
/** No strip at all fits the letters. */
export const noLetterStrip: Rule<LetterResults> = ({ results, catalogue }) => {
  if (results.runs.segments.length > 0) return null;
  const { strip } = results.materials;
  return {
    id: 'no-strip',
    severity: 'stop',
    step: 'light',
    what: 'No segment of strip fits these letters',
    why: `It is ${one(strip.widthMm)} mm wide, lies ${one(results.assembly.light.setbackMm)} mm in from the edge and is cut every ${one(strip.cutPitchMm)} mm.`,
    numbers: [{ label: 'cut pitch', value: strip.cutPitchMm, unit: 'mm' }],
    where: wholeFront(results),
    target: stripLaid,
    remedies: [
      setCloser(results),
      changeStrip(
        results,
        suitableStrips(results, catalogue).filter(
          ({ cutPitchMm, widthMm }) => cutPitchMm < strip.cutPitchMm || widthMm < strip.widthMm,
        ),
      ),
      oneChange('centre-line', 'Strip along the middle of the strokes', fieldsIn(results).light.layout, 'centre'),
    ],
  };
};

const bareShare = ({ runs, lettering }: LetterResults): number =>
  lettering.areaMm2 > 0 ? outlineArea(runs.bare) / lettering.areaMm2 : 0;

/** Strokes too narrow for the strip at its setback stay without. */
export const strokeTooNarrow: Rule<LetterResults> = ({ results, catalogue }) => {
  const { runs, assembly, materials } = results;
  if (runs.segments.length === 0 || runs.bare.length === 0) return null;
  const first = outlineBounds([runs.bare[0]!]);
  const needed = 2 * assembly.light.setbackMm + materials.strip.widthMm;
  const narrower = suitableStrips(results, catalogue)
    .filter(({ widthMm, cutPitchMm }) => widthMm < materials.strip.widthMm || cutPitchMm < materials.strip.cutPitchMm)
    .sort((a, b) => a.widthMm - b.widthMm);
  const count = runs.bare.length;
  return {
    id: 'stroke-too-narrow',
    severity: 'fix',
    step: 'light',
    what: `${count === 1 ? 'A part of the letters gets' : `${count} parts of the letters get`} no strip`,
    why: `A stroke must be ${one(needed)} mm wide to carry this strip at this setback, and long enough for a cut of ${one(materials.strip.cutPitchMm)} mm; what has none stays dark round its edge.`,
    numbers: [
      { label: 'without strip', value: count, unit: 'parts' },
      { label: 'stroke wanted', value: needed, unit: 'mm' },
    ],
    where: first === null ? null : { view: 'front', rect: first },
    target: {
      label: 'without strip',
      better: 'lower',
      unit: '% of the letters',
      read: (tried) => Math.round(bareShare(tried) * 1000) / 10,
      settled: ({ runs: tried }) => tried.bare.length === 0,
    },
    remedies: [
      setCloser(results),
      changeStrip(results, narrower),
      ...(assembly.light.layout === 'centre' || assembly.light.standing === true
        ? []
        : [
            oneChange('centre-line', 'Strip along the middle of the strokes', fieldsIn(results).light.layout, 'centre'),
          ]),
    ],
  };
};

const leftOver = ({ runs }: LetterResults): number => {
  const room = runs.segments.reduce((sum, { lengthMm, leftoverMm }) => sum + lengthMm + leftoverMm, 0);
  return room > 0 ? runs.segments.reduce((sum, { leftoverMm }) => sum + leftoverMm, 0) / room : 0;
};
/** More than this share of the way without strip is worth a word. */
const leftOverNoticed = 0.12;

/** Much of the way is left bare because segments end on cut marks. */
export const lettersBetweenCutMarks: Rule<LetterResults> = ({ results, catalogue }) => {
  const share = leftOver(results);
  if (share < leftOverNoticed) return null;
  const { strip } = results.materials;
  const worst = results.runs.segments.reduce((a, b) => (b.leftoverMm > a.leftoverMm ? b : a));
  const [x, y] = worst.to;
  const percent = (tried: LetterResults): number => Math.round(leftOver(tried) * 1000) / 10;
  return {
    id: 'between-cut-marks',
    severity: 'note',
    step: 'light',
    what: `${percent(results)} % of the way stays without strip between cut marks`,
    why: `This strip is cut every ${one(strip.cutPitchMm)} mm; on segment ${worst.number} ${one(worst.leftoverMm)} mm are left over. Push segments toward the darker end, or take one with closer marks.`,
    numbers: [{ label: 'without strip', value: percent(results), unit: '%' }],
    where: { view: 'front', rect: { x: x - 12, y: y - 12, width: 24, height: 24 } },
    target: {
      label: 'without strip',
      better: 'lower',
      unit: '%',
      read: percent,
      settled: (tried) => leftOver(tried) < leftOverNoticed,
    },
    remedies: [
      changeStrip(
        results,
        suitableStrips(results, catalogue)
          .filter(({ cutPitchMm, form }) => cutPitchMm < strip.cutPitchMm && form !== 'modules')
          .sort((a, b) => b.cutPitchMm - a.cutPitchMm),
      ),
    ],
  };
};

/** The strip does not take the bends of the letters. */
export const bendsTooTight: Rule<LetterResults> = ({ results, catalogue }) => {
  const { corners } = results.runs;
  const count = corners.length;
  if (count === 0) return null;
  const { strip } = results.materials;
  const sharpest = results.runs.corners.reduce((a, b) => (b.turnDeg > a.turnDeg ? b : a));
  const supple = suitableStrips(results, catalogue)
    .filter(({ bendRadiusMm }) => bendRadiusMm < strip.bendRadiusMm)
    .sort((a, b) => b.bendRadiusMm - a.bendRadiusMm);
  const where: Place = {
    view: 'front',
    rect: { x: sharpest.at[0] - 12, y: sharpest.at[1] - 12, width: 24, height: 24 },
  };
  return {
    id: 'bends-too-tight',
    severity: 'note',
    step: 'light',
    what: `The strip cannot be bent round ${count} corner${count === 1 ? '' : 's'}`,
    why: `It takes a radius of ${one(strip.bendRadiusMm)} mm or more: ${cornerWords(corners)}.`,
    numbers: [
      { label: 'cut and wired', value: countWay(corners, 'cut-and-wire'), unit: 'corners' },
      { label: 'by a loop', value: countWay(corners, 'loop'), unit: 'corners' },
      { label: 'notched', value: countWay(corners, 'notch'), unit: 'corners' },
    ],
    where,
    target: {
      label: 'corners',
      better: 'lower',
      unit: '',
      read: (tried) => tried.runs.corners.length,
      settled: (tried) => tried.runs.corners.length === 0,
    },
    remedies: [changeStrip(results, supple)],
  };
};
