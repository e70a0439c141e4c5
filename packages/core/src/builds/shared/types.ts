import type { FontBook } from '../../artwork/lettering/index.js';
import type { Catalogue } from '../../document/catalogue/index.js';
import type { Assembly, Design } from '../../document/design/index.js';
import type { StageResults, StageRun } from '../../sign/evaluate/types.js';
import type { Figure } from '../../judging/figures/types.js';
import type { Rule } from '../../judging/findings/types.js';
import type { GridLimits } from '../../light/glow/index.js';
import type { Result } from '../../base/result.js';
import type { Section } from '../../light/section/index.js';

/** Runs the stages of one build on designs one after the other, each stage remembering its last call. */
export type Pipeline<Own extends Assembly = Assembly> = (design: Design, assembly: Own) => Result<StageRun>;

/** What differs between builds. No stage asks for a build’s name. */
export interface Build<Own extends Assembly, Results extends StageResults> {
  readonly pipeline: (catalogue: Catalogue, fonts: FontBook, limits: GridLimits) => Pipeline<Own>;
  /** Its own checks, beside those that every build shares. */
  readonly rules: readonly Rule<Results>[];
  /** The figures of the tape, in order. */
  readonly figures: (results: Results) => readonly Figure[];
  /** The slice at x (mm right of the middle). */
  readonly sectionAt: (results: Results, xMm: number) => Section;
}
