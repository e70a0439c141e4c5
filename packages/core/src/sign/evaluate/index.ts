import type { FontBook } from '../../artwork/lettering/index.js';
import type { Catalogue } from '../../document/catalogue/index.js';
import type { Design } from '../../document/design/index.js';
import { figuresOf, rulesOfBuilds } from '../../builds/index.js';
import {
  findFaults,
  resolveRemedies,
  withoutRemedies,
  type Finding,
  type RawFinding,
} from '../../judging/findings/index.js';
import { previewGrid, type GridLimits } from '../../light/glow/index.js';
import { shareStructure } from '../../base/maths/index.js';
import { success, type Result } from '../../base/result.js';
import { createStages } from './stages.js';
import type { Evaluation, StageResults } from './types.js';

export {
  stageNames,
  type BoxEvaluation,
  type Evaluation,
  type FaceLitEvaluation,
  type HaloEvaluation,
  type StageName,
  type StageResults,
} from './types.js';

/** Evaluates designs one after the other, recomputing only what an edit touches. */
export interface Evaluator {
  /** Everything but the fixes. Fails with problems that name the field. */
  readonly evaluate: (design: Design) => Result<Evaluation>;
  /** Tries the remedies of the last evaluated design; a generator that yields before every trial. */
  readonly fixes: () => Generator<void, readonly Finding[]>;
  /** Everything but the fixes, on the coarser map of trials; leaves the last evaluated design as it is. */
  readonly quick: (design: Design) => Result<Evaluation>;
}

export interface EvaluatorOptions {
  readonly grid?: GridLimits;
}

/** Remedies are tried on a map of this fineness: enough for every figure, and quick. */
const trialGrid: GridLimits = {
  longSide: 160,
  maxCells: 20_000,
  maxPairs: 1.2e7,
  patches: previewGrid.patches,
  rays: previewGrid.rays,
};

/** An evaluator for one catalogue. Keep one for each page or run; it remembers the stages of the design before. */
export const createEvaluator = (catalogue: Catalogue, fonts: FontBook, options: EvaluatorOptions = {}): Evaluator => {
  const run = createStages(catalogue, fonts, options.grid ?? previewGrid);
  const runTrial = createStages(catalogue, fonts, trialGrid);
  let last: { readonly design: Design; readonly raw: readonly RawFinding[] } | null = null;

  return {
    evaluate: (given) => {
      const design = shareStructure(last?.design, given);
      const stages = run(design);
      if (!stages.ok) return stages;
      const { results, recomputed } = stages.value;
      const raw = findFaults({ results, catalogue }, rulesOfBuilds);
      last = { design, raw };
      return success({ ...results, figures: figuresOf(results), findings: raw.map(withoutRemedies), recomputed });
    },
    quick: (design) => {
      const stages = runTrial(design);
      if (!stages.ok) return stages;
      const { results, recomputed } = stages.value;
      const raw = findFaults({ results, catalogue }, rulesOfBuilds);
      return success({ ...results, figures: figuresOf(results), findings: raw.map(withoutRemedies), recomputed });
    },
    *fixes() {
      if (last === null) return [];
      const { design, raw } = last;
      const trial = (changed: Design): StageResults | null => {
        const tried = runTrial(changed);
        return tried.ok ? tried.value.results : null;
      };
      const now = trial(design);
      return now === null ? [] : yield* resolveRemedies(design, now, raw, trial);
    },
  };
};

/** Runs a generator to its end. */
export const finish = <T>(work: Generator<void, T>): T => {
  for (let turn = work.next(); ; turn = work.next()) if (turn.done === true) return turn.value;
};

/** One design evaluated at once, fixes tried: for the command line, the server and tests. */
export const evaluate = (
  design: Design,
  catalogue: Catalogue,
  fonts: FontBook,
  options: EvaluatorOptions = {},
): Result<Evaluation> => {
  const evaluator = createEvaluator(catalogue, fonts, options);
  const evaluation = evaluator.evaluate(design);
  return evaluation.ok ? success({ ...evaluation.value, findings: finish(evaluator.fixes()) }) : evaluation;
};
