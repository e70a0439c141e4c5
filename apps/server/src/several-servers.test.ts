import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { JobView, RevisionView, SweepEvent, SweepView } from '@vitrum/contract';
import { demoDesigns, faceOptions, shippedCatalogue, type Design } from '@vitrum/core';
import pg from 'pg';
import { emptyDatabase } from './testing/harness.js';
import { startProxy, startServer, startWorker, type Proxy, type Running } from './testing/processes.js';

const slowMs = 180_000;
const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

let proxy: Proxy;
let databaseUrl = '';
const running: Running[] = [];
const servers: Running[] = [];
const workers: Running[] = [];
const ports: number[] = [];

beforeAll(async () => {
  databaseUrl = await emptyDatabase();
  // Together: each would migrate the database.
  for (const server of await Promise.all([startServer(databaseUrl), startServer(databaseUrl)])) {
    servers.push(server);
    ports.push(server.port);
  }
  for (let at = 0; at < 4; at += 1) workers.push(startWorker(databaseUrl));
  running.push(...servers, ...workers);
  proxy = await startProxy(ports);
}, slowMs);

afterAll(async () => {
  proxy?.close();
  await Promise.all(running.map((each) => each.kill()));
}, slowMs);

const json = { 'content-type': 'application/json' };
const design: Design = demoDesigns.dispensary;

/** Asked again until it is answered by a server that lives; what was taken may have been done. */
const steadily = async (path: string, options: RequestInit = {}): Promise<Response> => {
  for (let turn = 0; turn < 100; turn += 1) {
    const answer = await fetch(`${proxy.url}${path}`, options).catch(() => null);
    if (answer !== null && answer.status < 500) return answer;
    await pause(100);
  }
  throw new Error(`${path} is not answered`);
};

describe('two servers and four workers on one database, behind a proxy', () => {
  it(
    'lose nothing, and pages go on, whichever of them is killed',
    async () => {
      let over = false;
      const acknowledged = new Map<string, string[]>();
      const saving = async (name: string): Promise<void> => {
        const made = await steadily('/api/jobs', {
          method: 'POST',
          headers: json,
          body: JSON.stringify({ name, design }),
        });
        const job = (await made.json()) as JobView;
        const hashes = [job.head.hash];
        acknowledged.set(job.id, hashes);
        for (let turn = 0; !over; turn += 1) {
          const answer = await steadily(`/api/jobs/${job.id}/design`, {
            method: 'PUT',
            headers: { ...json, 'if-match': `"${hashes.at(-1)}"` },
            body: JSON.stringify({ design: { ...design, name: `${name} ${turn}` } }),
          });
          // Asked again after a server died that had stored it: the same edits are no conflict.
          expect(answer.status).toBe(200);
          hashes.push(((await answer.json()) as RevisionView).hash);
          await pause(250);
        }
      };
      const savers = Promise.all(['a', 'b', 'c', 'd'].map(saving));

      const plan = {
        assembly: 0,
        depthsMm: Array.from({ length: 40 }, (_, at) => 50 + 2 * at),
        rowCounts: [3, 4],
        faces: faceOptions(design, 0, shippedCatalogue).slice(0, 1),
        liningIds: ['matt-white'],
      };
      const asked = await steadily('/api/sweeps', {
        method: 'POST',
        headers: json,
        body: JSON.stringify({ design, plan }),
      });
      expect(asked.status).toBe(202);
      const { id, total } = (await asked.json()) as SweepView;

      /** As a page hears it: the line is taken up again where it was lost. */
      const heard: number[] = [];
      let ended: SweepView | null = null;
      let linesLost = 0;
      const listening = (async () => {
        for (let last = '0'; ended === null;) {
          const answer = await steadily(`/api/sweeps/${id}/events`, { headers: { 'last-event-id': last } });
          const decoder = new TextDecoder();
          let rest = '';
          try {
            for await (const chunk of answer.body!) {
              rest += decoder.decode(chunk, { stream: true });
              const events = rest.split('\n\n');
              rest = events.pop()!;
              for (const event of events) {
                last = /^id: (.*)$/m.exec(event)?.[1] ?? last;
                const data = /^data: (.*)$/m.exec(event)?.[1];
                if (data === undefined) continue;
                const { sweep, points } = JSON.parse(data) as SweepEvent;
                heard.push(...points.map((point) => point.id));
                if (!['queued', 'running'].includes(sweep.status) && points.length === 0) ended = sweep;
              }
            }
          } catch {
            linesLost += 1;
          }
        }
      })();

      const stands = async (): Promise<SweepView> => (await (await steadily(`/api/sweeps/${id}`)).json()) as SweepView;
      const after = async (done: number): Promise<void> => {
        while ((await stands()).done < done) await pause(100);
      };
      await after(1);
      for (const worker of workers.slice(0, 3)) {
        await worker.kill();
        await after((await stands()).done + 1);
      }
      await servers[0]!.kill();
      await after((await stands()).done + 1);
      running.push(await startServer(databaseUrl, ports[0]));
      await servers[1]!.kill();
      await listening;
      over = true;
      await savers;

      expect(ended).toMatchObject({ status: 'done', done: total });
      // A place that makes no case is told by its absence; none comes twice.
      expect(new Set(heard).size).toBe(heard.length);
      expect(linesLost).toBeGreaterThan(0);
      const client = new pg.Client({ connectionString: databaseUrl });
      await client.connect();
      try {
        const { rows } = await client.query<{ place: number; id: number | null }>(
          "select place, (data ->> 'id')::int as id from sweep_points where sweep_id = $1 order by place",
          [id],
        );
        expect(rows.map(({ place }) => place)).toEqual(Array.from({ length: total }, (_, at) => at + 1));
        expect(heard.sort((a, b) => a - b)).toEqual(rows.flatMap((row) => (row.id === null ? [] : [row.id])));
        for (const [jobId, hashes] of acknowledged) {
          const kept = await client.query<{ hash: string }>('select hash from revisions where job_id = $1', [jobId]);
          expect(kept.rows.map(({ hash }) => hash)).toEqual(expect.arrayContaining([...new Set(hashes)]));
          expect(hashes.length).toBeGreaterThan(3);
        }
      } finally {
        await client.end();
      }
    },
    slowMs,
  );
});
