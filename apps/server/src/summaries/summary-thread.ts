import { createEvaluator, type Catalogue, type Design } from '@vitrum/core';
import { shippedFonts } from '../evaluation/font-book.js';
import { summaryOf, unbuildable, type SummedUp } from './summary-of.js';

/** What the thread is given. */
export interface SummaryTask {
  readonly design: Design;
  readonly catalogue: Catalogue;
}

const fonts = shippedFonts();

/** Runs in a thread of the pool: a design evaluated and summed up. */
export default async ({ design, catalogue }: SummaryTask): Promise<SummedUp> => {
  const evaluation = createEvaluator(catalogue, await fonts).evaluate(design);
  return evaluation.ok ? summaryOf(evaluation.value) : unbuildable;
};
