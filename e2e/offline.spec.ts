import { jobOf, openBench } from './support/bench';
import { expect, test } from './support/shop';

test('bench mode opens anew with the network away, goes on, and catches up', async ({ browser, page, shop }) => {
  // No other test ticks steps of this one.
  const id = await jobOf(page, shop.url, 'Quay fish');
  const phone = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const own = await phone.newPage();
  await openBench(own, shop.url, id);
  await own.getByRole('button', { name: /^\d+ of \d+/ }).click();
  await expect(own.getByText('Opens without the network, too.')).toBeVisible({ timeout: 60_000 });
  await own.getByRole('button', { name: /^1\. / }).click();
  const ticked = own.waitForResponse((answer) => answer.request().method() === 'POST' && answer.ok());
  await own.getByRole('checkbox', { name: 'Done' }).click();
  await ticked;

  await phone.setOffline(true);
  await own.reload();
  await expect(own.getByRole('checkbox', { name: 'Done' })).toBeVisible({ timeout: 60_000 });
  await expect(own.getByRole('heading', { level: 1 })).toHaveText(/^2\. /);
  await expect(own.getByRole('group', { name: /^Drawing: / }).locator('svg')).toBeVisible();
  await own.getByRole('textbox', { name: 'What went wrong' }).fill('The glue was old');
  await own.getByRole('button', { name: 'Note it' }).click();
  await expect(own.getByText(/\d notes? waits? here/)).toBeVisible({ timeout: 30_000 });
  await own.reload();
  await expect(own.getByText('Went wrong: The glue was old')).toBeVisible({ timeout: 60_000 });

  // A job that was never opened here says so, and nothing breaks.
  const other = await jobOf(page, shop.url, 'Tern');
  await own.goto(`${shop.url}/jobs/${other}/bench`);
  await expect(own.getByText(/server .*(answer|reach)/i).first()).toBeVisible({ timeout: 60_000 });
  await own.goto(`${shop.url}/jobs/${id}/bench`);
  await expect(own.getByText('Went wrong: The glue was old')).toBeVisible({ timeout: 60_000 });

  await phone.setOffline(false);
  await expect(own.getByText(/notes? waits? here/)).toHaveCount(0, { timeout: 60_000 });
  await openBench(page, shop.url, id);
  await page.getByRole('navigation', { name: 'Steps' }).getByRole('button').nth(1).click();
  await expect(page.getByText('Went wrong: The glue was old')).toBeVisible();
  await phone.close();
});
