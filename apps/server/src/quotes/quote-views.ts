import type { OfferView, QuoteAnswerView, QuoteStanding, QuoteView } from '@vitrum/contract';
import { quoteOf } from '@vitrum/core';
import type { quoteAnswers, quotes } from '../database/schema.js';

/** A quote without its pictures. */
export type QuoteRow = Omit<typeof quotes.$inferSelect, 'day' | 'night' | 'wallDay' | 'wallNight'> & {
  readonly hasWallDay: boolean;
  readonly hasWallNight: boolean;
};
export type AnswerRow = typeof quoteAnswers.$inferSelect;

const today = (): string => new Date().toISOString().slice(0, 10);

/** How a quote stands: what is agreed stays so, whatever the day. */
export const standingOf = (
  row: Pick<QuoteRow, 'withdrawn' | 'validUntil'>,
  answers: readonly AnswerRow[],
): QuoteStanding => {
  if (answers.some(({ what }) => what === 'yes')) return 'agreed';
  if (row.withdrawn) return 'withdrawn';
  return row.validUntil < today() ? 'expired' : 'open';
};

const answerView = ({ what, name, remark, at }: AnswerRow): QuoteAnswerView => ({
  what,
  name,
  remark,
  at: at.toISOString(),
});

export const quoteView = (row: QuoteRow, answers: readonly AnswerRow[]): QuoteView => ({
  id: row.id,
  token: row.token,
  jobId: row.jobId,
  revision: row.revision,
  facts: row.facts,
  terms: row.terms,
  quote: quoteOf(row.facts, row.terms),
  madeAt: row.madeAt.toISOString(),
  validUntil: row.validUntil,
  standing: standingOf(row, answers),
  answers: answers.map(answerView),
});

/** What a customer is shown: nothing of what it costs the shop, nor of the job. */
export const offerView = (row: QuoteRow, customer: string, answers: readonly AnswerRow[]): OfferView => {
  const { facts, terms } = row;
  const quote = quoteOf(facts, terms);
  return {
    name: facts.name,
    customer,
    size: facts.size,
    kg: facts.kg,
    quantity: facts.quantity,
    currency: facts.currency,
    first: quote.first,
    further: quote.further,
    order: quote.order,
    includes: terms.includes,
    note: terms.note,
    runningPerYear: quote.runningPerYear,
    watts: facts.watts,
    hoursPerDay: facts.hoursPerDay,
    lifeYears: quote.life.years,
    onWall: [...(row.hasWallDay ? ['day' as const] : []), ...(row.hasWallNight ? ['night' as const] : [])],
    madeAt: row.madeAt.toISOString(),
    validUntil: row.validUntil,
    standing: standingOf(row, answers),
    answers: answers.map(answerView),
  };
};
