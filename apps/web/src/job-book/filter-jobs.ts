import type { JobListing } from '@vitrum/contract';
import { nextCare, type CareDue, type JobStatus } from '@vitrum/core';

export type JobOrder = 'due' | 'name' | 'changed' | 'wrong' | 'value';

/** Which jobs of the book: all but those put away, the late ones, signs to be looked after, those to copy from, those put away. */
export type JobShelf = 'book' | 'late' | 'care' | 'templates' | 'away';

export interface JobFilter {
  readonly words: string;
  readonly status: JobStatus | 'all';
  readonly order: JobOrder;
  readonly shelf: JobShelf;
}

/** What a job brings: what it was quoted at; what its order costs the shop where nobody quoted it yet. */
export const valueOf = ({ quoted, summary }: Pick<JobListing, 'quoted' | 'summary'>): number =>
  quoted?.price ?? summary?.order?.price ?? 0;

/** A stop weighs more than any number of things to fix. */
const wrongOf = ({ summary }: JobListing): number =>
  summary === null ? 0 : 1000 * summary.counts.stop + summary.counts.fix;

const dayMs = 86_400_000;

const daysUntil = (day: string, today: Date): number =>
  Math.round((Date.parse(day) - Date.parse(today.toISOString().slice(0, 10))) / dayMs);

/** Whether a job’s day has passed and it is not delivered. */
export const isLate = ({ dueOn, status }: Pick<JobListing, 'dueOn' | 'status'>, today: Date): boolean =>
  dueOn !== null && status !== 'delivered' && dueOn < today.toISOString().slice(0, 10);

/** A visit is planned about so long before it is due (days). */
const careAhead = 14;

/** What is to be done next to a sign that was handed over; null where it was not, or nothing is known to be done. */
export const careDue = ({ handedOverOn, cared, summary, archived }: JobListing): CareDue | null =>
  handedOverOn === null || archived ? null : nextCare(summary?.care ?? [], handedOverOn, cared);

/** The day on which something is due of a job: its own, or after that when its sign is to be looked after. */
const nextDay = (job: JobListing): string => (job.status === 'delivered' ? careDue(job)?.on : job.dueOn) ?? '9999';

const compare: Readonly<Record<JobOrder, (a: JobListing, b: JobListing) => number>> = {
  due: (a, b) => nextDay(a).localeCompare(nextDay(b)),
  name: (a, b) => a.name.localeCompare(b.name),
  changed: (a, b) => b.updatedAt.localeCompare(a.updatedAt),
  wrong: (a, b) => wrongOf(b) - wrongOf(a),
  value: (a, b) => valueOf(b) - valueOf(a),
};

/** Whether a sign is to be looked after now or within a fortnight. */
export const wantsCare = (job: JobListing, today: Date): boolean => {
  const due = careDue(job);
  return due !== null && daysUntil(due.on, today) <= careAhead;
};

const onShelf: Readonly<Record<JobShelf, (job: JobListing, today: Date) => boolean>> = {
  book: ({ archived }) => !archived,
  late: (job, today) => !job.archived && isLate(job, today),
  care: wantsCare,
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

/** Open jobs of one kind: how many, and what they come to. */
export interface BookSum {
  readonly jobs: number;
  readonly price: number;
}

/**
 * What the book comes to: jobs not delivered, how many of them are late, those that customers said yes to or that are
 * quoted, at their price, and those without a quote, at what their orders cost the shop.
 */
export const bookSums = (
  jobs: readonly JobListing[],
  today: Date,
): {
  readonly open: number;
  readonly late: number;
  readonly care: number;
  readonly agreed: BookSum;
  readonly quoted: BookSum;
  readonly atCost: BookSum;
  readonly currency: string;
} => {
  const open = jobs.filter(({ archived, status, template }) => !archived && !template && status !== 'delivered');
  const sumOf = (which: (job: JobListing) => boolean): BookSum => {
    const own = open.filter(which);
    return { jobs: own.length, price: own.reduce((sum, job) => sum + valueOf(job), 0) };
  };
  return {
    open: open.length,
    late: open.filter((job) => isLate(job, today)).length,
    care: jobs.filter((job) => wantsCare(job, today)).length,
    agreed: sumOf(({ quoted }) => quoted?.agreed === true),
    quoted: sumOf(({ quoted }) => quoted?.agreed === false),
    atCost: sumOf(({ quoted }) => quoted === null),
    currency: open.find(({ summary }) => summary?.order !== undefined)?.summary?.order?.currency ?? '',
  };
};

/** When a sign is to be looked after, in the words of a shop. */
export const careText = ({ on }: CareDue, today: Date): string => {
  const days = daysUntil(on, today);
  if (days < 0) return `care ${-days} day${days === -1 ? '' : 's'} overdue`;
  return days === 0 ? 'care due today' : `care in ${days} day${days === 1 ? '' : 's'}`;
};

/** A due date in the words of a shop. */
export const dueText = (dueOn: string | null, today: Date): string => {
  if (dueOn === null) return 'no date';
  const days = daysUntil(dueOn, today);
  if (days < 0) return `${-days} day${days === -1 ? '' : 's'} late`;
  if (days === 0) return 'due today';
  return days === 1 ? 'due tomorrow' : `due in ${days} days`;
};

/** A picture that does not come within this time does not come (ms). */
const followsWithinMs = 60_000;

/** Whether the picture of a job’s newest design is still to come: it was saved a moment ago and is not summed up yet. */
export const isOnItsWay = ({ summaryOf, revision, updatedAt }: JobListing, nowMs: number): boolean =>
  summaryOf !== revision && nowMs - Date.parse(updatedAt) < followsWithinMs;
