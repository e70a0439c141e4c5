import type { PlannedJobView } from '@vitrum/contract';
import {
  dayAfter,
  dayMinutes,
  daysBetween,
  openStretches,
  type Bar,
  type Floor,
  type LateJob,
  type Plan,
} from '@vitrum/core';
import { timeScale, type TimeScale } from './time-scale';
import { dayWords } from './time-words';

/** A bar as it is drawn, in minutes as the scale places them. */
export interface DrawnBar {
  readonly row: number;
  readonly from: number;
  readonly to: number;
  /** Where its wait ends. */
  readonly until: number;
  readonly words: string;
  readonly late: boolean;
  readonly pinned: boolean;
  readonly bar: Bar;
}

/** All that the chart shows. */
export interface ChartRows {
  readonly names: readonly string[];
  readonly bars: readonly DrawnBar[];
  /** When rows are due; jobs only. */
  readonly due: readonly { readonly row: number; readonly at: number; readonly late: boolean }[];
  /** Where days begin, and what they are called. */
  readonly days: readonly { readonly at: number; readonly words: string }[];
  readonly scale: TimeScale;
}

export type RowsBy = 'jobs' | 'people';

interface Shown {
  readonly plan: Plan;
  readonly jobs: readonly PlannedJobView[];
  readonly floor: Floor;
  readonly late: readonly LateJob[];
  readonly pins: readonly { readonly jobId: string; readonly stepId: string }[];
}

/** Days that are drawn at least, so that an empty week looks like one. */
const leastDays = 7;

const scaleOf = ({ plan, floor }: Shown): TimeScale =>
  timeScale(openStretches(floor, plan.fromDay, Math.max(leastDays, Math.ceil(plan.endsAt / dayMinutes) + 1)), plan.now);

const daysOf = ({ plan, floor }: Shown, scale: TimeScale): ChartRows['days'] => {
  const begins = new Map<number, number>();
  for (const [from] of openStretches(floor, plan.fromDay, Math.max(leastDays, Math.ceil(plan.endsAt / dayMinutes) + 1)))
    if (from >= plan.now || Math.floor(from / dayMinutes) === Math.floor(plan.now / dayMinutes)) {
      const day = Math.floor(from / dayMinutes);
      if (!begins.has(day)) begins.set(day, scale.place(Math.max(from, plan.now)));
    }
  return [...begins].map(([day, at]) => ({ at, words: dayWords(dayAfter(plan.fromDay, day)) }));
};

/** The plan as rows of bars: a row for each job that has something left to do, or for each person. */
export const chartRows = (shown: Shown, by: RowsBy): ChartRows => {
  const { plan, jobs, floor, late, pins } = shown;
  const scale = scaleOf(shown);
  const jobOf = new Map(jobs.map((job) => [job.id, job] as const));
  const lateIds = new Set(late.map(({ jobId }) => jobId));
  const laid = jobs.filter(({ id }) => plan.bars.some(({ jobId }) => jobId === id));
  const names = by === 'jobs' ? laid.map(({ name }) => name) : floor.people.map(({ name }) => name);
  const rowOf = new Map(
    by === 'jobs'
      ? laid.map(({ id }, row) => [id, row] as const)
      : floor.people.map(({ id }, row) => [id, row] as const),
  );
  const titleOf = ({ jobId, stepId }: Bar): string =>
    jobOf.get(jobId)?.steps.find(({ id }) => id === stepId)?.title ?? stepId;
  const bars = plan.bars.flatMap((bar): readonly DrawnBar[] =>
    (by === 'jobs' ? [bar.jobId] : bar.people).flatMap((key) => {
      const row = rowOf.get(key);
      if (row === undefined) return [];
      return [
        {
          row,
          from: scale.place(bar.start),
          to: scale.place(bar.end),
          // A person does not wait: what dries is no work.
          until: by === 'jobs' ? scale.place(bar.until) : scale.place(bar.end),
          words: by === 'jobs' ? titleOf(bar) : (jobOf.get(bar.jobId)?.name ?? ''),
          late: lateIds.has(bar.jobId),
          pinned: pins.some(({ jobId, stepId }) => jobId === bar.jobId && stepId === bar.stepId),
          bar,
        },
      ];
    }),
  );
  const due =
    by === 'people'
      ? []
      : laid.flatMap((job, row) => {
          const own = late.find(({ jobId }) => jobId === job.id);
          const at = own?.dueAt ?? (job.dueOn === null ? null : dueMinute(shown, job.dueOn));
          return at === null || at < plan.now ? [] : [{ row, at: scale.place(at), late: own !== undefined }];
        });
  return { names, bars, due, days: daysOf(shown, scale), scale };
};

/** The last hour of work on a due day or before it. */
const dueMinute = ({ plan, floor }: Shown, dueOn: string): number => {
  const days = daysBetween(plan.fromDay, dueOn);
  const ends = openStretches({ ...floor, extra: [] }, plan.fromDay, Math.max(0, days + 1)).map(([, to]) => to);
  return ends.at(-1) ?? (days + 1) * dayMinutes;
};
