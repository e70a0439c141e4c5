import { expect, openFindings, openJob, saved, lit, test, visit } from './support/shop';
import { choose, expectChosen } from './support/controls';

test('strip runs along chosen sides of a case; what doubles back is found, and mended with a click', async ({
  page,
  shop,
}) => {
  await openFindings(page, shop, 'Dispensary', 'light');
  await choose(page.getByLabel('Runs', { exact: true }), 'rim');
  await lit(page);
  const segments = page.getByRole('row').filter({ has: page.getByRole('cell', { name: /^(top|right|bottom|left)$/ }) });
  await expect(segments).toHaveCount(4);
  await choose(page.getByLabel('Along the bottom'), '2');
  await expect(segments).toHaveCount(5);
  await choose(page.getByLabel('Along the left'), '0');
  await expect(segments).toHaveCount(4);
  await expectChosen(page.getByLabel('Along the bottom'), '2');
  await saved(page);
  await page.reload();
  await expectChosen(page.getByLabel('Along the bottom'), '2');
  await expectChosen(page.getByLabel('Along the left'), '0');
});

test('strip that was stuck before is told of, and clips hold it', async ({ page, shop }) => {
  await openFindings(page, shop, 'Dispensary', 'light');
  await choose(page.getByLabel('The strip is'), 'true');
  const finding = page.getByText('Hold the strip by more than its tape');
  await expect(finding.first()).toBeVisible();
  await choose(page.getByLabel('Held by'), 'clips');
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
  await visit(page, `${shop.url}/shelf`);
  await expect(page.getByText('Clip connector')).toBeVisible();
  await expect(page.getByText('Lead of 4 × 0.5 mm² (AWG 20)')).toBeVisible();
});
