import { randomUUID } from 'node:crypto';
import { describe, expect, it } from '@jest/globals';
import type { JobView, PlanView, ProblemReport, RecordsView } from '@vitrum/contract';
import {
  commissionSteps,
  createEvaluator,
  demoDesigns,
  shippedCatalogue,
  type Catalogue,
  type Lesson,
} from '@vitrum/core';
import { shippedFonts } from '../common/font-book.js';
import { SummariesService } from '../summaries/summaries.service.js';
import { body, demoShopForTests } from '../testing/harness.js';

const shop = demoShopForTests();
const { api } = shop;
const summed = (): Promise<void> => shop.app.get(SummariesService).idle();
const view = async (): Promise<RecordsView> => body<RecordsView>(await api().get('/api/records').expect(200));
const planned = async (id: string) => {
  await summed();
  return body<PlanView>(await api().get('/api/plan').expect(200)).jobs.find((job) => job.id === id)!;
};
const messageOf = (response: { readonly body: unknown }): string => {
  const { message, problems } = response.body as ProblemReport;
  return [message, ...problems.map((each) => each.message)].join(' ');
};

/** A job that was built: each step of preparing took `factor` times what is typical. */
const built = async (name: string, factor: number, readings: readonly object[] = []): Promise<JobView> => {
  const design = { ...demoDesigns.dispensary, proof: { readings } };
  const job = body<JobView>(await api().post('/api/jobs').send({ name, design }).expect(201));
  await api().patch(`/api/jobs/${job.id}`).send({ status: 'building' }).expect(200);
  const own = createEvaluator(shippedCatalogue, await shippedFonts()).evaluate(demoDesigns.dispensary);
  if (!own.ok) throw new Error('the job is sound');
  const entries = own.value.buildList.steps
    .filter(({ phase }) => phase === 'prepare')
    .flatMap(({ id, typicalMinutes }) =>
      ['time', 'done'].map((what) => ({
        id: randomUUID(),
        stepId: id,
        what,
        by: 'First maker',
        at: new Date().toISOString(),
        value: what === 'time' ? typicalMinutes * factor : null,
        words: '',
        of: null,
      })),
    );
  await api().post(`/api/bench/${job.id}/log`).send({ entries }).expect(200);
  await summed();
  return job;
};

describe('what the shop’s times teach', () => {
  it('is offered once two jobs agree, moves every estimate when it is accepted, and goes back', async () => {
    await built('First', 1.5);
    const one = await view();
    expect(one.waiting).toBe(0);
    const prepareOf = ({ times }: RecordsView) => times.find(({ phase }) => phase === 'prepare');
    expect(prepareOf(one)).toMatchObject({ offered: false, accepted: null, learned: { count: 1 } });
    const second = await built('Second', 1.5);
    const prepare = prepareOf(await view())!;
    expect(prepare).toMatchObject({ offered: true, learned: { count: 2 } });
    expect(prepare.learned.seen).toBeCloseTo(1.5, 6);
    // Nothing moves before somebody accepts it.
    const minutesOf = ({ steps }: PlanView['jobs'][number]) =>
      steps.reduce((sum, { phase, minutes }) => sum + (phase === 'prepare' ? minutes : 0), 0);
    const before = await planned(second.id);
    const { factor } = prepare.learned;
    expect(
      messageOf(
        await api()
          .put('/api/records/times/prepare')
          .send({ factor: factor * 1.1 })
          .expect(409),
      ),
    ).toMatch(/has changed since/);
    const accepted = body<RecordsView>(await api().put('/api/records/times/prepare').send({ factor }).expect(200));
    expect(prepareOf(accepted)).toMatchObject({ offered: false, accepted: { jobs: 2 } });
    expect(prepareOf(accepted)!.accepted!.factor).toBeCloseTo(factor, 3);
    const after = await planned(second.id);
    expect(minutesOf(after) / minutesOf(before)).toBeGreaterThan(1.25);
    const { rates } = body<Catalogue>(await api().get('/api/catalogue').expect(200));
    expect(Object.keys(rates.learnedTimes ?? {})).toEqual(['prepare']);
    // What was learned does not feed on itself: the records say the same as before.
    expect(prepareOf(await view())!.learned).toEqual(prepare.learned);
    await api().put('/api/records/times/prepare').send({ factor: null }).expect(200);
    expect(minutesOf(await planned(second.id))).toBe(minutesOf(before));
  });

  it('is refused where nothing was written down, or the phase is none', async () => {
    await api().put('/api/records/times/hang').send({ factor: 1.2 }).expect(409);
    expect(messageOf(await api().put('/api/records/times/dance').send({ factor: 1.2 }).expect(404))).toMatch(
      /prepare, cut/,
    );
    expect(messageOf(await api().put('/api/records/times/prepare').send({ factor: 50 }).expect(400))).toMatch(
      /0\.1 to 10/,
    );
    await api().put('/api/records/times/prepare').send({}).expect(400);
  });
});

describe('what readings teach of strip', () => {
  it('gives the strip its own watts when accepted; predictions then meet the readings', async () => {
    const own = createEvaluator(shippedCatalogue, await shippedFonts()).evaluate(demoDesigns.dispensary);
    if (!own.ok) throw new Error('the job is sound');
    const full = commissionSteps(own.value).find(({ id }) => id === 'full-amps')!;
    const predicted = (full.expected.low + full.expected.high) / 2;
    const reading = { id: 'full-amps', value: predicted * 1.2, on: '2030-01-07' };
    for (const name of ['Third', 'Fourth', 'Fifth']) await built(name, 1, [reading]);
    const stripId = demoDesigns.dispensary.assemblies[0]!.light.stripId;
    const of = ({ strips }: RecordsView) =>
      strips.find((each) => each.stripId === stripId && each.figure === 'wattsPerM')!;
    const before = of(await view());
    expect(before.offered).toBe(true);
    expect(before.then).toBeCloseTo(before.now * before.learned.factor, 9);
    await api()
      .put(`/api/records/strips/${stripId}`)
      .send({ figure: 'wattsPerM', value: before.then * 1.05 })
      .expect(409);
    await api().put('/api/records/strips/nothing').send({ figure: 'wattsPerM', value: 5 }).expect(404);
    await api().put(`/api/records/strips/${stripId}`).send({ figure: 'wattsPerM', value: before.then }).expect(200);
    await summed();
    const after = of(await view());
    expect(after.now).toBeCloseTo(before.then, 3);
    expect(after).toMatchObject({ offered: false });
    expect(Math.abs(after.learned.seen - 1)).toBeLessThan(Math.abs(before.learned.seen - 1) / 3);
    expect(after.measuredOn).toBe(new Date().toISOString().slice(0, 10));
  });

  it('gives the strip its own light when accepted: the next box is computed darker', async () => {
    const assembly = demoDesigns.dispensary.assemblies[0]!;
    const own = createEvaluator(shippedCatalogue, await shippedFonts()).evaluate(demoDesigns.dispensary);
    if (!own.ok) throw new Error('the job is sound');
    const meanOf = own.value.assemblies[0]!.glow.evenness.meanCdM2;
    const reading = { id: 'luminance', at: { assembly: assembly.id }, value: 0.7 * meanOf, on: '2030-01-07' };
    for (const name of ['Dim', 'Dimmer', 'As dim']) await built(name, 1, [reading]);
    const stripId = assembly.light.stripId;
    const of = ({ strips }: RecordsView) =>
      strips.find((each) => each.stripId === stripId && each.figure === 'lumensPerM')!;
    const before = of(await view());
    expect(before).toMatchObject({ offered: true });
    expect(before.learned.count).toBe(3);
    const path = `/api/records/strips/${stripId}`;
    await api().put(path).send({ figure: 'volts', value: before.then }).expect(400);
    await api().put(path).send({ figure: 'lumensPerM', value: before.then }).expect(200);
    await summed();
    const after = of(await view());
    expect(after.now).toBeCloseTo(before.then, 3);
    expect(after.now).toBeLessThan(0.85 * before.now);
    expect(after.learned.seen).toBeGreaterThan(before.learned.seen);
  });
});

describe('lessons', () => {
  const lesson = (more: object = {}) => ({
    id: randomUUID(),
    about: 'step',
    key: 'box:rip',
    words: 'Score the veneer first; it tears.',
    by: 'First maker',
    jobId: null,
    ...more,
  });
  const list = async (): Promise<readonly Lesson[]> => body(await api().get('/api/lessons').expect(200));

  it('are kept once, listed, and put away', async () => {
    const told = lesson();
    const kept = body<Lesson>(await api().post('/api/lessons').send(told).expect(200));
    expect(kept).toMatchObject(told);
    expect(body<Lesson>(await api().post('/api/lessons').send(told).expect(200))).toEqual(kept);
    const [newest, ...others] = await list();
    expect(newest).toEqual(kept);
    expect((await view()).lessons).toEqual([kept, ...others]);
    await api().post(`/api/lessons/${kept.id}/retire`).expect(204);
    expect(await list()).toEqual(others);
    await api().post(`/api/lessons/${randomUUID()}/retire`).expect(404);
  });

  it('say what they are about, and of which job', async () => {
    const before = await list();
    for (const [more, words] of [
      [{ about: 'weather' }, /one of finding, item/],
      [{ words: '' }, /say what was learned/],
      [{ key: '' }, /what it is about/],
      [{ words: 'x'.repeat(1001) }, /at most 1000/],
    ] as const)
      expect(messageOf(await api().post('/api/lessons').send(lesson(more)).expect(400))).toMatch(words);
    await api()
      .post('/api/lessons')
      .send(lesson({ jobId: randomUUID() }))
      .expect(404);
    expect(await list()).toEqual(before);
  });
});
