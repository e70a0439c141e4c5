import { createRequire } from 'node:module';
import { chromiumArguments, findChromium } from './chromium.mjs';
import { inRoot } from './paths.mjs';
import { demoServer } from './stage.mjs';

const visits = 5;
/** Of the demo jobs: a box and letters. */
const jobNames = ['Dispensary box', 'Curlew'];

/** Runs in the page before anything else: notes when what is waited for first stands there (ms since the visit began). */
const noteTimes = () => {
  const times = {};
  window.__times = times;
  const note = (name, there) => {
    if (times[name] === undefined && there()) times[name] = performance.now();
  };
  const look = () => {
    note('lastPicture', () => document.querySelector('[data-testid=last-picture]')?.complete === true);
    note('ownPicture', () => {
      const face = document.querySelector('canvas[data-testid=face]');
      return face !== null && face.width !== 300;
    });
    note('ownFigure', () => document.querySelector('section[aria-label=Figures] button .figure') !== null);
    if (times.ownFigure === undefined || times.ownPicture === undefined) requestAnimationFrame(look);
  };
  requestAnimationFrame(look);
};

const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];

/** One visit: times, and each script with its packed and unpacked bytes and when it had come. */
const visit = async (context, address) => {
  const page = await context.newPage();
  await page.addInitScript(noteTimes);
  await page.goto(address, { waitUntil: 'commit' });
  await page.waitForFunction(() => window.__times.ownFigure !== undefined && window.__times.ownPicture !== undefined);
  const found = await page.evaluate(() => ({
    times: window.__times,
    scripts: performance
      .getEntriesByType('resource')
      .filter(({ name }) => new URL(name).pathname.endsWith('.js'))
      .map((entry) => ({
        name: entry.name.split('/').at(-1),
        atMs: entry.responseEnd,
        packed: entry.encodedBodySize,
        plain: entry.decodedBodySize,
      })),
  }));
  await page.close();
  return found;
};

const summedUp = async (url) => {
  for (;;) {
    const jobs = await (await fetch(`${url}/api/jobs`)).json();
    if (jobs.every(({ summaryOf }) => summaryOf !== null)) return jobs;
    await new Promise((resolve) => setTimeout(resolve, 300));
  }
};

const sum = (scripts, key) => scripts.reduce((total, script) => total + script[key], 0) / 1000;

/** What a job’s page weighs and how soon it stands, in Chromium: cold with an empty store, and warm. */
export const pageBench = async (say, rated) => {
  const { chromium } = createRequire(inRoot('e2e/package.json'))('@playwright/test');
  const server = await demoServer();
  const browser = await chromium.launch({ executablePath: await findChromium(), args: chromiumArguments });
  try {
    const jobs = await summedUp(server.url);
    for (const name of jobNames) {
      const job = jobs.find((each) => each.name.includes(name)) ?? jobs[0];
      const address = `${server.url}/jobs/${job.id}/face`;
      const found = { cold: [], warm: [] };
      for (let round = 0; round < visits; round += 1) {
        const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
        found.cold.push(await visit(context, address));
        found.warm.push(await visit(context, address));
        await context.close();
      }
      const { scripts, times } = found.cold.at(-1);
      const before = scripts.filter(({ atMs }) => atMs <= times.lastPicture);
      const first = before.filter(({ name: file }) => !/^(light|circuit)-/.test(file));
      const worker = scripts.filter(({ name: file }) => /^light-[^/]*\.js$/.test(file)).slice(0, 1);
      const own = scripts.filter(({ atMs }) => atMs <= times.ownFigure);
      say(`\npage: ${job.name}, ${visits} visits`);
      say(
        `  script before the first picture    ${rated(sum(first, 'packed'), 250, 'kB packed', 'less')}, ${sum(first, 'plain').toFixed(0)} kB plain`,
      );
      say(
        `  the thread that lights             ${rated(sum(worker, 'packed'), 500, 'kB packed', 'less')}, ${sum(worker, 'plain').toFixed(0)} kB plain`,
      );
      say(
        `  all script until the own figures   ${sum(own, 'packed').toFixed(1)} kB packed, ${sum(own, 'plain').toFixed(0)} kB plain`,
      );
      for (const [how, all] of Object.entries(found)) {
        const at = (key) => median(all.map((each) => each.times[key] ?? Number.NaN));
        say(`  ${how}: the last picture              ${at('lastPicture').toFixed(0)} ms`);
        say(`  ${how}: the picture lit anew          ${at('ownPicture').toFixed(0)} ms`);
        say(`  ${how}: the first own figure          ${rated(at('ownFigure') / 1000, 1.5, 's', 'less')}`);
      }
    }
  } finally {
    await browser.close();
    await server.end();
  }
};
