import {
  changeStrip,
  suitableStrips,
  wholeFront,
  type Candidate,
  type Remedy,
  type Rule,
} from '../../../judging/findings/index.js';
import { set } from '../../../document/design/index.js';
import { fieldsIn } from '../../../judging/results/index.js';
import { cornerWords, countWay } from '../../../light/laying/index.js';
import { stripLaid } from '../../common/strip-laid.js';
import { askedFor } from '../../common/asked-for.js';
import { bareOf, evenKinds, evenWays, runsIn, unevenRuns, type EvenChange } from '../even-ways.js';
import type { GrooveResults } from '../results.js';
import { mm, one, otherCovers, placeAt, scaled } from './common.js';

/** Not one piece of strip fits the lines. */
export const noGrooveStrip: Rule<GrooveResults> = ({ results, catalogue }) => {
  if (results.runs.segments.length > 0) return null;
  const { strip } = results.materials;
  const longest = Math.max(0, ...results.runs.stretches.map(({ roomMm }) => roomMm));
  return {
    id: 'no-strip',
    severity: 'stop',
    step: 'light',
    what: 'Not one piece of this strip fits the lines',
    why: `It is cut every ${mm(strip.cutPitchMm)}; the longest stretch without a corner or another line is ${mm(longest)}.`,
    numbers: [
      { label: 'cut pitch', value: strip.cutPitchMm, unit: 'mm' },
      { label: 'longest stretch', value: one(longest), unit: 'mm' },
    ],
    where: wholeFront(results),
    target: stripLaid,
    remedies: [
      changeStrip(
        results,
        suitableStrips(results, catalogue).filter(({ cutPitchMm }) => cutPitchMm < strip.cutPitchMm),
      ),
      scaled(results, [1.25, 1.5, 2, 3]),
    ],
  };
};

const wayWords = ({ way }: EvenChange): string => {
  const scale = `${way.scale > 1 ? 'Lines larger' : 'Lines smaller'} by ${(100 * Math.abs(way.scale - 1)).toFixed(1)} %`;
  const left =
    way.uneven === 0 ? `all ${way.runs.length} runs even` : `${way.uneven} of ${way.runs.length} runs stay uneven`;
  switch (way.kind) {
    case 'scaled':
      return `${scale}: ${left}`;
    case 'corners-moved':
      return `Corners and ends moved by up to ${mm(way.movedMm)}: ${left}`;
    case 'ends-moved':
      return `Ends and rings moved by up to ${mm(way.movedMm)}: ${left}`;
    default:
      return `${scale}, ends and rings moved by up to ${mm(way.movedMm)}: ${left}`;
  }
};

/** Each kind of way as a remedy of its own, worked out when they are asked for. */
const evenRemedies = (results: GrooveResults): readonly Remedy[] => {
  let found: readonly EvenChange[] | null = null;
  return evenKinds.map((kind) =>
    askedFor(`even-${kind}`, () => {
      found ??= evenWays(results);
      return found
        .filter(({ way }) => way.kind === kind)
        .map((each): Candidate => ({ label: wayWords(each), change: each.change }));
    }),
  );
};

/** A dark end no longer than this is seen from near alone (mm); typical. */
const shortBareMm = 12;

/** Runs that are not whole cuts leave dark ends. */
export const runsUneven: Rule<GrooveResults> = ({ results, catalogue }) => {
  const uneven = unevenRuns(results);
  const { segments } = results.runs;
  const runs = runsIn(results);
  if (uneven.length === 0 || segments.length === 0) return null;
  const worst = uneven.reduce((a, b) => (b.bareMm > a.bareMm ? b : a));
  const { strip } = results.materials;
  return {
    id: 'runs-uneven',
    severity: worst.bareMm > shortBareMm ? 'fix' : 'note',
    step: 'light',
    what: `${uneven.length} of ${runs.length} run${runs.length === 1 ? '' : 's'} ${uneven.length === 1 ? 'is' : 'are'} not whole cuts`,
    why: `The strip is cut every ${mm(strip.cutPitchMm)}. On line ${worst.line} ${mm(worst.bareMm)} of ${mm(worst.roomMm)} stay dark; ${mm(bareOf(results))} may.`,
    numbers: [
      { label: 'uneven', value: uneven.length, unit: uneven.length === 1 ? 'run' : 'runs' },
      { label: 'most left bare', value: one(worst.bareMm), unit: 'mm' },
    ],
    where: placeAt(results, worst.middle),
    target: {
      label: 'uneven',
      better: 'lower',
      unit: 'runs',
      read: (tried) => unevenRuns(tried).length,
      settled: (tried) => unevenRuns(tried).length === 0,
    },
    remedies: [
      ...evenRemedies(results),
      changeStrip(
        results,
        suitableStrips(results, catalogue)
          .filter(({ cutPitchMm, form }) => cutPitchMm < strip.cutPitchMm && form !== 'modules')
          .sort((a, b) => b.cutPitchMm - a.cutPitchMm),
      ),
    ],
  };
};

/** Corners that neither strip nor cover follows. */
export const grooveBends: Rule<GrooveResults> = ({ results, catalogue }) => {
  const { corners } = results.runs;
  if (corners.length === 0) return null;
  const { strip, cover } = results.materials;
  const { bendRadiusMm } = results.geometry.groove;
  const sharpest = corners.reduce((a, b) => (b.turnDeg > a.turnDeg ? b : a));
  const stiff = cover !== null && cover.bendRadiusMm >= bendRadiusMm ? cover.name : strip.name;
  return {
    id: 'bends-too-tight',
    severity: 'note',
    step: 'light',
    what: `${corners.length} corner${corners.length === 1 ? ' is' : 's are'} sharper than ${cover === null ? 'the strip bends' : 'strip and cover bend'}`,
    why: `${stiff} takes a radius of ${mm(bendRadiusMm)} or more: ${cornerWords(corners)}. A cover is notched there on its inside.`,
    numbers: [
      { label: 'cut and wired', value: countWay(corners, 'cut-and-wire'), unit: 'corners' },
      { label: 'by a loop', value: countWay(corners, 'loop'), unit: 'corners' },
      { label: 'notched', value: countWay(corners, 'notch'), unit: 'corners' },
    ],
    where: placeAt(results, sharpest.at),
    target: {
      label: 'corners',
      better: 'lower',
      unit: '',
      read: (tried) => tried.runs.corners.length,
      settled: (tried) => tried.runs.corners.length === 0,
    },
    remedies: [
      otherCovers(results, catalogue, (each) => each !== null && each.bendRadiusMm < (cover?.bendRadiusMm ?? Infinity)),
      {
        id: 'on-edge',
        candidates:
          results.assembly.groove.lies === 'edge'
            ? []
            : [
                {
                  label: 'Strip on its edge: it bends the way it likes to',
                  change: [set(fieldsIn(results).groove.lies, 'edge')],
                },
              ],
      },
      changeStrip(
        results,
        suitableStrips(results, catalogue)
          .filter((each) => each.bendRadiusMm < strip.bendRadiusMm && each.form !== 'modules')
          .sort((a, b) => b.bendRadiusMm - a.bendRadiusMm),
      ),
    ],
  };
};
