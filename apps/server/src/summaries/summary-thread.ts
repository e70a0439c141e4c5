import { createEvaluator, type Catalogue } from '@vitrum/core';
import { shippedFonts } from '../common/font-book.js';
import { designFromStore } from '../jobs/stored-design.js';
import { summaryOf, unbuildable, type SummedUp } from './summary-of.js';

/** What the thread is given. */
export interface SummaryTask {
  /** As it is stored. */
  readonly design: string;
  readonly catalogue: Catalogue;
}

const fonts = shippedFonts();

/** Runs in a thread of the pool: a design evaluated and summed up. */
export default async ({ design, catalogue }: SummaryTask): Promise<SummedUp> => {
  const evaluation = createEvaluator(catalogue, await fonts).evaluate(designFromStore(JSON.parse(design)));
  return evaluation.ok ? summaryOf(evaluation.value, catalogue) : unbuildable;
};
