import type { BoxResults } from './results.js';
import { overBed, type Rule } from '../../judging/findings/index.js';
import { addRows, closerEnds, deepen, dropRows, secondSheet, ventCase, whiterLining } from './candidates.js';
import { faceBinds, largerThanSheet, lettersOverhang, tooShallow } from './case-rules.js';
import { faceTooHot, tooHot } from '../common/heat-rules.js';
import { gearFits } from '../common/fits-inside.js';
import { backShutIn, buttonsAtWall, cleatProud } from './hang-rules.js';
import { holesCollide } from './hole-rules.js';
import { boxInsides } from './insides.js';
import { backScrewsNearEdge, backScrewsTooDeep, cornersWithoutRoom, noCutter, weakGroove } from './joinery-rules.js';
import { faceCatches, faceRattles, faceSlipsOut, topLocked } from './panel-rules.js';
import { doubledSide } from './side-rules.js';
import { stripsOverlap } from '../common/overlap-rules.js';
import { isNoFinish, tapeLetsGo } from '../common/hold-rules.js';
import { dotsShow, faceTooBright, faceTooDim, unevenCorners, type FaceRemedies } from '../faces/rules.js';
import { coatsUneven, showsInside } from '../faces/see-through.js';
import { noStrip } from '../common/no-strip.js';
import { betweenCutMarks, reelShort } from './strip-rules.js';

const remedies: FaceRemedies<BoxResults> = { addRows, closerEnds, deepen, dropRows, whiterLining, secondSheet };

/** The checks of a case with a lit face. */
export const boxRules: readonly Rule<BoxResults>[] = [
  noStrip,
  tooShallow,
  gearFits(boxInsides),
  doubledSide,
  stripsOverlap((results) => [dropRows(results)]),
  largerThanSheet,
  dotsShow(remedies),
  faceTooDim(remedies),
  faceTooBright(remedies),
  unevenCorners(remedies),
  showsInside,
  coatsUneven,
  tooHot<BoxResults>({ sheds: 'the case', goes: 'stay in the case' }, (results) => [
    ventCase(results),
    dropRows(results),
    deepen(results),
  ]),
  faceTooHot<BoxResults>((results) => [ventCase(results), dropRows(results), deepen(results)]),
  tapeLetsGo<BoxResults>({
    isBare: ({ materials }) => isNoFinish(materials.lining) && materials.backBoard.stuff === 'wood',
    finish: whiterLining,
  }),
  backScrewsNearEdge,
  backScrewsTooDeep,
  cornersWithoutRoom,
  weakGroove,
  noCutter,
  holesCollide,
  backShutIn,
  cleatProud,
  buttonsAtWall,
  faceBinds,
  faceSlipsOut,
  faceCatches,
  faceRattles,
  topLocked,
  lettersOverhang,
  overBed,
  betweenCutMarks,
  reelShort,
];
