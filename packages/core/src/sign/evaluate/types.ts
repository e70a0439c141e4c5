import type { BuildResults, Front, StageName } from '../../builds/index.js';
import type { Figure } from '../../judging/figures/index.js';
import type { Finding } from '../../judging/findings/index.js';
import type { SignResults } from '../../judging/results/index.js';
import type { Design } from '../design/index.js';

export { stageNames, type StageName } from '../../builds/index.js';

/** A figure of the tape, and which assembly it is of; null when it is the sign’s. */
export interface TapeFigure extends Figure {
  readonly assembly: number | null;
}

/** What the stages found for a sign whose assemblies are of the builds that are registered. */
export interface StageResults extends SignResults<BuildResults> {
  readonly design: Design;
}

/** One assembly of an evaluation: what its build found, and what is seen of it. */
export type AssemblyEvaluation = BuildResults & { readonly front: Front };

/** All there is to know about a design, as plain data. */
export interface Evaluation extends SignResults<AssemblyEvaluation> {
  readonly design: Design;
  readonly figures: readonly TapeFigure[];
  /** Without fixes until their remedies have been tried. */
  readonly findings: readonly Finding[];
  /** Fields of the design that this program does not know. */
  readonly unknownFields: readonly string[];
  /** The stages that had to be computed for this evaluation. */
  readonly recomputed: readonly StageName[];
}

/** Stage results, light for when it is asked for, and which stages had to be computed anew for what has been asked. */
export interface StageRun {
  readonly results: StageResults;
  readonly recomputed: () => readonly StageName[];
}
