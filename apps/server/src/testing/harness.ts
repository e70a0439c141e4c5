import { randomBytes } from 'node:crypto';
import { afterAll, beforeAll } from '@jest/globals';
import type { NestExpressApplication } from '@nestjs/platform-express';
import pg from 'pg';
import request, { type Response } from 'supertest';
import { createApp } from '../create-app.js';
import { SummariesService } from '../summaries/summaries.service.js';

// Every server that is open listens for the signals that stop it; files share a process.
process.setMaxListeners(40);

const server = process.env['VITRUM_TEST_POSTGRES'];

const onServer = async (sql: string): Promise<void> => {
  if (!server)
    throw new Error('server tests want a PostgreSQL in VITRUM_TEST_POSTGRES; run them with “npm test -- server”');
  const client = new pg.Client({ connectionString: `${server}/postgres` });
  await client.connect();
  await client.query(sql);
  await client.end();
};

export interface TestShop {
  readonly app: NestExpressApplication;
  readonly url: string;
  readonly databaseUrl: string;
  readonly close: () => Promise<void>;
}

const databaseName = (): string => `t_${randomBytes(6).toString('hex')}`;

const appOn = (database: string, seed: boolean, webRoot = '/nowhere'): Promise<NestExpressApplication> =>
  createApp(
    {
      databaseUrl: `${server}/${database}`,
      host: '127.0.0.1',
      port: 0,
      hosts: ['shop.test'],
      origins: [],
      proxies: ['loopback'],
      webRoot,
      seed,
      worker: false,
    },
    true,
  );

/** A database that holds the demo shop, to be copied: putting it in evaluates every job. */
let demoShop: Promise<string> | null = null;
const withDemoShop = async (): Promise<string> => {
  const name = databaseName();
  await onServer(`create database ${name}`);
  const app = await appOn(name, true);
  await app.get(SummariesService).idle();
  await app.close();
  return name;
};

/** A new database with nothing in it; gives its address. */
export const emptyDatabase = async (): Promise<string> => {
  const name = databaseName();
  await onServer(`create database ${name}`);
  return `${server}/${name}`;
};

/** A whole server without demo jobs on a database that is there, on a free port. */
export const openOn = async (databaseUrl: string, seed = false, webRoot?: string): Promise<TestShop> => {
  const name = new URL(databaseUrl).pathname.slice(1);
  const app = await appOn(name, seed, webRoot);
  await app.listen(0, '127.0.0.1');
  return {
    app,
    databaseUrl,
    url: (await app.getUrl()).replace('[::1]', '127.0.0.1'),
    close: async () => {
      await app.close();
      await onServer(`drop database ${name} with (force)`);
    },
  };
};

/** A whole server on a database of its own, on a free port. */
export const openShop = async (seed = true, webRoot?: string): Promise<TestShop> => {
  const name = databaseName();
  if (seed) demoShop ??= withDemoShop();
  await onServer(`create database ${name}${seed ? ` template ${await demoShop}` : ''}`);
  return openOn(`${server}/${name}`, seed, webRoot);
};

/** The demo shop for all tests of a file: open before the first of them, closed after the last. */
export const demoShopForTests = () => {
  let shop: TestShop | null = null;
  const open = (): TestShop => {
    if (shop === null) throw new Error('the shop is open while tests run, not before');
    return shop;
  };
  beforeAll(async () => {
    shop = await openShop();
  });
  afterAll(() => open().close());
  return {
    get app() {
      return open().app;
    },
    get url() {
      return open().url;
    },
    get databaseUrl() {
      return open().databaseUrl;
    },
    api: () => request(open().url),
  };
};

/** What a response holds. */
export const body = <T>(response: Response): T => response.body as T;
