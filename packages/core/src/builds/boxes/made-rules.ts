import type { Rule } from '../../judging/findings/index.js';
import { faceTooHot, tooHot } from '../common/heat-rules.js';
import { backSwells } from './back-swells.js';
import { deepen, dropRows, ventCase } from './candidates.js';
import { faceBinds } from './case-rules.js';
import { backShutIn, buttonsAtWall, cleatProud } from './hang-rules.js';
import { fastenersMeet } from './fastener-rules.js';
import { holesCollide } from './hole-rules.js';
import { backScrewsNearEdge, backScrewsTooDeep, cornersWithoutRoom, noCutter, weakGroove } from './joinery-rules.js';
import { faceCatches, faceRattles, faceSlipsOut, mouthCatches, topLocked } from './panel-rules.js';
import type { BoxResults } from './results.js';

/** Whether a case gets too hot, whatever is in it. */
export const heatRules: readonly Rule<BoxResults>[] = [
  tooHot<BoxResults>({ sheds: 'the case', goes: 'stay in the case' }, (results) => [
    ventCase(results),
    dropRows(results),
    deepen(results),
  ]),
  faceTooHot<BoxResults>((results) => [ventCase(results), dropRows(results), deepen(results)]),
];

/** Whether a case can be made and opened, whatever is in it: its members, fasteners, back and front sheet. */
export const madeRules: readonly Rule<BoxResults>[] = [
  backScrewsNearEdge,
  backScrewsTooDeep,
  cornersWithoutRoom,
  weakGroove,
  noCutter,
  holesCollide,
  fastenersMeet,
  backShutIn,
  backSwells,
  cleatProud,
  buttonsAtWall,
  faceBinds,
  faceSlipsOut,
  faceCatches,
  faceRattles,
  topLocked,
  mouthCatches,
];
