import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import os from 'node:os';
import path from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { chromiumArguments, findChromium } from '../chromium.mjs';
import { inRoot } from '../paths.mjs';

const { chromium } = createRequire(inRoot('e2e/package.json'))('@playwright/test');

/** An edit older than that must be there, whatever ends (ms). */
const safeAfterMs = 100;

/** A browser killed at chance moments under edits, its server there or killed too; what it has when it is opened again. */
export const killedBrowser = async (shop, design, { kills = 20 } = {}) => {
  const profile = mkdtempSync(path.join(os.tmpdir(), 'vitrum-killed-'));
  const executablePath = await findChromium();
  const launch = () =>
    chromium.launchPersistentContext(profile, {
      executablePath,
      args: chromiumArguments,
      viewport: { width: 1280, height: 800 },
    });
  const { id } = await shop.newJob('Killed', design);
  const address = `${shop.url}/jobs/${id}/case`;
  const shown = (page) => page.getByLabel('Depth inside', { exact: true }).and(page.locator('input'));
  const ready = async (page) => {
    await page.goto(address);
    await page.getByRole('region', { name: 'Figures' }).getByRole('button').first().waitFor({ timeout: 60_000 });
    await shown(page).waitFor();
  };
  let lost = 0;
  let context = await launch();
  let page = context.pages()[0] ?? (await context.newPage());
  await ready(page);
  let depth = 60;
  for (let kill = 0; kill < kills; kill += 1) {
    // The server goes with it every time: before the edits, or in the same moment as the browser.
    const away = kill % 2 === 1;
    if (away) await shop.kill();
    /** Each edit and when it was made. */
    const edits = [];
    const until = Date.now() + 300 + Math.random() * 1500;
    while (Date.now() < until) {
      depth = depth >= 180 ? 60 : depth + 1;
      await shown(page).fill(String(depth));
      await shown(page).press('Enter');
      edits.push({ depth, at: Date.now() });
      await pause(Math.random() * 250);
    }
    const gone = context.waitForEvent('close');
    const at = Date.now();
    // Every process of this browser names its profile.
    execFileSync('pkill', ['-KILL', '-f', profile]);
    if (!away) await shop.kill();
    await gone;
    await shop.start();
    context = await launch();
    page = context.pages()[0] ?? (await context.newPage());
    await ready(page);
    await page.locator('[data-save="saved"]').waitFor({ timeout: 60_000 });
    const found = Number.parseFloat(await shown(page).inputValue());
    const safe = edits.findLastIndex((edit) => edit.at < at - safeAfterMs);
    const allowed = safe < 0 ? null : edits.slice(safe).map((edit) => edit.depth);
    if (allowed !== null && !allowed.includes(found)) lost += 1;
    depth = found;
  }
  await context.close();
  rmSync(profile, { recursive: true, force: true });
  return { kills, lost };
};
