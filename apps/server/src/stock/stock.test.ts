import { randomUUID } from 'node:crypto';
import { beforeAll, describe, expect, it } from '@jest/globals';
import type {
  JobStockView,
  JobView,
  LotView,
  ProblemReport,
  ShoppingView,
  StockDone,
  StockEntryView,
  StockLineView,
} from '@vitrum/contract';
import { demoDesigns, shippedCatalogue, type Design } from '@vitrum/core';
import { sql } from 'drizzle-orm';
import { DatabaseService } from '../database/database.module.js';
import { SummariesService } from '../summaries/summaries.service.js';
import { body, demoShopForTests } from '../testing/harness.js';

const shop = demoShopForTests();
const { api } = shop;
const send = (entry: object) =>
  api()
    .post('/api/stock/entries')
    .send({ op: randomUUID(), ...entry });
const enter = async (entry: object): Promise<StockDone> => body<StockDone>(await send(entry).expect(201));
const buy = async (kind: string, itemId: string, rest: object = {}): Promise<LotView> =>
  (await enter({ what: 'bought', kind, itemId, ...rest })).lots[0]!;
const lots = async (kind: string, line: string) =>
  body<readonly LotView[]>(await api().get(`/api/stock/lots?kind=${kind}&line=${line}`).expect(200));
const line = async (kind: string, lineId: string) =>
  body<readonly StockLineView[]>(await api().get('/api/stock').expect(200)).find(
    (each) => each.kind === kind && each.lineId === lineId,
  );
const entries = async (of: string) =>
  body<readonly StockEntryView[]>(await api().get(`/api/stock/entries?${of}`).expect(200));
const glue = shippedCatalogue.glues.find(({ id }) => id === 'wood-glue')!;
const strip = shippedCatalogue.strips.find(({ id }) => id === 'white-12v-60')!;

describe('what is bought', () => {
  it('of strip is a lot a reel, of sheets one of so many, of glue a tube', async () => {
    const before = (await line('strips', strip.id))!;
    const reels = await enter({ what: 'bought', kind: 'strips', itemId: strip.id, pieces: 3 });
    expect(reels.lots.map(({ amount, form }) => [amount, form])).toEqual([
      [strip.reelMm, 'lengths'],
      [strip.reelMm, 'lengths'],
      [strip.reelMm, 'lengths'],
    ]);
    const offcut = await buy('boards', 'ply-3', { amount: 1, widthMm: 400, heightMm: 300 });
    expect(offcut).toMatchObject({ form: 'sheets', unit: 'sheet', widthMm: 400, heightMm: 300, amount: 1 });
    const whole = await buy('boards', 'ply-3', { pieces: 2 });
    const board = shippedCatalogue.boards.find(({ id }) => id === 'ply-3')!;
    expect(whole).toMatchObject({ amount: 2, widthMm: board.sheetWidthMm });
    expect(await buy('glues', glue.id, { amount: glue.ml, openedOn: '2030-01-02' })).toMatchObject({
      unit: 'ml',
      openedOn: '2030-01-02',
      name: glue.name,
    });
    expect(await line('strips', strip.id)).toMatchObject({
      lots: before.lots + 3,
      amount: before.amount + 3 * strip.reelMm,
      claimed: 0,
    });
  });

  it.each<[object, string]>([
    [{ what: 'bought', kind: 'strips', itemId: 'moonlight' }, '“moonlight” is not among the strips'],
    [{ what: 'bought', itemId: strip.id }, 'say of which list'],
    [{ what: 'bought', kind: 'strips', itemId: strip.id, pieces: 4000 }, 'at most 200 pieces'],
    [{ what: 'found', kind: 'strips' }, 'one of bought, counted'],
    [{ what: 'used', lotId: randomUUID(), amount: 3 }, 'There is no such lot'],
    [{ what: 'used', amount: 3 }, 'say of which lot'],
    [{ what: 'counted', lotId: randomUUID() }, 'There is no such lot'],
    [{ what: 'counted', lotId: 'x', amount: 3 }, 'the id of a lot'],
    [{ op: 'again', what: 'bought' }, 'an id of its own'],
  ])('%j is refused: %s', async (entry, told) => {
    const response = await send(entry);
    expect(response.status).toBeGreaterThanOrEqual(400);
    expect(response.status).toBeLessThan(500);
    const { message, problems } = body<ProblemReport>(response);
    expect([message, ...problems.map((each) => each.message)].join('; ')).toContain(told);
  });
});

describe('a lot', () => {
  it('is what its entries add up to; none of them is ever changed', async () => {
    const lot = await buy('glues', glue.id, { amount: 500 });
    const about = { lotId: lot.id };
    await enter({ what: 'opened', ...about, openedOn: '2030-03-01' });
    await enter({ what: 'used', ...about, amount: 120.5 });
    await enter({ what: 'scrapped', ...about, amount: 9.5, note: 'dried up' });
    await enter({ what: 'returned', ...about, amount: 20 });
    const counted = await enter({ what: 'counted', ...about, amount: 377.25, note: 'weighed' });
    expect(counted.lots[0]).toMatchObject({ amount: 377.25, openedOn: '2030-03-01' });
    const told = await entries(`lot=${lot.id}`);
    expect(told.map(({ what, delta }) => [what, delta])).toEqual([
      ['counted', -12.75],
      ['returned', 20],
      ['scrapped', -9.5],
      ['used', -120.5],
      ['opened', 0],
      ['bought', 500],
    ]);
    expect(told.reduce((sum, { delta }) => sum + delta, 0)).toBeCloseTo(377.25, 9);
    const later = await entries(`lot=${lot.id}&before=${told[2]!.seq}`);
    expect(later.map(({ what }) => what)).toEqual(['used', 'opened', 'bought']);
  });

  it('gives no more than is there, and says what is', async () => {
    const lot = await buy('glues', glue.id, { amount: 30 });
    const over = await send({ what: 'used', lotId: lot.id, amount: 31 });
    expect(over.status).toBe(409);
    expect(body<ProblemReport>(over).message).toContain('Only 30 ml are there by the ledger');
    expect(await entries(`lot=${lot.id}`)).toHaveLength(1);
  });

  it('is not counted, and nothing comes back to it, without an amount', async () => {
    const lot = await buy('glues', glue.id, { amount: 30 });
    for (const entry of [{ what: 'counted' }, { what: 'returned' }, { what: 'returned', amount: 0 }, { what: 'used' }])
      expect((await send({ ...entry, lotId: lot.id })).status).toBe(400);
    expect(await entries(`lot=${lot.id}`)).toHaveLength(1);
  });

  it('of a sheet that is cut into leaves an offcut of its size', async () => {
    const lot = await buy('boards', 'ply-6', { pieces: 2 });
    const { lots: after } = await enter({ what: 'parted', lotId: lot.id, amount: 1, widthMm: 700, heightMm: 410 });
    const whole = await send({ what: 'parted', lotId: lot.id, amount: 1 });
    expect(body<ProblemReport>(whole).problems[0]?.message).toContain('an offcut is smaller');
    expect(after.map(({ amount, widthMm }) => [amount, widthMm])).toEqual([
      [1, lot.widthMm],
      [1, 700],
    ]);
  });

  it('of a reel is parted into two that are two, and used up is gone from the list', async () => {
    const lot = await buy('strips', strip.id, { amount: 3000 });
    const parted = await enter({ what: 'parted', lotId: lot.id, amount: 1200 });
    expect(parted.lots.map(({ amount }) => amount)).toEqual([1800, 1200]);
    await enter({ what: 'used', lotId: lot.id, amount: 1800 });
    const there = await lots('strips', strip.id);
    expect(there.some(({ id }) => id === lot.id)).toBe(false);
    expect(there.some(({ id, amount }) => id === parted.lots[1]!.id && amount === 1200)).toBe(true);
  });

  it('counts an operation once, however often it is sent, and at once by many', async () => {
    const lot = await buy('glues', glue.id, { amount: 100 });
    const entry = { op: randomUUID(), what: 'used', lotId: lot.id, amount: 10 };
    const answers = await Promise.all(Array.from({ length: 8 }, () => send(entry)));
    expect(answers.map(({ status }) => status)).toEqual(Array.from({ length: 8 }, () => 201));
    expect(new Set(answers.map((answer) => body<StockDone>(answer).lots[0]!.amount))).toEqual(new Set([90]));
    const bought = { op: randomUUID(), what: 'bought', kind: 'glues', itemId: glue.id, amount: 77 };
    const [first, second] = [await enter(bought), await enter(bought)];
    expect(second.lots.map(({ id }) => id)).toEqual(first.lots.map(({ id }) => id));
  });
});

describe('a job', () => {
  let job: JobView;
  const claimOf = async (id: string, what: 'claim' | 'release' | 'use') =>
    body<JobStockView>(await api().post(`/api/stock/jobs/${id}/${what}`).send({ op: randomUUID() }).expect(200));
  const make = async (name: string, design: Design): Promise<JobView> => {
    const made = body<JobView>(await api().post('/api/jobs').send({ name, design }).expect(201));
    await shop.app.get(SummariesService).idle();
    return made;
  };
  beforeAll(async () => {
    job = await make('Short of glue', demoDesigns.dispensary);
  });

  it('tells what it takes, what of it is short, and what that costs', async () => {
    const view = body<JobStockView>(await api().get(`/api/stock/jobs/${job.id}`).expect(200));
    expect(view.claimed).toBe(false);
    expect(view.needs.map(({ kind }) => kind)).toEqual(
      expect.arrayContaining(['strips', 'boards', 'faces', 'supplies']),
    );
    expect(view.shorts.length).toBeGreaterThan(3);
    expect(view.lines.every(({ jobIds, price }) => jobIds.includes(job.id) && price >= 0)).toBe(true);
    await api().get(`/api/stock/jobs/${randomUUID()}`).expect(404);
  });

  it('is short of nothing once what was on its list is bought; what is kept for it others do not have', async () => {
    const { lines } = body<JobStockView>(await api().get(`/api/stock/jobs/${job.id}`).expect(200));
    for (const { kind, itemId, pieces } of lines) {
      const each = kind === 'glues' ? glue.ml : undefined;
      await enter({
        what: 'bought',
        kind,
        itemId,
        pieces: ['strips', 'boards', 'faces', 'panes'].includes(kind) ? pieces : 1,
        ...(kind === 'strips'
          ? {}
          : {
              amount: kind === 'boards' || kind === 'faces' ? 1 : kind === 'paints' ? 5 * pieces : (each ?? 1) * pieces,
            }),
      });
    }
    const kept = await claimOf(job.id, 'claim');
    expect([kept.claimed, kept.shorts]).toEqual([true, []]);
    const other = await make('Comes after', demoDesigns.dispensary);
    const after = body<JobStockView>(await api().get(`/api/stock/jobs/${other.id}`).expect(200));
    expect(after.shorts.some(({ kind }) => kind === 'supplies')).toBe(true);
    expect((await line('supplies', kept.needs.find(({ kind }) => kind === 'supplies')!.lineId))!.claimed).toBe(1);
  });

  it('is told when a count takes from it what was kept for it', async () => {
    const supply = body<JobStockView>(await api().get(`/api/stock/jobs/${job.id}`)).needs.find(
      ({ kind }) => kind === 'supplies',
    )!;
    const [lot] = await lots('supplies', supply.lineId);
    const counted = await enter({ what: 'counted', lotId: lot!.id, amount: 0, note: 'not on its place' });
    expect(counted.short).toEqual([expect.objectContaining({ jobId: job.id, name: 'Short of glue', claimed: true })]);
    expect(counted.short[0]!.shorts.map(({ itemId }) => itemId)).toEqual([supply.itemId]);
    const {
      jobs: list,
      lines,
      total,
    } = body<ShoppingView>(await api().get(`/api/stock/shopping?jobs=${job.id}`).expect(200));
    expect(list[0]!.shorts).toHaveLength(1);
    expect(lines).toEqual([expect.objectContaining({ itemId: supply.itemId, pieces: 1 })]);
    expect(total).toBeCloseTo(lines[0]!.price, 9);
    await enter({ what: 'counted', lotId: lot!.id, amount: 1 });
  });

  it('keeps its turn with another design, and is short of what that takes more', async () => {
    const { head } = body<JobView>(await api().get(`/api/jobs/${job.id}`).expect(200));
    const more = { ...head.design, brief: { ...head.design.brief, quantity: 3 } };
    await api().put(`/api/jobs/${job.id}/design`).set('If-Match', `"${head.hash}"`).send({ design: more }).expect(200);
    await shop.app.get(SummariesService).idle();
    const now = body<JobStockView>(await api().get(`/api/stock/jobs/${job.id}`).expect(200));
    expect(now.claimed).toBe(true);
    expect(now.shorts.find(({ kind }) => kind === 'supplies')).toMatchObject({ amount: 2 });
  });

  it('takes from the lots what it is made from, once, and its claim is over', async () => {
    const before = await line('strips', strip.id);
    const op = randomUUID();
    for (let turn = 0; turn < 2; turn += 1) await api().post(`/api/stock/jobs/${job.id}/use`).send({ op }).expect(200);
    const after = body<JobStockView>(await api().get(`/api/stock/jobs/${job.id}`).expect(200));
    expect(after.claimed).toBe(false);
    const own = await entries(`job=${job.id}`);
    const used = own.filter(({ what }) => what === 'used');
    expect(used.length).toBeGreaterThan(3);
    expect(used.every(({ delta, jobName }) => delta < 0 && jobName === 'Short of glue')).toBe(true);
    const ofStrip = used.filter(({ unit }) => unit === 'mm').reduce((sum, { delta }) => sum + delta, 0);
    const need = after.needs.find(({ kind }) => kind === 'strips')!;
    if (need.lineId === strip.id)
      expect((await line('strips', strip.id))!.amount).toBeCloseTo(before!.amount + ofStrip, 6);
    expect(own.at(-1)!.what).toBe('claimed');
    // Nothing is kept for it now: it is not taken a second time, by however many.
    const again = await Promise.all(
      [1, 2].map(() => api().post(`/api/stock/jobs/${job.id}/use`).send({ op: randomUUID() })),
    );
    expect(again.map(({ status }) => status)).toEqual([409, 409]);
    const given = await claimOf(job.id, 'claim');
    expect(given.claimed).toBe(true);
    expect((await claimOf(job.id, 'release')).claimed).toBe(false);
  });
});

describe('what is left of a sheet that a job was cut from', () => {
  it('is kept as an offcut where that is asked, once, and the next job finds it', async () => {
    const made = body<JobView>(
      await api().post('/api/jobs').send({ name: 'Leaves some', design: demoDesigns.dispensary }).expect(201),
    );
    await shop.app.get(SummariesService).idle();
    const path = `/api/stock/jobs/${made.id}`;
    const before = body<JobStockView>(await api().get(path).expect(200));
    const wanted = before.laid.find(({ kind, bar, leftMm }) => kind === 'boards' && !bar && leftMm.length > 0)!;
    const [widthMm, heightMm] = wanted.sheetMm;
    // One that is just large enough is taken before any other, and leaves as much.
    await enter({ what: 'bought', kind: wanted.kind, itemId: wanted.lineId, pieces: 1, widthMm, heightMm });
    const claimed = body<JobStockView>(await api().post(`${path}/claim`).send({ op: randomUUID() }).expect(200));
    const laid = claimed.laid.filter(({ lotId }) => lotId !== null);
    const left = laid.flatMap(({ leftMm }) => leftMm);
    expect(left.length).toBeGreaterThan(0);
    await api().post(`${path}/use`).send({ op: randomUUID(), keepLeft: 'all' }).expect(400);
    const op = randomUUID();
    for (let turn = 0; turn < 2; turn += 1) await api().post(`${path}/use`).send({ op, keepLeft: true }).expect(200);
    const back = (await entries(`job=${made.id}`)).filter(({ what }) => what === 'returned');
    expect(back.map(({ delta, note }) => [delta, note.startsWith('left of a ')])).toEqual(left.map(() => [1, true]));
    const found = (await Promise.all(laid.map(({ kind, lineId }) => lots(kind, lineId)))).flat();
    for (const [wide, high] of left)
      expect(found).toContainEqual(expect.objectContaining({ widthMm: wide, heightMm: high, amount: 1 }));
  });
});

describe('a job summed up by a version that did not tell what it takes', () => {
  it('is summed up when that is asked for', async () => {
    const { db } = shop.app.get(DatabaseService);
    const [job] = body<readonly JobView[]>(await api().get('/api/jobs').expect(200)).filter(
      ({ status }) => status === 'quoted',
    );
    await db.execute(sql`update jobs set needs = null where id = ${job!.id}::uuid`);
    const first = body<JobStockView>(await api().get(`/api/stock/jobs/${job!.id}`).expect(200));
    expect(first.needs).toEqual([]);
    await shop.app.get(SummariesService).idle();
    const then = body<JobStockView>(await api().get(`/api/stock/jobs/${job!.id}`).expect(200));
    expect(then.needs.length).toBeGreaterThan(3);
  });
});

describe('the list for all jobs at hand', () => {
  it('leaves out what is only quoted, and jobs that are done', async () => {
    const { jobs: list } = body<ShoppingView>(await api().get('/api/stock/shopping').expect(200));
    const all = body<readonly JobView[]>(await api().get('/api/jobs').expect(200));
    const statusOf = new Map(all.map(({ id, status }) => [id, status]));
    expect(list.length).toBeGreaterThan(1);
    for (const { jobId } of list) expect(['designed', 'cutting', 'building']).toContain(statusOf.get(jobId));
    await api().get('/api/stock/shopping?jobs=moon').expect(404);
  });
});
