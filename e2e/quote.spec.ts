import { readFileSync } from 'node:fs';
import type { JobListing } from '@vitrum/contract';
import { encode } from 'fast-png';
import { jobOf } from './support/bench';
import { expect, test, visit } from './support/shop';

test('a quote is made, opened by its link in another browser, remarked on and agreed to', async ({
  page,
  shop,
  browser,
}) => {
  test.slow();
  const jobs = (await (await page.request.get(`${shop.url}/api/jobs`)).json()) as readonly JobListing[];
  const job = jobs.find(({ name }) => name.startsWith('Net loft'))!;
  await visit(page, `${shop.url}/jobs`);
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

/** A brick wall with a white board on it, from a third to two thirds. */
const wallPhoto = (width: number, height: number): Buffer => {
  const data = new Uint8Array(3 * width * height);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) {
      const onBoard = x > 0.3 * width && x < 0.7 * width && y > 0.3 * height && y < 0.7 * height;
      const isJoint = y % 20 < 2 || (x + (Math.floor(y / 20) % 2) * 25) % 50 < 2;
      data.set(onBoard ? [225, 222, 215] : isJoint ? [170, 160, 150] : [140, 84, 66], 3 * (y * width + x));
    }
  return Buffer.from(encode({ width, height, data, channels: 3, depth: 8 }));
};

test('the sign is laid into a photograph of the wall, and the quote shows it there', async ({
  page,
  shop,
  browser,
}) => {
  test.slow();
  await visit(page, `${shop.url}/quotes/${await jobOf(page, shop.url, 'Curlew')}`);
  const part = page.getByRole('region', { name: 'On the customer’s wall' });
  await part
    .locator('input[type=file]')
    .setInputFiles({ name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('a wall') });
  await expect(part.getByRole('alert')).toContainText('cannot be read');
  await part
    .locator('input[type=file]')
    .setInputFiles({ name: 'wall.png', mimeType: 'image/png', buffer: wallPhoto(800, 600) });
  await part.getByLabel('How wide the rectangle is').fill('3200');
  await expect(part.getByText('it is 2,400 mm high')).toBeVisible();
  const sign = part.getByRole('slider', { name: 'The sign' });
  const before = (await sign.boundingBox())!;
  await sign.press('Shift+ArrowUp');
  await sign.press('Shift+ArrowUp');
  const after = (await sign.boundingBox())!;
  expect(after.y).toBeLessThan(before.y - 5);
  expect(after.x).toBeCloseTo(before.x, 0);
  await sign.hover();
  await page.mouse.down();
  await page.mouse.move(after.x + after.width / 2 + 40, after.y + after.height / 2, { steps: 4 });
  await page.mouse.up();
  expect((await sign.boundingBox())!.x).toBeGreaterThan(after.x + 30);
  // A corner past its neighbour goes round no rectangle.
  const corner = part.getByRole('slider', { name: 'Upper left corner' });
  for (let step = 0; step < 34; step += 1) await corner.press('Shift+ArrowRight');
  await expect(part.getByRole('alert')).toContainText('go round no rectangle');
  await expect(part.getByRole('button', { name: 'Show it' })).toBeDisabled();
  for (let step = 0; step < 34; step += 1) await corner.press('Shift+ArrowLeft');
  await part.getByRole('button', { name: 'Show it' }).click();
  for (const by of ['By day', 'By night']) {
    const picture = part.getByRole('img', { name: `The sign on its wall, ${by}` });
    await expect
      .poll(() => picture.evaluate((image: HTMLImageElement) => (image.complete ? image.naturalWidth : 0)), {
        timeout: 60_000,
      })
      .toBe(800);
  }
  await page.getByRole('button', { name: 'Make the quote' }).click();
  const made = page.getByRole('list', { name: 'Quotes made' }).getByRole('listitem').first();
  const link = await made.getByLabel('Link for the customer').inputValue({ timeout: 30_000 });
  const elsewhere = await browser.newContext();
  const customer = await elsewhere.newPage();
  await customer.goto(link);
  const seen = customer.getByRole('img', { name: 'Curlew letters on your wall by night' });
  await expect
    .poll(() => seen.evaluate((image: HTMLImageElement) => (image.complete ? image.naturalWidth : 0)))
    .toBe(800);
  await elsewhere.close();
  await part.getByRole('button', { name: 'Put the photograph away' }).click();
  await expect(part.getByText('Choose a photograph')).toBeVisible();
});

test('a quote that was taken back is gone for whoever has the link', async ({ page, shop }) => {
  test.slow();
  const jobs = (await (await page.request.get(`${shop.url}/api/jobs`)).json()) as readonly JobListing[];
  const job = jobs.find(({ name }) => name.startsWith('Fitting mirror'))!;
  await visit(page, `${shop.url}/quotes/${job.id}`);
  await page.getByRole('button', { name: 'Make the quote' }).click();
  const made = page.getByRole('list', { name: 'Quotes made' }).getByRole('listitem').first();
  await expect(made).toBeVisible({ timeout: 30_000 });
  const link = await made.getByLabel('Link for the customer').inputValue();
  await made.getByRole('button', { name: 'Take it back' }).click();
  await expect(made).toContainText('taken back');
  await visit(page, link);
  await expect(page.getByRole('alert')).toContainText('taken this quote back');
});
