import { tooBright } from '../common/brightness-rules.js';
import type { HaloResults } from './results.js';
import { partOverSheet, type Rule } from '../../judging/findings/index.js';
import { letterOverBed, splitMisses } from '../letters/bed-rules.js';
import { tapeLetsGo, tooHot } from '../common/heat-rules.js';
import { dropLines } from '../letters/candidates.js';
import {
  edgeUneven,
  glowTooNarrow,
  glowTooWide,
  haloTooDim,
  letterTooWide,
  lightLeaks,
  scallopsShow,
} from './light-rules.js';
import { postLoose, postOutsideStrip, tooFewPosts } from './post-rules.js';
import { bendsTooTight, lettersBetweenCutMarks, noLetterStrip, strokeTooNarrow } from '../letters/strip-rules.js';
import { holesTight, jumpersInTheOpen } from '../letters/wire-rules.js';

/** The checks of halo letters. */
export const haloRules: readonly Rule<HaloResults>[] = [
  noLetterStrip,
  postLoose,
  tooFewPosts,
  postOutsideStrip,
  strokeTooNarrow,
  letterOverBed,
  splitMisses,
  partOverSheet,
  glowTooNarrow,
  glowTooWide,
  scallopsShow,
  letterTooWide,
  edgeUneven,
  haloTooDim,
  tooBright<HaloResults>({
    of: ({ glow }) => glow.overHalfCdM2,
    lit: 'The wall over the half width of the glow',
    less: (results) => [dropLines(results)],
  }),
  lightLeaks,
  tooHot<HaloResults>({ sheds: 'the backs', goes: 'go into the backs' }, (results) => [dropLines(results)]),
  tapeLetsGo,
  bendsTooTight,
  lettersBetweenCutMarks,
  jumpersInTheOpen,
  holesTight,
];
