import { encode } from 'fast-png';
import { jobOf, openBench } from './support/bench';
import { expect, test, visit } from './support/shop';

// A clock that is turned forward stays so in its page.
test.use({ alone: true });

test('steps are ticked on a phone with the network away, and arrive beside what another person wrote', async ({
  browser,
  page,
  shop,
}) => {
  const id = await jobOf(page, shop.url, 'Tern');
  const phone = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const own = await phone.newPage();
  await openBench(own, shop.url, id);
  await openBench(page, shop.url, id);
  await page.getByRole('textbox', { name: 'Written by' }).fill('Second maker');
  const title = await own.getByRole('heading', { level: 1 }).innerText();

  await phone.setOffline(true);
  await own.getByRole('textbox', { name: 'Minutes that it took' }).fill('25');
  await own.getByRole('button', { name: 'Add' }).click();
  await own.getByRole('textbox', { name: 'What went wrong' }).fill('The template slipped by a millimetre');
  await own.getByRole('button', { name: 'Note it' }).click();
  await own.getByLabel('Photograph').setInputFiles({
    name: 'slip.png',
    mimeType: 'image/png',
    buffer: Buffer.from(
      encode({ width: 60, height: 40, data: new Uint8Array(60 * 40 * 3).fill(120), channels: 3, depth: 8 }),
    ),
  });
  await expect(own.getByRole('img', { name: 'Photograph from the bench' })).toBeVisible();
  await expect(own.getByText(/25 min written down/)).toBeVisible();
  await own.getByRole('checkbox', { name: 'Done' }).click();
  await expect(own.getByText('4 notes wait here')).toBeVisible({ timeout: 30_000 });

  // Meanwhile somebody else writes down another step of the same job.
  const steps = page.getByRole('navigation', { name: 'Steps' }).getByRole('button');
  await steps.nth(3).click();
  await page.getByRole('checkbox', { name: 'Done' }).click();
  await expect(steps.nth(3)).toContainText('(done)');

  await phone.setOffline(false);
  await expect(own.getByText('notes wait here')).toHaveCount(0, { timeout: 60_000 });
  await expect(steps.filter({ hasText: title })).toContainText('(done)', { timeout: 30_000 });
  await steps.filter({ hasText: title }).click();
  const notes = page.getByRole('list', { name: 'Written down' });
  await expect(notes).toContainText('Went wrong: The template slipped by a millimetre');
  await expect(notes.getByRole('img')).toBeVisible();
  await own.getByRole('button', { name: /^\d+ of \d+/ }).click();
  await expect(own.getByRole('button', { name: /^4\./ })).toContainText('(done)', { timeout: 30_000 });

  // What was wrong is taken back, and is gone for both.
  await notes.getByRole('listitem').filter({ hasText: '25 min' }).getByRole('button', { name: 'Take back' }).click();
  await expect(page.getByText(/25 min written down/)).toHaveCount(0);
  await visit(page, `${shop.url}/jobs/${id}/build`);
  await expect(page.getByRole('checkbox', { name: `Done: ${title.replace(/^\d+\. /, '')}` })).toBeChecked({
    timeout: 30_000,
  });
  await phone.close();
});

test('a clock takes the time of a step, and ends with it', async ({ page, shop }) => {
  const id = await jobOf(page, shop.url, 'Slipway');
  await page.clock.install();
  await openBench(page, shop.url, id);
  const title = await page.getByRole('heading', { level: 1 }).innerText();
  await page.getByRole('button', { name: 'Start work' }).click();
  await page.clock.fastForward(12 * 60_000);
  await expect(page.getByRole('button', { name: /^Stop, 12 min/ })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: /^Stop, 12 min/ })).toBeVisible({ timeout: 30_000 });
  await page.getByRole('checkbox', { name: 'Done' }).click();
  await page.getByRole('navigation', { name: 'Steps' }).getByRole('button', { name: title }).click();
  await expect(page.getByText(/12 min written down/)).toBeVisible();
  await page.getByRole('button', { name: 'Start work' }).click();
  await page.clock.fastForward(9 * 3_600_000);
  await page.getByRole('button', { name: /^Stop/ }).click();
  await expect(page.getByText(/it was forgotten, it seems/)).toBeVisible();
  await expect(page.getByText(/12 min written down/)).toBeVisible();
});
