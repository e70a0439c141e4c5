import { heatRules, madeRules } from './made-rules.js';
import type { BoxResults } from './results.js';
import { overBed, type Rule } from '../../judging/findings/index.js';
import { addRows, closerEnds, deepen, dropRows, secondSheet, whiterLining } from './candidates.js';
import { largerThanSheet, lettersOverhang, tooShallow } from './case-rules.js';
import { gearFits } from '../common/fits-inside.js';
import { boxInsides } from './insides.js';
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
  ...heatRules,
  tapeLetsGo<BoxResults>({
    isBare: ({ materials }) => isNoFinish(materials.lining) && materials.backBoard.stuff === 'wood',
    finish: whiterLining,
  }),
  ...madeRules,
  lettersOverhang,
  overBed,
  betweenCutMarks,
  reelShort,
];
