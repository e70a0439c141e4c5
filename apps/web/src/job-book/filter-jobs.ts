import type { JobListing } from '@vitrum/contract';
import type { JobStatus } from '@vitrum/core';

export type JobOrder = 'due' | 'name' | 'changed';

export interface JobFilter {
  readonly words: string;
  readonly status: JobStatus | 'all';
  readonly order: JobOrder;
}

const compare: Readonly<Record<JobOrder, (a: JobListing, b: JobListing) => number>> = {
  due: (a, b) => (a.dueOn ?? '9999').localeCompare(b.dueOn ?? '9999'),
  name: (a, b) => a.name.localeCompare(b.name),
  changed: (a, b) => b.updatedAt.localeCompare(a.updatedAt),
};

/** Jobs whose name or customer holds every word, of one status, in order. */
export const filterJobs = (jobs: readonly JobListing[], { words, status, order }: JobFilter): readonly JobListing[] => {
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  return jobs
    .filter((job) => status === 'all' || job.status === status)
    .filter((job) => wanted.every((word) => `${job.name} ${job.customer}`.toLowerCase().includes(word)))
    .sort(compare[order]);
};

const dayMs = 86_400_000;

/** A due date in the words of a shop. */
export const dueText = (dueOn: string | null, today: Date): string => {
  if (dueOn === null) return 'no date';
  const days = Math.round((Date.parse(dueOn) - Date.parse(today.toISOString().slice(0, 10))) / dayMs);
  if (days < 0) return `${-days} day${days === -1 ? '' : 's'} late`;
  if (days === 0) return 'due today';
  return days === 1 ? 'due tomorrow' : `due in ${days} days`;
};

/** A picture that does not come within this time does not come (ms). */
const followsWithinMs = 60_000;

/** Whether the picture of a job’s newest design is still to come: it was saved a moment ago and is not summed up yet. */
export const isOnItsWay = ({ summaryOf, revision, updatedAt }: JobListing, nowMs: number): boolean =>
  summaryOf !== revision && nowMs - Date.parse(updatedAt) < followsWithinMs;
