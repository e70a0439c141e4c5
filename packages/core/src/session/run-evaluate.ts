import { inTurns, type Asked, type Run } from './turns.js';

/** Evaluates at once. What would help against what it finds is tried when somebody asks. */
export const runEvaluate = async (run: Run, { id, design }: Asked<'evaluate'>): Promise<void> => {
  const { evaluator, pause, post, isCancelled } = run;
  await pause();
  if (isCancelled(id)) return post({ kind: 'cancelled', id });
  const evaluation = evaluator.evaluate(design);
  if (!evaluation.ok) return post({ kind: 'refused', id, problems: evaluation.problems });
  return post({ kind: 'evaluated', id, evaluation: evaluation.value });
};

/**
 * Tries what would help against findings of a design, one after the other as they are asked for, in small turns; gives up
 * as soon as a newer design or a cancel arrives.
 */
export const runFixes = async (run: Run, { id, design, findings }: Asked<'fixes'>): Promise<void> => {
  const { evaluator, pause, post, isCancelled } = run;
  await pause();
  if (isCancelled(id)) return post({ kind: 'cancelled', id });
  const evaluation = evaluator.evaluate(design);
  if (!evaluation.ok) return post({ kind: 'refused', id, problems: evaluation.problems });
  for (const finding of findings) {
    const tried = await inTurns(run, id, evaluator.fixesOf(finding));
    if (tried === null) return undefined;
    if (tried.result !== null) post({ kind: 'fixes', id, finding: tried.result });
  }
  return post({ kind: 'all-fixes', id });
};
