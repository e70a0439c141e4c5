import type { JobView } from '@vitrum/contract';
import type { Page } from '@playwright/test';
import { jobOf } from './support/bench';
import { expect, test, visit } from './support/shop';

/** A job of its own, copied from a demo job and being built. */
const copied = async (page: Page, url: string, from: string, name: string): Promise<string> => {
  const id = await jobOf(page, url, from);
  const { design } = (await (await page.request.get(`${url}/api/jobs/${id}/revisions/1`)).json()) as { design: object };
  const made = (await (await page.request.post(`${url}/api/jobs`, { data: { name, design } })).json()) as JobView;
  await page.request.patch(`${url}/api/jobs/${made.id}`, { data: { status: 'building' } });
  return made.id;
};

const openBench = async (page: Page, url: string, id: string): Promise<void> => {
  await visit(page, `${url}/jobs/${id}/bench`);
  await expect(page.getByRole('checkbox', { name: 'Done' })).toBeVisible({ timeout: 30_000 });
};

/** Works through the steps of cutting, each typed as taking half an hour. */
const cut = async (page: Page): Promise<void> => {
  const steps = page.getByRole('navigation', { name: 'Steps' }).getByRole('button');
  for (const title of [/^\d+\. Cut 5 boards/, /^\d+\. Cut the face/]) {
    await steps.filter({ hasText: title }).click();
    await page.getByRole('textbox', { name: 'Minutes that it took' }).fill('90');
    await page.getByRole('button', { name: 'Add' }).click();
    await page.getByRole('checkbox', { name: 'Done' }).click();
  }
  await expect(page.getByText(/^2 of \d+ done/)).toBeVisible();
};

test('times are written down at two jobs, accepted, and move the next estimate; a lesson comes up in the next job', async ({
  page,
  shop,
}) => {
  test.slow();
  const [first, second] = [
    await copied(page, shop.url, 'Slipway', 'Timed one'),
    await copied(page, shop.url, 'Slipway', 'Timed two'),
  ];
  const hours = async (): Promise<number> => {
    await visit(page, `${shop.url}/jobs/${second}/build`);
    const words = await page.getByText(/at the bench, .* of drying/).innerText({ timeout: 30_000 });
    return Number(/([\d.]+) h at the bench/.exec(words)![1]);
  };
  const before = await hours();
  await expect(page.getByText('Times are typical.')).toBeVisible();

  await openBench(page, shop.url, first);
  await cut(page);
  const steps = page.getByRole('navigation', { name: 'Steps' }).getByRole('button');
  await steps.filter({ hasText: 'Join the returns' }).click();
  await page.getByRole('textbox', { name: 'What went wrong' }).fill('The band clamp pulled it out of square');
  await page.getByRole('button', { name: 'Note it' }).click();
  await page.getByRole('button', { name: 'Make a lesson of it' }).click();
  const lesson = page.getByRole('form', { name: 'A lesson' });
  await lesson.getByRole('textbox').fill('Clamp over a squaring block in each corner');
  await lesson.getByRole('button', { name: 'Keep the lesson' }).click();
  const learned = page.getByRole('list', { name: 'Learned here' });
  await expect(learned).toContainText('Clamp over a squaring block in each corner');

  await openBench(page, shop.url, second);
  await cut(page);
  await steps.filter({ hasText: 'Join the returns' }).click();
  await expect(learned).toContainText('Clamp over a squaring block in each corner');
  await steps.filter({ hasText: 'Cut the face' }).click();
  await expect(learned).toHaveCount(0);

  await visit(page, `${shop.url}/records`);
  const times = page.getByRole('region', { name: 'Times' });
  const row = times.getByRole('row').filter({ hasText: 'Timed two' });
  await expect(row).toContainText('typical', { timeout: 60_000 });
  await row.getByRole('button', { name: /^Reckon with × / }).click();
  await expect(row.getByRole('button', { name: 'Typical again' })).toBeVisible();
  await expect.poll(hours).toBeGreaterThan(before + 0.3);
  await expect(page.getByText(/Times to cut are this shop’s own, others typical\./)).toBeVisible();

  // Money is written down too, beside what was computed.
  await visit(page, `${shop.url}/jobs/${second}/prove`);
  const took = page.getByRole('region', { name: 'What it took' });
  await expect(took.getByRole('row').filter({ hasText: 'Cut' })).toContainText('3 h', { timeout: 30_000 });
  await took.getByLabel('Money spent on').fill('A second tin of primer');
  await took.getByLabel('€').fill('14,50');
  await took.getByRole('button', { name: 'Add' }).click();
  await expect(took.getByRole('row').filter({ hasText: 'Material' })).toContainText('€14.50');

  await visit(page, `${shop.url}/records`);
  await row.getByRole('button', { name: 'Typical again' }).click();
  await expect(row.getByRole('button', { name: /^Reckon with/ })).toBeVisible({ timeout: 30_000 });
  const lessons = page.getByRole('region', { name: 'Lessons' });
  await expect(lessons).toContainText('step “glue up” of light box');
  const own = lessons.getByRole('listitem').filter({ hasText: 'Clamp over a squaring block' });
  await own.getByRole('button', { name: 'Put away' }).click();
  await expect(own).toHaveCount(0);
});
