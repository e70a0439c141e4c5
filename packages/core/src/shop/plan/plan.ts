import { seededRandom } from '../../base/maths/index.js';
import { boundsOf } from './bounds.js';
import { minuteOf, timeOf } from './days.js';
import { stretchAt } from './hours.js';
import { lay, type Lie } from './lay.js';
import { aloneIn, networkOf, type Alone, type Network } from './network.js';
import { ordersOf } from './order.js';
import type { Bar, BrokenPin, Plan, PlanTask, StepTime } from './types.js';

/**
 * How good a plan is: how late all jobs are together, then when the last is done, then how soon each is done and how long
 * it lies about begun.
 */
interface Worth {
  readonly late: number;
  readonly end: number;
  readonly open: number;
}

const worthOf = ({ nodes, dueAt }: Network, { start, until }: Lie): Worth => {
  const ends = dueAt.map(() => 0);
  const begins = dueAt.map(() => Infinity);
  nodes.forEach(({ job }, at) => {
    // What found no time is not done.
    ends[job] = Math.max(ends[job]!, Number.isNaN(until[at]!) ? 1e8 : until[at]!);
    if (!Number.isNaN(start[at]!)) begins[job] = Math.min(begins[job]!, start[at]!);
  });
  return {
    late: ends.reduce((all, end, job) => all + Math.max(0, end - dueAt[job]!), 0),
    end: Math.max(0, ...ends),
    open: ends.reduce((all, end, job) => all + end + (Number.isFinite(begins[job]!) ? end - begins[job]! : 0), 0),
  };
};

const notWorse = (a: Worth, b: Worth): boolean =>
  a.late !== b.late ? a.late < b.late : a.end !== b.end ? a.end < b.end : a.open <= b.open;

/** So many steps are laid at most in search of a better order: some tenths of a second. */
const mostLaid = 40_000;
const mostRounds = 2000;
/** Of more steps the rules alone are tried, and of many the first of them. */
const searchedUpTo = 800;
const manySteps = 1500;
const rulesOfMany = 2;

interface Best {
  readonly lie: Lie;
  readonly worth: Worth;
  readonly rank: Float64Array;
}

/** The best of the rules, then of orders that differ from it in one step, or in one job, at a time. */
const best = (task: PlanTask, network: Network, alone: Alone): Lie => {
  const { floor, now, first } = task;
  const count = network.nodes.length;
  const early = new Set(first.map((id) => task.jobs.findIndex((job) => job.id === id)));
  const tried = (rank: Float64Array): Best => {
    const lie = lay(network, floor, now, rank);
    return { lie, worth: worthOf(network, lie), rank };
  };
  let found = ordersOf(network, alone, early)
    .slice(0, count > manySteps ? rulesOfMany : undefined)
    .map(tried)
    .reduce((a, b) => (notWorse(a.worth, b.worth) ? a : b));
  const least = boundsOf(network, alone, floor, now);
  const random = seededRandom(1);
  const pick = (): number => Math.floor(random() * count);
  const rounds = count < 2 || count > searchedUpTo ? 0 : Math.min(mostRounds, Math.floor(mostLaid / count));
  for (let round = 0; round < rounds; round += 1) {
    const { worth } = found;
    if (worth.late <= least.lateMinutes && worth.end <= least.endsAt) break;
    const rank = found.rank.slice();
    const [one, other] = [pick(), pick()];
    const { job } = network.nodes[one]!;
    // Who was put first stays first: only what is among their equals is moved.
    if (early.has(job) !== early.has(network.nodes[other]!.job)) continue;
    const shift = rank[other]! - rank[one]! - (random() < 0.5 ? 1e-3 : -1e-3);
    const wholeJob = random() < 0.3;
    for (let at = 0; at < count; at += 1)
      if (at === one || (wholeJob && network.nodes[at]!.job === job)) rank[at] = rank[at]! + shift;
    const next = tried(rank);
    if (notWorse(next.worth, worth)) found = next;
  }
  return found.lie;
};

/** Steps stay where they were as far as they can; what is new is laid after its rank, by when its job is due. */
const kept = (task: PlanTask, network: Network, alone: Alone, keep: readonly StepTime[]): Lie => {
  const key = (jobId: string, stepId: string): string => `${jobId} ${stepId}`;
  const old = new Map(keep.map(({ jobId, stepId, at }) => [key(jobId, stepId), minuteOf(task.fromDay, at)] as const));
  const [bySlack] = ordersOf(network, alone, new Set());
  const starts = network.nodes.map(({ job, step }) => old.get(key(task.jobs[job]!.id, step.id)));
  // What was there goes before what is new, in the order in which it was.
  const rank = Float64Array.from(starts, (start, at) => start ?? 1e9 + bySlack![at]!);
  return lay(
    network,
    task.floor,
    task.now,
    rank,
    Float64Array.from(starts, (start) => start ?? task.now),
  );
};

const laid = (task: PlanTask, network: Network, alone: Alone): Lie =>
  task.keep === null ? best(task, network, alone) : kept(task, network, alone, task.keep);

/** When what comes before a step is done. */
const readyFor = ({ nodes }: Network, lie: Lie, at: number, now: number): number =>
  nodes[at]!.before.reduce((latest, each) => Math.max(latest, lie.until[each]!), now);

/** Pins whose forerunners are not ready by then, or whose people or place another pinned step has. */
const brokenOf = (task: PlanTask, network: Network, lie: Lie): readonly StepTime[] => {
  const { nodes, anybody } = network;
  return nodes.flatMap(({ pinnedAt, job, step }, at) => {
    if (pinnedAt === null) return [];
    const readyAt = readyFor(network, lie, at, task.now);
    const wanted = Math.max(task.now, pinnedAt);
    const soonest = Math.max(wanted, anybody.starts[stretchAt(anybody, wanted)] ?? Infinity);
    const inTime = readyAt <= lie.start[at]! && lie.start[at]! <= soonest;
    const pin = task.pins.find(({ jobId, stepId }) => jobId === task.jobs[job]!.id && stepId === step.id)!;
    return inTime ? [] : [pin];
  });
};

const barsOf = (task: PlanTask, { nodes, crews }: Network, lie: Lie): readonly Bar[] =>
  nodes.flatMap(({ job, step }, at) =>
    Number.isNaN(lie.start[at]!)
      ? []
      : [
          {
            jobId: task.jobs[job]!.id,
            stepId: step.id,
            people: crews.get(step.people)![lie.crew[at]!]!.people.map((each) => task.floor.people[each]!.id),
            place: step.place,
            unit: lie.unit[at]!,
            start: lie.start[at]!,
            end: lie.end[at]!,
            until: lie.until[at]!,
          },
        ],
  );

/** How late what is laid is in all; what found no time is told by itself. */
const lateOf = ({ jobs }: PlanTask, { dueAt }: Network, bars: readonly Bar[]): number => {
  const ends = new Map<string, number>();
  for (const { jobId, until } of bars) ends.set(jobId, Math.max(ends.get(jobId) ?? 0, until));
  return jobs.reduce((sum, { id }, job) => sum + Math.max(0, (ends.get(id) ?? -Infinity) - dueAt[job]!), 0);
};

/**
 * Lays the steps of all jobs over people, places and hours: jobs in time before all else, then all done as soon as can be.
 * With a plan to keep, steps stay where they were unless they cannot. Pins that cannot be kept are let go and told.
 */
export const planOf = (task: PlanTask): Plan => {
  const broken: StepTime[] = [];
  let pins = task.pins;
  for (;;) {
    const asked = { ...task, pins };
    const network = networkOf(asked);
    const alone = aloneIn(network, task.now);
    const lie = laid(asked, network, alone);
    const now = brokenOf(asked, network, lie);
    if (now.length > 0) {
      // One at a time: with it gone the others may hold.
      broken.push(now[0]!);
      pins = pins.filter((pin) => pin !== now[0]);
      continue;
    }
    const told = new Set(network.notLaid.map(({ jobId, stepId }) => `${jobId} ${stepId}`));
    const bars = barsOf(asked, network, lie);
    return {
      bars,
      notLaid: [
        ...network.notLaid,
        ...network.nodes.flatMap(({ job, step }, at) => {
          const jobId = task.jobs[job]!.id;
          return Number.isNaN(lie.start[at]!) && !told.has(`${jobId} ${step.id}`)
            ? [{ jobId, stepId: step.id, why: 'never' as const }]
            : [];
        }),
      ],
      brokenPins: broken.map((pin): BrokenPin => {
        const at = network.nodes.findIndex(
          ({ job, step }) => task.jobs[job]!.id === pin.jobId && step.id === pin.stepId,
        );
        return { pin, readyAt: readyFor(network, lie, at, task.now) };
      }),
      fromDay: task.fromDay,
      now: task.now,
      lateMinutes: lateOf(asked, network, bars),
      endsAt: bars.reduce((last, { until }) => Math.max(last, until), task.now),
      atLeast: boundsOf(network, alone, task.floor, task.now),
    };
  }
};

/** When the steps of a plan begin, as it is kept. */
export const startsOf = ({ bars, fromDay }: Pick<Plan, 'bars' | 'fromDay'>): readonly StepTime[] =>
  bars.map(({ jobId, stepId, start }) => ({ jobId, stepId, at: timeOf(fromDay, start) }));
