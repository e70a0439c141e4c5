import { readFileSync } from 'node:fs';
import { gunzipSync } from 'node:zlib';
import { expect, test, visit } from './support/shop';

test('a job gets a day, is copied, put away and found again', async ({ page, shop }) => {
  await visit(page, `${shop.url}/jobs`);
  await expect(page.getByText(/jobs are under way/)).toBeVisible();
  await page.getByRole('button', { name: /^Tern café letters: day/ }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Customer').fill('The Tern, upstairs');
  await dialog.getByLabel('Due on').fill('2020-01-31');
  await dialog.getByRole('button', { name: 'Keep', exact: true }).click();
  const card = page.getByRole('listitem').filter({ hasText: 'Tern café letters' });
  await expect(card).toContainText('The Tern, upstairs');
  await expect(card).toContainText('days late');
  await expect(page.getByText(/\d+ late/)).toBeVisible();

  await page.getByRole('button', { name: /^Tern café letters: day/ }).click();
  await dialog.getByLabel(/Name of a copy/).fill('Tern, second pair');
  await dialog.getByRole('button', { name: 'Copy it' }).click();
  await expect(page).toHaveURL(/\/jobs\/[0-9a-f-]{36}/);
  await visit(page, `${shop.url}/jobs`);
  await expect(page.getByRole('heading', { name: 'Tern, second pair' })).toBeVisible();

  await page.getByRole('button', { name: /^Tern, second pair: day/ }).click();
  await dialog.getByRole('button', { name: 'Put it away' }).click();
  await expect(page.getByRole('heading', { name: 'Tern, second pair' })).toHaveCount(0);
  await page.getByLabel('Shown').click();
  await page.getByRole('option', { name: 'put away' }).click();
  await expect(page.getByRole('heading', { name: 'Tern, second pair' })).toBeVisible();
});

test('a sign that hangs comes up when it is to be looked after, until that is done', async ({ page, shop }) => {
  await visit(page, `${shop.url}/jobs`);
  const card = page.getByRole('listitem').filter({ hasText: 'Reed bed with an otter' });
  await expect(async () => {
    await page.reload();
    await expect(card).toContainText(/care \d+ days? overdue/, { timeout: 2000 });
  }).toPass({ timeout: 60_000 });
  await page.getByRole('button', { name: '1 sign is to be looked after' }).click();
  await expect(page.getByRole('heading', { level: 2 })).toHaveCount(1);
  await page.getByRole('button', { name: /^Reed bed with an otter: day/ }).click();
  const care = page.getByRole('dialog').getByRole('region', { name: 'Care' });
  await expect(care.getByText(/^Due since/)).toBeVisible();
  await care.getByRole('button', { name: /^Done today: Dust and wipe it/ }).click();
  await expect(card).toHaveCount(0);
  await page.getByLabel('Shown').click();
  await page.getByRole('option', { name: 'the book' }).click();
  await expect(card).toContainText(/care in \d+ days/);

  // One that is delivered today begins its years today.
  await page.getByRole('button', { name: /^Quiet room panel: day/ }).click();
  await page.getByRole('dialog').getByLabel('How far it is').click();
  await page.getByRole('option', { name: 'delivered' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Quiet room panel' })).toContainText(/care in 1\d\d days/);
});

test('the shop is taken out as one file, and read back', async ({ page, shop }) => {
  await visit(page, `${shop.url}/jobs`);
  const part = page.getByRole('region', { name: 'The shop as a file' });
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    part.getByRole('link', { name: 'Take the shop out' }).click(),
  ]);
  const path = await download.path();
  expect(download.suggestedFilename()).toMatch(/^shop-\d{4}-\d\d-\d\d\.ndjson\.gz$/);
  const lines = gunzipSync(readFileSync(path)).toString().trimEnd().split('\n');
  expect(JSON.parse(lines[0]!)).toMatchObject({ format: 'vitrum-shop', version: 1 });
  expect(lines.filter((line) => line.startsWith('{"jobs"')).length).toBeGreaterThan(10);
  await part.locator('input[type=file]').setInputFiles({
    name: 'shop.ndjson.gz',
    mimeType: 'application/gzip',
    buffer: readFileSync(path),
  });
  await expect(part.getByRole('status')).toHaveText('All of it was there already; nothing was added.', {
    timeout: 30_000,
  });
  await part.locator('input[type=file]').setInputFiles({
    name: 'notes.ndjson',
    mimeType: 'text/plain',
    buffer: Buffer.from('a shopping list\n'),
  });
  await expect(part.getByRole('alert')).toContainText('This is no file of a shop');
});
