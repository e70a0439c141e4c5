import type { Page } from '@playwright/test';
import { expect, openJob, test } from './support/shop';

/** Brings in 900 px above the fields, as findings do that arrive while a list is open, and the same again once scrolled. */
const comesIn = (page: Page, again: boolean): Promise<void> =>
  page.evaluate((twice) => {
    const settings = document.querySelector<HTMLElement>('aside[aria-label="Settings"]')!;
    const push = (): void => {
      const above = document.createElement('div');
      above.style.height = '900px';
      settings.prepend(above);
    };
    // The browser would keep in its place what is on a panel that was scrolled.
    settings.style.overflowAnchor = 'none';
    if (twice) settings.addEventListener('scroll', push, { once: true });
    push();
  }, again);

for (const [often, again] of [
  ['', false],
  [', and again at once', true],
] as const)
  test(`a list that is open stays in the window when what comes in above it pushes its field out${often}`, async ({
    page,
    shop,
  }) => {
    await openJob(page, shop, 'Dispensary', 'face');
    const field = page.getByLabel('Face', { exact: true });
    await field.click();
    const open = page.getByRole('listbox');
    await expect(open).toBeVisible();
    await comesIn(page, again);
    await open.locator('[data-value="clear-3"]').click();
    await expect(field).toHaveAttribute('data-value', 'clear-3');
  });
