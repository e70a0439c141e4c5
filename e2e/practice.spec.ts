import type { Locator } from '@playwright/test';
import { expect, test, visit } from './support/shop';
import { choose } from './support/controls';

test('a hidden fault is looked for, measured, named and scored; another is hidden', async ({ page, shop }) => {
  await visit(page, `${shop.url}/practice`);
  await expect(page.getByRole('heading', { name: 'Practice' })).toBeVisible();
  await choose(page.getByRole('combobox', { name: 'Circuit' }), { label: 'Dispensary box' });
  const measure = page.getByRole('region', { name: 'Measure' });
  await expect(measure.getByLabel('Where')).toBeVisible();
  // Held by the list, and by a click on the drawing.
  await choose(measure.getByLabel('Where'), { label: 'supply terminals' });
  await measure.getByRole('button', { name: 'Measure', exact: true }).click();
  const readings = page.getByRole('table', { name: 'Readings' });
  await expect(readings.getByRole('row')).toHaveCount(2);
  await page.locator('[data-point="end-1"]').click();
  await choose(measure.getByLabel('How'), { label: 'plus there to the supply’s minus' });
  await measure.getByRole('button', { name: 'Measure', exact: true }).click();
  await expect(
    readings.getByText('volts from the plus at the end of segment 1 to the minus of the supply'),
  ).toBeVisible();
  await page.locator('[data-wire="1"]').dispatchEvent('click');
  await expect(measure.getByLabel('How')).toBeDisabled();
  await measure.getByRole('button', { name: 'Measure', exact: true }).click();
  await expect(page.getByRole('status', { name: 'Meter' })).toContainText(/\d A/);
  // Led by what tells most until one fault is left, or those that show alike.
  const hint = page.getByTestId('hint');
  for (let turn = 0; turn < 12; turn += 1) {
    await measure.getByRole('button', { name: 'What would tell most?' }).click();
    const told = (await hint.textContent()) ?? '';
    if (told.startsWith('Nothing more')) break;
    const words = /^Measure (.*)\. \d+ faults explain/.exec(told)![1]!;
    const clamp = /^amperes in (the .*), by clamp$/.exec(words);
    const across = /^volts at the (.*), plus to minus$/.exec(words);
    const plus = /^volts from the plus at the (.*) to the minus of the supply$/.exec(words);
    const minus = /^volts from the plus of the supply to the minus at the (.*)$/.exec(words);
    const where = clamp === null ? (across ?? plus ?? minus)![1]! : `clamp on ${clamp[1]!}`;
    await choose(measure.getByLabel('Where'), { label: where });
    const manner =
      across !== null
        ? 'plus to minus there'
        : plus !== null
          ? 'plus there to the supply’s minus'
          : 'the supply’s plus to minus there';
    if (clamp === null) await choose(measure.getByLabel('How'), { label: manner });
    await measure.getByRole('button', { name: 'Measure', exact: true }).click();
    await expect(hint).toHaveCount(0);
  }
  // A wrong name is refused and costs; names are tried until the right one is found.
  const name = page.getByRole('region', { name: 'Name the fault' });
  const list = name.getByLabel('It is this');
  const option = (fault: number): Locator => page.getByRole('listbox').locator(`[data-value="${fault}"]`);
  await list.click();
  const options = await page.getByRole('option').count();
  await page.keyboard.press('Escape');
  for (let fault = 0; fault < options; fault += 1) {
    await choose(list, String(fault));
    await name.getByRole('button', { name: 'Name it' }).click();
    await expect(name.getByRole('status')).toBeVisible();
    await expect(name.getByText(/^Not |Found: /)).toBeVisible();
    if ((await name.getByText('Found: ').count()) > 0) break;
    await list.click();
    await expect(option(fault)).toHaveAttribute('data-disabled', '');
    await page.keyboard.press('Escape');
  }
  await expect(name.getByText(/of 100 points/)).toBeVisible();
  await page.getByRole('button', { name: 'Hide another fault' }).click();
  await expect(readings.getByRole('row')).toHaveCount(1);
  await expect(name.getByText('Found: ')).toHaveCount(0);
});
