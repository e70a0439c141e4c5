import type { Catalogue } from '@vitrum/core';
import { useDocument } from '../document/document-store';
import { connectEvaluation, type EvaluationLink, useEvaluation } from './evaluation-store';

let link: EvaluationLink | null = null;
let opened: Catalogue | null = null;

/** A catalogue that has changed, as after measuring, lights the open design anew. */
const reopen = (catalogue: Catalogue): void => {
  if (link === null || catalogue === opened) return;
  opened = catalogue;
  link.open(catalogue);
  const { design } = useDocument.getState();
  if (design !== null) link.evaluate(design);
};

/** The page’s one evaluation thread, started on first use; it evaluates every edit of the open document. */
export const startEvaluation = (catalogue: Catalogue): EvaluationLink => {
  if (link !== null) {
    reopen(catalogue);
    return link;
  }
  opened = catalogue;
  const worker = new Worker(new URL('./worker.ts', import.meta.url), { type: 'module', name: 'evaluation' });
  const started = connectEvaluation(worker);
  link = started;
  started.open(catalogue);
  useDocument.subscribe((state, before) => {
    if (state.jobId !== before.jobId) useEvaluation.setState({ evaluation: null, findings: null, problems: [] });
    if (state.design !== null && state.design !== before.design) started.evaluate(state.design);
  });
  const { design } = useDocument.getState();
  if (design !== null) started.evaluate(design);
  return started;
};
