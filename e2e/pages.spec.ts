import { fileURLToPath } from 'node:url';
import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, figure, openFindings, openJob, lit, test, visit } from './support/shop';
import { choose } from './support/controls';

const serious = async (page: Page, within = 'body'): Promise<readonly string[]> => {
  // Legacy: no page of its own for each run, since there are no frames to put together.
  const axe = new AxeBuilder({ page })
    .include(within)
    .options({ resultTypes: ['violations'] })
    .setLegacyMode();
  const { violations } = await axe.analyze();
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => `${id}: ${nodes[0]?.html.slice(0, 160) ?? ''}`);
};

const darken = async (page: Page): Promise<void> => {
  await page.getByRole('button', { name: 'Job menu' }).click();
  await page.getByRole('menuitem', { name: 'Dark page' }).click();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
};

test.describe('by its address', () => {
  test.use({ alone: true });

  for (const [name, path] of [
    ['job book', '/jobs'],
    ['new job', '/jobs/new'],
    ['shelf', '/shelf'],
    ['plan', '/plan'],
    ['stock', '/stock'],
    ['records', '/records'],
    ['practice', '/practice'],
    ['guide', '/guide'],
    ['guide of a build', '/guide/halo'],
    ['not found', '/nowhere/at/all'],
    ['no such job', '/jobs/00000000-0000-4000-8000-000000000000/case'],
  ] as const)
    test(`the address opens, and axe finds nothing serious: ${name}, light and dark`, async ({ page, shop }) => {
      await page.goto(`${shop.url}${path}`);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      for (const theme of ['dark', 'light']) {
        await page.evaluate((to) => {
          document.documentElement.dataset['theme'] = to;
        }, theme);
        expect([theme, await serious(page)]).toEqual([theme, []]);
      }
    });

  test('two tabs of one browser look alike', async ({ context, page, shop }) => {
    await openJob(page, shop, 'Dispensary', 'case');
    const other = await context.newPage();
    await other.goto(page.url());
    await lit(other);
    await darken(other);
    await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
    await page.getByRole('button', { name: 'Job menu' }).click();
    await page.getByRole('menuitem', { name: 'Show lengths in inches' }).click();
    await expect(other.getByLabel('Outside width')).toHaveValue(/ in$/);
    // Neither wrote over what the other had chosen.
    await other.reload();
    await expect(other.getByLabel('Outside width')).toHaveValue(/ in$/);
    await expect(other.locator('html')).toHaveAttribute('data-theme', 'dark');
  });
});

for (const theme of ['light', 'dark'])
  test(`axe finds nothing serious on any step of the job page, nor on bench mode: ${theme}`, async ({ page, shop }) => {
    const id = await openFindings(page, shop, 'Dispensary', 'brief');
    if (theme === 'dark') await darken(page);
    const settings = page.getByRole('complementary', { name: 'Settings' });
    for (const [index, step] of [
      'brief',
      'artwork',
      'case',
      'light',
      'power',
      'face',
      'hang',
      'cut',
      'build',
      'prove',
    ].entries()) {
      const link = page.getByRole('navigation', { name: 'Work line' }).getByRole('link').nth(index);
      await link.click();
      await expect(page).toHaveURL(new RegExp(`/${step}$`));
      const name = (await link.locator('.font-bold').last().textContent())!;
      await expect(settings.getByRole('heading', { level: 2 }).first()).toHaveText(name);
      await lit(page);
      expect([step, await serious(page)]).toEqual([step, []]);
    }
    await visit(page, `${shop.url}/jobs/${id}/bench`);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^1\. /);
    expect(await serious(page)).toEqual([]);
    await visit(page, `${shop.url}/jobs/${id}/face`);
    await lit(page);
    await page.getByLabel('Face', { exact: true }).click();
    await expect(page.getByRole('listbox')).toBeVisible();
    // What is behind an open list is hidden, and the list keeps the focus.
    expect(await serious(page, '[role="listbox"]')).toEqual([]);
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Find', exact: true }).click();
    await expect(page.getByPlaceholder(/A field, a finding/)).toBeVisible();
    expect(await serious(page)).toEqual([]);
  });

test('axe finds nothing serious on the sheet that takes a drawing in', async ({ page, shop }) => {
  await openJob(page, shop, 'Ferry way', 'artwork');
  await page
    .getByLabel('Another …')
    .setInputFiles(fileURLToPath(new URL('../docs/drawings/ferry-way.dxf', import.meta.url)));
  await expect(page.getByRole('dialog').getByText('350 mm × 80 mm')).toBeVisible();
  expect(await serious(page)).toEqual([]);
});

test('axe finds nothing serious on the try-outs, empty and full, nor on measuring', async ({ page, shop }) => {
  await openJob(page, shop, 'Rye', 'face');
  await page.getByRole('link', { name: 'Try-outs' }).click();
  await expect(page.getByRole('heading', { name: 'Try-outs' }).last()).toBeVisible();
  expect(await serious(page)).toEqual([]);
  await page.getByRole('button', { name: 'Pin', exact: true }).click();
  await page.getByRole('button', { name: 'Try them all' }).click();
  await expect(page.getByTestId('short-list')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Stop' })).toHaveCount(0, { timeout: 60_000 });
  expect(await serious(page)).toEqual([]);
  await visit(page, `${shop.url}/shelf`);
  await page.getByRole('button', { name: 'Measure Opal acrylic 3 mm', exact: true }).click();
  await page.getByLabel('Without, reading 1').fill('500');
  await page.getByLabel('Through, reading 1').fill('220');
  await expect(page.getByTestId('fit')).toBeVisible();
  expect(await serious(page)).toEqual([]);
});

test('axe finds nothing serious on the dark page, nor on an open figure', async ({ page, shop }) => {
  await openFindings(page, shop, 'Dispensary', 'face');
  await darken(page);
  expect(await serious(page)).toEqual([]);
  await figure(page, 'from any distance').click();
  await expect(page.getByRole('dialog').locator('svg').first()).toBeVisible();
  expect(await serious(page)).toEqual([]);
});

test('all is done by keyboard: walk, deepen, apply, undo', async ({ page, shop }) => {
  await openFindings(page, shop, 'Dispensary', 'brief');
  await page.keyboard.press('3');
  await expect(page).toHaveURL(/\/case$/);
  await page.getByRole('slider', { name: 'Depth inside' }).focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Shift+ArrowDown');
  await expect(figure(page, 'depth inside')).toContainText('92 mm');
  await page.getByRole('slider', { name: 'Where the slice is taken' }).focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('slider', { name: 'Where the slice is taken' })).toHaveAttribute('aria-valuenow', '5');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(figure(page, 'depth inside')).toContainText('81 mm');
  await lit(page);
  await page.getByRole('button', { name: 'Apply: Five rows' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-finding="dots-show"]')).toHaveCount(0);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
});

test('the job book finds, filters and opens', async ({ page, shop }) => {
  await visit(page, `${shop.url}/jobs`);
  await expect(page.getByRole('link', { name: /Dispensary box/ })).toBeVisible();
  await page.getByLabel('Find').fill('ferries');
  await expect(page.getByRole('listitem')).toHaveCount(4);
  // Customer and name at once; other tests of this shop make jobs of fish too.
  await page.getByLabel('Find').fill('quay counter fish');
  await expect(page.getByRole('listitem')).toHaveCount(1);
  await page.getByLabel('Find').fill('ferries');
  await choose(page.getByLabel('Status'), 'cutting');
  await expect(page.getByText('No job fits')).toBeVisible();
  await page.getByLabel('Find').fill('');
  await page.getByRole('link', { name: /Rye & Salt/ }).click();
  await lit(page);
});

test('on a phone the build list is there to read, and nothing runs off sideways', async ({ page, shop }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openJob(page, shop, 'Rye', 'build');
  await expect(page.getByText('Full power for an hour before closing')).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(392);
});

test('on a phone the try-outs have their chart, within the page', async ({ page, shop }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openJob(page, shop, 'Dispensary', 'face');
  await page.getByRole('link', { name: 'Try-outs' }).click();
  const chart = page.getByTestId('sweep-chart');
  await expect(chart.locator('canvas, svg').first()).toBeVisible();
  const box = (await chart.boundingBox())!;
  expect(box.height).toBeGreaterThan(200);
  expect(box.x + box.width).toBeLessThanOrEqual(392);
});

test('a page that is not there says so, and leads back', async ({ page, shop }) => {
  await visit(page, `${shop.url}/lamp`);
  await expect(page.getByRole('heading', { name: 'Not found' })).toBeVisible();
  await page.getByRole('link', { name: 'To the job book' }).click();
  await expect(page.getByRole('heading', { name: 'Job book' })).toBeVisible();
});
