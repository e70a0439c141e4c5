import { randomUUID } from 'node:crypto';
import { describe, expect, it } from '@jest/globals';
import type { JobView, PlanPaper, PlanView, ProblemReport, Versioned } from '@vitrum/contract';
import { demoDesigns, planOf, startsOf, stepsLeft, usualFloor, type Floor } from '@vitrum/core';
import { body, demoShopForTests } from '../testing/harness.js';
import { SummariesService } from '../summaries/summaries.service.js';

const shop = demoShopForTests();
const { api } = shop;
const summed = (): Promise<void> => shop.app.get(SummariesService).idle();
const view = async (): Promise<PlanView> => body<PlanView>(await api().get('/api/plan').expect(200));
const paper: PlanPaper = { pins: [], starts: [], first: [] };
const keep = (given: object, basedOn: number | string) =>
  api().put('/api/plan').set('If-Match', `"${basedOn}"`).send(given);
const keepFloor = (given: object, basedOn: number) =>
  api().put('/api/plan/floor').set('If-Match', `${basedOn}`).send(given);

describe('what a plan is made from', () => {
  it('is every job at hand with its steps and those that are done, the most pressing first', async () => {
    await summed();
    const { jobs } = await view();
    expect(jobs.length).toBeGreaterThan(3);
    expect(jobs.every(({ known, status }) => known && status !== 'quoted' && status !== 'delivered')).toBe(true);
    const due = jobs.flatMap(({ dueOn }) => (dueOn === null ? [] : [dueOn]));
    expect(due).toEqual([...due].sort());
    // Steps that the demo shop has ticked are steps of these builds.
    expect(jobs.filter(({ status }) => status === 'building').every(({ done }) => done.length > 3)).toBe(true);
    for (const { steps, done } of jobs) {
      expect(done.filter((id) => !steps.some((step) => step.id === id))).toEqual([]);
      const before = new Set<string>();
      for (const step of steps) {
        expect(step.after.every((id) => before.has(id))).toBe(true);
        before.add(step.id);
      }
    }
    // All of it can be laid as the shop stands.
    const left = jobs.map((job) => ({ ...job, steps: stepsLeft(job.steps, job.done) }));
    const plan = planOf({
      jobs: left,
      floor: usualFloor,
      pins: [],
      fromDay: '2030-01-07',
      now: 480,
      keep: null,
      first: [],
    });
    expect(plan.notLaid).toEqual([]);
    expect(plan.bars).toHaveLength(left.reduce((sum, { steps }) => sum + steps.length, 0));
    expect(startsOf(plan).every(({ at }) => at >= '2030-01-07T08:00')).toBe(true);
  });

  it('follows what is ticked and what becomes of a job', async () => {
    const design = { ...demoDesigns.dispensary, proof: { readings: [], built: ['template', 'rip'] } };
    const { id } = body<JobView>(await api().post('/api/jobs').send({ name: 'Ticked', design }).expect(201));
    const of = async () => (await view()).jobs.find((job) => job.id === id);
    expect(await of()).toBeUndefined();
    await api().patch(`/api/jobs/${id}`).send({ status: 'cutting' }).expect(200);
    await summed();
    expect(await of()).toMatchObject({ known: true, done: ['template', 'rip'] });
    // What is put away, or stands there to be copied from, is not planned.
    for (const which of ['archived', 'template']) {
      await api()
        .patch(`/api/jobs/${id}`)
        .send({ [which]: true })
        .expect(200);
      expect(await of()).toBeUndefined();
      await api()
        .patch(`/api/jobs/${id}`)
        .send({ [which]: false })
        .expect(200);
      expect(await of()).toBeDefined();
    }
    await api().patch(`/api/jobs/${id}`).send({ status: 'delivered' }).expect(200);
    expect(await of()).toBeUndefined();
  });
});

describe('the plan that is kept', () => {
  it('is none at first; then it is what was sent, and its version counts', async () => {
    expect((await view()).plan).toEqual({ version: 0, paper });
    const { jobs } = await view();
    const pins = [{ jobId: jobs[0]!.id, stepId: jobs[0]!.steps[0]!.id, at: '2030-01-07T08:15' }];
    const sent = { pins, starts: pins, first: [jobs[0]!.id] };
    const kept = body<Versioned<PlanPaper>>(await keep(sent, 0).expect(200));
    expect(kept).toEqual({ version: 1, paper: sent });
    expect((await view()).plan).toEqual(kept);
    // An answer that was lost is asked for again.
    expect(body(await keep(sent, 0).expect(200))).toEqual(kept);
    expect((await keep(paper, 1).expect(200)).body).toEqual({ version: 2, paper });
  });

  it('is not changed by who looked at another; of four at once one is taken', async () => {
    const { version } = (await view()).plan;
    const { jobs } = await view();
    const answers = await Promise.all(
      jobs.slice(0, 4).map(({ id }) => keep({ ...paper, first: [id] }, version).then((answer) => answer)),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409, 409, 409]);
    const now = (await view()).plan;
    expect(now.version).toBe(version + 1);
    const refused = answers.find(({ status }) => status === 409)!;
    expect(refused.body).toMatchObject({ now });
  });

  it.each<[object, string]>([
    [{ ...paper, pins: [{ jobId: 'x', stepId: 'a', at: '2030-01-07T08:15' }] }, 'the id of a job'],
    [{ ...paper, starts: [{ jobId: randomUUID(), stepId: 'a', at: 'tomorrow' }] }, 'a time such as'],
    [{ ...paper, starts: [{ jobId: randomUUID(), stepId: 'a', at: '2030-13-07T08:15' }] }, 'a time such as'],
    [{ pins: [], first: [] }, 'starts'],
  ])('%j is refused: %s', async (given, told) => {
    const answer = await keep(given, 0).expect(400);
    expect(JSON.stringify(body<ProblemReport>(answer))).toContain(told);
  });

  it('asks for the version, and bears neither a huge nor a deep one', async () => {
    await api().put('/api/plan').send(paper).expect(428);
    await keep(paper, 'x').expect(428);
    const start = { jobId: randomUUID(), stepId: 'a', at: '2030-01-07T08:15' };
    await keep({ ...paper, starts: Array.from({ length: 6001 }, () => start) }, 0).expect(400);
    await keep({ ...paper, starts: Array.from({ length: 20_000 }, () => start) }, 0).expect(413);
  });
});

describe('the hours of the shop', () => {
  it('are the usual ones until they are told', async () => {
    const { floor } = await view();
    expect(floor).toEqual({ version: 0, paper: usualFloor });
    const mine: Floor = {
      people: [{ ...usualFloor.people[0]!, name: 'Wren', away: [['2030-01-07', '2030-01-11']] }],
      places: { ...usualFloor.places, bench: 1 },
      closed: ['2030-01-01'],
      extra: [{ on: '2030-01-12', hours: [480, 780] }],
    };
    expect((await keepFloor(mine, 0).expect(200)).body).toEqual({ version: 1, paper: mine });
    expect((await view()).floor.paper).toEqual(mine);
    await keepFloor(usualFloor, 0).expect(409);
  });

  it.each<[string, object, string]>([
    ['six days', { people: [{ ...usualFloor.people[0]!, hours: usualFloor.people[0]!.hours.slice(1) }] }, 'seven days'],
    [
      'hours over one another',
      {
        people: [
          {
            ...usualFloor.people[0]!,
            hours: Array.from({ length: 7 }, () => [
              [480, 720],
              [700, 800],
            ]),
          },
        ],
      },
      'none over another',
    ],
    ['half a bench', { places: { ...usualFloor.places, bench: 0.5 } }, 'from 0 to 12'],
    ['no paint corner told', { places: { bench: 1, saw: 1, site: 1 } }, 'from 0 to 12'],
    [
      'a spell that ends before it begins',
      { people: [{ ...usualFloor.people[0]!, away: [['2030-02-01', '2030-01-01']] }] },
      'from a day to a day',
    ],
    ['a day that is none', { closed: ['soon'] }, 'a day such as'],
    ['hours that end before they begin', { extra: [{ on: '2030-01-12', hours: [780, 480] }] }, 'from before to'],
    ['a name that cannot be shown', { people: [{ ...usualFloor.people[0]!, name: 'W\u0000' }] }, 'cannot be shown'],
  ])('%s is refused', async (_, change, told) => {
    const answer = await keepFloor({ ...usualFloor, ...change }, 0).expect(400);
    expect(JSON.stringify(body<ProblemReport>(answer))).toContain(told);
  });
});
