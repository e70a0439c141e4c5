import type { BoxResults } from '../../evaluate/types.js';
import { supplyTooSmall, type Rule } from '../../findings/index.js';
import { dropRows } from './candidates.js';
import { faceBinds, largerThanSheet, lettersOverhang, tooShallow } from './case-rules.js';
import { dotsShow, tooDim, tooHot, unevenCorners } from './light-rules.js';
import { betweenCutMarks, noStrip, reelShort } from './strip-rules.js';

/** The checks of a light box. */
export const lightboxRules: readonly Rule<BoxResults>[] = [
  noStrip,
  supplyTooSmall<BoxResults>(dropRows),
  tooShallow,
  largerThanSheet,
  dotsShow,
  tooDim,
  unevenCorners,
  tooHot,
  faceBinds,
  lettersOverhang,
  betweenCutMarks,
  reelShort,
];
