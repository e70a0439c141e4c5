import type { AnswerQuoteDto, JobQuotesView, OfferView, QuoteView } from '@vitrum/contract';
import type { QuoteTerms } from '@vitrum/core';
import { request } from './client';

export const getQuotes = (jobId: string): Promise<JobQuotesView> => request(`/quotes?job=${jobId}`);

export const makeQuote = (jobId: string, terms: QuoteTerms): Promise<QuoteView> =>
  request('/quotes', { method: 'POST', body: JSON.stringify({ jobId, ...terms }) });

export const withdrawQuote = (id: string): Promise<QuoteView> => request(`/quotes/${id}/withdraw`, { method: 'POST' });

/** Where a quote is had on paper. */
export const quotePaper = (id: string): string => `/api/quotes/${id}/pdf`;

export const getOffer = (token: string): Promise<OfferView> => request(`/offers/${token}`);

/** Where the sign of an offer is seen by day or by night, alone or on the customer’s wall. */
export const offerPicture = (token: string, of: 'day' | 'night' | 'wall-day' | 'wall-night'): string =>
  `/api/offers/${token}/picture?of=${of}`;

export const answerOffer = (token: string, said: AnswerQuoteDto): Promise<OfferView> =>
  request(`/offers/${token}/answers`, { method: 'POST', body: JSON.stringify(said) });
