import { readFileSync } from 'node:fs';
import type { JobListing } from '@vitrum/contract';
import { expect, test } from './support/shop';

test('a quote is made, opened by its link in another browser, remarked on and agreed to', async ({
  page,
  shop,
  browser,
}) => {
  test.slow();
  const jobs = (await (await page.request.get(`${shop.url}/api/jobs`)).json()) as readonly JobListing[];
  const job = jobs.find(({ name }) => name.startsWith('Net loft'))!;
  await page.goto(`${shop.url}/jobs`);
  await page.getByRole('button', { name: /^Net loft window box: day/ }).click();
  await page.getByRole('dialog').getByRole('link', { name: 'Quote it' }).click();
  await expect(page).toHaveURL(`${shop.url}/quotes/${job.id}`);
  const price = page.getByRole('region', { name: 'Price' });
  await expect(price).toContainText('The order');
  const before = await price.locator('dd').last().textContent();
  await page.getByLabel('Margin, of the price').fill('50');
  await expect(price.locator('dd').last()).not.toHaveText(before!);
  const asked = (await price.locator('dd').last().textContent())!;
  await page.getByLabel('A word to the customer').fill('Half on order, half when it hangs.');
  await page.getByRole('button', { name: 'Make the quote' }).click();
  const made = page.getByRole('list', { name: 'Quotes made' }).getByRole('listitem').first();
  await expect(made).toContainText(asked, { timeout: 30_000 });
  const link = await made.getByLabel('Link for the customer').inputValue();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    made.getByRole('link', { name: 'On paper' }).click(),
  ]);
  expect(
    readFileSync(await download.path())
      .subarray(0, 5)
      .toString(),
  ).toBe('%PDF-');

  const elsewhere = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const customer = await elsewhere.newPage();
  await customer.goto(link);
  await expect(customer.getByRole('heading', { level: 1 })).toHaveText('Net loft window box');
  await expect(customer.getByText('Half on order, half when it hangs.')).toBeVisible();
  await expect(customer.getByRole('link', { name: 'Job book' })).toHaveCount(0);
  expect(await customer.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await expect(customer.getByRole('button', { name: `Yes, make it for ${asked}` })).toBeDisabled();
  await customer.getByLabel('Your name').fill('Ada');
  await customer.getByLabel('A remark, if you have one').fill('Can it be a little warmer?');
  await customer.getByRole('button', { name: 'Send the remark' }).click();
  await expect(customer.getByText('Can it be a little warmer?')).toBeVisible();
  await customer.getByRole('button', { name: `Yes, make it for ${asked}` }).click();
  await expect(customer.getByRole('status')).toContainText('Agreed');
  await elsewhere.close();

  await page.reload();
  await expect(made).toContainText('agreed');
  await expect(made).toContainText('Ada remarked');
  const then = (await (await page.request.get(`${shop.url}/api/jobs/${job.id}`)).json()) as JobListing;
  expect(then.status).toBe('designed');
});

test('a quote that was taken back is gone for whoever has the link', async ({ page, shop }) => {
  test.slow();
  const jobs = (await (await page.request.get(`${shop.url}/api/jobs`)).json()) as readonly JobListing[];
  const job = jobs.find(({ name }) => name.startsWith('Fitting mirror'))!;
  await page.goto(`${shop.url}/quotes/${job.id}`);
  await page.getByRole('button', { name: 'Make the quote' }).click();
  const made = page.getByRole('list', { name: 'Quotes made' }).getByRole('listitem').first();
  await expect(made).toBeVisible({ timeout: 30_000 });
  const link = await made.getByLabel('Link for the customer').inputValue();
  await made.getByRole('button', { name: 'Take it back' }).click();
  await expect(made).toContainText('taken back');
  await page.goto(link);
  await expect(page.getByRole('alert')).toContainText('taken this quote back');
});
