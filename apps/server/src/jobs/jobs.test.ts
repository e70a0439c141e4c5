import { describe, expect, it } from '@jest/globals';
import type {
  JobListing,
  JobView,
  ProblemReport,
  RevisionView,
  RevisionWithDesign,
  SaveConflict,
} from '@vitrum/contract';
import { demoDesigns, type Design } from '@vitrum/core';
import { body, demoShopForTests, openShop } from '../testing/harness.js';
import { designHash } from './design-hash.js';

const shop = demoShopForTests();
const { api } = shop;

const newJob = async (name = 'Test sign', design: object = demoDesigns.dispensary): Promise<JobView> =>
  body(await api().post('/api/jobs').send({ name, design }).expect(201));

const boxOf = ({ assemblies: [box] }: Design) => {
  if (box?.build !== 'lightbox') throw new Error('no light box');
  return box;
};

const deeper = (design: Design, depthInsideMm: number): Design => {
  const box = boxOf(design);
  return { ...design, assemblies: [{ ...box, case: { ...box.case, depthInsideMm } }] };
};

const save = (job: JobView, design: object, basedOn: string) =>
  api().put(`/api/jobs/${job.id}/design`).set('If-Match', `"${basedOn}"`).send({ design });

describe('the job book', () => {
  it('holds the demo shop, each job with its picture and its faults', async () => {
    const jobs = body<readonly JobListing[]>(await api().get('/api/jobs').expect(200));
    expect(jobs.map(({ name }) => name).slice(0, 3)).toEqual([
      'Dispensary box',
      'Ticket hall board',
      'Rye & Salt counter box',
    ]);
    expect(jobs[0]?.summary?.counts.fix).toBe(1);
    expect(jobs[0]?.summary?.size).toBe('900 × 300 × 87 mm');
    await api().get(jobs[0]!.summary!.thumbnail!).expect('content-type', 'image/png').expect(200);
  });

  it('takes a new job and gives it back whole', async () => {
    const odd = { ...demoDesigns.dispensary, shopNote: { text: '\u0000\ud800 “ok”', list: [1, null] } };
    const job = await newJob('Odd', odd);
    const read = body<JobView>(await api().get(`/api/jobs/${job.id}`).expect(200));
    expect(read.head.design).toEqual(odd);
    expect(read.head.hash).toBe(designHash(odd));
    expect(read.head).toMatchObject({ number: 1, parent: null, setAside: false });
  });

  it('answers with the job as it is now, whatever a browser kept of the same design', async () => {
    const job = await newJob();
    const first = await api().get(`/api/jobs/${job.id}`).expect(200);
    expect(first.headers['cache-control']).toBe('no-store');
    await api().patch(`/api/jobs/${job.id}`).send({ status: 'building' }).expect(200);
    const again = await api()
      .get(`/api/jobs/${job.id}`)
      .set('If-None-Match', first.headers['etag'] as string)
      .expect(200);
    expect(body<JobView>(again)).toMatchObject({ status: 'building' });
  });

  it('changes status and dates, and refuses others with the place', async () => {
    const job = await newJob();
    const updated = body<JobView>(
      await api().patch(`/api/jobs/${job.id}`).send({ status: 'cutting', dueOn: '2031-05-01' }).expect(200),
    );
    expect(updated).toMatchObject({ status: 'cutting', dueOn: '2031-05-01', name: 'Test sign' });
    const refused = body<ProblemReport>(await api().patch(`/api/jobs/${job.id}`).send({ status: 'lost' }).expect(400));
    expect(refused.problems[0]).toMatchObject({ path: 'status', message: expect.stringContaining('quoted') });
  });

  it('is handed over when it is delivered, and keeps when it was looked after', async () => {
    const { id } = await newJob();
    const change = async (what: object): Promise<JobView> =>
      body<JobView>(await api().patch(`/api/jobs/${id}`).send(what).expect(200));
    const delivered = await change({ status: 'delivered' });
    expect(delivered.handedOverOn).toMatch(/^\d{4}-\d\d-\d\d$/);
    expect((await change({ handedOverOn: '2030-01-31' })).handedOverOn).toBe('2030-01-31');
    // Delivered once more changes no day.
    expect((await change({ status: 'delivered' })).handedOverOn).toBe('2030-01-31');
    // Two people at once write down different things.
    await Promise.all([
      change({ cared: { everyMonths: 6, on: '2030-07-30' } }),
      change({ cared: { everyMonths: 12, on: '2031-01-30' } }),
    ]);
    expect((await change({ cared: { everyMonths: 6, on: '2031-01-30' } })).cared).toEqual({
      6: '2031-01-30',
      12: '2031-01-30',
    });
    const refused = body<ProblemReport>(
      await api()
        .patch(`/api/jobs/${id}`)
        .send({ cared: { everyMonths: 0, on: 'today' } })
        .expect(400),
    );
    expect(refused.problems.map(({ path }) => path).sort()).toEqual(['cared.everyMonths', 'cared.on']);
  });

  it('says 404 for a job or revision that is not there, whatever the id', async () => {
    for (const id of ['nope', '00000000-0000-4000-8000-000000000000']) {
      const report = body<ProblemReport>(await api().get(`/api/jobs/${id}`).expect(404));
      expect(report.message).toContain('no such job');
      expect(report.requestId).toMatch(/^[0-9a-f-]{36}$/);
    }
    const job = await newJob();
    await api().get(`/api/jobs/${job.id}/revisions/99`).expect(404);
  });
});

/** Every save evaluates the design for the book; many take a while. */
const manyMs = 30_000;

describe('saving', () => {
  it('appends a revision and moves the head', async () => {
    const job = await newJob();
    const saved = body<RevisionWithDesign>(await save(job, deeper(job.head.design, 90), job.head.hash).expect(200));
    expect(saved).toMatchObject({ number: 2, parent: 1, setAside: false });
    const read = body<JobView>(await api().get(`/api/jobs/${job.id}`));
    expect(read.head.hash).toBe(saved.hash);
  });

  it('of the same content adds nothing', async () => {
    const job = await newJob();
    expect(body<RevisionWithDesign>(await save(job, job.head.design, job.head.hash).expect(200)).number).toBe(1);
  });

  it('keeps readings of the real bench and wishes for the wiring, and refuses odd ones with their places', async () => {
    const job = await newJob('Measured', demoDesigns.slipway);
    const measured: Design = {
      ...demoDesigns.slipway,
      power: {
        ...demoDesigns.slipway.power,
        zones: [
          {
            segments: [1, 2].map((segment) => ({ assembly: demoDesigns.slipway.assemblies[0]!.id, segment })),
            level: 0.4,
          },
        ],
        level: 0.5,
      },
      proof: { readings: [{ id: 'full-amps', value: 4.19, on: '2026-11-26' }] },
    };
    await save(job, measured, job.head.hash).expect(200);
    const read = body<JobView>(await api().get(`/api/jobs/${job.id}`).expect(200));
    expect(read.head.design).toEqual(measured);
    const odd = {
      ...measured,
      power: { ...measured.power, zones: [{ segments: [{ assembly: 'box', segment: 0 }], level: 2 }] },
      proof: { readings: [{ id: 'full-amps', value: '4 A', on: 'today' }] },
    };
    const report = body<ProblemReport>(await save(job, odd, read.head.hash).expect(400));
    const places = report.problems.map(({ path }) => path).join(' ');
    for (const place of [
      'zones.0.level',
      'zones.0.segments.0.segment',
      'proof.readings.0.value',
      'proof.readings.0.on',
    ])
      expect(places).toContain(place);
    // Nothing of it was kept.
    expect(body<JobView>(await api().get(`/api/jobs/${job.id}`).expect(200)).head.hash).toBe(read.head.hash);
  });

  it('from a stale revision answers 409 with both sides, and keeps both', async () => {
    const job = await newJob();
    const theirs = body<RevisionWithDesign>(await save(job, deeper(job.head.design, 91), job.head.hash).expect(200));
    const conflict = body<SaveConflict>(await save(job, deeper(job.head.design, 92), job.head.hash).expect(409));
    expect(conflict.head.hash).toBe(theirs.hash);
    expect(conflict.yours).toMatchObject({ setAside: true, parent: 1 });
    expect(boxOf(conflict.yours.design).case.depthInsideMm).toBe(92);
    const revisions = body<readonly RevisionView[]>(await api().get(`/api/jobs/${job.id}/revisions`));
    expect(revisions.map(({ number, setAside }) => [number, setAside])).toEqual([
      [3, true],
      [2, false],
      [1, false],
    ]);
    expect(body<JobView>(await api().get(`/api/jobs/${job.id}`)).head.number).toBe(2);
    const kept = body<RevisionWithDesign>(await api().get(`/api/jobs/${job.id}/revisions/3`));
    expect(boxOf(kept.design).case.depthInsideMm).toBe(92);
  });

  it(
    'twenty at once from one revision: one wins, nineteen are set aside, none is lost',
    async () => {
      const job = await newJob();
      const answers = await Promise.all(
        Array.from({ length: 20 }, (_, at) => save(job, deeper(job.head.design, 100 + at), job.head.hash)),
      );
      expect(answers.filter(({ status }) => status === 200)).toHaveLength(1);
      expect(answers.filter(({ status }) => status === 409)).toHaveLength(19);
      const revisions = body<readonly RevisionView[]>(await api().get(`/api/jobs/${job.id}/revisions`));
      expect(revisions.map(({ number }) => number).sort((a, b) => a - b)).toEqual(
        Array.from({ length: 21 }, (_, at) => at + 1),
      );
    },
    manyMs,
  );

  it('wants to know which revision was edited', async () => {
    const job = await newJob();
    await api().put(`/api/jobs/${job.id}/design`).send({ design: job.head.design }).expect(428);
  });
});

describe('bad input', () => {
  it.each([
    ['no name', { design: demoDesigns.dispensary }, 'name'],
    ['a design that is none', { name: 'x', design: { format: 'other' } }, 'design.format'],
    [
      'a wrong field deep inside',
      { name: 'x', design: { ...demoDesigns.dispensary, brief: { ...demoDesigns.dispensary.brief, quantity: -1 } } },
      'design.brief.quantity',
    ],
    ['a text for a design', { name: 'x', design: 'box' }, 'design'],
    ['a date that is none', { name: 'x', dueOn: 'soon', design: demoDesigns.dispensary }, 'dueOn'],
  ])('%s is refused with its path', async (_, sent, path) => {
    const report = body<ProblemReport>(await api().post('/api/jobs').send(sent).expect(400));
    expect(report.problems.map((problem) => problem.path)).toContain(path);
    expect(report.problems.every(({ message }) => message.length > 5)).toBe(true);
  });

  it('broken JSON is a 400, a huge body a 413, both in the usual shape', async () => {
    const broken = body<ProblemReport>(
      await api().post('/api/jobs').set('content-type', 'application/json').send('{"name": ').expect(400),
    );
    expect(broken.message).toContain('not valid JSON');
    const huge = body<ProblemReport>(
      await api()
        .post('/api/jobs')
        .send({ name: 'x', design: { text: 'y'.repeat(3_000_000) } })
        .expect(413),
    );
    expect(huge.message).toContain('too large');
  });
});

describe('around it', () => {
  it('is healthy and ready, describes itself, and lends the catalogue', async () => {
    await api().get('/api/health').expect(200, { status: 'up' });
    await api().get('/api/ready').expect(200, { status: 'ready' });
    const description = body<{ paths: object }>(await api().get('/api/docs.json').expect(200));
    expect(Object.keys(description.paths)).toEqual(
      expect.arrayContaining(['/api/jobs', '/api/jobs/{id}/design', '/api/catalogue', '/api/ready']),
    );
    await api().get('/api/docs').expect(200);
    const catalogue = body<{ strips: readonly { id: string }[]; rates: object }>(
      await api().get('/api/catalogue').expect(200),
    );
    expect(catalogue.strips[0]?.id).toBe('white-12v-60');
    expect(catalogue.rates).toMatchObject({ kerfMm: 3.2 });
  });

  it('sends its pages with a content security policy that allows no foreign script', async () => {
    const policy = (await api().get('/api/health')).headers['content-security-policy'] ?? '';
    expect(policy).toContain("script-src 'self' 'wasm-unsafe-eval'");
    expect(policy).not.toContain('unsafe-eval;');
  });
});

describe('starting', () => {
  it('two servers at once on one empty database set it up once', async () => {
    const other = await openShop(false);
    await other.close();
    const { createApp } = await import('../create-app.js');
    const config = {
      databaseUrl: shop.databaseUrl,
      host: '127.0.0.1',
      hosts: [],
      origins: [],
      proxies: [],
      port: 0,
      webRoot: '/nowhere',
      seed: true,
      worker: false,
    };
    const apps = await Promise.all([createApp(config, true), createApp(config, true)]);
    await Promise.all(apps.map((app) => app.close()));
    const jobs = body<readonly JobListing[]>(await api().get('/api/jobs'));
    expect(jobs.filter(({ name }) => name === 'Dispensary box')).toHaveLength(1);
  });

  it('fails with a reason when no database answers', async () => {
    const { createApp } = await import('../create-app.js');
    await expect(
      createApp(
        {
          databaseUrl: 'postgres://x:y@127.0.0.1:1/z',
          host: '127.0.0.1',
          hosts: [],
          origins: [],
          proxies: [],
          port: 0,
          webRoot: '/nowhere',
          seed: true,
          worker: false,
        },
        true,
      ),
    ).rejects.toThrow(/ECONNREFUSED/);
  });
});
