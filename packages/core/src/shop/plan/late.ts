import { workBetween } from './hours.js';
import { aloneIn, networkOf } from './network.js';
import type { Bar, Plan, PlanTask } from './types.js';

/** Another job that one waits for: how many hours of work it held the people or the place that were needed. */
export interface WaitsFor {
  readonly jobId: string;
  readonly minutes: number;
}

/** A job that is not done in time, and why. */
export interface LateJob {
  readonly jobId: string;
  readonly dueOn: string;
  readonly dueAt: number;
  readonly doneAt: number;
  /** When it would be done were it alone in the shop. */
  readonly aloneAt: number;
  /** Work left of it, and waits along the chain that decides when it is done (min). */
  readonly workMinutes: number;
  readonly waitMinutes: number;
  /** Who was before it, the longest first. */
  readonly waitsFor: readonly WaitsFor[];
}

const shares = (bar: Bar, other: Bar): boolean =>
  bar.people.some((each) => other.people.includes(each)) || (bar.place === other.place && bar.unit === other.unit);

const lastOf = (bars: readonly Bar[]): Bar | undefined =>
  bars.reduce<Bar | undefined>((last, bar) => (last === undefined || bar.until > last.until ? bar : last), undefined);

/** The chain of steps that decides when a job is done, from its last step back. */
const chainOf = (own: readonly Bar[], before: (bar: Bar) => readonly Bar[]): readonly Bar[] => {
  const chain: Bar[] = [];
  for (let bar = lastOf(own); bar !== undefined; bar = lastOf(before(bar))) chain.push(bar);
  return chain;
};

/** Jobs that a plan has late, the latest first, each with its reason. */
export const lateJobs = (task: PlanTask, plan: Pick<Plan, 'bars'>): readonly LateJob[] => {
  const network = networkOf(task);
  const alone = aloneIn(network, task.now);
  const found = task.jobs.flatMap(({ id, steps, dueOn }, job): readonly LateJob[] => {
    const own = plan.bars.filter(({ jobId }) => jobId === id);
    const dueAt = network.dueAt[job]!;
    const doneAt = Math.max(task.now, ...own.map(({ until }) => until));
    if (dueOn === null || own.length === 0 || doneAt <= dueAt) return [];
    const barOf = new Map(own.map((bar) => [bar.stepId, bar] as const));
    const afterOf = new Map(steps.map(({ id: stepId, after }) => [stepId, after] as const));
    const before = ({ stepId }: Bar): readonly Bar[] =>
      (afterOf.get(stepId) ?? []).flatMap((each) => {
        const bar = barOf.get(each);
        return bar === undefined ? [] : [bar];
      });
    const held = new Map<string, number>();
    let waitMinutes = 0;
    for (const bar of chainOf(own, before)) {
      waitMinutes += bar.until - bar.end;
      const ready = before(bar).reduce((latest, { until }) => Math.max(latest, until), task.now);
      if (bar.start <= ready) continue;
      for (const other of plan.bars) {
        if (other.jobId === id || other.end <= ready || other.start >= bar.start || !shares(bar, other)) continue;
        const minutes = workBetween(network.anybody, Math.max(ready, other.start), Math.min(bar.start, other.end));
        held.set(other.jobId, (held.get(other.jobId) ?? 0) + minutes);
      }
    }
    const aloneAt = network.nodes.reduce(
      (latest, node, at) =>
        node.job === job && Number.isFinite(alone.until[at]!) ? Math.max(latest, alone.until[at]!) : latest,
      task.now,
    );
    return [
      {
        jobId: id,
        dueOn,
        dueAt,
        doneAt,
        aloneAt,
        workMinutes: steps.reduce((sum, { minutes }) => sum + minutes, 0),
        waitMinutes,
        waitsFor: [...held]
          .map(([jobId, minutes]) => ({ jobId, minutes: Math.round(minutes) }))
          .filter(({ minutes }) => minutes > 0)
          .sort((a, b) => b.minutes - a.minutes),
      },
    ];
  });
  return found.sort((a, b) => b.doneAt - b.dueAt - (a.doneAt - a.dueAt));
};
