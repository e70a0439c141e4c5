import { expect, type Locator, type Page } from '@playwright/test';

/** Chooses from a list as a person does: opens it, and takes what is asked for, by its words or by its stored value. */
export const choose = async (list: Locator, wanted: string | { readonly label: string }): Promise<void> => {
  await list.click();
  const open = list.page().getByRole('listbox');
  const option =
    typeof wanted === 'string'
      ? open.locator(`[role="option"][data-value="${wanted}"]`)
      : open.getByRole('option').filter({ has: list.page().getByText(wanted.label, { exact: true }) });
  await option.click();
  await expect(open).toHaveCount(0);
};

/** Says what a list has chosen, by its stored value. */
export const expectChosen = (list: Locator, value: string): Promise<void> =>
  expect(list).toHaveAttribute('data-value', value);

/** Slides to a value, a step at a time with the arrow keys. */
export const slideTo = async (
  where: Page | Locator,
  name: string | RegExp,
  value: number,
  step: number,
): Promise<void> => {
  const thumb = where.getByRole('slider', { name });
  const now = Number(await thumb.getAttribute('aria-valuenow'));
  await thumb.focus();
  for (let count = Math.round(Math.abs(value - now) / step); count > 0; count -= 1)
    await thumb.press(value > now ? 'ArrowRight' : 'ArrowLeft');
  await expect(thumb).toHaveAttribute('aria-valuenow', String(value));
};
