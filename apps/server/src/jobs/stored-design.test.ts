import { readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import type { JobView, RevisionWithDesign } from '@vitrum/contract';
import { demoDesigns, readDesign, type Design } from '@vitrum/core';
import { and, eq } from 'drizzle-orm';
import { DatabaseService } from '../database/database.module.js';
import { revisions } from '../database/schema.js';
import { body, demoShopForTests } from '../testing/harness.js';
import { designFromStore } from './stored-design.js';

const shop = demoShopForTests();
const { api } = shop;

describe('a stored revision', () => {
  it.each(['slipway', 'curlew', 'tern'] as const)('opens %s as version 1 stored it', async (name) => {
    const job = body<JobView>(
      await api().post('/api/jobs').send({ name: 'Old', design: demoDesigns[name] }).expect(201),
    );
    const text = readFileSync(new URL(`../../../../packages/core/src/testing/version-1/${name}.json`, import.meta.url));
    const stored = JSON.parse(text.toString()) as Design;
    const { db } = shop.app.get(DatabaseService);
    await db.update(revisions).set({ design: stored, hash: 'old' }).where(eq(revisions.jobId, job.id));
    const read = body<JobView>(await api().get(`/api/jobs/${job.id}`).expect(200));
    expect(read.head).toMatchObject({ hash: 'old', number: 1 });
    expect({ ok: true, value: read.head.design }).toEqual(readDesign(stored));
    expect(read.head.design.version).toBe(2);
    // What is saved on it is of this version, and the old row stays as it was.
    const next = { ...demoDesigns[name], name: 'Newer' };
    expect(
      body<RevisionWithDesign>(
        await api().put(`/api/jobs/${job.id}/design`).set('If-Match', '"old"').send({ design: next }).expect(200),
      ).number,
    ).toBe(2);
    const [first] = await db
      .select()
      .from(revisions)
      .where(and(eq(revisions.jobId, job.id), eq(revisions.number, 1)));
    expect(first?.design).toEqual(stored);
  });

  it('that cannot be read goes out as it is', () => {
    const broken = { version: 1, format: 'vitrum-design', name: 7 };
    expect(designFromStore(broken)).toBe(broken);
  });
});
