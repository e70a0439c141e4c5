import type { Rule } from '../types.js';
import {
  backTooWeak,
  fixingsOverloaded,
  hardwareOverloaded,
  nothingHolds,
  screwsComeOut,
  wrongFixing,
} from './load-rules.js';
import { cleatMissesStuds, cleatShows, fixingsNotLevel, hangsCrooked } from './place-rules.js';
import { noRoomToLift, nothingToHangBy, tipsOver } from './way-rules.js';

/** All that may be wrong with how an assembly hangs. */
export const hangRules: readonly Rule[] = [
  fixingsOverloaded,
  hardwareOverloaded,
  nothingHolds,
  wrongFixing,
  nothingToHangBy,
  backTooWeak,
  screwsComeOut,
  fixingsNotLevel,
  cleatMissesStuds,
  cleatShows,
  hangsCrooked,
  noRoomToLift,
  tipsOver,
];
