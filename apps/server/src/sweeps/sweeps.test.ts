import { readFile } from 'node:fs/promises';
import { describe, expect, it } from '@jest/globals';
import type { ProblemReport, SweepEvent, SweepView } from '@vitrum/contract';
import { demoDesigns, faceOptions, shippedCatalogue } from '@vitrum/core';
import { CatalogueService } from '../catalogue/catalogue.service.js';
import { DatabaseService } from '../database/database.module.js';
import { sweepPoints, sweeps } from '../database/schema.js';
import { EvaluationService } from '../evaluation/evaluation.service.js';
import { body, demoShopForTests } from '../testing/harness.js';
import { eq, sql } from 'drizzle-orm';
import { SweepQueue } from './sweep-queue.js';
import { SweepRunner } from './sweep-runner.js';
import { SweepsService } from './sweeps.service.js';

const shop = demoShopForTests();
const { api } = shop;
const runner = () =>
  new SweepRunner(
    shop.app.get(SweepsService),
    shop.app.get(SweepQueue),
    shop.app.get(CatalogueService),
    new EvaluationService(),
  );
const plan = {
  assembly: 0,
  depthsMm: [60, 90, 120],
  rowCounts: [2, 4],
  faces: faceOptions(demoDesigns.dispensary, 0, shippedCatalogue).slice(0, 2),
  liningIds: ['matt-white'],
};
const create = async (change: object = {}): Promise<SweepView> =>
  body(
    await api()
      .post('/api/sweeps')
      .send({ design: demoDesigns.dispensary, plan: { ...plan, ...change } })
      .expect(202),
  );
const view = async (id: string): Promise<SweepView> => body(await api().get(`/api/sweeps/${id}`).expect(200));

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
    await runner().run(id);
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

  it('are taken up where a dead runner left them, and by one runner alone', async () => {
    const { id } = await create();
    const service = shop.app.get(SweepsService);
    const [one, other] = ['11111111-1111-4111-8111-111111111111', '22222222-2222-4222-8222-222222222222'];
    expect(await service.claim(id, one)).toMatchObject({ done: 0 });
    expect(await service.claim(id, other)).toBeNull();
    expect(await service.store(id, one, 0, [null, null, null])).toBe(true);
    // Its process dies: nothing is heard of it for a while.
    await shop.app
      .get(DatabaseService)
      .db.update(sweeps)
      .set({ updatedAt: sql`now() - interval '1 minute'` })
      .where(eq(sweeps.id, id));
    expect(await service.orphans()).toContain(id);
    await runner().run(id);
    expect(await view(id)).toMatchObject({ status: 'done', done: 12 });
    expect((await events(id)).flatMap((event) => event.points)).toHaveLength(9);
    // The dead one, come back, changes nothing any more.
    expect(await service.store(id, one, 3, [null])).toBe(false);
  });

  it('stop when told to, and keep what they found', async () => {
    const { id } = await create({ depthsMm: Array.from({ length: 200 }, (_, index) => 40 + index * 0.5) });
    const running = runner().run(id);
    for (let turn = 0; (await view(id)).done === 0 && turn < 200; turn += 1)
      await new Promise((resolve) => setTimeout(resolve, 50));
    expect(body<SweepView>(await api().delete(`/api/sweeps/${id}`).expect(200)).status).toBe('cancelled');
    await running;
    const { status, done, total } = await view(id);
    expect(status).toBe('cancelled');
    expect(done).toBeGreaterThan(0);
    expect(done).toBeLessThan(total);
  });

  it('reach a worker through the queue', async () => {
    const worker = runner();
    await worker.start();
    try {
      const { id } = await create({ depthsMm: [70] });
      for (let turn = 0; (await view(id)).status !== 'done' && turn < 200; turn += 1)
        await new Promise((resolve) => setTimeout(resolve, 100));
      expect((await view(id)).status).toBe('done');
    } finally {
      await worker.onModuleDestroy();
    }
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
});
