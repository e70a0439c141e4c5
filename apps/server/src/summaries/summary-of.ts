import type { DesignFacts } from '@vitrum/contract';
import type { JobWork } from '../database/schema.js';
import {
  careDatesOf,
  litPng,
  needsOf,
  planStepsOf,
  recordLinesOf,
  type Catalogue,
  type Evaluation,
  type Need,
  type Severity,
} from '@vitrum/core';

const thumbnailPx = 320;

/** A design summed up: what lists show of it, and its picture at dusk (PNG), if it can be lit. */
export interface SummedUp {
  readonly facts: DesignFacts;
  readonly picture: Uint8Array | null;
  /** What it takes from the shelf. */
  readonly needs: readonly Need[];
  /** What is to do for it. */
  readonly work: JobWork;
}

/** What lists show of a design that cannot be built as it stands: that it stops, and no picture. */
export const unbuildable: SummedUp = {
  facts: { size: '', figures: [], counts: { stop: 1, fix: 0, note: 0 } },
  picture: null,
  needs: [],
  work: { steps: [], done: [], typical: {}, readings: [] },
};

const sizeWords = ({ bounds, depthMm }: Evaluation): string =>
  [bounds.width, bounds.height, depthMm].map((value) => Math.round(value)).join(' × ') + ' mm';

/** The few facts of an evaluated design that lists show, and its picture at dusk. */
export const summaryOf = (evaluation: Evaluation, catalogue: Catalogue): SummedUp => {
  const { findings, figures, cost } = evaluation;
  const count = (severity: Severity): number => findings.filter((finding) => finding.severity === severity).length;
  return {
    facts: {
      size: sizeWords(evaluation),
      figures: figures.map(({ id, text, label }) => ({ id, text, label })),
      counts: { stop: count('stop'), fix: count('fix'), note: count('note') },
      order: { price: cost.order, currency: cost.currency },
      care: careDatesOf(evaluation),
    },
    picture: litPng(evaluation, 'evening', thumbnailPx),
    needs: needsOf(evaluation, catalogue),
    work: {
      steps: planStepsOf(evaluation),
      done: evaluation.design.proof?.built ?? [],
      typical: Object.fromEntries(
        evaluation.buildList.steps.map(({ id, typicalMinutes }) => [
          id,
          typicalMinutes * evaluation.design.brief.quantity,
        ]),
      ),
      readings: recordLinesOf(evaluation),
    },
  };
};
