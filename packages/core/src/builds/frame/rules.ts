import type { Rule } from '../../judging/findings/index.js';
import { boxRules } from '../boxes/rules.js';
import type { FrameResults } from './results.js';

/** The checks of a frame: those of a case with a lit face. */
export const frameRules: readonly Rule<FrameResults>[] = boxRules;
