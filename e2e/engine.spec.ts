import { expect, openJob, saved, lit, test } from './support/shop';
import { choose, slideTo } from './support/controls';

// What is fetched when.
test.use({ alone: true });

/** Longer than a thread is kept that nobody wants. */
const lingeringMs = 8000;

test('threads are there while they are wanted, one for each use, and gone when the page needs none', async ({
  page,
  shop,
}) => {
  await openJob(page, shop, 'Dispensary', 'prove');
  expect(page.workers()).toHaveLength(1);
  const bench = page.getByRole('region', { name: 'Bench' });
  await bench.getByRole('button', { name: 'Lay it on the bench' }).click();
  for (const level of [20, 50, 80]) await slideTo(bench, /^Level/, level, 5);
  await choose(bench.getByRole('combobox', { name: 'Meter held to' }), { label: 'end of the lead' });
  await expect(bench.getByRole('status', { name: 'Meter', exact: true })).toContainText('V');
  // One lights the design, one the bench’s setting, one reads the circuit.
  expect(page.workers().length).toBeLessThanOrEqual(3);
  await bench.getByRole('button', { name: 'Put it away' }).click();
  await expect.poll(() => page.workers().length, { timeout: lingeringMs }).toBe(1);
  await page.getByRole('link', { name: 'Job book' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Job book' })).toBeVisible();
  await expect.poll(() => page.workers().length, { timeout: lingeringMs }).toBe(0);
});

test('a job shows its last picture and figures, said to be the last, while its light is on its way', async ({
  page,
  shop,
}) => {
  const id = await openJob(page, shop, 'Dispensary', 'face');
  await expect
    .poll(async () => {
      const { summaryOf } = (await (await page.request.get(`${shop.url}/api/jobs/${id}`)).json()) as {
        readonly summaryOf: number | null;
      };
      return summaryOf;
    })
    .toBe(1);
  let letGo = (): void => undefined;
  const held = new Promise<void>((resolve) => (letGo = resolve));
  await page.route(/\/assets\/light-[^/]*\.js$/, async (route) => {
    await held;
    await route.continue();
  });
  await page.reload();
  await expect(page.getByAltText('The sign as last saved, at dusk')).toBeVisible();
  await expect(page.getByText('As last saved, at dusk; lighting it now')).toBeVisible();
  const last = page.getByRole('region', { name: 'Figures as last saved' });
  await expect(last.getByText('depth inside')).toBeVisible();
  letGo();
  await lit(page);
  await expect(page.getByText(/as last saved/i)).toHaveCount(0);
});

test('every step opens when the server has gone, once the page has been idle', async ({ page, shop, context }) => {
  await openJob(page, shop, 'Curlew', 'face');
  // What other steps want is fetched once the page has nothing else to do.
  let before = -1;
  await expect(async () => {
    const fetched = await page.evaluate(() => performance.getEntriesByType('resource').length);
    const isAll = fetched === before;
    before = fetched;
    expect(isAll).toBe(true);
  }).toPass({ intervals: [1500] });
  await context.setOffline(true);
  const settings = page.getByRole('complementary', { name: 'Settings' });
  const steps = page.getByRole('navigation', { name: 'Work line' }).getByRole('link');
  for (let place = 0; place < (await steps.count()); place += 1) {
    await steps.nth(place).click();
    await expect(settings.getByText('Fetching …')).toHaveCount(0);
    await expect(settings.getByText('could not be fetched')).toHaveCount(0);
  }
  await context.setOffline(false);
});

test('a drag of the depth is one step of undo, also when it was called off or its handle went away', async ({
  page,
  shop,
}) => {
  await openJob(page, shop, 'Dispensary', 'case');
  const depth = page.getByTestId('slice-depth');
  const undo = page.getByRole('button', { name: 'Undo' });
  const redo = page.getByRole('button', { name: 'Redo' });
  const before = (await depth.textContent())!;
  const drag = async (dy: number): Promise<void> => {
    const box = (await page.getByTestId('depth-handle').boundingBox())!;
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + dy, { steps: 4 });
  };
  await drag(12);
  await page.keyboard.press('Escape');
  await page.mouse.up();
  await expect(depth).toHaveText(before);
  await expect(undo).toBeDisabled();
  await expect(redo).toBeDisabled();
  await drag(12);
  await page.mouse.up();
  await expect(depth).not.toHaveText(before);
  await undo.click();
  await expect(depth).toHaveText(before);
  await expect(undo).toBeDisabled();
  // In the midst of a drag the page goes to another step, and the handle with it.
  await drag(12);
  await page.keyboard.press('8');
  await page.mouse.up();
  await expect(undo).toBeEnabled();
  await undo.click();
  await expect(undo).toBeDisabled();
  await saved(page);
});
