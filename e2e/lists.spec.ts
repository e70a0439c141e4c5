import { expect, openJob, test } from './support/shop';

test('a list that is open stays in the window when what comes in above it pushes its field out', async ({
  page,
  shop,
}) => {
  await openJob(page, shop, 'Dispensary', 'face');
  // High up on the panel, which is not scrolled: the browser keeps nothing in its place then.
  const field = page.getByLabel('Face', { exact: true });
  await field.click();
  const open = page.getByRole('listbox');
  await expect(open).toBeVisible();
  // As findings do that arrive while the list is open.
  await page.evaluate(() => {
    const above = document.createElement('div');
    above.style.height = '900px';
    document.querySelector('aside[aria-label="Settings"]')!.prepend(above);
  });
  await open.locator('[data-value="clear-3"]').click();
  await expect(field).toHaveAttribute('data-value', 'clear-3');
});
