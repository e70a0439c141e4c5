import type { JobListing } from '@vitrum/contract';
import type { JobStatus } from '@vitrum/core';

export type JobOrder = 'due' | 'name' | 'changed' | 'wrong' | 'value';

/** Which jobs of the book: all but those put away, the late ones, those to copy from, those put away. */
export type JobShelf = 'book' | 'late' | 'templates' | 'away';

export interface JobFilter {
  readonly words: string;
  readonly status: JobStatus | 'all';
  readonly order: JobOrder;
  readonly shelf: JobShelf;
}

const valueOf = ({ summary }: JobListing): number => summary?.order?.price ?? 0;

/** A stop weighs more than any number of things to fix. */
const wrongOf = ({ summary }: JobListing): number =>
  summary === null ? 0 : 1000 * summary.counts.stop + summary.counts.fix;

const compare: Readonly<Record<JobOrder, (a: JobListing, b: JobListing) => number>> = {
  due: (a, b) => (a.dueOn ?? '9999').localeCompare(b.dueOn ?? '9999'),
  name: (a, b) => a.name.localeCompare(b.name),
  changed: (a, b) => b.updatedAt.localeCompare(a.updatedAt),
  wrong: (a, b) => wrongOf(b) - wrongOf(a),
  value: (a, b) => valueOf(b) - valueOf(a),
};

/** Whether a job’s day has passed and it is not delivered. */
export const isLate = ({ dueOn, status }: Pick<JobListing, 'dueOn' | 'status'>, today: Date): boolean =>
  dueOn !== null && status !== 'delivered' && dueOn < today.toISOString().slice(0, 10);

const onShelf: Readonly<Record<JobShelf, (job: JobListing, today: Date) => boolean>> = {
  book: ({ archived }) => !archived,
  late: (job, today) => !job.archived && isLate(job, today),
  templates: ({ archived, template }) => !archived && template,
  away: ({ archived }) => archived,
};

/** Jobs whose name or customer holds every word, of one status, in order. */
export const filterJobs = (
  jobs: readonly JobListing[],
  { words, status, order, shelf }: JobFilter,
  today: Date,
): readonly JobListing[] => {
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  return jobs
    .filter((job) => onShelf[shelf](job, today))
    .filter((job) => status === 'all' || job.status === status)
    .filter((job) => wanted.every((word) => `${job.name} ${job.customer}`.toLowerCase().includes(word)))
    .sort(compare[order]);
};

/** What the book comes to: jobs not delivered, how many of them are late, and what their orders cost the shop. */
export const bookSums = (
  jobs: readonly JobListing[],
  today: Date,
): { readonly open: number; readonly late: number; readonly price: number; readonly currency: string } => {
  const open = jobs.filter(({ archived, status, template }) => !archived && !template && status !== 'delivered');
  return {
    open: open.length,
    late: open.filter((job) => isLate(job, today)).length,
    price: open.reduce((sum, job) => sum + valueOf(job), 0),
    currency: open.find(({ summary }) => summary?.order !== undefined)?.summary?.order?.currency ?? '',
  };
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
