import type { PlanView } from '@vitrum/contract';
import type { Page } from '@playwright/test';
import { expect, test, visit } from './support/shop';

const planOf = async (page: Page, url: string): Promise<PlanView> =>
  (await (await page.request.get(`${url}/api/plan`)).json()) as PlanView;

/** Opens the plan once all that is to do has been worked out. */
const openPlan = async (page: Page, url: string, show = 'jobs'): Promise<void> => {
  await expect
    .poll(async () => (await planOf(page, url)).jobs.every(({ known }) => known), { timeout: 120_000 })
    .toBe(true);
  await visit(page, `${url}/plan?show=${show}`);
  await expect(page.getByText(/steps of \d+ jobs/)).toBeVisible({ timeout: 30_000 });
};

test('jobs are planned; one that grows urgent is late, with its reason and ways out; others move when one is taken', async ({
  page,
  shop,
}) => {
  test.slow();
  // Whatever other tests have made of the days of this shop.
  const inTwoMonths = new Date(Date.now() + 60 * 86_400_000).toISOString().slice(0, 10);
  for (const { id } of (await planOf(page, shop.url)).jobs)
    await page.request.patch(`${shop.url}/api/jobs/${id}`, { data: { dueOn: inTwoMonths } });
  await openPlan(page, shop.url);
  await expect(page.getByText('Every job is done by the day it is due.')).toBeVisible();
  const { jobs } = await planOf(page, shop.url);
  expect(jobs.length).toBeGreaterThan(3);
  const last = jobs.at(-1)!;
  const today = new Date().toISOString().slice(0, 10);
  await page.request.patch(`${shop.url}/api/jobs/${last.id}`, { data: { dueOn: today } });
  await page.reload();
  const late = page.getByRole('list', { name: 'Late jobs' }).getByRole('listitem').filter({ hasText: last.name });
  await expect(late.first()).toContainText('late');
  await page.getByRole('button', { name: 'Plan anew' }).click();
  await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled({ timeout: 30_000 });
  await expect(late.first()).toContainText(/Even alone|Alone it would|It waits/);
  await late.first().getByRole('button', { name: 'What can be done?' }).click();
  const ways = late.getByRole('listitem');
  await expect(ways.filter({ hasText: 'with the customer' })).toBeVisible({ timeout: 60_000 });
  await expect(ways.first()).toContainText(/Done|The plan stays/);
  await ways.filter({ hasText: 'with the customer' }).getByRole('button', { name: 'It is agreed' }).click();
  await expect(page.getByText('Every job is done by the day it is due.')).toBeVisible({ timeout: 30_000 });
  const then = (await planOf(page, shop.url)).jobs.find(({ id }) => id === last.id)!;
  expect(then.dueOn! > today).toBe(true);
});

test('a step is pinned by its fields and by its bar; what cannot be kept is told, and taken back', async ({
  page,
  shop,
}) => {
  test.slow();
  await openPlan(page, shop.url, 'days');
  // The second day: of today there may be little left.
  const day = page
    .getByRole('region')
    .filter({ has: page.getByRole('heading', { level: 2 }) })
    .nth(1);
  await day.getByRole('button').nth(2).click();
  const chosen = page.getByRole('region', { name: 'Chosen step' });
  const begin = chosen.getByLabel('Begin it at');
  const was = await begin.inputValue();
  // A week later, at ten.
  const later = new Date(Date.parse(`${was.slice(0, 10)}T00:00:00Z`) + 7 * 86_400_000).toISOString().slice(0, 10);
  await begin.fill(`${later}T10:00`);
  await chosen.getByRole('button', { name: 'Pin it there' }).click();
  await expect(chosen.getByText(`Pinned to ${later} 10:00`)).toBeVisible({ timeout: 30_000 });
  const pins = (await planOf(page, shop.url)).plan.paper.pins;
  expect(pins.map(({ at }) => at)).toEqual([`${later}T10:00`]);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(chosen.getByText(/Pinned to/)).toHaveCount(0, { timeout: 30_000 });
  expect((await planOf(page, shop.url)).plan.paper.pins).toEqual([]);

  // Its bar is dragged along its row.
  await page.getByRole('radio', { name: 'By job' }).click();
  const chart = page.getByRole('img', { name: /The plan as bars/ });
  await expect(chart.locator('svg')).toBeVisible();
  const bar = await chart.evaluate((holder) => {
    const ink = getComputedStyle(document.documentElement).getPropertyValue('--ink').trim();
    const boxes = [...holder.querySelectorAll('path')]
      .filter((path) => path.getAttribute('fill') === ink)
      .map((path) => path.getBoundingClientRect())
      // What lies beyond the week that is seen is clipped.
      .filter(({ height, right }) => height > 12 && height < 30 && right < holder.getBoundingClientRect().right - 130);
    const widest = boxes.sort((a, b) => b.width - a.width)[0]!;
    return { x: widest.x + widest.width / 2, y: widest.y + widest.height / 2 };
  });
  await page.mouse.move(bar.x, bar.y);
  await page.mouse.down();
  await page.mouse.move(bar.x + 120, bar.y, { steps: 5 });
  await page.mouse.up();
  await expect(chosen.getByText(/Pinned to/)).toBeVisible({ timeout: 30_000 });
  expect((await planOf(page, shop.url)).plan.paper.pins).toHaveLength(1);
  await chosen.getByRole('button', { name: 'Take the pin away' }).click();
  await expect(chosen.getByText(/Pinned to/)).toHaveCount(0, { timeout: 30_000 });
});

test('hours of the shop are changed, and the plan follows them', async ({ page, shop }) => {
  test.slow();
  await openPlan(page, shop.url, 'hours');
  const summary = page.getByText(/steps of \d+ jobs/);
  const before = await summary.textContent();
  const form = page.getByRole('form', { name: 'Hours of the shop' });
  await form.getByLabel('Mon').first().fill('8 to noon');
  await expect(form.getByRole('alert')).toContainText('it is marked');
  await expect(form.getByRole('button', { name: 'Keep these hours' })).toBeDisabled();
  await form.getByLabel('Mon').first().fill('8-12');
  await form.getByLabel('Name').first().fill('Wren');
  await form.getByRole('button', { name: 'Take Second maker off the list' }).click();
  await form.getByRole('button', { name: 'Keep these hours' }).click();
  await expect(form.getByLabel('Mon')).toHaveValue('8–12', { timeout: 30_000 });
  await expect(summary).not.toHaveText(before!);
  await page.getByRole('radio', { name: 'Day by day' }).click();
  await expect(page.getByRole('button', { name: /Wren/ }).first()).toBeVisible();
  await expect(page.getByRole('button', { name: /Second maker/ })).toHaveCount(0);
});
