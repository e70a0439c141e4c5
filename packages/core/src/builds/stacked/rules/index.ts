import { overBed, partOverSheet, wholeFront, type Rule } from '../../../judging/findings/index.js';
import { outlineBounds } from '../../../base/outlines/index.js';
import { tooBright, tooDim } from '../../common/brightness-rules.js';
import { gearFits } from '../../common/fits-inside.js';
import { tooHot } from '../../common/heat-rules.js';
import { isNoFinish, tapeLetsGo } from '../../common/hold-rules.js';
import { addLoop, dropLoop, filmUnderLid, liftLid, whiterRoom } from '../candidates.js';
import { heldAt } from '../held-at.js';
import type { StackedResults } from '../results.js';
import { bandDim, bandDots, lettersUneven } from './light-rules.js';
import { lidRules } from './lid-rules.js';
import { lettersOverWall, metalInRoom, noLoop, ringTooNarrow, stackTooThin, stripCoversBand } from './room-rules.js';

/** Of a round room the square within it: so much of its width. */
const squareShare = Math.SQRT1_2;

/** The checks of stacked plates. */
export const stackedRules: readonly Rule<StackedResults>[] = [
  noLoop,
  stackTooThin,
  stripCoversBand,
  lettersOverWall,
  lettersUneven,
  bandDots,
  bandDim,
  ...lidRules,
  ringTooNarrow,
  metalInRoom,
  tooDim<StackedResults>({
    where: wholeFront,
    remedies: (results, catalogue) => [addLoop(results), whiterRoom(results, catalogue)],
  }),
  tooBright<StackedResults>({
    of: ({ glow }) => glow.evenness.meanCdM2,
    lit: 'What is lettered',
    less: (results, catalogue) => [dropLoop(results), filmUnderLid(results, catalogue)],
  }),
  gearFits<StackedResults>({
    room: ({ geometry, assembly }) => {
      const room = outlineBounds(geometry.inside) ?? { width: 0, height: 0 };
      const share = assembly.plates.shape === 'rectangle' ? 1 : squareShare;
      return { widthMm: share * room.width, heightMm: share * room.height, depthMm: geometry.roomMm, covered: false };
    },
    access: ({ geometry }) => (heldAt(geometry).screws.length > 0 ? 'the base comes off' : null),
    remedies: (results) => [liftLid(results)],
  }),
  tooHot<StackedResults>({ sheds: 'the stack', goes: 'stay in the stack' }, (results) => [dropLoop(results)]),
  tapeLetsGo<StackedResults>({
    isBare: ({ materials }) => isNoFinish(materials.lining),
    finish: whiterRoom,
  }),
  partOverSheet,
  overBed,
];
