import { expect, openJob, saved, test } from './support/shop';

test('the build is ticked step by step, each with its drawing, and the ticks stay with the job', async ({
  page,
  shop,
}) => {
  await openJob(page, shop, 'Dispensary', 'build');
  const drawn = page.getByRole('region', { name: 'The step, drawn' });
  await expect(drawn.getByRole('group', { name: /^Drawing: Print the strip template/ })).toBeVisible();
  await page.getByRole('button', { name: /^3\. Cut 5 boards/ }).click();
  await expect(drawn.getByText('Top return')).toBeVisible();
  await page.getByRole('checkbox', { name: /^Done: Print the strip template/ }).check();
  await expect(page.getByText(/^1 of \d+ done\./)).toBeVisible();
  await page.getByRole('link', { name: 'Bench mode' }).click();
  // Steps are walked large; what is ticked makes room for the next.
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^3\. Cut 5 boards/);
  await page.getByRole('button', { name: 'Before', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^2\. Try the strip/);
  await page.getByRole('checkbox', { name: 'Done' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^3\. Cut 5 boards/);
  await expect(page.getByText('Table saw: guard')).toBeVisible();
  await page.getByRole('navigation', { name: 'Steps' }).getByText('Join the returns').click();
  await page.getByRole('button', { name: 'Start the wait, 30 min' }).click();
  await expect(page.getByRole('timer')).toHaveText(/^(30 min 00 s|29 min \d\d s) left/);
  await saved(page);
  await page.reload();
  await expect(page.getByText(/^2 of \d+ done/)).toBeVisible();
  await page.getByRole('navigation', { name: 'Steps' }).getByText('Join the returns').click();
  await expect(page.getByRole('timer')).toHaveText(/left/);
  const views = new Set<string | null>();
  const steps = page.getByRole('navigation', { name: 'Steps' }).getByRole('button');
  const count = await steps.count();
  expect(count).toBeGreaterThan(18);
  for (let step = 0; step < count; step += 1) {
    await steps.nth(step).click();
    const drawing = page.getByRole('group', { name: /^Drawing: / });
    views.add(await drawing.getAttribute('data-view'));
    await expect(drawing.locator('svg, canvas').first()).toBeVisible();
  }
  expect(views.size).toBeGreaterThan(5);
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('a job under way opens at its next step, and is ticked with the network away', async ({
    page,
    shop,
    context,
  }) => {
    const id = await openJob(page, shop, 'Curlew', 'face');
    const moved = await page.request.patch(`${shop.url}/api/jobs/${id}`, { data: { status: 'building' } });
    expect(await moved.json()).toMatchObject({ status: 'building' });
    await page.goto(`${shop.url}/jobs`);
    await page.locator(`a[href="/jobs/${id}"]`).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^1\. Print the drill/);
    await page.waitForLoadState('networkidle');
    await context.setOffline(true);
    await page.getByRole('checkbox', { name: 'Done' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^2\. Try the strip/);
    await page.getByRole('button', { name: 'Next' }).click();
    await expect(
      page
        .getByRole('group', { name: /^Drawing: Cut 6 letters/ })
        .locator('svg')
        .first(),
    ).toBeVisible();
    await page.getByRole('button', { name: '1 of 16' }).click();
    await page.getByText('Wire chain 1').click();
    await expect(page.getByRole('group', { name: /^Drawing: Wire chain 1/ }).locator('svg')).toBeVisible();
    await context.setOffline(false);
    await saved(page);
    await page.reload();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^2\. Try the strip/);
    const wide = await page.evaluate(() => document.documentElement.scrollWidth);
    expect(wide).toBeLessThanOrEqual(390);
  });
});
