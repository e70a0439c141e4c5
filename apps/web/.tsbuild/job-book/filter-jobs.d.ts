import type { JobListing } from '@vitrum/contract';
import type { JobStatus } from '@vitrum/core';
export type JobOrder = 'due' | 'name' | 'changed';
export interface JobFilter {
  readonly words: string;
  readonly status: JobStatus | 'all';
  readonly order: JobOrder;
}
/** Jobs whose name or customer holds every word, of one status, in order. */
export declare const filterJobs: (
  jobs: readonly JobListing[],
  { words, status, order }: JobFilter,
) => readonly JobListing[];
/** A due date in the words of a shop. */
export declare const dueText: (dueOn: string | null, today: Date) => string;
