import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { StockDone, StockLineView } from '@vitrum/contract';
import { seededRandom } from '@vitrum/core';
import pg from 'pg';
import { emptyDatabase } from '../testing/harness.js';
import { startProxy, startServer, type Proxy, type RunningServer } from '../testing/processes.js';

const slowMs = 240_000;
const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

let databaseUrl = '';
let proxy: Proxy;
let servers: RunningServer[] = [];
beforeAll(async () => {
  databaseUrl = await emptyDatabase();
  servers = await Promise.all([startServer(databaseUrl), startServer(databaseUrl)]);
  proxy = await startProxy(servers.map(({ port }) => port));
}, slowMs);
afterAll(async () => {
  proxy?.close();
  await Promise.all(servers.map((server) => server.kill()));
}, slowMs);

/** Sent until it is answered by a server that lives: the same operation, so that it counts once. */
const steadily = async (entry: object): Promise<{ readonly status: number; readonly done: StockDone }> => {
  for (let turn = 0; turn < 200; turn += 1) {
    const answer = await fetch(`${proxy.url}/api/stock/entries`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(entry),
    }).catch(() => null);
    if (answer !== null && answer.status < 500)
      return { status: answer.status, done: (await answer.json()) as StockDone };
    await pause(60);
  }
  throw new Error('an operation is not answered');
};

const bought = async (): Promise<string> => {
  const { done } = await steadily({
    op: randomUUID(),
    what: 'bought',
    kind: 'glues',
    itemId: 'wood-glue',
    amount: 1000,
  });
  return done.lots[0]!.id;
};

describe('a thousand operations from four clients, servers killed meanwhile', () => {
  it(
    'add up, each counted once, to what every client was told',
    async () => {
      const lots = await Promise.all(Array.from({ length: 6 }, bought));
      // What each client knows to have been done, by lot; counts set, so they are made on lots of one client alone.
      const told = new Map(lots.map((lot) => [lot, 1000]));
      const client = async (number: number): Promise<void> => {
        const random = seededRandom(7 + number);
        for (let turn = 0; turn < 250; turn += 1) {
          const lotId = lots[Math.floor(random() * lots.length)]!;
          const amount = Math.round(random() * 80_000) / 1000;
          const what = random() < 0.55 ? 'used' : 'returned';
          const entry = { op: randomUUID(), what, lotId, amount };
          const { status } = await steadily(entry);
          if (status === 201) told.set(lotId, told.get(lotId)! + (what === 'used' ? -amount : amount));
          // What was answered is sent once more now and then, as a phone that lost the answer does.
          if (status === 201 && random() < 0.2) await steadily(entry);
        }
      };
      let over = false;
      const killing = (async () => {
        const ports = servers.map(({ port }) => port);
        for (let turn = 0; !over; turn += 1) {
          await pause(1500);
          const at = turn % ports.length;
          await servers[at]!.kill();
          servers[at] = await startServer(databaseUrl, ports[at]);
        }
      })();
      await Promise.all([0, 1, 2, 3].map(client));
      over = true;
      await killing;

      const db = new pg.Client({ connectionString: databaseUrl });
      await db.connect();
      const sums = await db.query<{ lot_id: string; sum: number; amount: number; entries: number }>(
        'select lot_id, sum(delta) as sum, max(l.amount) as amount, count(*)::int as entries from stock_entries e join stock_lots l on l.id = e.lot_id group by lot_id',
      );
      const twice = await db.query('select op from stock_entries group by op, place having count(*) > 1');
      await db.end();
      expect(twice.rows).toEqual([]);
      expect(sums.rows).toHaveLength(lots.length);
      for (const { lot_id: lot, sum, amount } of sums.rows) {
        expect(Math.abs(sum - amount)).toBeLessThan(1e-5);
        expect(amount).toBeGreaterThanOrEqual(0);
        expect(Math.abs(amount - told.get(lot)!)).toBeLessThan(1e-3);
      }
      const lines = (await (await fetch(`${proxy.url}/api/stock`)).json()) as readonly StockLineView[];
      const all = [...told.values()].reduce((sum, amount) => sum + amount, 0);
      expect(Math.abs(lines[0]!.amount - all)).toBeLessThan(1e-2);
    },
    slowMs,
  );
});
