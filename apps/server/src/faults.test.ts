import { randomBytes } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { JobView, ProblemReport, RevisionView } from '@vitrum/contract';
import { demoDesigns, type Design } from '@vitrum/core';
import pg from 'pg';
import { body, demoShopForTests } from './testing/harness.js';

const shop = demoShopForTests();
const { api } = shop;

const design: Design = demoDesigns.dispensary;
const named = (name: string): Design => ({ ...design, name });
const newJob = async (): Promise<JobView> =>
  body<JobView>(await api().post('/api/jobs').send({ name: 'Under fire', design }).expect(201));

describe('a database whose connections end', () => {
  let other: pg.Client;
  beforeAll(async () => {
    other = new pg.Client({ connectionString: shop.databaseUrl });
    await other.connect();
  });
  afterAll(() => other.end());
  /** Ends every other connection again and again while `work` goes on. */
  const underFire = async <T>(work: () => Promise<T>, everyMs: number): Promise<T> => {
    let over = false;
    const killing = (async () => {
      while (!over) {
        await other.query(
          'select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and pid <> pg_backend_pid()',
        );
        await new Promise((resolve) => setTimeout(resolve, everyMs));
      }
    })();
    try {
      return await work();
    } finally {
      over = true;
      await killing;
    }
  };

  it('costs no save that was acknowledged, and the server lives', async () => {
    const jobs = await Promise.all(Array.from({ length: 6 }, newJob));
    const tell = { saved: 0, away: 0 };
    const save = async (job: JobView): Promise<readonly string[]> => {
      let basedOn = job.head.hash;
      const acknowledged: string[] = [];
      for (let turn = 0; turn < 12; turn += 1) {
        const answer = await api()
          .put(`/api/jobs/${job.id}/design`)
          .set('If-Match', `"${basedOn}"`)
          .send({ design: named(`turn ${turn}`) });
        if (answer.status === 200) {
          basedOn = body<RevisionView>(answer).hash;
          acknowledged.push(basedOn);
          tell.saved += 1;
        } else {
          // What was stored though its answer was lost shows as a conflict to the next; both are kept.
          expect([409, 503]).toContain(answer.status);
          if (answer.status === 503) expect(Number(answer.headers['retry-after'])).toBeGreaterThan(0);
          tell.away += 1;
        }
      }
      return acknowledged;
    };
    const acknowledged = await underFire(() => Promise.all(jobs.map(save)), 40);
    expect(tell.saved).toBeGreaterThan(0);
    for (const [index, job] of jobs.entries()) {
      const kept = body<readonly RevisionView[]>(await api().get(`/api/jobs/${job.id}/revisions`).expect(200));
      const hashes = kept.map(({ hash }) => hash);
      for (const hash of acknowledged[index]!) expect(hashes).toContain(hash);
    }
    await api().get('/api/ready').expect(200);
  }, 60_000);

  it('makes one job, not two, of what had to be done again', async () => {
    const count = async () => (await other.query<{ n: number }>('select count(*)::int as n from jobs')).rows[0]!.n;
    const before = await count();
    const answers = await underFire(
      () => Promise.all(Array.from({ length: 20 }, () => api().post('/api/jobs').send({ name: 'Once', design }))),
      20,
    );
    const made = answers.filter(({ status }) => status === 201).length;
    for (const { status } of answers) expect([201, 503]).toContain(status);
    const after = await count();
    // One that was stored may still have been answered “away”: its answer was lost. None is there twice.
    expect(after - before).toBeGreaterThanOrEqual(made);
    expect(after - before).toBeLessThanOrEqual(answers.length);
  }, 60_000);
});

const deep = (depth: number): string => '{"a":'.repeat(depth) + '1' + '}'.repeat(depth);
const withDesign = (text: string): string => `{"name":"x","design":${text}}`;
const designWith = (field: string): string => `${JSON.stringify(design).slice(0, -1)},${field}}`;

/** What may come in, and the worst answer that is right. */
const hostile: readonly (readonly [name: string, method: 'post' | 'put' | 'patch', path: string, text: string])[] = [
  ['a body nested 3,000 deep', 'post', '/api/jobs', deep(3000)],
  ['a design nested 20,000 deep', 'post', '/api/jobs', withDesign(deep(20_000))],
  [
    '430 kB of fields nobody knows',
    'post',
    '/api/jobs',
    withDesign(designWith(Array.from({ length: 40_000 }, (_, at) => `"k${at}":1`).join(','))),
  ],
  [
    '430 kB of fields beside the design',
    'post',
    '/api/jobs',
    `{${Array.from({ length: 40_000 }, (_, at) => `"k${at}":1`).join(',')},"name":3}`,
  ],
  [
    'a plan of 200 kB',
    'post',
    '/api/sweeps',
    `{"design":${JSON.stringify(design)},"plan":{"x":"${'y'.repeat(200_000)}","faces":"${'z'.repeat(90_000)}"}}`,
  ],
  ['a list for a body', 'post', '/api/jobs', '[]'],
  ['null for a body', 'post', '/api/jobs', 'null'],
  ['null for a name', 'post', '/api/jobs', `{"name":null,"design":${JSON.stringify(design)}}`],
  ['NUL in a name', 'post', '/api/jobs', `{"name":"a\\u0000b","design":${JSON.stringify(design)}}`],
  ['half a character in a name', 'post', '/api/jobs', `{"name":"\\ud800","design":${JSON.stringify(design)}}`],
  ['a week for a date', 'post', '/api/jobs', `{"name":"a","dueOn":"2030-W05-3","design":${JSON.stringify(design)}}`],
  ['bytes that are no text', 'post', '/api/jobs', '\u00ff\u00fe'],
  ['a patch nested 9,000 deep', 'patch', '/api/jobs/ID', deep(9000)],
  ['a patch of nulls', 'patch', '/api/jobs/ID', '{"name":null,"customer":null,"status":null}'],
  ['NUL in a customer', 'patch', '/api/jobs/ID', '{"customer":"\\u0000"}'],
  ['measured figures nested deep', 'put', '/api/catalogue/faces/opal-3/measured', deep(5000)],
  [
    'NUL in how it was measured',
    'put',
    '/api/catalogue/faces/opal-3/measured',
    '{"figures":{"transmittance":0.5},"on":"2030-01-01","how":"\\u0000","readings":1,"errorShare":0}',
  ],
];

describe('what comes from outside', () => {
  it.each(hostile)('%s is answered with a sentence, soon', async (_, method, path, text) => {
    const { id } = await newJob();
    const begun = performance.now();
    const answer = await api()[method](path.replace('ID', id)).set('content-type', 'application/json').send(text);
    expect(answer.status).toBeGreaterThanOrEqual(400);
    expect(answer.status).toBeLessThan(500);
    expect(body<ProblemReport>(answer).message.length).toBeGreaterThan(10);
    expect(performance.now() - begun).toBeLessThan(15_000);
  });

  it.each([
    ['/api/jobs/%00', 404],
    ['/api/jobs/%', 400],
    ['/api/jobs/00000000-0000-4000-8000-000000000000/revisions/99999999999', 404],
    ['/api/jobs/00000000-0000-4000-8000-000000000000/revisions/1e9', 404],
    ['/api/jobs/00000000-0000-4000-8000-000000000000/revisions', 404],
    ['/api/nothing', 404],
    ['/api/sweeps/00000000-0000-4000-8000-000000000000/events', 404],
  ])('%s is %d', async (path, status) => {
    expect((await api().get(path)).status).toBe(status);
  });

  it('a thousand bodies by chance never make it fail', async () => {
    const { id } = await newJob();
    const counts = new Map<number, number>();
    const text = JSON.stringify({ name: 'x', design });
    for (let turn = 0; turn < 250; turn += 1) {
      const answers = await Promise.all(
        Array.from({ length: 4 }, (_, lane) => {
          // A valid body with some of it overwritten.
          const bytes = Buffer.from(text);
          for (let spot = 0; spot <= lane * 2; spot += 1)
            bytes[Math.floor(Math.random() * bytes.length)] = randomBytes(1)[0]!;
          const asked =
            lane % 2 === 0 ? api().post('/api/jobs') : api().put(`/api/jobs/${id}/design`).set('If-Match', 'x');
          return asked
            .set('content-type', 'application/json')
            .serialize((sent: unknown) => sent as string)
            .send(bytes);
        }),
      );
      for (const { status } of answers) counts.set(status, (counts.get(status) ?? 0) + 1);
    }
    expect([...counts.keys()].filter((status) => status >= 500)).toEqual([]);
    expect(counts.get(400)).toBeGreaterThan(100);
  }, 120_000);
});

describe('who may ask', () => {
  it('a name that is not its own is refused, whatever is asked: a page elsewhere may have pointed it here', async () => {
    await api().get('/api/jobs').set('Host', 'evil.example').expect(403);
    await api().get('/').set('Host', 'evil.example:4780').expect(403);
    await api().get('/api/jobs').set('Host', 'shop.test').expect(200);
    await api().get('/api/jobs').set('Host', 'localhost:1').expect(200);
    await api().get('/api/jobs').set('Host', '[::1]:4780').expect(200);
  });

  it('pages of other sites may not write, its own and programs may', async () => {
    const send = (headers: Readonly<Record<string, string>>) =>
      api().post('/api/jobs').set(headers).send({ name: 'Who', design });
    await send({ Origin: 'http://evil.example' }).expect(403);
    await send({ Origin: 'null' }).expect(403);
    await send({ Origin: 'http://127.0.0.1:1' }).expect(403);
    await send({ 'Sec-Fetch-Site': 'cross-site' }).expect(403);
    await send({ Origin: shop.url }).expect(201);
    await send({}).expect(201);
    await api().get('/api/jobs').set('Origin', 'http://evil.example').expect(200);
  });
});
