import { gunzipSync, gzipSync } from 'node:zlib';
import { describe, expect, it } from '@jest/globals';
import type {
  JobListing,
  JobQuotesView,
  JobView,
  OfferView,
  PlanView,
  ProblemReport,
  QuoteView,
  RevisionView,
  ShopFileReport,
  StockLineView,
} from '@vitrum/contract';
import { demoDesigns, usualFloor, usualTerms } from '@vitrum/core';
import request from 'supertest';
import { body, demoShopForTests, openShop } from '../testing/harness.js';
import { SummariesService } from '../summaries/summaries.service.js';

const shop = demoShopForTests();
const { api } = shop;

const fileOf = async (): Promise<Buffer> => {
  const answer = await api()
    .get('/api/shop/file')
    .buffer(true)
    .parse((response, done) => {
      const parts: Buffer[] = [];
      response.on('data', (part: Buffer) => parts.push(part));
      response.on('end', () => done(null, Buffer.concat(parts)));
    })
    .expect(200);
  expect(answer.headers['content-disposition']).toMatch(/shop-\d{4}-\d\d-\d\d\.ndjson\.gz/);
  return answer.body as Buffer;
};
const sent = (bytes: Buffer | string, url = shop.url) =>
  request(url).post('/api/shop/file').set('content-type', 'application/octet-stream').send(bytes);
const paperLine = (name: string, data: object): string =>
  JSON.stringify({ shopPapers: { name, version: 1, data, changedAt: '2030-01-01T00:00:00Z' } });
const linesOf = (bytes: Buffer): string[] => gunzipSync(bytes).toString().trimEnd().split('\n');

describe('the whole shop as one file', () => {
  it('is read into an empty shop, which then has every job, revision, lot and paper of it', async () => {
    const { id, head } = body<JobView>(
      await api().post('/api/jobs').send({ name: 'Kept', design: demoDesigns.curlew }).expect(201),
    );
    const next = { ...head.design, name: 'Kept, changed' };
    await api().put(`/api/jobs/${id}/design`).set('If-Match', head.hash).send({ design: next }).expect(200);
    await api().patch(`/api/jobs/${id}`).send({ archived: true, status: 'delivered' }).expect(200);
    await api()
      .put('/api/plan')
      .set('If-Match', '0')
      .send({ pins: [], starts: [], first: [id] })
      .expect(200);
    const { facts } = body<JobQuotesView>(await api().get(`/api/quotes?job=${id}`).expect(200));
    const quote = body<QuoteView>(
      await api()
        .post('/api/quotes')
        .send({ jobId: id, ...usualTerms(facts) })
        .expect(201),
    );
    const remark = { what: 'remark', name: 'Ada', remark: 'A little warmer?' };
    await api().post(`/api/offers/${quote.token}/answers`).send(remark).expect(200);
    const bytes = await fileOf();

    const other = await openShop(false);
    try {
      const there = request(other.url);
      const report = body<ShopFileReport>(await sent(bytes, other.url).expect(200));
      await other.app.get(SummariesService).idle();
      const listed = async (from: ReturnType<typeof request>): Promise<readonly JobListing[]> =>
        body<readonly JobListing[]>(await from.get('/api/jobs').expect(200));
      const [here, then] = [await listed(api()), await listed(there)];
      expect(report.added['jobs']).toBe(here.length);
      const bare = (jobs: readonly JobListing[]) => jobs.map(({ updatedAt: _, ...job }) => job);
      expect(bare(then)).toEqual(bare(here));
      const revisions = async (from: ReturnType<typeof request>) =>
        body<readonly RevisionView[]>(await from.get(`/api/jobs/${id}/revisions`).expect(200));
      expect(await revisions(there)).toEqual(await revisions(api()));
      const design = body<JobView>(await there.get(`/api/jobs/${id}`).expect(200));
      expect(design.head.design).toEqual(next);
      const stock = async (from: ReturnType<typeof request>) =>
        body<readonly StockLineView[]>(await from.get('/api/stock'));
      expect(await stock(there)).toEqual(await stock(api()));
      expect(body<PlanView>(await there.get('/api/plan')).plan.paper.first).toEqual([id]);
      const offer = async (from: ReturnType<typeof request>) =>
        body<OfferView>(await from.get(`/api/offers/${quote.token}`).expect(200));
      expect(await offer(there)).toEqual(await offer(api()));
      const picture = async (from: ReturnType<typeof request>) =>
        (await from.get(`/api/offers/${quote.token}/picture?of=night`).expect(200)).body as Buffer;
      expect((await picture(there)).equals(await picture(api()))).toBe(true);
      // A file that is read twice adds nothing.
      const again = body<ShopFileReport>(await sent(bytes, other.url).expect(200));
      expect(new Set(Object.values(again.added))).toEqual(new Set([0]));
      expect([again.known['jobs'], again.known['quoteAnswers']]).toEqual([here.length, 1]);
    } finally {
      await other.close();
    }
    // Two servers sum up all demo jobs, and every other test may run beside it.
  }, 180_000);

  it('may be unpacked, and is taken whole or not at all', async () => {
    const lines = linesOf(await fileOf());
    const plain = await sent(lines.join('\n')).expect(200);
    expect(body<ShopFileReport>(plain).added['jobs']).toBe(0);
    const at = lines.findIndex((line) => line.startsWith('{"jobs"'));
    const renamed = lines[at]!.replace(/"id":"[^"]+"/, '"id":"11111111-2222-4333-8444-555555555555"');
    const bad = [lines[0]!, renamed, '{"jobs":{"id":7}}'];
    const refused = await sent(gzipSync(bad.join('\n'))).expect(400);
    expect(body<ProblemReport>(refused).problems).toEqual([{ path: 'line 3', message: 'jobs.id is not an id' }]);
    await api().get('/api/jobs/11111111-2222-4333-8444-555555555555').expect(404);
  });

  it.each<[string, (lines: string[]) => string | Buffer, string]>([
    ['nothing', () => '', 'empty'],
    ['something else', () => 'hello\n', 'no file of a shop'],
    ['one of a later version', () => '{"format":"vitrum-shop","version":9}\n', 'version 9'],
    ['no table', ([head]) => `${head!}\n{"spells":{}}`, 'no table of a shop'],
    ['an unknown field', ([head]) => `${head!}\n{"shopPapers":{"name":"plan","key":1}}`, 'is no field'],
    ['a broken line', ([head]) => `${head!}\n{"jobs":`, 'no JSON object'],
    [
      'a design that was changed by hand',
      (lines) =>
        `${lines[0]!}\n${lines.find((line) => line.startsWith('{"revisions"'))!.replace(/"hash":"./, '"hash":"z')}`,
      'the hash is not that of its design',
    ],
    [
      'a lot whose entries do not add up',
      (lines) =>
        `${lines[0]!}\n${lines
          .find((line) => line.startsWith('{"stockLots"'))!
          .replace(/"id":"[^"]+"/, '"id":"11111111-2222-4333-8444-666666666666"')}`,
      'do not add up',
    ],
    [
      'a revision of a job that is nowhere',
      (lines) =>
        `${lines[0]!}\n${lines
          .find((line) => line.startsWith('{"revisions"'))!
          .replace(/"id":"[^"]+"/, '"id":"11111111-2222-4333-8444-777777777777"')
          .replace(/"jobId":"[^"]+"/, '"jobId":"11111111-2222-4333-8444-888888888888"')}`,
      'belongs to something that is neither in the file',
    ],
    ['hours that are none', ([head]) => `${head!}\n${paperLine('floor', { ...usualFloor, places: 7 })}`, 'places'],
    [
      'two people of one id',
      ([head]) =>
        `${head!}\n${paperLine('floor', { ...usualFloor, people: [usualFloor.people[0], usualFloor.people[0]] })}`,
      'two people have one id',
    ],
    [
      'a plan that is none',
      ([head]) => `${head!}\n${paperLine('plan', { pins: [], starts: 'soon', first: [] })}`,
      'starts',
    ],
    [
      'a claim to nothing sensible',
      ([head]) =>
        `${head!}\n{"stockClaims":{"jobId":"11111111-2222-4333-8444-888888888888","needs":[{"amount":"much"}],"claimedAt":"2030-01-01T00:00:00Z"}}`,
      'needs are not what a job takes',
    ],
    [
      'a visit on a day that is none',
      (lines) =>
        `${lines[0]!}\n${lines
          .find((line) => line.startsWith('{"jobs"'))!
          .replace(/"cared":\{\}/, '"cared":{"6":"soon"}')}`,
      'cared: on',
    ],
    ['a gate that is no packed file', () => Buffer.from([0x1f, 0x8b, 1, 2, 3]), 'cannot be unpacked'],
    ['what lies too deep', ([head]) => `${head!}\n{"shopPapers":${'['.repeat(500)}${']'.repeat(500)}}`, 'deep'],
  ])('%s is refused', async (_, made, told) => {
    const answer = await sent(made(linesOf(await fileOf())));
    expect([400, 413]).toContain(answer.status);
    expect(JSON.stringify(answer.body)).toContain(told);
  });

  it('of before signs were looked after is read, its jobs not handed over', async () => {
    const lines = linesOf(await fileOf());
    const id = '11111111-2222-4333-8444-999999999999';
    const own = lines.find((line) => line.startsWith('{"jobs"'))!;
    const was = /"id":"([^"]+)"/.exec(own)![1]!;
    const revised = lines.filter((line) => line.startsWith('{"revisions"') && line.includes(was));
    const older = [own, ...revised].map((line, place) =>
      line
        .replaceAll(was, id)
        .replace(/"handedOverOn":[^,]+,"cared":\{[^}]*\},/, '')
        .replace(
          /"id":"[^"]+"/,
          place === 0 ? `"id":"${id}"` : `"id":"11111111-2222-4333-8444-9999999999${10 + place}"`,
        ),
    );
    expect(older[0]).not.toContain('cared');
    await sent([lines[0], ...older].join('\n'));
    const job = body<JobView>(await api().get(`/api/jobs/${id}`).expect(200));
    expect(job).toMatchObject({ handedOverOn: null, cared: {} });
  });

  it('of a great deal of nothing is given up before it fills the memory', async () => {
    const bomb = gzipSync(Buffer.alloc(40_000_000, 32));
    const answer = await sent(bomb);
    expect(answer.status).toBe(413);
  });
});

describe('a job', () => {
  it('is copied with its design, without what was ticked and measured', async () => {
    const jobs = body<readonly JobListing[]>(await api().get('/api/jobs'));
    const curlew = jobs.find(({ name }) => name === 'Curlew letters')!;
    const made = body<JobView>(
      await api().post(`/api/jobs/${curlew.id}/copies`).send({ name: 'Curlew again' }).expect(201),
    );
    const first = body<JobView>(await api().get(`/api/jobs/${curlew.id}`));
    expect(first.head.design.proof?.built?.length).toBeGreaterThan(3);
    const { proof: _, ...design } = first.head.design;
    expect(made.head.design).toEqual({ ...design, name: 'Curlew again' });
    expect(made).toMatchObject({ status: 'quoted', dueOn: null, customer: first.customer, archived: false });
    await api().post(`/api/jobs/${curlew.id}/copies`).send({ name: '' }).expect(400);
    await api().post(`/api/jobs/11111111-2222-4333-8444-555555555555/copies`).send({ name: 'x' }).expect(404);
  });

  it('is put away and kept to copy from, and both are taken back', async () => {
    const [job] = body<readonly JobListing[]>(await api().get('/api/jobs'));
    const patch = async (change: object): Promise<JobView> =>
      body<JobView>(await api().patch(`/api/jobs/${job!.id}`).send(change).expect(200));
    expect(await patch({ archived: true, template: true })).toMatchObject({ archived: true, template: true });
    expect(await patch({ archived: false, template: false })).toMatchObject({ archived: false, template: false });
    await api().patch(`/api/jobs/${job!.id}`).send({ archived: 'yes' }).expect(400);
  });

  it('is told with what the order costs', async () => {
    const [job] = body<readonly JobListing[]>(await api().get('/api/jobs'));
    expect(job!.summary!.order).toMatchObject({ currency: expect.any(String), price: expect.any(Number) });
    expect(job!.summary!.order!.price).toBeGreaterThan(10);
  });
});
