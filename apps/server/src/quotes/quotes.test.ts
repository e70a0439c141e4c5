import { describe, expect, it } from '@jest/globals';
import type { JobListing, JobQuotesView, JobView, OfferView, ProblemReport, QuoteView } from '@vitrum/contract';
import { demoDesigns, quoteOf, usualTerms, type QuoteTerms } from '@vitrum/core';
import { eq } from 'drizzle-orm';
import { DatabaseService } from '../database/database.module.js';
import { quotes } from '../database/schema.js';
import { body, demoShopForTests } from '../testing/harness.js';

const shop = demoShopForTests();
const { api } = shop;

const jobNamed = async (name: string): Promise<JobListing> =>
  body<readonly JobListing[]>(await api().get('/api/jobs')).find((job) => job.name.startsWith(name))!;
const quotesOf = async (jobId: string): Promise<JobQuotesView> =>
  body<JobQuotesView>(await api().get(`/api/quotes?job=${jobId}`).expect(200));
const make = async (jobId: string, change: Partial<QuoteTerms> = {}): Promise<QuoteView> => {
  const { facts } = await quotesOf(jobId);
  return body<QuoteView>(
    await api()
      .post('/api/quotes')
      .send({ jobId, ...usualTerms(facts), ...change })
      .expect(201),
  );
};
const offer = async (token: string): Promise<OfferView> =>
  body<OfferView>(await api().get(`/api/offers/${token}`).expect(200));
const say = (token: string, said: object) => api().post(`/api/offers/${token}/answers`).send(said);

describe('a quote', () => {
  it('is made of a job as it is, and does not change with it', async () => {
    const job = await jobNamed('Ticket hall');
    const quote = await make(job.id, { note: 'Half on order.' });
    expect(quote).toMatchObject({ jobId: job.id, standing: 'open', answers: [] });
    expect(quote.token).toMatch(/^[\w-]{24}$/);
    expect(quote.quote).toEqual(quoteOf(quote.facts, quote.terms));
    const view = body<JobView>(await api().get(`/api/jobs/${job.id}`));
    const next = { ...view.head.design, brief: { ...view.head.design.brief, quantity: 7 } };
    await api().put(`/api/jobs/${job.id}/design`).set('If-Match', view.head.hash).send({ design: next }).expect(200);
    const then = await quotesOf(job.id);
    expect(then.facts.quantity).toBe(7);
    expect(then.quotes[0]).toEqual(quote);
  });

  it('shows the customer what it is and costs, and nothing of what it costs the shop', async () => {
    const { id, customer } = await jobNamed('Net loft');
    const { token, quote, facts } = await make(id);
    const shown = await offer(token);
    expect(shown).toMatchObject({ customer, order: quote.order, size: facts.size, standing: 'open' });
    const text = JSON.stringify(shown);
    for (const hidden of ['margin', 'materials', 'labour', 'ratePerHour', 'failedShare', 'jobId', 'outside'])
      expect(text).not.toContain(hidden);
    for (const time of ['day', 'night']) {
      const picture = await api().get(`/api/offers/${token}/picture?of=${time}`).expect(200);
      expect((picture.body as Buffer).subarray(1, 4).toString()).toBe('PNG');
    }
  });

  it('takes remarks and one yes, which makes a quoted job one to be built', async () => {
    const job = await jobNamed('Ferry way');
    expect(job.status).toBe('quoted');
    expect(job.quoted).toBeNull();
    const { token, id, quote, facts } = await make(job.id);
    const price = { price: quote.order, currency: facts.currency };
    expect((await jobNamed('Ferry way')).quoted).toEqual({ ...price, agreed: false });
    const remarked = body<OfferView>(
      await say(token, { what: 'remark', name: 'Ada', remark: 'A little warmer?' }).expect(200),
    );
    expect(remarked.answers).toMatchObject([{ what: 'remark', name: 'Ada', remark: 'A little warmer?' }]);
    const both = await Promise.all([1, 2, 3].map(() => say(token, { what: 'yes', name: 'Ada' })));
    expect(both.map(({ status }) => status)).toEqual([200, 200, 200]);
    const agreed = await offer(token);
    expect(agreed.standing).toBe('agreed');
    expect(agreed.answers.filter(({ what }) => what === 'yes')).toHaveLength(1);
    expect(await jobNamed('Ferry way')).toMatchObject({ status: 'designed', quoted: { ...price, agreed: true } });
    // What was agreed on is not taken back.
    await api().post(`/api/quotes/${id}/withdraw`).expect(409);
  });

  it('that was taken back, or held until yesterday, takes no yes', async () => {
    const { id } = await jobNamed('Fitting mirror');
    const back = await make(id);
    await api().post(`/api/quotes/${back.id}/withdraw`).expect(200);
    await api().get(`/api/offers/${back.token}`).expect(410);
    await api().get(`/api/offers/${back.token}/picture?of=day`).expect(410);
    await say(back.token, { what: 'yes', name: 'Ada' }).expect(410);
    const old = await make(id);
    await shop.app
      .get(DatabaseService)
      .db.update(quotes)
      .set({ validUntil: '2020-01-01' })
      .where(eq(quotes.id, old.id));
    expect((await offer(old.token)).standing).toBe('expired');
    const late = await say(old.token, { what: 'yes', name: 'Ada' }).expect(410);
    expect(body<ProblemReport>(late).message).toContain('held until 2020-01-01');
    expect((await jobNamed('Fitting mirror')).status).toBe('quoted');
  });

  it('goes on paper', async () => {
    const { id } = await make((await jobNamed('Net loft')).id);
    const pdf = await api().get(`/api/quotes/${id}/pdf`).buffer(true).expect(200);
    expect(pdf.headers['content-type']).toContain('application/pdf');
    expect((pdf.body as Buffer).subarray(0, 5).toString()).toBe('%PDF-');
  });

  it('of what cannot be built is not made', async () => {
    const [box] = demoDesigns.dispensary.assemblies;
    const broken = { ...demoDesigns.dispensary, assemblies: [{ ...box, face: { sheetId: 'moon' } }] };
    const { id } = body<JobView>(await api().post('/api/jobs').send({ name: 'Broken', design: broken }).expect(201));
    await api().get(`/api/quotes?job=${id}`).expect(409);
  });

  it.each<[object, string]>([
    [{ marginShare: 1 }, 'from 0 to 0.9'],
    [{ failedShare: -0.1 }, 'from 0 to 0.9'],
    [{ validDays: 0 }, 'a day at least'],
    [{ validDays: 1.5 }, 'a whole number of days'],
    [{ includes: ['a\u0000'] }, 'cannot be shown'],
    [{ includes: 'all' }, 'lines'],
    [{ note: 'x'.repeat(1001) }, 'at most 1000'],
    [{ jobId: 'x' }, 'the id of a job'],
  ])('%j is refused: %s', async (change, told) => {
    const { id } = await jobNamed('Net loft');
    const { facts } = await quotesOf(id);
    const answer = await api()
      .post('/api/quotes')
      .send({ jobId: id, ...usualTerms(facts), ...change })
      .expect(400);
    expect(JSON.stringify(answer.body)).toContain(told);
  });

  it('is not found by guessing', async () => {
    await api().get('/api/offers/nothing').expect(404);
    await api()
      .get(`/api/offers/${'a'.repeat(24)}`)
      .expect(404);
    await say('a'.repeat(24), { what: 'yes', name: 'x' }).expect(404);
    const { token } = await make((await jobNamed('Net loft')).id);
    await say(token, { what: 'maybe', name: 'x' }).expect(400);
    await say(token, { what: 'yes', name: '' }).expect(400);
  });
});
