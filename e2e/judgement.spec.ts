import { expect, openJob, saved, settled, test } from './support/shop';

test('strip runs along chosen sides of a case; what doubles back is found, and mended with a click', async ({
  page,
  shop,
}) => {
  await openJob(page, shop, 'Dispensary', 'light');
  await page.getByLabel('Runs', { exact: true }).selectOption('rim');
  await settled(page);
  const segments = page.getByRole('row').filter({ has: page.getByRole('cell', { name: /^(top|right|bottom|left)$/ }) });
  await expect(segments).toHaveCount(4);
  await page.getByLabel('Along the bottom').selectOption('2');
  await expect(segments).toHaveCount(5);
  await page.getByLabel('Along the left').selectOption('0');
  await expect(segments).toHaveCount(4);
  await expect(page.getByLabel('Along the bottom')).toHaveValue('2');
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Along the bottom')).toHaveValue('2');
  await expect(page.getByLabel('Along the left')).toHaveValue('0');
});

test('strip that was stuck before is told of, and clips hold it', async ({ page, shop }) => {
  await openJob(page, shop, 'Dispensary', 'light');
  await page.getByLabel('The strip is').selectOption('true');
  const finding = page.getByText('Hold the strip by more than its tape');
  await expect(finding.first()).toBeVisible();
  await page.getByLabel('Held by').selectOption('clips');
  await expect(finding).toHaveCount(0);
});

test('each segment is ticked colour by colour, and the ticks are kept with the job', async ({ page, shop }) => {
  await openJob(page, shop, 'Slipway', 'prove');
  await page.getByText('Segment by segment').click();
  await page.getByLabel('Segment 1: red').check();
  await page.getByLabel('Segment 1: green').check();
  await expect(page.getByText(/^2 of \d+ ticked$/)).toBeVisible();
  await page.getByLabel('Segment 1: red').uncheck();
  await expect(page.getByText(/^1 of \d+ ticked$/)).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Segment 1: green')).toBeChecked();
  await expect(page.getByLabel('Segment 1: red')).not.toBeChecked();
});

test('the shelf lists joints with what they carry, and leads of many cores', async ({ page, shop }) => {
  await page.goto(`${shop.url}/shelf`);
  await expect(page.getByText('Clip connector')).toBeVisible();
  await expect(page.getByText('Lead of 4 × 0.5 mm² (AWG 20)')).toBeVisible();
});
