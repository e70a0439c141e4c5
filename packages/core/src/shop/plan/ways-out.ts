import { dayAfter, dayMinutes, daysBetween, timeOf, weekday } from './days.js';
import { lateJobs } from './late.js';
import { planOf } from './plan.js';
import type { Plan, PlanTask, Stretch } from './types.js';

/** What can be done about a job that is late. */
export type WayOutKind = 'first' | 'longer-days' | 'saturdays' | 'helper' | 'due-later';

/** A way out, tried: the plan it leads to. */
export interface WayOut {
  readonly kind: WayOutKind;
  readonly jobId: string;
  /** What it asks for: first, floor and jobs as they then are. */
  readonly task: PlanTask;
  readonly plan: Plan;
  /** When the job is done by it, and how late that is. */
  readonly doneAt: number;
  readonly lateMinutes: number;
  /** Other jobs that it makes later than they should be, by how much more than now. */
  readonly others: readonly { readonly jobId: string; readonly moreMinutes: number }[];
  /** The new due day, where that is the way out. */
  readonly dueOn: string | null;
}

/** Hours put on at the end of a day, and those of a Saturday. */
const longerBy = 120;
const saturday: Stretch = [8 * 60, 13 * 60];
const mostWays = 3;

const daysUntil = (from: string, to: string): readonly string[] =>
  Array.from({ length: Math.max(0, daysBetween(from, to)) + 1 }, (_, each) => dayAfter(from, each));

const withExtra = (task: PlanTask, extra: PlanTask['floor']['extra']): PlanTask => ({
  ...task,
  floor: { ...task.floor, extra: [...task.floor.extra, ...extra] },
});

const lastHour = ({ people }: PlanTask['floor'], day: string): number =>
  Math.max(0, ...people.flatMap(({ hours }) => (hours[weekday(day)] ?? []).map(([, to]) => to)));

const asked: Readonly<
  Record<Exclude<WayOutKind, 'due-later'>, (task: PlanTask, jobId: string, until: string) => PlanTask>
> = {
  first: (task, jobId) => ({ ...task, first: [...new Set([...task.first, jobId])] }),
  'longer-days': (task, _, until) =>
    withExtra(
      task,
      daysUntil(task.fromDay, until).flatMap((on) => {
        const from = lastHour(task.floor, on);
        return from === 0 ? [] : [{ on, hours: [from, Math.min(dayMinutes, from + longerBy)] as const }];
      }),
    ),
  saturdays: (task, _, until) =>
    withExtra(
      task,
      daysUntil(task.fromDay, until)
        .filter((on) => weekday(on) === 5)
        .map((on) => ({ on, hours: saturday })),
    ),
  helper: (task, _, until) => {
    const [one] = task.floor.people;
    if (one === undefined) return task;
    const away: readonly (readonly [string, string])[] = [...one.away, [dayAfter(until, 1), '9999-12-31']];
    const ids = task.floor.people.map(({ id }) => id);
    // There may be one already, for another job.
    let number = 1;
    while (ids.includes(`helper-${number}`)) number += 1;
    const helper = { ...one, id: `helper-${number}`, name: number === 1 ? 'Helper' : `Helper ${number}`, away };
    return { ...task, floor: { ...task.floor, people: [...task.floor.people, helper] } };
  },
};

const doneOf = ({ bars, now }: Plan, jobId: string): number =>
  bars.reduce((latest, bar) => (bar.jobId === jobId ? Math.max(latest, bar.until) : latest), now);

/**
 * What can be done about a late job, each way tried by a plan of its own; three at most, those that leave the least
 * lateness in the whole shop first. A way that does not bring the job nearer, or makes all jobs together later, is none.
 */
export const waysOut = (task: PlanTask, plan: Plan, jobId: string): readonly WayOut[] => {
  const job = task.jobs.find(({ id }) => id === jobId);
  if (job?.dueOn === null || job === undefined) return [];
  const late = new Map(lateJobs(task, plan).map((each) => [each.jobId, each.doneAt - each.dueAt] as const));
  const now = late.get(jobId);
  if (now === undefined) return [];
  const until = timeOf(task.fromDay, doneOf(plan, jobId)).slice(0, 10);
  const tried = (kind: WayOutKind, next: PlanTask): WayOut => {
    const anew = { ...next, keep: null };
    const found = planOf(anew);
    const then = lateJobs(anew, found).map((each) => ({ jobId: each.jobId, late: each.doneAt - each.dueAt }));
    return {
      kind,
      jobId,
      task: next,
      plan: found,
      doneAt: doneOf(found, jobId),
      lateMinutes: then.find((each) => each.jobId === jobId)?.late ?? 0,
      others: then
        .filter((each) => each.jobId !== jobId)
        .map((each) => ({ jobId: each.jobId, moreMinutes: each.late - (late.get(each.jobId) ?? 0) }))
        .filter(({ moreMinutes }) => moreMinutes > 0),
      dueOn: null,
    };
  };
  const ways = (Object.keys(asked) as (keyof typeof asked)[])
    .map((kind) => tried(kind, asked[kind](task, jobId, until)))
    .filter(({ lateMinutes, plan: found }) => lateMinutes < now && found.lateMinutes <= plan.lateMinutes)
    .sort((a, b) => a.plan.lateMinutes - b.plan.lateMinutes || a.others.length - b.others.length);
  // A day that the plan keeps as it stands is always one.
  const dueBy = (dueOn: string): PlanTask => ({
    ...task,
    jobs: task.jobs.map((each) => (each.id === jobId ? { ...each, dueOn } : each)),
  });
  const inTime = !lateJobs(dueBy(until), plan).some((each) => each.jobId === jobId);
  const dueOn = inTime ? until : dayAfter(until, 1);
  const later = dueBy(dueOn);
  const asItStands: WayOut = {
    kind: 'due-later',
    jobId,
    task: later,
    plan: { ...plan, lateMinutes: plan.lateMinutes - now },
    doneAt: doneOf(plan, jobId),
    lateMinutes: 0,
    others: [],
    dueOn,
  };
  return [...ways.slice(0, mostWays - 1), asItStands];
};
