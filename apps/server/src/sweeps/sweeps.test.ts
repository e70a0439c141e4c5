import { readFile } from 'node:fs/promises';
import { afterEach, describe, expect, it } from '@jest/globals';
import type { ProblemReport, SweepEvent, SweepView } from '@vitrum/contract';
import { demoDesigns, faceOptions, shippedCatalogue } from '@vitrum/core';
import pg from 'pg';
import { CatalogueService } from '../catalogue/catalogue.service.js';
import type { Config } from '../config.js';
import { DatabaseService } from '../database/database.module.js';
import { sweepPoints, sweeps } from '../database/schema.js';
import { body, demoShopForTests } from '../testing/harness.js';
import { eq, sql } from 'drizzle-orm';
import { SweepPool, SweepTooCostly } from './sweep-pool.js';
import { SweepRunner } from './sweep-runner.js';
import { WorkerLine } from './worker-line.js';

const shop = demoShopForTests();
const { api } = shop;

/** Workers of a test, ended after it. */
const workers: SweepRunner[] = [];
const worker = () => {
  const line = new WorkerLine({ databaseUrl: shop.databaseUrl } as Config);
  const pool = new SweepPool();
  const runner = new SweepRunner(line, shop.app.get(CatalogueService), pool);
  workers.push(runner);
  return { line, pool, runner };
};
const database = () => shop.app.get(DatabaseService).db;
afterEach(async () => {
  await Promise.all(workers.splice(0).map((each) => each.onModuleDestroy()));
  await database().delete(sweeps);
});

const plan = {
  assembly: 0,
  depthsMm: [60, 90, 120],
  rowCounts: [2, 4],
  faces: faceOptions(demoDesigns.dispensary, 0, shippedCatalogue).slice(0, 2),
  liningIds: ['matt-white'],
};
const request = (change: object = {}, person = '10.0.0.1') =>
  api()
    .post('/api/sweeps')
    .set('X-Forwarded-For', person)
    .send({ design: demoDesigns.dispensary, plan: { ...plan, ...change } });
const create = async (change: object = {}, person?: string): Promise<SweepView> =>
  body(await request(change, person).expect(202));
const view = async (id: string): Promise<SweepView> => body(await api().get(`/api/sweeps/${id}`).expect(200));
const long = { depthsMm: Array.from({ length: 1000 }, (_, index) => 40 + index * 0.1) };
/** Turn after turn until a sweep is at its end; how many turns that took. */
const turnsUntilDone = async (runner: SweepRunner, id: string, most = 100): Promise<number> => {
  for (let turns = 1; turns <= most; turns += 1) {
    await runner.turn();
    if ((await view(id)).status === 'done') return turns;
  }
  throw new Error(`the sweep is not done after ${most} turns`);
};

/** Every event of a sweep, to its end. */
const events = async (id: string, lastEventId = ''): Promise<readonly SweepEvent[]> => {
  const response = await fetch(`${shop.url}/api/sweeps/${id}/events`, { headers: { 'Last-Event-ID': lastEventId } });
  return (await response.text())
    .split('\n')
    .filter((line) => line.startsWith('data: '))
    .map((line) => JSON.parse(line.slice(6)) as SweepEvent);
};

describe('sweeps on the server', () => {
  it('try every combination and tell each once, in order, with its picture', async () => {
    const { id, total } = await create();
    expect(total).toBe(12);
    await turnsUntilDone(worker().runner, id);
    expect(await view(id)).toMatchObject({ status: 'done', done: 12 });
    const points = (await events(id)).flatMap((event) => event.points);
    expect(points.map((point) => point.id)).toEqual(Array.from({ length: 12 }, (_, place) => place));
    expect(points[0]!.picture.base64.length).toBeGreaterThan(100);
    // A page that lost the line after the eighth goes on from there.
    expect((await events(id, '8')).flatMap((event) => event.points).map((point) => point.id)).toEqual([8, 9, 10, 11]);
  });

  it('kept from before name the price of a sign as it is named now', async () => {
    const { id } = await create();
    const { db } = shop.app.get(DatabaseService);
    const insert = (place: number, data: object | null) =>
      db.insert(sweepPoints).values({ sweepId: id, place, data: data as never });
    await insert(0, { id: 0, costPerPiece: 12.5, rows: 3 });
    await insert(1, null);
    await insert(2, { id: 2, costPerSign: 8 });
    const migration = await readFile(new URL('../../drizzle/0002_price_of_a_sign.sql', import.meta.url), 'utf8');
    await db.execute(sql.raw(migration));
    const kept = await db.select().from(sweepPoints).where(eq(sweepPoints.sweepId, id)).orderBy(sweepPoints.place);
    expect(kept.map(({ data }) => data)).toEqual([
      { id: 0, costPerSign: 12.5, rows: 3 },
      null,
      { id: 2, costPerSign: 8 },
    ]);
    await db.delete(sweeps).where(eq(sweeps.id, id));
  });

  it('are held by one worker for as long as its connection lives, however long a point takes', async () => {
    const { id } = await create();
    const [one, other] = [worker(), worker()];
    const line = await one.line.open();
    expect(await line.take(id)).toBe(true);
    // Nothing has been heard of it for an hour.
    await database()
      .update(sweeps)
      .set({ status: 'running', updatedAt: sql`now() - interval '1 hour'` })
      .where(eq(sweeps.id, id));
    expect(await other.runner.turn()).toBe(false);
    expect((await view(id)).done).toBe(0);
    await line.end();
    expect(await turnsUntilDone(other.runner, id)).toBeGreaterThan(0);
  });

  it('go on with another worker from what the one whose connection was lost had stored', async () => {
    const { id } = await create(long);
    const [one, other] = [worker(), worker()];
    await one.runner.turn();
    const stored = (await view(id)).done;
    expect(stored).toBeGreaterThan(0);
    // Its next turn is under way when its connection is ended.
    const turn = one.runner.turn().catch((error: unknown) => error);
    const killer = new pg.Client({ connectionString: shop.databaseUrl });
    await killer.connect();
    try {
      for (let held = false; !held;) {
        const { rows } = await killer.query<{ pid: number }>(
          "select pid from pg_locks where locktype = 'advisory' and database = (select oid from pg_database where datname = current_database())",
        );
        held = rows.length > 0;
        for (const { pid } of rows) await killer.query('select pg_terminate_backend($1)', [pid]);
      }
    } finally {
      await killer.end();
    }
    expect(await turn).toBeInstanceOf(Error);
    expect((await view(id)).done).toBe(stored);
    await other.runner.turn();
    expect((await view(id)).done).toBeGreaterThan(stored);
    // The first one finds its way back, and no place is stored twice or left out.
    await one.runner.turn();
    const places = await database()
      .select({ place: sweepPoints.place })
      .from(sweepPoints)
      .where(eq(sweepPoints.sweepId, id));
    const { done } = await view(id);
    expect(places.map(({ place }) => place).sort((a, b) => a - b)).toEqual(
      Array.from({ length: done }, (_, at) => at + 1),
    );
  }, 30_000);

  it('stop when told to, and keep what they found', async () => {
    const { id } = await create(long);
    const { runner } = worker();
    await runner.turn();
    const running = runner.turn();
    expect(body<SweepView>(await api().delete(`/api/sweeps/${id}`).expect(200)).status).toBe('cancelled');
    await running;
    const { status, done, total } = await view(id);
    expect(status).toBe('cancelled');
    expect(done).toBeGreaterThan(0);
    expect(done).toBeLessThan(total);
    expect(await runner.turn()).toBe(false);
  });

  it('of ten points have every turn until they are done, beside sixty long ones of fifteen people', async () => {
    const { runner } = worker();
    for (let at = 0; at < 60; at += 1) await create(long, `10.0.1.${at % 15}`);
    for (let turn = 0; turn < 3; turn += 1) await runner.turn();
    const { id } = await create(
      { depthsMm: [60, 70, 80, 90, 100], rowCounts: [2, 3], faces: plan.faces.slice(0, 1) },
      '10.0.2.1',
    );
    const others = async (): Promise<number> =>
      (await database().select({ id: sweeps.id, done: sweeps.done }).from(sweeps))
        .filter((row) => row.id !== id)
        .reduce((sum, row) => sum + row.done, 0);
    const before = await others();
    await turnsUntilDone(runner, id);
    // However slow a point is: every turn until then was its own.
    expect(await others()).toBe(before);
  }, 60_000);

  it('of people who have had much take turns, person by person', async () => {
    const { runner } = worker();
    const [first, second] = [await create(long, '10.0.3.1'), await create(long, '10.0.3.1')];
    const other = await create(long, '10.0.3.2');
    await database().update(sweeps).set({ workedMs: 60_000 });
    const done = async () => Promise.all([first, second, other].map(async ({ id }) => (await view(id)).done));
    const turns: string[] = [];
    for (let seen = await done(); turns.length < 4;) {
      await runner.turn();
      const now = await done();
      turns.push(now.map((points, at) => (points > seen[at]! ? at : '')).join(''));
      seen = now;
    }
    // Every second turn is the other person’s; the two sweeps of the first share theirs.
    const [odd, even] = [turns.filter((_, at) => at % 2 === 0), turns.filter((_, at) => at % 2 === 1)];
    expect([odd.sort().join(), even.sort().join()].sort()).toEqual(['0,1', '2,2']);
  });

  it('are at most four of one person at once, even when asked for at the same time', async () => {
    const answers = await Promise.all(Array.from({ length: 7 }, () => request(long, '10.0.4.1')));
    expect(answers.map(({ status }) => status).sort()).toEqual([202, 202, 202, 202, 429, 429, 429]);
    const refused = answers.find(({ status }) => status === 429)!;
    expect(body<ProblemReport>(refused).message).toContain('4 sweeps of yours are under way');
    // Another is not held up; and who stops one may have one.
    await create(long, '10.0.4.2');
    const mine = answers.find(({ status }) => status === 202)!;
    await api()
      .delete(`/api/sweeps/${body<SweepView>(mine).id}`)
      .expect(200);
    await create(long, '10.0.4.1');
  });

  it('whose points cannot be worked out say so, and others go on', async () => {
    const { id } = await create();
    const { runner, pool } = worker();
    const turn = pool.turn.bind(pool);
    pool.turn = () => Promise.reject(new SweepTooCostly('one combination takes too long to be worked out'));
    await runner.turn();
    expect(await view(id)).toMatchObject({
      status: 'failed',
      error: 'one combination takes too long to be worked out',
    });
    pool.turn = turn;
    await turnsUntilDone(runner, (await create()).id);
  });

  it('reach a worker as they come in', async () => {
    const { runner } = worker();
    runner.start();
    const { id } = await create({ depthsMm: [70] });
    for (let turn = 0; (await view(id)).status !== 'done' && turn < 200; turn += 1)
      await new Promise((resolve) => setTimeout(resolve, 100));
    expect((await view(id)).status).toBe('done');
  }, 30_000);

  it('are let go a week after their end', async () => {
    const [old, young, going] = [await create(), await create(), await create()];
    const age = sql`now() - interval '8 days'`;
    await database().update(sweeps).set({ status: 'done', updatedAt: age }).where(eq(sweeps.id, old.id));
    await database().update(sweeps).set({ status: 'done' }).where(eq(sweeps.id, young.id));
    await database().update(sweeps).set({ updatedAt: age }).where(eq(sweeps.id, going.id));
    const { runner } = worker();
    runner.start();
    for (let turn = 0; turn < 200; turn += 1) {
      const answer = await api().get(`/api/sweeps/${old.id}`);
      if (answer.status === 404) break;
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    await api().get(`/api/sweeps/${old.id}`).expect(404);
    await api().get(`/api/sweeps/${young.id}`).expect(200);
    await api().get(`/api/sweeps/${going.id}`).expect(200);
  }, 30_000);

  it.each([
    [{ plan: { ...plan, faces: [] } }, 'plan.faces'],
    [{ plan: { ...plan, depthsMm: ['deep'] } }, 'plan.depthsMm'],
    [{ plan: { ...plan, depthsMm: [-5] } }, 'plan.depthsMm'],
    [
      { plan: { ...plan, faces: [{ name: 'x', change: [{ path: 'brief.quantity', value: 9 }] }] } },
      'plan.faces.0.change.0.path',
    ],
    [
      {
        plan: {
          ...plan,
          depthsMm: Array.from({ length: 2000 }, (_, index) => index + 20),
          rowCounts: Array.from({ length: 30 }, (_, index) => index + 1),
        },
      },
      'plan.',
    ],
    [{ design: { format: 'other' } }, 'design.format'],
  ])('refuse what cannot be run, with its place: %j', async (change, path) => {
    const response = await api()
      .post('/api/sweeps')
      .send({ design: demoDesigns.dispensary, plan, ...change })
      .expect(400);
    expect(body<ProblemReport>(response).problems[0]?.path).toBe(path);
  });

  it('that are not there are not found', async () => {
    await api().get('/api/sweeps/00000000-0000-4000-8000-000000000000').expect(404);
    await api().delete('/api/sweeps/nonsense').expect(404);
  });

  it('take no other methods than they have', async () => {
    const { id } = await create();
    const refused = await api().patch(`/api/sweeps/${id}`).send({}).expect(405);
    expect(refused.headers['allow']).toBe('DELETE, GET, HEAD');
    expect(body<ProblemReport>(refused).message).toContain('PATCH');
    expect((await api().put('/api/sweeps').expect(405)).headers['allow']).toBe('POST');
    expect((await api().head(`/api/sweeps/${id}/events`).expect(405)).headers['allow']).toBe('GET');
    await api().head(`/api/sweeps/${id}`).expect(200);
    await api().head('/api/jobs').expect(200);
    await api().patch('/api/nothing').expect(404);
  });
});
