import {
  createEvaluator,
  litPng,
  quoteFactsOf,
  quotePdf,
  type Catalogue,
  type QuoteFacts,
  type QuoteSheet,
} from '@vitrum/core';
import { shippedFonts } from '../common/font-book.js';
import { designFromStore } from '../jobs/stored-design.js';

/** What the thread is given: a design to be looked at, with pictures or without, or a quote to be put on paper. */
export type QuoteTask =
  | { readonly kind: 'look'; readonly design: string; readonly catalogue: Catalogue; readonly pictures: boolean }
  | { readonly kind: 'paper'; readonly sheet: QuoteSheet };

/** What it finds; null where the design cannot be built as it stands. */
export type QuoteFound =
  | { readonly kind: 'looked'; readonly facts: QuoteFacts; readonly day: Uint8Array; readonly night: Uint8Array }
  | { readonly kind: 'paper'; readonly pdf: Uint8Array }
  | null;

const picturePx = 900;
const fonts = shippedFonts();
const none = new Uint8Array();

/** Runs in a thread of the pool. */
export default async (task: QuoteTask): Promise<QuoteFound> => {
  if (task.kind === 'paper') return { kind: 'paper', pdf: await quotePdf(task.sheet) };
  const { catalogue, pictures } = task;
  const evaluation = createEvaluator(catalogue, await fonts).evaluate(designFromStore(JSON.parse(task.design)));
  if (!evaluation.ok) return null;
  return {
    kind: 'looked',
    facts: quoteFactsOf(evaluation.value, catalogue.rates),
    day: pictures ? litPng(evaluation.value, 'noon', picturePx) : none,
    night: pictures ? litPng(evaluation.value, 'dark', picturePx) : none,
  };
};
