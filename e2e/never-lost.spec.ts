import { expect, figure, openJob, saved, settled, test } from './support/shop';

const depthField = (page: Parameters<typeof figure>[0]) =>
  page.getByLabel('Depth inside', { exact: true }).and(page.locator('input'));

const setDepth = async (page: Parameters<typeof figure>[0], value: string): Promise<void> => {
  await depthField(page).fill(value);
  await depthField(page).press('Enter');
};

test('edits go on while the server is gone, and are saved when it is back', async ({ page, shop }) => {
  await openJob(page, shop, 'Ticket', 'case');
  await shop.kill();
  await setDepth(page, '91');
  await expect(page.locator('[data-save="away"]')).toContainText('your edits are kept here');
  await setDepth(page, '92');
  await expect(figure(page, 'depth inside')).toContainText('92 mm');
  await shop.start();
  await expect(page.locator('[data-save="saved"]')).toBeVisible({ timeout: 40_000 });
  await page.reload();
  await settled(page);
  await expect(figure(page, 'depth inside')).toContainText('92 mm');
});

test('edits survive closing the page while the server is gone', async ({ context, page, shop }) => {
  const id = await openJob(page, shop, 'Dispensary', 'case');
  await shop.kill();
  await setDepth(page, '103');
  await expect(page.locator('[data-save="away"]')).toBeVisible();
  await page.close({ runBeforeUnload: false });
  await shop.start();
  const again = await context.newPage();
  await again.goto(`${shop.url}/jobs/${id}/case`);
  await settled(again);
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
  await settled(second);
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
