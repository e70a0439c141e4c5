import { mkdirSync } from 'node:fs';
import { createRequire } from 'node:module';
import { chromiumArguments, findChromium } from './lib/chromium.mjs';
import { inRoot } from './lib/paths.mjs';
import { runMain, say } from './lib/say.mjs';
import { setUp } from './lib/setup.mjs';
import { demoServer } from './lib/stage.mjs';

const folder = inRoot('docs', 'screenshots');

const settled = async (page) => {
  await page.getByTestId('face').waitFor();
  await page.getByText('working out what would help').first().waitFor({ state: 'detached', timeout: 30_000 });
};

const openJob = async (page, name, step) => {
  const jobs = await (await page.request.get('/api/jobs')).json();
  await page.goto(`/jobs/${jobs.find((job) => job.name.startsWith(name)).id}/${step}`);
  await settled(page);
};

/** Each picture: its file, and how to get there from an empty browser. */
const pictures = [
  ['job-face', (page) => openJob(page, 'Dispensary', 'face')],
  [
    'job-face-mended',
    async (page) => {
      await openJob(page, 'Dispensary', 'face');
      await page.getByRole('button', { name: 'Apply: Five rows' }).click();
      await page.getByText('revision 2').waitFor();
      await settled(page);
      await page.getByRole('button', { name: 'Undo' }).click();
      await page.getByText('revision 3').waitFor();
      await page.getByRole('button', { name: 'Redo' }).click();
      await settled(page);
      await page.getByText('revision 4').waitFor();
    },
  ],
  ['job-case', (page) => openJob(page, 'Ticket', 'case')],
  [
    'job-light',
    async (page) => {
      await openJob(page, 'Rye', 'light');
      await page.getByRole('button', { name: 'Show strip' }).click();
    },
  ],
  [
    'job-false-colour',
    async (page) => {
      await openJob(page, 'Ticket', 'power');
      await page.getByRole('button', { name: 'Show false colour' }).click();
    },
  ],
  ['job-cut', (page) => openJob(page, 'Ticket', 'cut')],
  ['job-build', (page) => openJob(page, 'Dispensary', 'build')],
  [
    'figure',
    async (page) => {
      await openJob(page, 'Rye', 'face');
      await page.getByRole('region', { name: 'Figures' }).getByText('dots').click();
      await page.getByRole('dialog').locator('svg').first().waitFor();
    },
  ],
  [
    'job-dark-page',
    async (page) => {
      await openJob(page, 'Ticket', 'artwork');
      await page.getByRole('button', { name: 'Job menu' }).click();
      await page.getByRole('menuitem', { name: 'Dark page' }).click();
      await page.getByRole('radio', { name: 'Noon' }).click();
    },
  ],
  [
    'job-book',
    async (page) => {
      await page.goto('/jobs');
      await page.getByRole('heading', { name: 'Dispensary box' }).waitFor();
    },
  ],
  ['new-job', (page) => page.goto('/jobs/new')],
  [
    'shelf',
    async (page) => {
      await page.goto('/shelf');
      await page.getByRole('heading', { name: 'Faces' }).waitFor();
    },
  ],
];

const only = process.argv.slice(2);

await runMain(async () => {
  await setUp();
  const executablePath = await findChromium();
  const { chromium } = createRequire(inRoot('e2e/package.json'))('@playwright/test');
  const server = await demoServer();
  const browser = await chromium.launch({ executablePath, args: chromiumArguments });
  mkdirSync(folder, { recursive: true });
  try {
    for (const [name, arrange] of pictures.filter(([name]) => only.length === 0 || only.includes(name))) {
      const page = await browser.newPage({ baseURL: server.url, viewport: { width: 1280, height: 800 } });
      page.on('pageerror', (error) => say(`${name}: ${error.message}`));
      page.on('console', (message) => message.type() === 'error' && say(`${name}: ${message.text()}`));
      await arrange(page);
      await page.evaluate(() => document.fonts.ready);
      await page.waitForTimeout(300);
      await page.screenshot({ path: `${folder}/${name}.png` });
      say(`docs/screenshots/${name}.png`);
      await page.close();
    }
  } finally {
    await browser.close();
    await server.end();
  }
});
