import type { FaceLitResults } from '../../evaluate/types.js';
import { partOverSheet, supplyTooSmall, type Rule } from '../../findings/index.js';
import { letterOverBed } from '../letter-bed-rules.js';
import { addLines, dropLines, setCloser } from '../letter-candidates.js';
import { bendsTooTight, lettersBetweenCutMarks, noLetterStrip, strokeTooNarrow } from '../letter-strip-rules.js';
import { dotsShow, tooDim, tooHot, unevenCorners, type FaceRemedies } from '../lit-face-rules.js';
import { deepenCans, whiterCans } from './candidates.js';
import { returnTooTight } from './return-rules.js';

const remedies: FaceRemedies<FaceLitResults> = {
  addRows: addLines,
  closerEnds: setCloser,
  deepen: deepenCans,
  dropRows: dropLines,
  whiterLining: whiterCans,
};

/** The checks of face-lit letters. */
export const faceLitRules: readonly Rule<FaceLitResults>[] = [
  noLetterStrip,
  supplyTooSmall<FaceLitResults>(dropLines),
  strokeTooNarrow,
  letterOverBed,
  partOverSheet,
  returnTooTight,
  dotsShow(remedies),
  tooDim(remedies),
  unevenCorners(remedies),
  tooHot(remedies),
  bendsTooTight,
  lettersBetweenCutMarks,
];
