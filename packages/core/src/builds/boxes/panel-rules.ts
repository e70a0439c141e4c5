import { set } from '../../document/design/index.js';
import { opensWith } from '../../joinery/members/index.js';
import { oneChange, type Rule } from '../../judging/findings/index.js';
import { fieldsIn } from '../../judging/results/index.js';
import { usualGroovePlayMm } from './geometry.js';
import type { BoxResults } from './results.js';
import { faceOutOf, lockedBy, mouthOf } from './way-out.js';

const mm = (value: number): string => `${Math.round(value * 10) / 10} mm`;

/** Of a sheet pushed to one side, so much must stay in its groove on the other (mm); typical. */
export const leastHeldMm = 1.5;
/** A sheet that slides in by hand wants so much play in the width of its groove; more, and it rattles (mm); typical. */
const leastSlideMm = 0.3;
const mostRattleMm = 0.8;

const inGroove = ({ assembly }: BoxResults): boolean => assembly.case.retention === 'groove';

/** Where a groove at the top is, in the slice. */
const grooveRect = ({ geometry }: BoxResults) => ({
  x: geometry.inside.depthMm - 3,
  y: geometry.inside.heightMm / 2 - 3,
  width: geometry.face.thicknessMm + 6,
  height: (geometry.face.heightMm - geometry.inside.heightMm) / 2 + 6,
});

const heldMm = ({ assembly: { case: box } }: BoxResults): number => Math.round(10 * (box.seatMm - 2 * box.playMm)) / 10;

/** A face with so much play that it leaves its groove on one side when it is pushed to the other. */
export const faceSlipsOut: Rule<BoxResults> = ({ results }) => {
  const held = heldMm(results);
  if (!inGroove(results) || held >= leastHeldMm) return null;
  const { case: box } = results.assembly;
  const fields = fieldsIn(results);
  const seat = Math.ceil(2 * (2 * box.playMm + leastHeldMm)) / 2;
  const play = Math.floor(5 * (box.seatMm - leastHeldMm)) / 10;
  return {
    id: 'face-slips-out',
    severity: 'fix',
    step: 'case',
    what: held > 0 ? 'The face may slip out of its groove' : 'The face can fall out of its groove',
    why: `Its seat is ${mm(box.seatMm)} deep with ${mm(box.playMm)} play a side: pushed to one side, ${mm(Math.max(0, held))} hold it on the other; ${mm(leastHeldMm)} are wanted.`,
    numbers: [{ label: 'held on the far side', value: held, unit: 'mm' }],
    where: { view: 'slice', rect: grooveRect(results) },
    target: {
      label: 'held on the far side',
      better: 'higher',
      unit: 'mm',
      read: heldMm,
      settled: (tried) => !inGroove(tried) || heldMm(tried) >= leastHeldMm,
    },
    remedies: [
      ...(seat <= results.materials.returnBoard.thicknessMm / 2
        ? [oneChange('deeper-seat', `Seats ${mm(seat)} deep`, fields.case.seatMm, seat)]
        : []),
      ...(play > 0 ? [oneChange('less-play', `Play ${mm(play)} a side`, fields.case.playMm, play)] : []),
    ],
  };
};

const groovePlay = ({ assembly }: BoxResults): number => assembly.case.groovePlayMm ?? usualGroovePlayMm;

const usualPlayLabel = `${mm(usualGroovePlayMm)} play in the width of the groove`;

/** A sheet that is to slide in its groove, and sticks there. */
export const faceCatches: Rule<BoxResults> = ({ results }) => {
  const catches = (tried: BoxResults): boolean =>
    faceOutOf(tried.assembly.case) !== 'never' && groovePlay(tried) < leastSlideMm;
  if (!catches(results)) return null;
  return {
    id: 'face-catches',
    severity: 'fix',
    step: 'case',
    what: 'The sheet catches in its grooves when it is slid in',
    why: `They are ${mm(groovePlay(results))} wider than the sheet; sheets come thicker than they are sold by some tenths, and wood swells. ${mm(leastSlideMm)} let it slide, with the mouths of the grooves chamfered.`,
    numbers: [{ label: 'play in the width', value: groovePlay(results), unit: 'mm' }],
    where: { view: 'slice', rect: grooveRect(results) },
    target: {
      label: 'play in the width',
      better: 'higher',
      unit: 'mm',
      read: groovePlay,
      settled: (tried) => !catches(tried),
    },
    remedies: [oneChange('usual-groove-play', usualPlayLabel, fieldsIn(results).case.groovePlayMm, usualGroovePlayMm)],
  };
};

/** Mouths narrower than this catch a sheet that is slid in (mm). */
const leastMouthMm = 0.5;

/** A groove with sharp mouths, into which a sheet is slid. */
export const mouthCatches: Rule<BoxResults> = ({ results }) => {
  const mouth = ({ assembly }: BoxResults): number => mouthOf(assembly.case);
  const catches = (tried: BoxResults): boolean =>
    faceOutOf(tried.assembly.case) !== 'never' && mouth(tried) < leastMouthMm;
  if (!catches(results)) return null;
  return {
    id: 'mouth-catches',
    severity: 'note',
    step: 'case',
    what: 'The sheet catches at the mouths of its grooves',
    why: `They are ${mouth(results) === 0 ? 'sharp' : `chamfered ${mm(mouth(results))}`}: a sheet that is slid in runs against them at every corner, and its film or print is scratched. ${mm(leastMouthMm)} and more lead it in.`,
    numbers: [{ label: 'chamfer', value: mouth(results), unit: 'mm' }],
    where: { view: 'slice', rect: grooveRect(results) },
    target: {
      label: 'chamfer',
      better: 'higher',
      unit: 'mm',
      read: mouth,
      settled: (tried) => !catches(tried),
    },
    remedies: [oneChange('usual-mouth', 'Mouths chamfered 1 mm', fieldsIn(results).case.mouthMm, 1)],
  };
};

/** A groove so wide that its sheet rattles. */
export const faceRattles: Rule<BoxResults> = ({ results }) => {
  const play = groovePlay(results);
  if (!inGroove(results) || play <= mostRattleMm) return null;
  return {
    id: 'face-rattles',
    severity: 'note',
    step: 'case',
    what: 'The sheet rattles in its groove',
    why: `The groove is ${mm(play)} wider than the sheet; beyond ${mm(mostRattleMm)} it rattles when a door falls shut, and stands out of true.`,
    numbers: [{ label: 'play in the width', value: play, unit: 'mm' }],
    where: { view: 'slice', rect: grooveRect(results) },
    target: {
      label: 'play in the width',
      better: 'lower',
      unit: 'mm',
      read: groovePlay,
      settled: (tried) => !inGroove(tried) || groovePlay(tried) <= mostRattleMm,
    },
    remedies: [oneChange('usual-groove-play', usualPlayLabel, fieldsIn(results).case.groovePlayMm, usualGroovePlayMm)],
  };
};

const lockedWords: Readonly<Record<ReturnType<typeof faceOutOf>, { readonly what: string; readonly why: string }>> = {
  never: { what: '', why: '' },
  'top-off': {
    what: 'The top cannot come off',
    why: 'Its two corners are mitred, dowelled or pocketed, and hold it from both ways: the sheet stays shut in.',
  },
  'open-top': {
    what: 'The top cannot stand back behind the sheet',
    why: 'Its two corners are mitred or rabbeted, and would gape in front of it: the sheet stays shut in.',
  },
  'lip-back': {
    what: 'The lip of the top cannot be glued back',
    why: 'Its two ends are mitred, and slide off their neighbours when it is clamped: the sheet goes in before the corners are glued, and not last.',
  },
};

/** Corners that hold a top which is to come off, or to stand back. */
export const topLocked: Rule<BoxResults> = ({ results }) => {
  const { case: box } = results.assembly;
  if (!lockedBy(box)) return null;
  const out = faceOutOf(box);
  const { outside } = results.geometry;
  const { thicknessMm } = results.materials.returnBoard;
  const fields = fieldsIn(results);
  const locked = (tried: BoxResults): number => (lockedBy(tried.assembly.case) ? 2 : 0);
  return {
    id: 'top-locked',
    severity: 'fix',
    step: 'case',
    ...lockedWords[out],
    numbers: [{ label: 'corners that hold it', value: 2, unit: '' }],
    where: {
      view: 'front',
      rect: {
        x: -outside.widthMm / 2,
        y: outside.heightMm / 2 - thicknessMm,
        width: outside.widthMm,
        height: thicknessMm,
      },
    },
    target: {
      label: 'corners that hold it',
      better: 'lower',
      unit: '',
      read: locked,
      settled: (tried) => locked(tried) === 0,
    },
    remedies: [
      {
        id: 'square-corners',
        candidates: (out === 'never' ? [] : opensWith[out]).map((joint) => ({
          label:
            joint === 'butt'
              ? 'Butt corners, screwed'
              : joint === 'rabbet'
                ? 'Rabbeted corners, screwed'
                : joint === 'dowels'
                  ? 'Butt corners, dowelled'
                  : 'Butt corners, pocket screws',
          change: [set(fields.case.cornerJoint, joint)],
        })),
      },
    ],
  };
};
