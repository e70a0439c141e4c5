import { expect, openJob, saved, test } from './support/shop';

test('revisions are compared side by side: what was changed, and what it comes to', async ({ page, shop }) => {
  await openJob(page, shop, 'Ticket', 'case');
  const depth = page.getByRole('textbox', { name: 'Depth inside' });
  const before = Number.parseFloat(await depth.inputValue());
  await depth.fill(String(before + 20));
  await depth.press('Enter');
  await saved(page);
  await page.getByRole('button', { name: 'Job menu' }).click();
  await page.getByRole('menuitem', { name: 'Revisions …' }).click();
  const sheet = page.getByRole('dialog', { name: 'Revisions' });
  const first = sheet.getByRole('listitem').filter({ hasText: /^1 / });
  await first.getByRole('button', { name: 'Compare' }).click();
  const changed = sheet.getByRole('table', { name: 'What was changed' });
  await expect(changed.getByRole('row').filter({ hasText: 'case, depth inside' })).toContainText(
    `${before} mm${before + 20} mm`,
  );
  const comes = sheet.getByRole('table', { name: 'What it comes to' });
  await expect(comes.getByRole('row').filter({ hasText: 'depth inside' })).toBeVisible({ timeout: 60_000 });
  await expect(comes.getByRole('row').filter({ hasText: 'a sign' })).toContainText('€');
});
