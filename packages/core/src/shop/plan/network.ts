import { dayMinutes, daysBetween, minuteOf } from './days.js';
import { anybodysHours, commonHours, doneAt, hoursOf, stretchAt, type Hours } from './hours.js';
import type { NotLaid, PlanStep, PlanTask } from './types.js';

/** A step among all that are to be laid; those before and after it by their places in the list. */
export interface Node {
  readonly job: number;
  readonly step: PlanStep;
  readonly before: readonly number[];
  readonly after: readonly number[];
  /** When it is pinned to. */
  readonly pinnedAt: number | null;
}

/** People who could do a step together, and when they all work. */
export interface Crew {
  readonly people: readonly number[];
  readonly hours: Hours;
}

/** All steps with what must come before each, and who could do them. */
export interface Network {
  readonly nodes: readonly Node[];
  /** By how many people a step takes. */
  readonly crews: ReadonlyMap<number, readonly Crew[]>;
  /** When each person works. */
  readonly hours: readonly Hours[];
  /** When somebody works. */
  readonly anybody: Hours;
  /** Each job’s last hour of its due day; infinite where none was promised. */
  readonly dueAt: readonly number[];
  readonly notLaid: readonly NotLaid[];
}

/** Larger crews than these are not tried in every make-up. */
const mostCrews = 60;

const crewsOf = (hours: readonly Hours[], size: number): readonly Crew[] => {
  const found: Crew[] = [];
  const choose = (from: number, people: readonly number[]): void => {
    if (found.length >= mostCrews) return;
    if (people.length === size) {
      found.push({ people, hours: commonHours(people.map((each) => hours[each]!)) });
      return;
    }
    for (let each = from; each < hours.length; each += 1) choose(each + 1, [...people, each]);
  };
  choose(0, []);
  return found.filter(({ hours: { longest } }) => longest > 0);
};

/** The last hour of work on a day or before it, where nobody works on that day; its midnight where that was before the plan. */
const lastHourOf = ({ starts, ends }: Hours, day: number): number => {
  const midnight = (day + 1) * dayMinutes;
  let last: number | null = null;
  for (let at = 0; at < starts.length && starts[at]! < midnight; at += 1) last = ends[at]!;
  return last ?? midnight;
};

/** What must come before what, with only what is left to do in it. */
export const networkOf = ({ jobs, floor, pins, fromDay }: PlanTask): Network => {
  const hours = floor.people.map((person) => hoursOf(person, floor, fromDay));
  const sizes = new Set(jobs.flatMap(({ steps }) => steps.map(({ people }) => people)));
  const crews = new Map([...sizes].map((size) => [size, crewsOf(hours, size)] as const));
  const anybody = anybodysHours(hours);
  // Hours that are put on do not put off when a job is due.
  const usual = { ...floor, extra: [] };
  const day =
    floor.extra.length === 0 ? anybody : anybodysHours(floor.people.map((each) => hoursOf(each, usual, fromDay)));
  const notLaid: NotLaid[] = [];
  const nodes: Node[] = [];
  jobs.forEach(({ id, steps }, job) => {
    const at = new Map<string, number>();
    for (const step of steps) {
      const why =
        floor.places[step.place] < 1 ? 'no-place' : (crews.get(step.people)?.length ?? 0) === 0 ? 'nobody' : null;
      if (why !== null) notLaid.push({ jobId: id, stepId: step.id, why });
      const before = step.after.flatMap((each) => (at.has(each) ? [at.get(each)!] : []));
      const pin = pins.find(({ jobId, stepId }) => jobId === id && stepId === step.id);
      at.set(step.id, nodes.length);
      nodes.push({ job, step, before, after: [], pinnedAt: pin === undefined ? null : minuteOf(fromDay, pin.at) });
    }
  });
  const after = nodes.map((): number[] => []);
  nodes.forEach(({ before }, at) => before.forEach((each) => after[each]!.push(at)));
  return {
    nodes: nodes.map((node, at) => ({ ...node, after: after[at]! })),
    crews,
    hours,
    anybody,
    dueAt: jobs.map(({ dueOn }) => (dueOn === null ? Infinity : lastHourOf(day, daysBetween(fromDay, dueOn)))),
    notLaid,
  };
};

/** When each step would be done at the soonest, and how long all that follows it takes, were its job alone in the shop. */
export interface Alone {
  readonly readyAt: Float64Array;
  readonly until: Float64Array;
  /** From its start until its job is done (min by the clock, in working hours without a break). */
  readonly tail: Float64Array;
}

/** Looks at each job by itself: bounds below which no plan can come. */
export const aloneIn = ({ nodes, crews }: Network, now: number): Alone => {
  const readyAt = new Float64Array(nodes.length);
  const until = new Float64Array(nodes.length);
  const tail = new Float64Array(nodes.length);
  nodes.forEach(({ step, before }, at) => {
    const ready = before.reduce((latest, each) => Math.max(latest, until[each]!), now);
    readyAt[at] = ready;
    const ends = (crews.get(step.people) ?? []).map(({ hours }) => {
      const first = stretchAt(hours, ready);
      const start = Math.max(ready, hours.starts[first] ?? Infinity);
      return doneAt(hours, first, start, step.minutes) ?? Infinity;
    });
    until[at] = Math.min(...ends, Infinity) + step.waitMinutes;
  });
  for (let at = nodes.length - 1; at >= 0; at -= 1) {
    const { step, after } = nodes[at]!;
    tail[at] = step.minutes + step.waitMinutes + after.reduce((most, each) => Math.max(most, tail[each]!), 0);
  }
  return { readyAt, until, tail };
};
