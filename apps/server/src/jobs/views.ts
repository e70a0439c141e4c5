import type { JobListing, QuotedPrice, RevisionView } from '@vitrum/contract';
import { quoteOf, type QuoteFacts, type QuoteTerms } from '@vitrum/core';
import type { jobs, revisions } from '../database/schema.js';

export type JobRow = typeof jobs.$inferSelect;
/** A revision without its design, which weighs a hundred times as much. */
export type RevisionRow = Omit<typeof revisions.$inferSelect, 'design' | 'items'>;

/** Where the picture of a summed-up revision is; what is there never changes. */
const pictureOf = (id: string, revision: number): string => `/api/jobs/${id}/picture?of=${revision}`;

/** A job without its picture, which weighs ten times as much. */
export type ListedJob = Omit<JobRow, 'picture' | 'needs' | 'work'> & {
  readonly hasPicture: boolean;
  readonly lastQuote: LastQuote | null;
};

/** What a quote’s price is worked out from, and whether it was agreed to. */
export interface LastQuote {
  readonly facts: QuoteFacts;
  readonly terms: QuoteTerms;
  readonly agreed: boolean;
}

const quotedOf = ({ facts, terms, agreed }: LastQuote): QuotedPrice => ({
  price: quoteOf(facts, terms).order,
  currency: facts.currency,
  agreed,
});

export const listingOf = ({ summary, summaryOf, hasPicture, lastQuote, ...job }: ListedJob): JobListing => ({
  id: job.id,
  name: job.name,
  customer: job.customer,
  status: job.status,
  dueOn: job.dueOn,
  archived: job.archived,
  template: job.template,
  handedOverOn: job.handedOverOn,
  cared: job.cared,
  quoted: lastQuote === null ? null : quotedOf(lastQuote),
  updatedAt: job.updatedAt.toISOString(),
  revision: job.headRevision,
  summary:
    summary === null || summaryOf === null
      ? null
      : { ...summary, thumbnail: hasPicture ? pictureOf(job.id, summaryOf) : null },
  summaryOf,
});

export const revisionView = (row: RevisionRow): RevisionView => ({
  number: row.number,
  parent: row.parent,
  hash: row.hash,
  savedAt: row.createdAt.toISOString(),
  note: row.note,
  setAside: row.setAside,
});
