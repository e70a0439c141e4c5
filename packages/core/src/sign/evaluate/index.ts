import type { FontBook } from '../../artwork/lettering/index.js';
import { shareStructure } from '../../base/maths/index.js';
import { success, type Result } from '../../base/result.js';
import { buildOf, type AnyResults } from '../../builds/index.js';
import { shelfFor, type Catalogue } from '../../document/catalogue/index.js';
import { signFigures } from '../../judging/figures/index.js';
import {
  findAgain,
  findFaults,
  judgedWith,
  ofBuild,
  onSign,
  resolveRemedies,
  supplyTooSmall,
  tryRemedies,
  withoutRemedies,
  type Finding,
  type Glimpse,
  type Judged,
  type SignFinding,
  type SignCheck,
  type Trial,
  type Trials,
} from '../../judging/findings/index.js';
import type { SignResults } from '../../judging/results/index.js';
import { previewGrid, type GridLimits } from '../../light/glow/index.js';
import { applyChange, unknownFields, type Design } from '../design/index.js';
import { createStages } from './stages.js';
import type { AssemblyEvaluation, Evaluation, StageRun, TapeFigure } from './types.js';

export {
  stageNames,
  type AssemblyEvaluation,
  type Evaluation,
  type StageName,
  type StageResults,
  type TapeFigure,
} from './types.js';

/** Evaluates designs one after the other, recomputing only what an edit touches. */
export interface Evaluator {
  /** Everything but the fixes. Fails with problems that name the field. */
  readonly evaluate: (design: Design) => Result<Evaluation>;
  /** Tries the remedies of the last evaluated design; a generator that yields before every trial. */
  readonly fixes: (rule?: string) => Generator<void, readonly Finding[]>;
  /** The same of one finding by its id; null where the last evaluated design has none so called. */
  readonly fixesOf: (id: string) => Generator<void, Finding | null>;
  /** Everything but the fixes, on the coarser map of trials; leaves the last evaluated design as it is. */
  readonly quick: (design: Design) => Result<Evaluation>;
  /** What the stages found and what there is to say of it, remedies untried; leaves the last evaluated design as it is. */
  readonly judge: (design: Design) => Result<Judged>;
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

/** How each assembly does with less strip, where one supply does not carry it all. */
const lessStrip = ({ assemblies }: SignResults) => assemblies.map((own) => buildOf(own).work.lessStrip(own));

/** The checks that the builds of a sign bring along. */
const checksOf = ({ assemblies }: SignResults): readonly SignCheck[] => [
  ...assemblies.flatMap((own: AnyResults) => ofBuild(buildOf(own).work.rules, own)),
  onSign(supplyTooSmall(lessStrip)),
];

const figuresOf = (results: SignResults): readonly TapeFigure[] => [
  ...results.assemblies.flatMap((own) =>
    buildOf(own)
      .work.figures(own)
      .map((figure) => ({ ...figure, assembly: own.index })),
  ),
  ...signFigures(results).map((figure) => ({ ...figure, assembly: null })),
];

type Runner = ReturnType<typeof createStages>;

const judgedBy = ({ results }: StageRun, catalogue: Catalogue): Judged =>
  judgedWith(results, findFaults({ results, catalogue }, checksOf(results)));

/** What a trial is glanced at for: checks are asked only where a finding of theirs is looked for again. */
const glimpsed = ({ results }: StageRun, catalogue: Catalogue): Glimpse => ({
  results,
  again: (finding) => findAgain({ results, catalogue }, checksOf(results), finding),
});

type See<Seen> = (run: StageRun, catalogue: Catalogue) => Seen;

/** Tries changes of a design: what is seen of them; null where one makes no valid design. */
const trialOf =
  <Seen>(design: Design, run: Runner, see: See<Seen>, catalogue: Catalogue): Trial<Seen> =>
  (change) => {
    const changed = applyChange(design, change);
    const tried = changed.ok ? run(changed.value) : changed;
    return tried.ok ? see(tried.value, catalogue) : null;
  };

const judged = (stages: StageRun, catalogue: Catalogue) => {
  const { results, recomputed } = stages;
  const now = judgedBy(stages, catalogue);
  const evaluation: Evaluation = {
    ...results,
    assemblies: results.assemblies.map((own): AssemblyEvaluation => ({ ...own, front: buildOf(own).work.front(own) })),
    figures: figuresOf(results),
    findings: now.findings.map(withoutRemedies),
    unknownFields: unknownFields(results.design),
    recomputed: recomputed(),
  };
  return { now, evaluation };
};

/** An evaluator for one shelf. */
const evaluatorOn = (catalogue: Catalogue, fonts: FontBook, options: EvaluatorOptions): Evaluator => {
  const grid = options.grid ?? previewGrid;
  const run = createStages(catalogue, fonts, grid);
  const runTrial = createStages(catalogue, fonts, trialGrid);
  /** On the page’s map, beside `run`, which keeps the stages of the design that stands. */
  const runExact = createStages(catalogue, fonts, grid);
  let last: { readonly design: Design; readonly judged: Judged } | null = null;
  // Where the page’s map is no finer than that of trials, one serves for both.
  const runRough = grid.maxCells > trialGrid.maxCells ? runTrial : runExact;
  const trialsOf = (design: Design): Trials => ({
    exact: trialOf(design, runExact, judgedBy, catalogue),
    rough: trialOf(design, runRough, glimpsed, catalogue),
  });

  return {
    evaluate: (given) => {
      const design = shareStructure(last?.design, given);
      const stages = run(design);
      if (!stages.ok) return stages;
      const { now, evaluation } = judged(stages.value, catalogue);
      last = { design, judged: now };
      return success(evaluation);
    },
    quick: (design) => {
      const stages = runTrial(design);
      return stages.ok ? success(judged(stages.value, catalogue).evaluation) : stages;
    },
    judge: (design) => {
      const stages = runExact(design);
      return stages.ok ? success(judgedBy(stages.value, catalogue)) : stages;
    },
    *fixes(rule) {
      if (last === null) return [];
      const { design, judged: now } = last;
      return yield* resolveRemedies(now, trialsOf(design), (each) => rule === undefined || each.rule === rule);
    },
    *fixesOf(id) {
      if (last === null) return null;
      const { design, judged: now } = last;
      const finding = now.findings.find((each) => each.id === id);
      return finding === undefined ? null : yield* tryRemedies(finding, now, trialsOf(design));
    },
  };
};

/** Evaluators are kept for so many shelves: designs change hands between what they had and what is newer. */
const mostShelves = 3;

/** An evaluator that leaves each design to the one that `on` keeps for its like. */
export const evaluatorFor = (on: (design: Design) => Evaluator): Evaluator => {
  let last: Evaluator | null = null;
  return {
    evaluate: (design) => {
      last = on(design);
      return last.evaluate(design);
    },
    quick: (design) => on(design).quick(design),
    judge: (design) => on(design).judge(design),
    *fixes(rule) {
      return last === null ? [] : yield* last.fixes(rule);
    },
    *fixesOf(id) {
      return last === null ? null : yield* last.fixesOf(id);
    },
  };
};

/**
 * An evaluator for one catalogue. Keep one for each page or run; it keeps the stages of the design before. A design chooses
 * from what the shelf offers, and from what it has though the shelf no longer offers it.
 */
export const createEvaluator = (catalogue: Catalogue, fonts: FontBook, options: EvaluatorOptions = {}): Evaluator => {
  const known = new Map<Catalogue, Evaluator>();
  return evaluatorFor((design) => {
    const shelf = shelfFor(design, catalogue);
    const evaluator = known.get(shelf) ?? evaluatorOn(shelf, fonts, options);
    known.delete(shelf);
    known.set(shelf, evaluator);
    for (const oldest of [...known.keys()].slice(0, -mostShelves)) known.delete(oldest);
    return evaluator;
  });
};

/** A solver goes through many designs: coarser still, and what it chooses is looked at once more. */
const solverGrid: GridLimits = { longSide: 96, maxCells: 6000, maxPairs: 2e6, patches: 80, rays: 2000 };

/** Judges designs for a solver: many on a rough map, what is chosen on the page’s own. */
export interface Judge {
  readonly catalogue: Catalogue;
  readonly rough: (design: Design) => Judged | null;
  readonly exact: (design: Design) => Judged | null;
  /** A finding of a design with its fixes, tried on the rough map. */
  readonly mend: (design: Design, now: Judged, finding: SignFinding) => Generator<void, Finding>;
}

export const createJudge = (catalogue: Catalogue, fonts: FontBook): Judge => {
  const runRough = createStages(catalogue, fonts, solverGrid);
  const runExact = createStages(catalogue, fonts, previewGrid);
  const judgedOn =
    (run: Runner) =>
    (design: Design): Judged | null => {
      const stages = run(design);
      return stages.ok ? judgedBy(stages.value, catalogue) : null;
    };
  return {
    catalogue,
    rough: judgedOn(runRough),
    exact: judgedOn(runExact),
    *mend(design, now, finding) {
      const trials: Trials = {
        rough: trialOf(design, runRough, glimpsed, catalogue),
        exact: trialOf(design, runRough, judgedBy, catalogue),
      };
      return yield* tryRemedies(finding, now, trials);
    },
  };
};

/** Runs a generator to its end. */
export const finish = <T>(work: Generator<void, T>): T => {
  for (let turn = work.next(); ; turn = work.next()) if (turn.done === true) return turn.value;
};

/** One design evaluated at once, fixes tried, of one rule alone where one is named: for the command line, the server and tests. */
export const evaluate = (
  design: Design,
  catalogue: Catalogue,
  fonts: FontBook,
  options: EvaluatorOptions = {},
  rule?: string,
): Result<Evaluation> => {
  const evaluator = createEvaluator(catalogue, fonts, options);
  const evaluation = evaluator.evaluate(design);
  return evaluation.ok ? success({ ...evaluation.value, findings: finish(evaluator.fixes(rule)) }) : evaluation;
};
