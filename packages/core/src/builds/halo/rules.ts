import type { HaloResults } from '../../evaluate/types.js';
import { partOverSheet, supplyTooSmall, type Rule } from '../../findings/index.js';
import { letterOverBed } from '../letter-bed-rules.js';
import { dropLines } from '../letter-candidates.js';
import {
  edgeUneven,
  glowTooNarrow,
  glowTooWide,
  haloTooDim,
  haloTooHot,
  letterTooWide,
  lightLeaks,
  scallopsShow,
} from './light-rules.js';
import { postLoose, postOutsideStrip, tooFewPosts } from './post-rules.js';
import {
  bendsTooTight,
  jumpersInTheOpen,
  lettersBetweenCutMarks,
  noLetterStrip,
  strokeTooNarrow,
} from '../letter-strip-rules.js';

/** The checks of halo letters. */
export const haloRules: readonly Rule<HaloResults>[] = [
  noLetterStrip,
  supplyTooSmall<HaloResults>(dropLines),
  postLoose,
  tooFewPosts,
  postOutsideStrip,
  strokeTooNarrow,
  letterOverBed,
  partOverSheet,
  glowTooNarrow,
  glowTooWide,
  scallopsShow,
  letterTooWide,
  edgeUneven,
  haloTooDim,
  lightLeaks,
  haloTooHot,
  bendsTooTight,
  lettersBetweenCutMarks,
  jumpersInTheOpen,
];
