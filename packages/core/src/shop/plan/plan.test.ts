import { describe, expect, it } from '@jest/globals';
import { chainOf, jobsByChance, monday, planJob, planStep, planTask } from '../../testing/plans.js';
import { dayMinutes, minuteOf, timeOf } from './days.js';
import { usualFloor } from './floor.js';
import { hoursOf, stretchAt, workBetween } from './hours.js';
import { planOf, startsOf } from './plan.js';
import { stepsLeft } from './plan-steps.js';
import type { Bar, Plan, PlanJob, PlanTask, StepTime } from './types.js';

const at = (hours: number, day = 0): number => day * dayMinutes + hours * 60;
const barOf = ({ bars }: Pick<Plan, 'bars'>, jobId: string, stepId: string): Bar =>
  bars.find((bar) => bar.jobId === jobId && bar.stepId === stepId)!;
const spanOf = (plan: Pick<Plan, 'bars'>, jobId: string, stepId: string): readonly [number, number] => {
  const { start, end } = barOf(plan, jobId, stepId);
  return [start, end];
};

describe('steps are laid', () => {
  it('one after another over breaks and nights, what must not be left in one go', () => {
    const long = planStep('long', { minutes: 10 * 60 });
    const glue = planStep('glue', { minutes: 90, whole: true });
    const plan = planOf(planTask([planJob('a', chainOf(long, glue))]));
    // Eight hours of Monday, two of Tuesday.
    expect(spanOf(plan, 'a', 'long')).toEqual([at(8), at(10, 1)]);
    expect(spanOf(plan, 'a', 'glue')).toEqual([at(10, 1), at(11.5, 1)]);
    const whole = planOf(planTask([planJob('a', [planStep('glue', { minutes: 90, whole: true })])], { now: at(11) }));
    // It would not be done by noon.
    expect(spanOf(whole, 'a', 'glue')).toEqual([at(12.5), at(14)]);
  });

  it('while paint of one job dries another is worked on, and a wait goes on by night', () => {
    const paint = planStep('paint', { place: 'paint', holds: true, minutes: 60, waitMinutes: 22 * 60 });
    const jobs = [planJob('a', chainOf(paint, planStep('next'))), planJob('b', [planStep('wire', { minutes: 120 })])];
    const floor = { ...usualFloor, people: usualFloor.people.slice(0, 1) };
    const plan = planOf(planTask(jobs, { floor }));
    expect(spanOf(plan, 'a', 'paint')).toEqual([at(8), at(9)]);
    expect(spanOf(plan, 'b', 'wire')).toEqual([at(9), at(11)]);
    // Dry at seven in the morning.
    expect(spanOf(plan, 'a', 'next')).toEqual([at(8, 1), at(8.5, 1)]);
  });

  it('wet paint holds its place, what is clamped does not', () => {
    const wet = (id: string, holds: boolean) =>
      planJob(id, [planStep('coat', { place: 'paint', holds, minutes: 30, waitMinutes: 120 })]);
    const floor = { ...usualFloor, places: { ...usualFloor.places, paint: 1 } };
    const apart = (holds: boolean): number => {
      const plan = planOf(planTask([wet('a', holds), wet('b', holds)], { floor }));
      return Math.abs(barOf(plan, 'a', 'coat').start - barOf(plan, 'b', 'coat').start);
    };
    expect([apart(true), apart(false)]).toEqual([150, 30]);
  });

  it('what takes two has two, at hours that both work', () => {
    const [one, two] = usualFloor.people;
    const afternoons = { ...two!, hours: usualFloor.people[0]!.hours.map((day) => day.slice(1)) };
    const plan = planOf(
      planTask([planJob('a', [planStep('hang', { people: 2, place: 'site', minutes: 60 })])], {
        floor: { ...usualFloor, people: [one!, afternoons] },
      }),
    );
    expect(barOf(plan, 'a', 'hang')).toMatchObject({ people: ['one', 'two'], start: at(12.5), end: at(13.5) });
  });

  it('a new sign is not left lit: its soak ends while somebody is there', () => {
    const soak = planStep('soak', { minutes: 15, waitMinutes: 60, whole: true, holds: true, attended: true });
    const plan = planOf(planTask([planJob('a', [soak])], { now: at(15.75) }));
    expect(barOf(plan, 'a', 'soak').start).toBe(at(8, 1));
  });

  it('days away, closed days and hours put on count', () => {
    const job = planJob('a', [planStep('long', { minutes: 16 * 60 })]);
    const floor = { ...usualFloor, people: usualFloor.people.slice(0, 1) };
    const ends = (rest: Partial<PlanTask['floor']>): string =>
      timeOf(monday, planOf(planTask([job], { floor: { ...floor, ...rest } })).endsAt);
    expect(ends({})).toBe('2030-01-08T16:30');
    expect(ends({ closed: ['2030-01-08'] })).toBe('2030-01-09T16:30');
    expect(ends({ people: [{ ...floor.people[0]!, away: [['2030-01-08', '2030-01-11']] }] })).toBe('2030-01-14T16:30');
    expect(ends({ extra: [{ on: monday, hours: [16.5 * 60, 18.5 * 60] }] })).toBe('2030-01-08T14:30');
  });

  it('what nobody can do, or has no place, is told and holds up its own job only', () => {
    const jobs = [
      planJob('a', chainOf(planStep('lift', { people: 3 }), planStep('next'))),
      planJob('b', [planStep('spray', { place: 'paint' })]),
      planJob('c', [planStep('wire')]),
    ].map((job) => ({ ...job, dueOn: monday }));
    const plan = planOf(planTask(jobs, { floor: { ...usualFloor, places: { ...usualFloor.places, paint: 0 } } }));
    expect(plan.notLaid).toEqual([
      { jobId: 'a', stepId: 'lift', why: 'nobody' },
      { jobId: 'b', stepId: 'spray', why: 'no-place' },
      { jobId: 'a', stepId: 'next', why: 'never' },
    ]);
    expect(plan.bars.map(({ jobId }) => jobId)).toEqual(['c']);
    expect([plan.endsAt, plan.lateMinutes]).toEqual([at(8.5), 0]);
    expect(plan.atLeast.endsAt).toBeLessThan(at(9));
  });

  it('nothing to do is a plan that ends now', () => {
    expect(planOf(planTask([]))).toMatchObject({ bars: [], lateMinutes: 0, endsAt: at(8) });
  });

  it('what is done is left out', () => {
    const steps = chainOf(planStep('cut'), planStep('glue'), planStep('wire'));
    const plan = planOf(planTask([planJob('a', stepsLeft(steps, ['cut', 'glue']))]));
    expect(plan.bars.map(({ stepId, start }) => [stepId, start])).toEqual([['wire', at(8)]]);
  });
});

/** What must hold of every plan; each broken rule in words. */
const brokenRules = (task: PlanTask, { bars }: Pick<Plan, 'bars'>): readonly string[] => {
  const hours = new Map(task.floor.people.map((each) => [each.id, hoursOf(each, task.floor, task.fromDay)] as const));
  const stepOf = new Map(
    task.jobs.flatMap(({ id, steps }) => steps.map((step) => [`${id} ${step.id}`, step] as const)),
  );
  const overlaps = (a: Bar, b: Bar, till: (bar: Bar) => number): boolean => a.start < till(b) && b.start < till(a);
  const held = (bar: Bar): number => (stepOf.get(`${bar.jobId} ${bar.stepId}`)!.holds ? bar.until : bar.end);
  return bars.flatMap((bar, place) => {
    const step = stepOf.get(`${bar.jobId} ${bar.stepId}`)!;
    const broken: string[] = [];
    const tell = (what: string): void => void broken.push(`${bar.jobId} ${bar.stepId}: ${what}`);
    if (bar.start < task.now) tell('before now');
    if (bar.people.length !== step.people) tell('people');
    for (const id of bar.people)
      if (step.people === 1 && workBetween(hours.get(id)!, bar.start, bar.end) !== step.minutes) tell('hours');
    if (
      step.whole &&
      stretchAt(hours.get(bar.people[0]!)!, bar.start) !== stretchAt(hours.get(bar.people[0]!)!, bar.end - 1)
    )
      tell('left over a break');
    for (const id of step.after) if (barOf({ bars }, bar.jobId, id).until > bar.start) tell(`before ${id}`);
    for (const other of bars.slice(place + 1)) {
      const same = bar.people.filter((id) => other.people.includes(id));
      if (same.length > 0 && overlaps(bar, other, ({ end }) => end)) tell(`${same[0]} at two things`);
      if (bar.place === other.place && bar.unit === other.unit && overlaps(bar, other, held))
        tell(`place of ${other.stepId}`);
    }
    return broken;
  });
};

describe('every plan', () => {
  it.each([1, 2, 3, 4, 5, 6, 7, 8])('keeps all rules, and no bound is above it (%i)', (seed) => {
    const jobs = jobsByChance(seed, 5, 6, 3).map((job) => ({
      ...job,
      steps: job.steps.map((step, place) => ({ ...step, whole: place % 3 === 0 && step.minutes <= 240 })),
    }));
    const task = planTask(jobs);
    const plan = planOf(task);
    expect(plan.bars).toHaveLength(30);
    expect(brokenRules(task, plan)).toEqual([]);
    expect(plan.atLeast.endsAt).toBeLessThanOrEqual(plan.endsAt + 1e-6);
    expect(plan.atLeast.lateMinutes).toBeLessThanOrEqual(plan.lateMinutes + 1e-6);
    expect(planOf(task).bars).toEqual(plan.bars);
  });

  it('puts a job first that is asked to be, whatever it costs the others', () => {
    const jobs = jobsByChance(9, 4, 5, 2);
    const ended = (first: readonly string[]): number =>
      Math.max(
        ...planOf(planTask(jobs, { first })).bars.flatMap(({ jobId, until }) => (jobId === 'job 3' ? [until] : [])),
      );
    const alone = planOf(planTask(jobs.slice(3))).endsAt;
    expect(ended(['job 3'])).toBeLessThanOrEqual(ended([]));
    expect(ended(['job 3'])).toBe(alone);
  });
});

describe('a plan that is kept', () => {
  const jobs = jobsByChance(4, 3, 5, 6);
  const task = planTask(jobs);
  const before = planOf(task);

  it('does not move where nothing has changed', () => {
    expect(planOf({ ...task, keep: startsOf(before) }).bars).toEqual(before.bars);
  });

  it('moves only what is delayed and what stands behind it', () => {
    const delayed: readonly PlanJob[] = jobs.map((job) =>
      job.id === 'job 0'
        ? {
            ...job,
            steps: job.steps.map((step, place) => (place === 2 ? { ...step, minutes: step.minutes + 120 } : step)),
          }
        : job,
    );
    const asked = { ...task, jobs: delayed, keep: startsOf(before) };
    const after = planOf(asked);
    expect(brokenRules(asked, after)).toEqual([]);
    const late = barOf(before, 'job 0', '2').start;
    for (const bar of before.bars)
      if (bar.start < late) expect(barOf(after, bar.jobId, bar.stepId).start).toBe(bar.start);
    for (const bar of after.bars) expect(bar.start).toBeGreaterThanOrEqual(barOf(before, bar.jobId, bar.stepId).start);
    const moved = (plan: Pick<Plan, 'bars'>): number =>
      plan.bars.filter((bar) => barOf(before, bar.jobId, bar.stepId).start !== bar.start).length;
    expect(moved(after)).toBeLessThanOrEqual(moved(planOf({ ...asked, keep: null })));
  });

  it('takes in a new job beside the others', () => {
    const asked = { ...task, jobs: [...jobs, planJob('new', [planStep('wire')])], keep: startsOf(before) };
    const after = planOf(asked);
    expect(after.bars.filter(({ jobId }) => jobId !== 'new')).toEqual(before.bars);
    expect(barOf(after, 'new', 'wire')).toBeDefined();
  });

  it('slips on to now where it was left undone, and is the same counted from another day', () => {
    const later = planOf({ ...task, keep: startsOf(before), now: at(9, 1) });
    expect(Math.min(...later.bars.map(({ start }) => start))).toBeGreaterThanOrEqual(at(9, 1));
    const seen = planOf({ ...task, keep: startsOf(before), fromDay: '2030-01-06' });
    expect(seen.bars.map(({ start }) => start - dayMinutes)).toEqual(before.bars.map(({ start }) => start));
  });
});

describe('a pinned step', () => {
  const jobs = [
    planJob('a', chainOf(planStep('cut', { place: 'saw' }), planStep('hang', { place: 'site' }))),
    planJob('b', [planStep('wire')]),
  ];
  const pin = (time: string): StepTime => ({ jobId: 'a', stepId: 'hang', at: time });

  it('begins when it is pinned to, and others go round it', () => {
    const plan = planOf(planTask(jobs, { pins: [pin('2030-01-09T10:15')] }));
    expect(barOf(plan, 'a', 'hang').start).toBe(minuteOf(monday, '2030-01-09T10:15'));
    expect(barOf(plan, 'b', 'wire').start).toBe(at(8));
    expect(plan.brokenPins).toEqual([]);
  });

  it('is let go and told where what comes before it is not ready', () => {
    const wanted = pin('2030-01-07T08:15');
    const plan = planOf(planTask(jobs, { pins: [wanted] }));
    expect(plan.brokenPins).toEqual([{ pin: wanted, readyAt: at(8.5) }]);
    expect(barOf(plan, 'a', 'hang').start).toBe(at(8.5));
  });

  it('of two for one pair of hands one is let go', () => {
    const one = { ...usualFloor, people: usualFloor.people.slice(0, 1) };
    const pins = [pin('2030-01-08T10:00'), { jobId: 'b', stepId: 'wire', at: '2030-01-08T10:15' }];
    const plan = planOf(planTask(jobs, { floor: one, pins }));
    expect(plan.brokenPins).toHaveLength(1);
    expect(brokenRules(planTask(jobs, { floor: one }), plan)).toEqual([]);
  });
});
