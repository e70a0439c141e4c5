import { backerRules } from '../letters/backer/rules.js';
import type { FaceLitResults } from './results.js';
import { partOverSheet, type Rule } from '../../judging/findings/index.js';
import { letterOverBed, splitMisses } from '../letters/bed-rules.js';
import { addLines, dropLines, fartherApart, setCloser } from '../letters/candidates.js';
import { bendsTooTight, lettersBetweenCutMarks, noLetterStrip, strokeTooNarrow } from '../letters/strip-rules.js';
import { holesTight, wiresOverEdges } from '../letters/wire-rules.js';
import { faceTooHot, tooHot } from '../common/heat-rules.js';
import { gearFits } from '../common/fits-inside.js';
import { letterInsides } from '../letters/insides.js';
import { stripsOverlap } from '../common/overlap-rules.js';
import { isNoFinish, tapeLetsGo } from '../common/hold-rules.js';
import { dotsShow, faceTooBright, faceTooDim, unevenCorners, type FaceRemedies } from '../faces/rules.js';
import { deepenCans, whiterCans } from './candidates.js';
import { coatsUneven, showsInside } from '../faces/see-through.js';
import { returnTooTight } from './return-rules.js';

const remedies: FaceRemedies<FaceLitResults> = {
  addRows: addLines,
  closerEnds: setCloser,
  deepen: deepenCans,
  dropRows: dropLines,
  whiterLining: whiterCans,
  // A can has no seat for a second sheet.
  secondSheet: () => [],
};

/** The checks of face-lit letters. */
export const faceLitRules: readonly Rule<FaceLitResults>[] = [
  noLetterStrip,
  stripsOverlap<FaceLitResults>((results) => [dropLines(results), fartherApart(results)]),
  strokeTooNarrow,
  letterOverBed,
  splitMisses,
  ...backerRules,
  partOverSheet,
  returnTooTight,
  gearFits(
    letterInsides<FaceLitResults>(
      ({ assembly }) => assembly.cans.depthInsideMm,
      ({ assembly }) => (assembly.cans.fit === 'trimmed' ? 'the faces come off with their trim' : null),
    ),
  ),
  wiresOverEdges,
  holesTight,
  dotsShow(remedies),
  faceTooDim(remedies),
  faceTooBright(remedies),
  unevenCorners(remedies),
  showsInside,
  coatsUneven,
  tooHot<FaceLitResults>({ sheds: 'the letters', goes: 'stay in the letters' }, (results) => [
    dropLines(results),
    deepenCans(results),
  ]),
  faceTooHot<FaceLitResults>((results) => [dropLines(results), deepenCans(results)]),
  tapeLetsGo<FaceLitResults>({
    isBare: ({ materials }) => isNoFinish(materials.lining) && materials.backBoard.stuff === 'wood',
    finish: whiterCans,
  }),
  bendsTooTight,
  lettersBetweenCutMarks,
];
