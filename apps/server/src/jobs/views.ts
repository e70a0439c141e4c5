import type { DesignSummary, JobListing, RevisionView, RevisionWithDesign } from '@vitrum/contract';
import type { jobs, revisions } from '../database/schema.js';
import { designFromStore } from './stored-design.js';

export type JobRow = typeof jobs.$inferSelect;
export type RevisionRow = typeof revisions.$inferSelect;

/** A revision that has been summed up. */
interface Summed {
  readonly number: number;
  readonly summary: DesignSummary | null;
}

export const listingOf = (job: JobRow, summed: Summed | null): JobListing => ({
  id: job.id,
  name: job.name,
  customer: job.customer,
  status: job.status,
  dueOn: job.dueOn,
  updatedAt: job.updatedAt.toISOString(),
  revision: job.headRevision,
  summary: summed?.summary ?? null,
  summaryOf: summed?.number ?? null,
});

export const revisionView = (row: Omit<RevisionRow, 'design' | 'summary'>): RevisionView => ({
  number: row.number,
  parent: row.parent,
  hash: row.hash,
  savedAt: row.createdAt.toISOString(),
  note: row.note,
  setAside: row.setAside,
});

export const revisionWithDesign = (row: RevisionRow): RevisionWithDesign => ({
  ...revisionView(row),
  design: designFromStore(row.design),
});
