import type { BrowserContext, Page } from '@playwright/test';
import { expect, figure, openJob, saved, lit, test, type Shop } from './support/shop';

// What a browser keeps, and loses.
test.use({ alone: true });

const depthField = (page: Page) => page.getByLabel('Depth inside', { exact: true }).and(page.locator('input'));

/** The same job in another tab of the same browser. */
const openBeside = async (context: BrowserContext, shop: Shop, id: string): Promise<Page> => {
  const page = await context.newPage();
  await page.goto(`${shop.url}/jobs/${id}/case`);
  await lit(page);
  return page;
};

const setDepth = async (page: Page, value: string): Promise<void> => {
  await depthField(page).fill(value);
  await depthField(page).press('Enter');
};

test('edits go on while the server is gone, and are saved when it is back', async ({ page, shop }) => {
  await openJob(page, shop, 'Ticket', 'case');
  await shop.kill();
  await setDepth(page, '91');
  await expect(page.locator('[data-save="away"]')).toContainText('edits kept here');
  await setDepth(page, '92');
  await expect(figure(page, 'depth inside')).toContainText('92 mm');
  await shop.start();
  await expect(page.locator('[data-save="saved"]')).toBeVisible({ timeout: 40_000 });
  await page.reload();
  await lit(page);
  await expect(figure(page, 'depth inside')).toContainText('92 mm');
});

test('edits survive closing the page while the server is gone', async ({ context, page, shop }) => {
  const id = await openJob(page, shop, 'Dispensary', 'case');
  await shop.kill();
  await setDepth(page, '103');
  await expect(page.locator('[data-save="away"]')).toBeVisible();
  await page.close({ runBeforeUnload: false });
  await shop.start();
  const again = await openBeside(context, shop, id);
  await expect(figure(again, 'depth inside')).toContainText('103 mm');
  await saved(again);
});

test('two tabs save the same job: the second is told, both versions exist', async ({ context, page, shop }) => {
  const id = await openJob(page, shop, 'Rye', 'case');
  const revisions = async (): Promise<number> =>
    ((await (await page.request.get(`${shop.url}/api/jobs/${id}/revisions`)).json()) as unknown[]).length;
  const before = await revisions();
  const other = await context.browser()!.newContext({ viewport: { width: 1280, height: 800 } });
  const second = await other.newPage();
  await second.goto(`${shop.url}/jobs/${id}/case`);
  await lit(second);
  await setDepth(page, '61');
  await saved(page);
  await setDepth(second, '62');
  const dialog = second.getByRole('dialog', { name: 'This job was saved elsewhere too' });
  await expect(dialog).toContainText('Nothing is lost');
  await dialog.getByRole('button', { name: 'Go on with mine' }).click();
  await saved(second);
  await expect(figure(second, 'depth inside')).toContainText('62 mm');
  await second.getByRole('button', { name: 'Job menu' }).click();
  await second.getByRole('menuitem', { name: 'Revisions …' }).click();
  await expect(second.getByText('set aside: saved while another was newer')).toHaveCount(1);
  await expect(second.getByRole('button', { name: 'Bring back' })).toHaveCount(before + 3);
  await other.close();
});

test('leaving for the job book at once loses nothing, nor does closing the page at once', async ({
  page,
  shop,
  context,
}) => {
  const id = await openJob(page, shop, 'Ticket', 'case');
  await setDepth(page, '94');
  await page.getByRole('link', { name: 'Job book' }).click();
  await expect(page.getByRole('heading', { name: 'Job book' })).toBeVisible();
  const depthSaved = async (): Promise<number> => {
    const job = (await (await page.request.get(`${shop.url}/api/jobs/${id}`)).json()) as {
      head: { design: { assemblies: { case: { depthInsideMm: number } }[] } };
    };
    return job.head.design.assemblies[0]!.case.depthInsideMm;
  };
  await expect.poll(depthSaved).toBe(94);
  const again = await openBeside(context, shop, id);
  await setDepth(again, '97');
  await again.close({ runBeforeUnload: true });
  await expect.poll(depthSaved).toBe(97);
});

test('edits of two tabs that were closed while the server was away are both offered', async ({
  page,
  shop,
  context,
}) => {
  const id = await openJob(page, shop, 'Dispensary', 'case');
  const other = await openBeside(context, shop, id);
  await shop.kill();
  await setDepth(page, '91');
  await expect(page.locator('[data-save="away"]')).toBeVisible();
  await setDepth(other, '95');
  await expect(other.locator('[data-save="away"]')).toBeVisible();
  await other.close();
  await page.close();
  await shop.start();
  const again = await context.newPage();
  await again.goto(`${shop.url}/jobs/${id}/case`);
  await expect(figure(again, 'depth inside')).toContainText('95 mm');
  const offered = again.getByRole('dialog', { name: 'Edits from other pages that were closed' });
  await offered.getByRole('button', { name: 'Go on with these' }).click();
  await expect(offered).toHaveCount(0);
  await expect(figure(again, 'depth inside')).toContainText('91 mm');
  await saved(again);
  await again.reload();
  await lit(again);
  await expect(figure(again, 'depth inside')).toContainText('91 mm');
  await expect(offered).toHaveCount(0);
});

test('theirs, once taken, is not asked about again, and no revisions pile up', async ({ page, shop, context }) => {
  const id = await openJob(page, shop, 'Rye', 'case');
  const other = await openBeside(context, shop, id);
  await setDepth(page, '61');
  await saved(page);
  await setDepth(other, '62');
  const dialog = other.getByRole('dialog', { name: 'This job was saved elsewhere too' });
  await dialog.getByRole('button', { name: 'Take theirs' }).click();
  await expect(figure(other, 'depth inside')).toContainText('61 mm');
  const revisions = async () =>
    ((await (await page.request.get(`${shop.url}/api/jobs/${id}/revisions`)).json()) as unknown[]).length;
  const before = await revisions();
  for (let turn = 0; turn < 2; turn += 1) {
    await other.reload();
    await lit(other);
    await expect(figure(other, 'depth inside')).toContainText('61 mm');
    await expect(dialog).toHaveCount(0);
  }
  expect(await revisions()).toBe(before);
});

test('a browser that keeps nothing opens jobs, says that it keeps nothing, and asks before closing', async ({
  page,
  shop,
}) => {
  await page.addInitScript(() => {
    Object.defineProperty(window, 'localStorage', {
      get: () => {
        throw new DOMException('blocked', 'SecurityError');
      },
    });
    IDBFactory.prototype.open = () => {
      throw new DOMException('blocked', 'SecurityError');
    };
  });
  await page.goto(`${shop.url}/jobs`);
  await page
    .getByRole('link', { name: /Dispensary/ })
    .first()
    .click();
  await lit(page);
  await page.goto(`${page.url().replace(/\/[a-z]+$/, '')}/case`);
  await lit(page);
  await setDepth(page, '88');
  await saved(page);
  await shop.kill();
  await setDepth(page, '89');
  await expect(page.locator('[data-save="away"]')).toContainText('keep this page open');
  const asked = page.waitForEvent('dialog');
  await page.close({ runBeforeUnload: true });
  const dialog = await asked;
  expect(dialog.type()).toBe('beforeunload');
  await dialog.dismiss();
  await shop.start();
  await saved(page);
});
