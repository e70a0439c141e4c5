import { describe, expect, it, jest } from '@jest/globals';
import type { JobListing, JobView, RevisionWithDesign } from '@vitrum/contract';
import { demoDesigns, shippedCatalogue, type Design } from '@vitrum/core';
import { eq } from 'drizzle-orm';
import { DatabaseService } from '../database/database.module.js';
import { jobs } from '../database/schema.js';
import { body, demoShopForTests } from '../testing/harness.js';
import { SummariesService } from './summaries.service.js';
import { SummaryPool } from './summary-pool.js';

const shop = demoShopForTests();
const { api } = shop;
const summed = (): Promise<void> => shop.app.get(SummariesService).idle();

const newJob = async (design: Design = demoDesigns.dispensary): Promise<JobView> =>
  body<JobView>(await api().post('/api/jobs').send({ name: 'Summed', design }).expect(201));
const read = async ({ id }: { readonly id: string }): Promise<JobView> =>
  body<JobView>(await api().get(`/api/jobs/${id}`).expect(200));
const deeper = (design: Design, mm: number): Design => {
  const [box] = design.assemblies;
  if (box?.build !== 'lightbox') throw new Error('not a box');
  return { ...design, assemblies: [{ ...box, case: { ...box.case, depthInsideMm: mm } }] };
};
const save = async (id: string, design: Design, basedOn: string): Promise<RevisionWithDesign> =>
  body<RevisionWithDesign>(
    await api().put(`/api/jobs/${id}/design`).set('If-Match', `"${basedOn}"`).send({ design }).expect(200),
  );

describe('the picture and figures of a save', () => {
  it('follow it: the answer comes first, and until then the last ones stand', async () => {
    const job = await newJob();
    expect([job.summary, job.summaryOf]).toEqual([null, null]);
    await summed();
    const first = await read(job);
    expect(first.summaryOf).toBe(1);
    const picture = await api().get(first.summary!.thumbnail!).expect(200);
    expect(picture.headers).toMatchObject({
      'content-type': 'image/png',
      'cache-control': 'private, max-age=31536000, immutable',
    });
    expect(
      Buffer.from(picture.body as Uint8Array)
        .subarray(1, 4)
        .toString(),
    ).toBe('PNG');
    await api().get(`/api/jobs/${job.id}/picture?of=2`).expect(404);
    await api().get(`/api/jobs/${job.id}/picture`).expect(404);
    await save(job.id, deeper(job.head.design, 90), job.head.hash);
    const meanwhile = await read(job);
    expect([meanwhile.revision, meanwhile.summaryOf]).toEqual([2, 1]);
    await summed();
    const then = await read(job);
    expect([then.summaryOf, then.summary?.size]).toEqual([2, '900 × 300 × 96 mm']);
    const listed = body<readonly JobListing[]>(await api().get('/api/jobs')).find(({ id }) => id === job.id);
    expect(listed).toMatchObject({ summaryOf: 2, summary: { size: '900 × 300 × 96 mm' } });
  });

  it('are worked out for the newest of many saves, not for each', async () => {
    const job = await newJob();
    const summarise = jest.spyOn(shop.app.get(SummaryPool), 'summarise');
    let basedOn = job.head.hash;
    for (let mm = 90; mm < 100; mm += 1) basedOn = (await save(job.id, deeper(job.head.design, mm), basedOn)).hash;
    await summed();
    expect((await read(job)).summaryOf).toBe(11);
    expect(summarise.mock.calls.length).toBeLessThan(10);
    summarise.mockRestore();
  });

  it('come soon where somebody looks at the job book', async () => {
    const { id } = await newJob();
    const isSummedUp = async (): Promise<boolean> =>
      body<readonly JobListing[]>(await api().get('/api/jobs')).find((job) => job.id === id)?.summaryOf === 1;
    // Each look asks for it; without, it would rest for six seconds.
    const asked = performance.now();
    while (!(await isSummedUp())) {
      if (performance.now() - asked > 60_000) throw new Error('it does not come');
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
    await summed();
  });

  it('are made up for after a server ended before it had them', async () => {
    const job = await newJob();
    await summed();
    const { db } = shop.app.get(DatabaseService);
    await db.update(jobs).set({ summary: null, summaryOf: null }).where(eq(jobs.id, job.id));
    await shop.app.get(SummariesService).catchUp();
    await summed();
    expect((await read(job)).summaryOf).toBe(1);
  });

  it('say of a design that cannot be built that it stops, without a picture, and others go on', async () => {
    const [box] = demoDesigns.dispensary.assemblies;
    const broken = { ...demoDesigns.dispensary, assemblies: [{ ...box, face: { sheetId: 'moon' } }] };
    const bad = await newJob(broken as unknown as Design);
    const good = await newJob();
    await summed();
    expect((await read(bad)).summary).toMatchObject({ counts: { stop: 1 }, thumbnail: null });
    expect((await read(good)).summaryOf).toBe(1);
    // A good picture does not stand for what became of the job later.
    await save(good.id, broken as unknown as Design, good.head.hash);
    await summed();
    expect(await read(good)).toMatchObject({ summaryOf: 2, summary: { thumbnail: null } });
  });

  it('are worked out beside the thread that answers', async () => {
    const pool = shop.app.get(SummaryPool);
    let turns = 0;
    const ticking = setInterval(() => (turns += 1), 5);
    const begun = performance.now();
    await pool.summarise({ design: JSON.stringify(demoDesigns['lantern-rooms']), catalogue: shippedCatalogue });
    const tookMs = performance.now() - begun;
    clearInterval(ticking);
    // A thread that was kept busy would have ticked hardly at all.
    expect(turns).toBeGreaterThan(tookMs / 5 / 4);
  });
});
