import type { BuildName } from '../design/index.js';
import { lightbox } from './lightbox/index.js';
import type { BuildRules } from './types.js';

export type { BuildRules, PartFacts, StepFacts } from './types.js';

const rules: Readonly<Record<BuildName, BuildRules>> = { lightbox };

/** The rules of a build. */
export const rulesOf = (build: BuildName): BuildRules => rules[build];
