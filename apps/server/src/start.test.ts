import { execFileSync, spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, type AddressInfo, type Server } from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { openShop, type TestShop } from './testing/harness.js';

/** What `npm start` does, without npm. */
const script = fileURLToPath(new URL('../../../scripts/start.mjs', import.meta.url));
const slowMs = 60_000;

let shop: TestShop;
let data = '';
beforeAll(async () => {
  shop = await openShop(false);
  data = mkdtempSync(path.join(os.tmpdir(), 'vitrum-data-'));
}, slowMs);
afterAll(async () => {
  await shop.close();
  rmSync(data, { recursive: true, force: true });
});

interface Ended {
  readonly code: number | null;
  readonly out: string;
  readonly complaint: string;
}

/** Runs the script; `onOpen` is called with the address it prints. */
const start = (
  environment: Readonly<Record<string, string>>,
  onOpen: (url: string, stop: () => void) => void = (_, stop) => stop(),
): Promise<Ended> =>
  new Promise((resolve) => {
    const child = spawn('node', [script], {
      env: { ...process.env, VITRUM_DATA: data, DATABASE_URL: shop.databaseUrl, ...environment },
    });
    let [out, complaint] = ['', ''];
    child.stdout.on('data', (chunk: Buffer) => {
      out += chunk.toString();
      const url = /open at (\S+)/.exec(chunk.toString())?.[1];
      if (url !== undefined) onOpen(url, () => child.kill('SIGINT'));
    });
    child.stderr.on('data', (chunk: Buffer) => (complaint += chunk.toString()));
    child.on('exit', (code) => resolve({ code, out, complaint: complaint.trim() }));
  });

/** Where `npm start` keeps the cluster of a data folder: beneath it, or in a stand-in that the system user can get to. */
const ownCluster = (data: string): string => {
  const name = createHash('sha256').update(data).digest('hex').slice(0, 12);
  return process.getuid?.() === 0 ? `(${data}|vitrum-${name})/postgres` : `${data}/postgres`;
};

const occupied = (): Promise<Server> =>
  new Promise((resolve) => {
    const server = createServer();
    server.listen(0, '127.0.0.1', () => resolve(server));
  });

describe('starting and stopping', () => {
  it(
    'prints its address, serves page and API there, and stops when interrupted',
    async () => {
      let answers: readonly [string, number] | null = null;
      const ended = await start({ PORT: '0' }, (url, stop) => {
        void Promise.all([fetch(`${url}/jobs/new`), fetch(`${url}/api/ready`)])
          .then(async ([page, ready]) => (answers = [await page.text(), ready.status]))
          .finally(stop);
      });
      expect(answers![0]).toContain('<div id="root">');
      expect(answers![1]).toBe(200);
      expect(ended.code).toBe(0);
      expect(ended.out).toContain('Stopping');
    },
    slowMs,
  );

  it(
    'brings its own database up again when that was killed; meanwhile it says so, and nothing is lost',
    async () => {
      const own = mkdtempSync(path.join(os.tmpdir(), 'vitrum-own-'));
      const seen: number[] = [];
      let jobsAfter: readonly unknown[] = [];
      let why = '';
      const waitFor = async (url: string, status: number): Promise<void> => {
        for (let turn = 0; turn < 300; turn += 1) {
          const answer = await fetch(`${url}/api/ready`);
          if (!seen.includes(answer.status)) seen.push(answer.status);
          if (answer.status === 503) why = ((await answer.json()) as { readonly message: string }).message;
          expect((await fetch(`${url}/api/health`)).status).toBe(200);
          if (answer.status === status) return;
          await new Promise((resolve) => setTimeout(resolve, 100));
        }
      };
      const act = async (url: string): Promise<void> => {
        await waitFor(url, 200);
        const before = (await (await fetch(`${url}/api/jobs`)).json()) as readonly unknown[];
        const [postmaster] = execFileSync('pgrep', ['-f', `postgres -D .*${ownCluster(own)}`], {
          encoding: 'utf8',
        }).split('\n');
        process.kill(Number(postmaster), 'SIGKILL');
        await waitFor(url, 503);
        await waitFor(url, 200);
        jobsAfter = (await (await fetch(`${url}/api/jobs`)).json()) as readonly unknown[];
        expect(jobsAfter).toHaveLength(before.length);
      };
      let failure: unknown = null;
      const ended = await start({ PORT: '0', DATABASE_URL: '', VITRUM_DATA: own }, (url, stop) => {
        void act(url)
          .catch((error: unknown) => (failure = error))
          .finally(stop);
      });
      rmSync(own, { recursive: true, force: true });
      expect(failure).toBeNull();
      expect(seen).toEqual([200, 503]);
      expect(why).toContain('The database does not answer');
      expect(jobsAfter.length).toBeGreaterThan(0);
      expect(ended.out).toContain('it is up again');
      expect(ended.code).toBe(0);
    },
    2 * slowMs,
  );

  it(
    'says in one sentence that the port is in use, and fails',
    async () => {
      const holder = await occupied();
      const { port } = holder.address() as AddressInfo;
      const ended = await start({ PORT: String(port) });
      holder.close();
      expect(ended).toMatchObject({
        code: 1,
        complaint: `Port ${port} is in use; stop what listens there or set PORT to another.`,
      });
    },
    slowMs,
  );

  it.each([
    [{ PORT: 'door' }, 'PORT must be a number'],
    [{ PORT: '0', DATABASE_URL: 'postgres://a:b@127.0.0.1:1/none' }, 'The database does not come up'],
  ])(
    'fails with a sentence: %j',
    async (environment, sentence) => {
      const ended = await start(environment);
      expect(ended.code).toBe(1);
      expect(ended.complaint).toContain(sentence);
      expect(ended.complaint.split('\n')).toHaveLength(1);
    },
    slowMs,
  );
});
