import { describe, expect, it } from '@jest/globals';
import type { JobListing } from '@vitrum/contract';
import { demoDesigns } from '@vitrum/core';
import type { Response } from 'supertest';
import { body, demoShopForTests } from '../testing/harness.js';
import { readCursor, writeCursor } from './job-cursor.js';

const shop = demoShopForTests();
const { api } = shop;

/** Every page from the first on, by what each says of the next. */
const pages = async (): Promise<readonly (readonly JobListing[])[]> => {
  const found: (readonly JobListing[])[] = [];
  for (let path: string | undefined = '/api/jobs'; path !== undefined;) {
    const answer: Response = await api().get(path).expect(200);
    found.push(body<readonly JobListing[]>(answer));
    path = /^<([^>]+)>; rel="next"$/.exec(answer.headers['link'] ?? '')?.[1];
  }
  return found;
};

describe('the list of jobs', () => {
  it('comes a page at a time, each job once, in the order in which they were made', async () => {
    const [all, ...more] = await pages();
    expect(more).toEqual([]);
    const made = await Promise.all(
      Array.from({ length: 105 }, (_, at) =>
        api()
          .post('/api/jobs')
          .send({ name: `Made ${at}`, design: demoDesigns.dispensary })
          .expect(201),
      ),
    );
    const found = await pages();
    expect(found.map(({ length }) => length)).toEqual([50, 50, 5 + all!.length]);
    const ids = found.flat().map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    expect(ids.slice(0, all!.length)).toEqual(all!.map(({ id }) => id));
    expect([...ids.slice(all!.length)].sort()).toEqual(made.map((answer) => body<JobListing>(answer).id).sort());
    expect(JSON.stringify(found[0]).length).toBeLessThan(60_000);
  }, 60_000);

  it('goes on only where it was left', async () => {
    const cursor = { madeAt: '2030-01-02 03:04:05.123456+00', id: '0b54b1f0-0000-4000-8000-000000000001' };
    expect(readCursor(writeCursor(cursor))).toEqual(cursor);
    for (const text of ['', 'x', writeCursor({ ...cursor, id: "' or 1=1" }), writeCursor({ ...cursor, madeAt: 'now' })])
      await api().get('/api/jobs').query({ after: text }).expect(400);
  });

  it('of revisions is without their designs', async () => {
    const [{ id }] = body<readonly [JobListing]>(await api().get('/api/jobs'));
    const [revision] = body<readonly object[]>(await api().get(`/api/jobs/${id}/revisions`).expect(200));
    expect(Object.keys(revision!).sort()).toEqual(['hash', 'note', 'number', 'parent', 'savedAt', 'setAside']);
  });
});
