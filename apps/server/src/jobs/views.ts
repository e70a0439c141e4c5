import type { JobListing, RevisionView } from '@vitrum/contract';
import type { jobs, revisions } from '../database/schema.js';

export type JobRow = typeof jobs.$inferSelect;
/** A revision without its design, which weighs a hundred times as much. */
export type RevisionRow = Omit<typeof revisions.$inferSelect, 'design' | 'items'>;

/** Where the picture of a summed-up revision is; what is there never changes. */
const pictureOf = (id: string, revision: number): string => `/api/jobs/${id}/picture?of=${revision}`;

/** A job without its picture, which weighs ten times as much. */
export type ListedJob = Omit<JobRow, 'picture' | 'needs' | 'work'> & { readonly hasPicture: boolean };

export const listingOf = ({ summary, summaryOf, hasPicture, ...job }: ListedJob): JobListing => ({
  id: job.id,
  name: job.name,
  customer: job.customer,
  status: job.status,
  dueOn: job.dueOn,
  archived: job.archived,
  template: job.template,
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
