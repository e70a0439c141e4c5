import { describe, expect, it } from '@jest/globals';
import { chainOf, planJob, planStep, planTask } from '../../testing/plans.js';
import { dayMinutes } from './days.js';
import { usualFloor } from './floor.js';
import { lateJobs } from './late.js';
import { planOf } from './plan.js';
import { waysOut } from './ways-out.js';

const one = { ...usualFloor, people: usualFloor.people.slice(0, 1) };
const monday = '2030-01-07';
const endOfMonday = 16.5 * 60;

describe('a job that is late', () => {
  it('for what it is itself says so: work, waits, and when it would be done alone', () => {
    const paint = planStep('paint', { minutes: 60, waitMinutes: 24 * 60, place: 'paint', holds: true });
    const task = planTask([planJob('a', chainOf(paint, planStep('wire', { minutes: 60 })), monday)]);
    const [late, ...rest] = lateJobs(task, planOf(task));
    expect(rest).toEqual([]);
    const doneAt = dayMinutes + 10 * 60;
    expect(late).toEqual({
      jobId: 'a',
      dueOn: monday,
      dueAt: endOfMonday,
      doneAt,
      aloneAt: doneAt,
      workMinutes: 120,
      waitMinutes: 24 * 60,
      waitsFor: [],
    });
  });

  it('for others names who was before it and for how long', () => {
    const jobs = [
      planJob('small', [planStep('wire', { minutes: 60 })], monday),
      planJob('large', [planStep('wire', { minutes: 480 })], monday),
    ];
    const task = planTask(jobs, { floor: one, first: ['small'] });
    const [late] = lateJobs(task, planOf(task));
    expect(late).toMatchObject({ jobId: 'large', aloneAt: endOfMonday, waitsFor: [{ jobId: 'small', minutes: 60 }] });
    expect(late!.doneAt - late!.dueAt).toBe(dayMinutes - 8.5 * 60 + 60);
  });

  it('of which something takes more people than there are is told of what can be done', () => {
    const lift = planStep('lift', { people: 2 });
    const task = planTask([planJob('a', chainOf(planStep('wire', { minutes: 600 }), lift), monday)], { floor: one });
    const [late] = lateJobs(task, planOf(task));
    expect([late!.doneAt, late!.aloneAt]).toEqual([dayMinutes + 10 * 60, dayMinutes + 10 * 60]);
  });

  it('none is where all is in time, or nothing was promised', () => {
    const task = planTask([planJob('a', [planStep('x')], monday), planJob('b', [planStep('x', { minutes: 6000 })])]);
    expect(lateJobs(task, planOf(task))).toEqual([]);
  });
});

describe('ways out', () => {
  const jobs = [
    planJob('a', [planStep('wire', { minutes: 400 })], monday),
    planJob('b', [planStep('wire', { minutes: 200 })], monday),
  ];
  const task = planTask(jobs, { floor: one });
  const plan = planOf(task);
  const late = lateJobs(task, plan)[0]!;
  const ways = waysOut(task, plan, late.jobId);

  it('are three, each tried, none of which makes all together later; the promise is what its plan gives', () => {
    expect(ways).toHaveLength(3);
    for (const way of ways) {
      const again = planOf({ ...way.task, keep: null });
      if (way.kind !== 'due-later') expect(again.bars).toEqual(way.plan.bars);
      expect(way.plan.lateMinutes).toBeLessThanOrEqual(plan.lateMinutes);
      expect(way.lateMinutes).toBeLessThan(late.doneAt - late.dueAt);
      const then = lateJobs(way.task, way.plan).find(({ jobId }) => jobId === late.jobId);
      expect(way.lateMinutes).toBe(then === undefined ? 0 : then.doneAt - then.dueAt);
    }
    expect(new Set(ways.map(({ kind }) => kind))).toEqual(new Set(['helper', 'longer-days', 'due-later']));
  });

  it('a helper halves it, longer days take two hours off, a later day is the one that the plan keeps', () => {
    const of = (kind: string) => ways.find((way) => way.kind === kind)!;
    expect(of('helper').lateMinutes).toBe(0);
    // Ten hours of work, eight of the day and two put on.
    expect(of('longer-days').lateMinutes).toBe(120);
    expect(of('due-later').dueOn).toBe('2030-01-08');
  });

  it('a second helper is another person than the first', () => {
    const helped = ways.find(({ kind }) => kind === 'helper')!.task;
    const busier = {
      ...helped,
      keep: null,
      floor: { ...helped.floor, places: { ...helped.floor.places, bench: 3 } },
      jobs: [...helped.jobs, ...['c', 'd'].map((id) => planJob(id, [planStep('wire', { minutes: 450 })], monday))],
    };
    const found = planOf(busier);
    const again = lateJobs(busier, found).flatMap(({ jobId: id }) => waysOut(busier, found, id));
    const people = again.find(({ kind }) => kind === 'helper')!.task.floor.people;
    expect(new Set(people.map(({ id }) => id)).size).toBe(people.length);
    expect(people.slice(1).map(({ name }) => name)).toEqual(['Helper', 'Helper 2']);
  });

  it('none is for a job that is in time', () => {
    expect(waysOut(task, plan, jobs.find(({ id }) => id !== late.jobId)!.id)).toEqual([]);
    expect(waysOut(task, plan, 'nobody')).toEqual([]);
  });
});
