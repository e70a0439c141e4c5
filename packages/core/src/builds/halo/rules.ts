import { glowPastBacker } from './backer-rules.js';
import { backerRules } from '../letters/backer/rules.js';
import { tooBright } from '../common/brightness-rules.js';
import type { HaloResults } from './results.js';
import { partOverSheet, type Rule } from '../../judging/findings/index.js';
import { letterOverBed, splitMisses } from '../letters/bed-rules.js';
import { tooHot } from '../common/heat-rules.js';
import { gearFits } from '../common/fits-inside.js';
import { letterInsides } from '../letters/insides.js';
import { stripsOverlap } from '../common/overlap-rules.js';
import { isNoFinish, tapeLetsGo } from '../common/hold-rules.js';
import { dropLines, fartherApart } from '../letters/candidates.js';
import { finishBacks } from './candidates.js';
import {
  edgeUneven,
  glowTooNarrow,
  glowTooWide,
  haloTooDim,
  letterTooWide,
  lightLeaks,
  scallopsShow,
} from './light-rules.js';
import { letterLeans, postLoose, postOutsideStrip, postOverloaded, tooFewPosts } from './post-rules.js';
import { bendsTooTight, lettersBetweenCutMarks, noLetterStrip, strokeTooNarrow } from '../letters/strip-rules.js';
import { holesTight, jumpersInTheOpen } from '../letters/wire-rules.js';

/** The checks of halo letters. */
export const haloRules: readonly Rule<HaloResults>[] = [
  noLetterStrip,
  stripsOverlap<HaloResults>((results) => [dropLines(results), fartherApart(results)]),
  postLoose,
  tooFewPosts,
  postOverloaded,
  letterLeans,
  postOutsideStrip,
  strokeTooNarrow,
  letterOverBed,
  splitMisses,
  gearFits(
    letterInsides<HaloResults>(
      // Behind open backs there is the standoff as well.
      ({ geometry, assembly }) =>
        geometry.wallMm > 0
          ? geometry.frontZMm - geometry.rearZMm - geometry.frontMm - geometry.backMm
          : assembly.letters.standoffMm,
      ({ geometry }) => (geometry.backMm > 0 ? null : 'the letters come off their posts'),
    ),
  ),
  ...backerRules,
  partOverSheet,
  glowTooNarrow,
  glowTooWide,
  glowPastBacker,
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
  tapeLetsGo<HaloResults>({
    isBare: ({ materials }) => isNoFinish(materials.backFinish) && materials.board.stuff === 'wood',
    finish: finishBacks,
  }),
  bendsTooTight,
  lettersBetweenCutMarks,
  jumpersInTheOpen,
  holesTight,
];
