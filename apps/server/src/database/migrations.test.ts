import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { JobView } from '@vitrum/contract';
import { demoDesigns } from '@vitrum/core';
import { drizzle } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import request from 'supertest';
import { migrationsFolder } from '../config.js';
import { body, emptyDatabase, openOn, type TestShop } from '../testing/harness.js';

interface Journal {
  readonly entries: readonly { readonly idx: number }[];
}

/** A database as it was after so many migrations. */
const migratedTo = async (client: pg.Client, count: number): Promise<void> => {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'vitrum-migrations-'));
  cpSync(migrationsFolder, folder, { recursive: true });
  const file = path.join(folder, 'meta', '_journal.json');
  const journal = JSON.parse(readFileSync(file, 'utf8')) as Journal;
  writeFileSync(file, JSON.stringify({ ...journal, entries: journal.entries.slice(0, count) }));
  await migrate(drizzle(client), { migrationsFolder: folder });
  rmSync(folder, { recursive: true, force: true });
};

describe('a shop of an earlier version', () => {
  let shop: TestShop;
  const id = '0b54b1f0-0000-4000-8000-000000000001';
  const summary = (name: string) => ({
    size: name,
    figures: [],
    counts: { stop: 0, fix: 1, note: 0 },
    thumbnail: `data:image/png;base64,${Buffer.from(`picture of ${name}`).toString('base64')}`,
  });
  beforeAll(async () => {
    const databaseUrl = await emptyDatabase();
    const client = new pg.Client({ connectionString: databaseUrl });
    await client.connect();
    await migratedTo(client, 3);
    await client.query("insert into jobs (id, name, head_revision) values ($1, 'Old', 2)", [id]);
    for (const [number, aside] of [
      [1, false],
      [2, false],
      [3, true],
    ] as const)
      await client.query(
        'insert into revisions (job_id, number, hash, design, summary, set_aside) values ($1, $2, $3, $4, $5, $6)',
        [
          id,
          number,
          `h${number}`,
          JSON.stringify(demoDesigns.dispensary),
          JSON.stringify(summary(`of ${number}`)),
          aside,
        ],
      );
    await client.end();
    shop = await openOn(databaseUrl);
  });
  afterAll(() => shop.close());

  it('keeps the summary and the picture of the newest revision of each job, and every design', async () => {
    const api = request(shop.url);
    const job = body<JobView>(await api.get(`/api/jobs/${id}`).expect(200));
    expect(job).toMatchObject({ summaryOf: 2, summary: { size: 'of 2', counts: { fix: 1 } }, head: { hash: 'h2' } });
    const picture = await api.get(job.summary!.thumbnail!).expect(200);
    expect(Buffer.from(picture.body as Uint8Array).toString()).toBe('picture of of 2');
    for (const number of [1, 2, 3]) await api.get(`/api/jobs/${id}/revisions/${number}`).expect(200);
  });
});
