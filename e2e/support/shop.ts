import { spawn, type ChildProcess } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { createServer, type AddressInfo } from 'node:net';
import { fileURLToPath } from 'node:url';
import { expect, test as base, type Locator, type Page } from '@playwright/test';
import type { JobView } from '@vitrum/contract';
import { demoDesigns } from '@vitrum/core';
import pg from 'pg';
import { SharedPage, visit } from './shared-page';

const program = fileURLToPath(new URL('../../apps/server/dist/main.js', import.meta.url));

const onPostgres = async <Row extends object>(sql: string, database = 'postgres'): Promise<readonly Row[]> => {
  const client = new pg.Client({ connectionString: `${process.env['VITRUM_TEST_POSTGRES'] ?? ''}/${database}` });
  await client.connect();
  const { rows } = await client.query<Row>(sql);
  await client.end();
  return rows;
};

const freePort = (): Promise<number> =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => resolve(port));
    });
  });

/** A real server process on a database of its own; it can be killed and started again on the same port. */
export class Shop {
  private child: ChildProcess | null = null;
  private readonly seeded = new Set<string>();

  private constructor(
    private readonly database: string,
    private readonly port: number,
  ) {}

  static async open(): Promise<Shop> {
    const database = `e_${randomBytes(6).toString('hex')}`;
    await onPostgres(`create database ${database}`);
    const shop = new Shop(database, await freePort());
    await shop.start();
    for (const { id } of await shop.inBook()) shop.seeded.add(id);
    return shop;
  }

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  start(): Promise<void> {
    const environment = {
      ...process.env,
      DATABASE_URL: `${process.env['VITRUM_TEST_POSTGRES'] ?? ''}/${this.database}`,
      PORT: String(this.port),
    };
    const child = spawn('node', [program], { env: environment, stdio: ['ignore', 'pipe', 'pipe'] });
    this.child = child;
    return new Promise((resolve, reject) => {
      let said = '';
      const listen = (chunk: Buffer): void => {
        said += chunk.toString();
        if (said.includes('listening http')) resolve();
      };
      child.stdout.on('data', listen);
      child.stderr.on('data', listen);
      child.once('exit', () => reject(new Error(said)));
    });
  }

  /** As a power cut would. */
  async kill(): Promise<void> {
    const { child } = this;
    if (child === null || child.exitCode !== null) return;
    const gone = new Promise((resolve) => child.once('exit', resolve));
    child.kill('SIGKILL');
    await gone;
  }

  private inBook(): Promise<readonly { readonly id: string }[]> {
    return onPostgres('select id from jobs where not archived', this.database);
  }

  /** Puts away what a test made, so that the book is short for those after it, and changed rates sum up nothing that nobody reads. */
  async tidy(): Promise<void> {
    if (this.child?.exitCode !== null || this.child.killed) return;
    for (const { id } of await this.inBook())
      if (!this.seeded.has(id))
        await fetch(`${this.url}/api/jobs/${id}`, {
          method: 'PATCH',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ archived: true }),
        });
  }

  async close(): Promise<void> {
    await this.kill();
    await onPostgres(`drop database ${this.database} with (force)`);
  }
}

interface OwnFixtures {
  /** Whether the test has a browser to itself: where what is kept in it, or its network, is what the test is about. */
  readonly alone: boolean;
  readonly tidied: undefined;
}

interface SharedFixtures {
  readonly shop: Shop;
  readonly sharedPage: SharedPage;
}

/** All tests of a run share a shop and a page, until one fails. */
export const test = base.extend<OwnFixtures, SharedFixtures>({
  alone: [false, { option: true }],
  tidied: [
    async ({ shop }, use) => {
      await use(undefined);
      await shop.tidy();
    },
    { auto: true },
  ],
  shop: [
    async ({}, use) => {
      const shop = await Shop.open();
      await use(shop);
      await shop.close();
    },
    { scope: 'worker' },
  ],
  sharedPage: [
    async ({ browser, shop }, use) => {
      const shared = new SharedPage(browser, shop.url);
      await use(shared);
      await shared.close();
    },
    { scope: 'worker' },
  ],
  context: async ({ browser, sharedPage, alone, viewport, hasTouch, acceptDownloads, contextOptions }, use) => {
    const options = { ...contextOptions, viewport, hasTouch, acceptDownloads };
    if (alone || hasTouch) {
      const own = await browser.newContext(options);
      await use(own);
      await own.close();
    } else {
      const page = await sharedPage.take(options);
      await use(page.context());
      await sharedPage.rest();
    }
  },
  page: async ({ context }, use) => use(context.pages()[0] ?? (await context.newPage())),
});

export { expect, visit };

/** All findings are read, not the worst alone; a page remembers which, and tries what would help against those alone. */
const readAllFindings = (page: Page): Promise<void> =>
  page.evaluate(() => {
    const key = 'vitrum.view';
    const { state = {}, version = 0 } = JSON.parse(localStorage.getItem(key) ?? '{}') as {
      readonly state?: object;
      readonly version?: number;
    };
    localStorage.setItem(key, JSON.stringify({ state: { ...state, findingsOpen: true }, version }));
    // As if another tab had chosen it.
    dispatchEvent(new StorageEvent('storage', { key }));
  });

/** Goes to a step of a job of its own, made from the demo design whose name begins so. The seeded jobs stay as they are. */
const visitJob = async (page: Page, shop: Shop, name: string, step: string): Promise<string> => {
  const design = Object.values(demoDesigns).find((each) => each.name.startsWith(name));
  const made = await page.request.post(`${shop.url}/api/jobs`, { data: { name: 'Trial', design } });
  const { id } = (await made.json()) as JobView;
  await visit(page, `${shop.url}/jobs/${id}/${step}`);
  return id;
};

/** The same, waiting until it is lit. */
export const openJob = async (page: Page, shop: Shop, name: string, step: string): Promise<string> => {
  const id = await visitJob(page, shop, name, step);
  await lit(page);
  return id;
};

/** The same with all findings open; what would help is tried then. */
export const openFindings = async (page: Page, shop: Shop, name: string, step: string): Promise<string> => {
  const id = await visitJob(page, shop, name, step);
  await readAllFindings(page);
  await lit(page);
  return id;
};

/** Until the design is lit as it stands. A new job is solved first, which takes as long as the machine is busy. */
export const lit = async (page: Page, timeout = 120_000): Promise<void> => {
  await expect(page.getByTestId('face').first()).toBeVisible({ timeout });
  await expect(page.locator('.lamp-room[aria-busy="false"]').first()).toBeVisible({ timeout });
};

/**
 * Opens all findings, and waits until the fixes of each are tried. They are tried whole, and take their time on a machine
 * that does other things too: how long is for the bench to say.
 */
export const allTried = async (page: Page, timeout = 120_000): Promise<void> => {
  await lit(page, timeout);
  const closed = page.getByRole('region', { name: 'Findings' }).getByRole('button', { expanded: false });
  if (await closed.isVisible()) await closed.click();
  await expect(page.getByText('working out what would help')).toHaveCount(0, { timeout });
};

export const saved = (page: Page): Promise<void> => expect(page.locator('[data-save="saved"]')).toBeVisible();

/** Lays something over the sign, if it does not lie there already; a step that was just opened brings its own. */
export const showOver = async (page: Page, what: string): Promise<void> => {
  const button = page.getByRole('button', { name: `Show ${what}` });
  await expect(async () => {
    if ((await button.getAttribute('aria-pressed')) !== 'true') await button.click();
    await page.waitForTimeout(250);
    expect(await button.getAttribute('aria-pressed')).toBe('true');
  }).toPass();
};

/** The text of a figure on the tape. */
export const figure = (page: Page, label: string): Locator =>
  page.getByRole('region', { name: 'Figures' }).getByRole('button').filter({ hasText: label });

/** Brightness (0–255) of the drawn face at a place given in shares of its width and height. */
export const faceBrightness = (page: Page, x: number, y: number): Promise<number> =>
  page.getByTestId('face').evaluate(
    (canvas: HTMLCanvasElement, [u, v]) => {
      const data = canvas
        .getContext('2d')
        ?.getImageData(Math.floor(u! * canvas.width), Math.floor(v! * canvas.height), 1, 1).data;
      return ((data?.[0] ?? 0) + (data?.[1] ?? 0) + (data?.[2] ?? 0)) / 3;
    },
    [x, y],
  );
