import { inTurns, type Asked, type Run } from './turns.js';

/** Evaluates at once, then tries fixes in small turns, giving up as soon as a newer design or a cancel arrives. */
export const runEvaluate = async (run: Run, { id, design }: Asked<'evaluate'>): Promise<void> => {
  const { evaluator, pause, post, isCancelled } = run;
  await pause();
  if (isCancelled(id)) return post({ kind: 'cancelled', id });
  const evaluation = evaluator.evaluate(design);
  if (!evaluation.ok) return post({ kind: 'refused', id, problems: evaluation.problems });
  post({ kind: 'evaluated', id, evaluation: evaluation.value });
  const tried = await inTurns(run, id, evaluator.fixes(), (_, done) =>
    post({ kind: 'progress', id, done, what: 'trying fixes' }),
  );
  if (tried !== null) post({ kind: 'fixes', id, findings: tried.result });
  return undefined;
};
