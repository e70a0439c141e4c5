import { randomUUID } from 'node:crypto';
import { describe, expect, it } from '@jest/globals';
import type { LogEntryView, LogView, PlanView, ProblemReport } from '@vitrum/contract';
import { benchStandingOf, type LogEntry } from '@vitrum/core';
import { encode } from 'fast-png';
import request from 'supertest';
import { body, demoShopForTests } from '../testing/harness.js';
import { SummariesService } from '../summaries/summaries.service.js';

const shop = demoShopForTests();
const { api } = shop;

const entry = (what: LogEntry['what'], more: Partial<LogEntry> = {}): LogEntry => ({
  id: randomUUID(),
  stepId: 'rip',
  what,
  by: 'First maker',
  at: '2026-01-07T08:00:00.000Z',
  value: what === 'time' ? 20 : null,
  words: '',
  of: null,
  ...more,
});
const add = (jobId: string, ...entries: readonly object[]) => api().post(`/api/bench/${jobId}/log`).send({ entries });
const log = async (jobId: string, after = 0): Promise<LogView> =>
  body<LogView>(await api().get(`/api/bench/${jobId}/log?after=${after}`).expect(200));
const messageOf = (response: request.Response): string => {
  const { message, problems } = body<ProblemReport>(response);
  return [message, ...problems.map((each) => `${each.path} ${each.message}`)].join(' ');
};
let jobCount = 0;
/** A job of its own for a test. */
const job = async (): Promise<string> => {
  jobCount += 1;
  const jobs = body<readonly { readonly id: string }[]>(await api().get('/api/jobs').expect(200));
  return jobs[jobCount % jobs.length]!.id;
};
const png = Buffer.from(encode({ width: 4, height: 2, data: new Uint8Array(24), channels: 3, depth: 8 }));
const photo = (jobId: string, id: string, bytes: Buffer, type = 'image/png') =>
  api().put(`/api/bench/${jobId}/photos/${id}`).set('Content-Type', type).send(bytes);

describe('a bench log', () => {
  it('takes entries, gives them in the order in which they came, and counts one that is sent twice once', async () => {
    const id = await job();
    const entries = [
      entry('done'),
      entry('time', { value: 35 }),
      entry('wrong', { words: 'Kerf ran off', stepId: null }),
    ];
    const kept = body<readonly LogEntryView[]>(await add(id, ...entries).expect(200));
    expect(kept.map(({ seq: _seq, ...rest }) => rest)).toEqual(entries);
    const again = body<readonly LogEntryView[]>(
      await add(id, ...entries, entry('done', { stepId: 'glue' })).expect(200),
    );
    expect(again.slice(0, 3)).toEqual(kept);
    const whole = await log(id);
    expect(whole).toEqual({ entries: again, after: null });
    expect((await log(id, kept[1]!.seq)).entries).toEqual(again.slice(2));
    // The last word is that of the clock at the bench, not of whoever comes online first.
    await add(id, entry('not-done', { at: '2026-01-06T08:00:00.000Z' })).expect(200);
    expect(benchStandingOf((await log(id)).entries, []).done).toContain('rip');
  });

  it('of two who write at once loses nothing, and whoever reads on by number misses nothing', async () => {
    const id = await job();
    const from = (await log(id)).entries.at(-1)?.seq ?? 0;
    const written = Array.from({ length: 24 }, (_, at) => entry('time', { value: at + 1, by: at % 2 ? 'A' : 'B' }));
    const seen: LogEntryView[] = [];
    const reader = (async () => {
      while (seen.length < written.length) seen.push(...(await log(id, seen.at(-1)?.seq ?? from)).entries);
    })();
    await Promise.all(written.map((each) => add(id, each).expect(200)));
    await reader;
    expect(seen.map(({ id: each }) => each).sort()).toEqual(written.map(({ id: each }) => each).sort());
    const { minutes } = benchStandingOf(seen, []);
    expect(minutes.get('rip')).toBe(300);
  });

  it('refuses what is not sound, with the place, and keeps nothing of what came with it', async () => {
    const id = await job();
    const before = await log(id);
    const sound = entry('done');
    const refused = async (status: number, words: RegExp, ...entries: readonly object[]) =>
      expect(messageOf(await add(id, sound, ...entries).expect(status))).toMatch(words);
    await refused(400, /Entry 2: time is more than 0/, entry('time', { value: 0 }));
    await refused(400, /Entry 2: say in a few words/, entry('wrong'));
    await refused(400, /entries\.1\.what one of done/, { ...entry('done'), what: 'danced' });
    await refused(400, /entries\.1\.at a time such as/, entry('done', { at: 'yesterday' }));
    await refused(400, /entries\.1\.words .*cannot be shown/, entry('wrong', { words: 'a\u0000b' }));
    await refused(409, /not in this log/, entry('taken-back', { of: randomUUID() }));
    await refused(409, /photograph first/, entry('photo'));
    await add(id).expect(400);
    await add(id, ...Array.from({ length: 101 }, () => entry('done'))).expect(400);
    expect(await log(id)).toEqual(before);
    await add(randomUUID(), sound).expect(404);
    await api().get(`/api/bench/${randomUUID()}/log`).expect(404);
    await api().get(`/api/bench/nobody/log`).expect(404);
    await api().get(`/api/bench/${id}/log?after=-1`).expect(400);
    const [kept] = body<readonly LogEntryView[]>(await add(id, sound).expect(200));
    const other = await job();
    expect(messageOf(await add(other, { ...sound, words: 'again' }).expect(409))).toMatch(/another job/);
    expect((await log(id)).entries.at(-1)).toEqual(kept);
  });

  it('does not let a clock that is ahead have the last word for ever', async () => {
    const id = await job();
    const [ahead] = body<readonly LogEntryView[]>(
      await add(id, entry('done', { stepId: 'x', at: '2999-01-01T00:00:00.000Z' })).expect(200),
    );
    expect(Date.parse(ahead!.at)).toBeLessThanOrEqual(Date.now());
  });
});

describe('a photograph', () => {
  it('is kept, told by an entry, shown as what it is, and taken back with it', async () => {
    const id = await job();
    const told = entry('photo', { words: 'The slip' });
    await photo(id, told.id, png).expect(204);
    await photo(id, told.id, png).expect(204);
    await add(id, told).expect(200);
    const shown = await api().get(`/api/bench/${id}/photos/${told.id}`).expect(200);
    expect(shown.headers['content-type']).toBe('image/png');
    expect(shown.headers['x-content-type-options']).toBe('nosniff');
    expect(shown.body).toEqual(png);
    await add(id, entry('taken-back', { of: told.id })).expect(200);
    expect(benchStandingOf((await log(id)).entries, []).told.filter(({ what }) => what === 'photo')).toEqual([]);
  });

  it('that is none, or none of this job, is refused in words', async () => {
    const id = await job();
    expect(messageOf(await photo(id, randomUUID(), Buffer.from('<svg/>')).expect(400))).toMatch(/JPEG or PNG/);
    expect(messageOf(await photo(id, randomUUID(), Buffer.from('<html>'), 'text/html').expect(400))).toMatch(/itself/);
    await photo(id, randomUUID(), Buffer.alloc(4_100_000)).expect(413);
    await photo(randomUUID(), randomUUID(), png).expect(404);
    const kept = randomUUID();
    await photo(id, kept, png).expect(204);
    await api()
      .get(`/api/bench/${await job()}/photos/${kept}`)
      .expect(404);
  });
});

describe('the plan', () => {
  it('takes a step off that the log says is done, and puts it back', async () => {
    await shop.app.get(SummariesService).idle();
    const plan = async () => body<PlanView>(await api().get('/api/plan').expect(200)).jobs;
    const open = (await plan()).find(({ steps, done }) => steps.length > done.length + 2)!;
    const step = open.steps.find(({ id }) => !open.done.includes(id))!;
    const doneNow = async () => (await plan()).find(({ id }) => id === open.id)!.done;
    await add(open.id, entry('done', { stepId: step.id, at: new Date(Date.now() - 2000).toISOString() })).expect(200);
    expect(await doneNow()).toContain(step.id);
    await add(open.id, entry('not-done', { stepId: step.id, at: new Date().toISOString() })).expect(200);
    expect(await doneNow()).toEqual(open.done);
  });
});
