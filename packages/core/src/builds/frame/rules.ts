import type { Rule } from '../../judging/findings/index.js';
import { boxRules } from '../boxes/rules.js';
import { dimBeforeMirror, glueOnBand, innerFrameShades } from './mirror-rules.js';
import type { FrameResults } from './results.js';
import { showsShutIn } from './shut-in-rule.js';

/** The checks of a frame: those of a case with a lit face, and of what it shows. */
export const frameRules: readonly Rule<FrameResults>[] = [
  ...(boxRules as readonly Rule<FrameResults>[]),
  showsShutIn,
  glueOnBand,
  innerFrameShades,
  dimBeforeMirror,
];
