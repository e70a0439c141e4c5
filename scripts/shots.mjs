import { mkdirSync } from 'node:fs';
import { createRequire } from 'node:module';
import { drawBuilds } from './lib/build-pictures.mjs';
import { chromiumArguments, findChromium } from './lib/chromium.mjs';
import { inRoot } from './lib/paths.mjs';
import { runMain, say } from './lib/say.mjs';
import { setUp } from './lib/setup.mjs';
import { demoServer } from './lib/stage.mjs';

const folder = inRoot('docs', 'screenshots');
const guideFolder = inRoot('apps', 'web', 'public', 'guide');

const settled = async (page) => {
  await page.getByTestId('face').first().waitFor();
  await page.getByText('working out what would help').first().waitFor({ state: 'detached', timeout: 30_000 });
};

const openJob = async (page, name, step) => {
  const jobs = await (await page.request.get('/api/jobs')).json();
  await page.goto(`/jobs/${jobs.find((job) => job.name.startsWith(name)).id}/${step}`);
  await settled(page);
};

/** A job of its own, made from a demo job, so that pictures do not change each other. */
const openTrial = async (page, name, place, change = (design) => design) => {
  const jobs = await (await page.request.get('/api/jobs')).json();
  const { id } = jobs.find((each) => each.name.startsWith(name));
  // As it was at first, whatever other pictures have done to it.
  const first = await (await page.request.get(`/api/jobs/${id}/revisions/1`)).json();
  const made = await (
    await page.request.post('/api/jobs', { data: { name: first.design.name, design: change(first.design) } })
  ).json();
  await page.goto(`/jobs/${made.id}/${place}`);
  if (place !== 'tryouts' && place !== 'bench') await settled(page);
};

const withRows =
  (rowCount) =>
  ({ assemblies: [box], ...rest }) => ({
    ...rest,
    assemblies: [{ ...box, light: { ...box.light, rowCount } }],
  });

const idle = (page) => page.getByRole('button', { name: 'Stop' }).waitFor({ state: 'detached', timeout: 60_000 });
/** Chooses from a list what a selector finds in it. */
const choose = async (list, option) => {
  await list.click();
  await list.page().getByRole('listbox').locator(option).click();
};

/** Lays something over the sign, if it does not lie there already. */
const showOver = async (page, what) => {
  const button = page.getByRole('button', { name: `Show ${what}` });
  if ((await button.getAttribute('aria-pressed')) !== 'true') await button.click();
};

/** Each picture: its file, how to get there from an empty browser, and the part of the page if not all of it. */
const pictures = [
  ['job-face', (page) => openJob(page, 'Dispensary', 'face')],
  ['job-case', (page) => openJob(page, 'Ticket', 'case')],
  [
    'halo-letters',
    async (page) => {
      await openJob(page, 'Curlew', 'case');
      await showOver(page, 'strip');
    },
  ],
  ['edge-lit', (page) => openJob(page, 'Quiet room', 'face')],
  ['lines', (page) => openJob(page, 'late soup', 'light')],
  [
    'artwork',
    async (page) => {
      await openJob(page, 'Ferry way', 'artwork');
      await page.locator('input[accept^=".svg"]').setInputFiles(inRoot('docs/drawings/ferry-way.dxf'));
      await page.getByLabel(/is truly/).fill('525 mm');
      await page.waitForTimeout(500);
    },
  ],
  [
    'job-power',
    async (page) => {
      await openTrial(page, 'Curlew', 'power', ({ assemblies: [own], ...design }) => ({
        ...design,
        assemblies: [own],
        power: {
          ...design.power,
          feed: 'one-end',
          injections: [{ assembly: own.id, segment: 7, end: 'end' }],
        },
      }));
      await showOver(page, 'wires');
      await page.waitForTimeout(800);
    },
  ],
  [
    'practice',
    async (page) => {
      await page.goto('/practice');
      await page.locator('[data-point="end-1"]').click();
      await page.getByRole('button', { name: 'Measure', exact: true }).click();
      await page.getByRole('button', { name: 'What would tell most?' }).click();
      await page.getByTestId('hint').waitFor();
    },
  ],
  [
    'job-cut',
    async (page) => {
      await openJob(page, 'Dispensary', 'cut');
      await page.getByRole('radio', { name: 'Set-ups' }).click();
      await page.getByRole('region', { name: 'Set-ups' }).evaluate((region) => (region.scrollLeft = 860));
    },
  ],
  ['job-build', (page) => openJob(page, 'Dispensary', 'build')],
  [
    'stock',
    async (page) => {
      await page.goto('/stock?show=to-buy');
      await page.getByText(/What the jobs at hand/).waitFor({ timeout: 120_000 });
      await page.getByText('still being worked out').waitFor({ state: 'detached', timeout: 180_000 });
    },
  ],
  [
    'records',
    async (page) => {
      await page.goto('/records');
      await page.getByRole('button', { name: /^Reckon with/ }).waitFor({ timeout: 180_000 });
      await page.getByText('still being worked out').waitFor({ state: 'detached', timeout: 180_000 });
    },
  ],
  [
    'plan',
    async (page) => {
      await page.goto('/plan');
      await page.getByText(/steps of \d+ jobs/).waitFor({ timeout: 60_000 });
      await page.getByText('still being worked out').waitFor({ state: 'detached', timeout: 180_000 });
      const day = page.getByRole('region').filter({ has: page.getByRole('heading', { level: 2 }) });
      await day.first().getByRole('button').nth(5).click();
      await page.waitForTimeout(500);
    },
  ],
  [
    'job-book',
    async (page) => {
      await page.goto('/jobs');
      await page.getByRole('heading', { name: 'Dispensary box' }).waitFor();
      // Jobs are lit one after the other.
      for (let left = await page.getByText('lighting it').count(); left > 0; left -= 1)
        await page.getByText('lighting it').first().waitFor({ state: 'detached', timeout: 60_000 });
    },
  ],
  [
    'tryouts',
    async (page) => {
      await openTrial(page, 'Dispensary', 'tryouts');
      await page.getByRole('button', { name: 'Pin', exact: true }).click();
      await page.getByRole('button', { name: 'Try them all' }).click();
      await idle(page);
      await page.getByRole('button', { name: 'Shallowest' }).click();
      await idle(page);
      await page.getByTestId('solution').getByRole('button', { name: 'Take it' }).click();
      await page.getByText('none seen').first().waitFor();
      await page.waitForTimeout(1500);
    },
  ],
  [
    'bench-mode',
    async (page) => {
      await page.setViewportSize({ width: 1024, height: 768 });
      await openTrial(page, 'Curlew', 'bench');
      await page.getByRole('navigation', { name: 'Steps' }).getByText('Cut and lay').click();
      await page.waitForTimeout(600);
    },
  ],
  [
    'bench',
    async (page) => {
      await openTrial(page, 'Slipway', 'prove');
      const bench = page.getByRole('region', { name: 'Bench' });
      await bench.getByRole('button', { name: 'Lay it on the bench' }).click();
      await choose(bench.getByRole('combobox', { name: 'Colour' }), ':text-is("only green")');
      await choose(bench.getByRole('combobox', { name: 'Meter held to' }), ':text-is("end of segment 4")');
      await bench.getByRole('status', { name: 'Meter', exact: true }).getByText('V').waitFor();
      await bench.getByText('Thermometer').first().scrollIntoViewIfNeeded();
      await page.waitForTimeout(1200);
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

/** Of each build, by any demo job of it: its page of the guide is illustrated with these. */
const guidePictures = [
  ['lightbox', 'Dispensary'],
  ['halo', 'Curlew'],
  ['face-lit', 'Tern'],
  ['edge-lit', 'Quiet room'],
  ['groove', 'late soup'],
  ['frame', 'Tide table'],
  ['layers', 'Reed bed'],
  ['stacked', 'Smoke house'],
].flatMap(([build, name]) => ['face', 'case'].map((place) => [`${build}-${place}`, name, place]));

const only = process.argv.slice(2);

await runMain(async () => {
  await setUp();
  const executablePath = await findChromium();
  const { chromium } = createRequire(inRoot('e2e/package.json'))('@playwright/test');
  const server = await demoServer();
  const browser = await chromium.launch({ executablePath, args: chromiumArguments });
  mkdirSync(folder, { recursive: true });
  mkdirSync(guideFolder, { recursive: true });
  if (only.length === 0) await drawBuilds(inRoot('apps', 'web', 'public', 'builds'));
  try {
    for (const [name, arrange, part] of pictures.filter(([name]) => only.length === 0 || only.includes(name))) {
      const page = await browser.newPage({ baseURL: server.url, viewport: { width: 1280, height: 800 } });
      page.on('pageerror', (error) => say(`${name}: ${error.message}`));
      page.on('console', (message) => message.type() === 'error' && say(`${name}: ${message.text()}`));
      await arrange(page);
      await page.evaluate(() => document.fonts.ready);
      await page.waitForTimeout(300);
      const target = part === undefined ? page : page.locator(part);
      await target.screenshot({ path: `${folder}/${name}.png` });
      say(`docs/screenshots/${name}.png`);
      await page.close();
    }
    for (const [file, name, place] of guidePictures.filter(([file]) => only.length === 0 || only.includes(file))) {
      const page = await browser.newPage({ baseURL: server.url, viewport: { width: 1280, height: 800 } });
      await openJob(page, name, place);
      await page.waitForTimeout(300);
      await page.locator('main').screenshot({ path: `${guideFolder}/${file}.jpg`, type: 'jpeg', quality: 82 });
      say(`apps/web/public/guide/${file}.jpg`);
      await page.close();
    }
  } finally {
    await browser.close();
    await server.end();
  }
});
