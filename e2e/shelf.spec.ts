import { readFile } from 'node:fs/promises';
import { shelfCsv, shippedCatalogue } from '@vitrum/core';
import { strFromU8 } from 'fflate';
import { choose, expectChosen } from './support/controls';
import { packOf } from './support/pack';
import { expect, figure, openFindings, openJob, saved, lit, test, visit } from './support/shop';

test('a strip with figures of one’s own is put on the shelf, and a design uses it', async ({ page, shop }) => {
  await visit(page, `${shop.url}/shelf`);
  await page.getByRole('button', { name: 'Copy White 24 V, 120 LED/m, 10 W/m', exact: true }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Name').fill('Harbour bright 24 V');
  await dialog.getByLabel('Gives', { exact: true }).fill('much');
  await dialog.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(dialog.getByText('Gives is a number (lm/m); “much” is none')).toBeVisible();
  await expect(dialog.getByText('One figure is not right yet')).toBeVisible();
  await dialog.getByLabel('Gives', { exact: true }).fill('2100');
  await dialog.getByLabel('Supplier').fill('Quay Lights');
  await dialog.getByLabel('Comes in').fill('3');
  await dialog.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Harbour bright 24 V is on the shelf.' })).toBeVisible();
  await expect(page.getByRole('row', { name: /^Harbour bright 24 V Quay Lights · 3 days 2100 lm\/m/ })).toBeVisible();

  await openJob(page, shop, 'Dispensary', 'light');
  const before = Number.parseFloat((await figure(page, 'mean luminance').textContent()) ?? '');
  await choose(page.getByLabel('Strip', { exact: true }), 'harbour-bright-24-v');
  await lit(page);
  const after = Number.parseFloat((await figure(page, 'mean luminance').textContent()) ?? '');
  expect(after).toBeGreaterThan(1.2 * before);
  await saved(page);
});

test('a changed item stays as it was for designs that have it; they are offered what is newer', async ({
  page,
  shop,
}) => {
  const id = await openFindings(page, shop, 'Dispensary', 'face');
  const sheet = page.getByLabel('Face', { exact: true });
  const had = (await sheet.getAttribute('data-value'))!;
  const name = (await sheet.innerText()).split('\n')[0]!;
  const cost = async () => (await figure(page, 'a sign, with').textContent()) ?? '';
  const costBefore = await cost();

  await visit(page, `${shop.url}/shelf`);
  await page.getByRole('button', { name: `Change ${name}`, exact: true }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByText(/jobs? (has|have) it and keep it as it is/)).toBeVisible();
  await dialog.getByLabel('Price', { exact: true }).fill('150');
  await dialog.getByRole('button', { name: 'Change it' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'keep it as it was' })).toBeVisible();
  await expect(page.getByRole('row', { name: new RegExp(`^${name}.*150\\.00`) })).toBeVisible();

  await visit(page, `${shop.url}/jobs/${id}/face`);
  await lit(page);
  await expectChosen(sheet, had);
  expect(await cost()).toBe(costBefore);
  const closed = page.getByRole('button', { name: /^All \d+|^Read it/ });
  if ((await closed.count()) > 0) await closed.first().click();
  await expect(page.getByText(`${name} has changed on the shelf`).first()).toBeVisible();
  await page.getByRole('button', { name: `Apply: ${name} as it is now` }).click();
  await lit(page);
  await expectChosen(sheet, `${had}--2`);
  await expect.poll(cost).not.toBe(costBefore);
});

test('lists go out and come in as files, with what was not understood; what is retired is not offered', async ({
  page,
  shop,
}) => {
  await visit(page, `${shop.url}/shelf`);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Spacers as CSV' }).click();
  const text = await readFile(await (await download).path(), 'utf8');
  expect(text.split('\n')[0]).toContain('Adds (mm)');
  const [head, own] = shelfCsv('spacers', [{ ...shippedCatalogue.spacers[0]!, id: '', name: 'Driftwood 7 mm' }]).split(
    '\n',
  );
  const section = page.getByRole('region', { name: 'Spacers' });
  await section.locator('input[type=file]').setInputFiles({
    name: 'quay.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`${head},Shelf mark\n${own},B4\n,Nameless,free\n`),
  });
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByText('1 new, 0 changed, 0 as they were, 1 line not understood.')).toBeVisible();
  await expect(dialog.getByRole('region', { name: 'Not understood' })).toContainText('line 3');
  await expect(dialog.getByText(/passed over: Shelf mark/)).toBeVisible();
  await dialog.getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByRole('row', { name: /^Driftwood 7 mm/ })).toBeVisible();

  await page.getByRole('button', { name: 'Retire Driftwood 7 mm' }).click();
  await expect(page.getByRole('row', { name: /^Driftwood 7 mm/ })).toHaveCount(0);
  await page.getByLabel('also what is no longer offered').click();
  await expect(page.getByRole('row', { name: /^Driftwood 7 mm/ })).toContainText('retired');
  await page.getByRole('button', { name: 'Offer Driftwood 7 mm' }).click();
  await expect(page.getByRole('row', { name: /^Driftwood 7 mm/ })).not.toContainText('retired');

  // In order of a figure, and back to what is looked for.
  await section.getByRole('button', { name: 'adds' }).click();
  await expect(section.getByRole('columnheader', { name: 'adds' })).toHaveAttribute('aria-sort', 'ascending');
  await page.getByLabel('Find on the shelf').fill('driftwood');
  await expect(page.getByRole('row')).toHaveCount(2);
  await page.getByLabel('Find on the shelf').fill('moonstone');
  await expect(page.getByText('Nothing on the shelf fits “moonstone”')).toBeVisible();

  // What the shop has changed or measured, beside what is typical.
  await page.getByRole('button', { name: 'Show all of the shelf' }).click();
  await choose(page.getByLabel('Its figures are'), { label: 'measured' });
  // Others may have measured something of this shelf; this item nobody has.
  await expect(page.getByRole('row', { name: /^Driftwood 7 mm/ })).toHaveCount(0);
  await choose(page.getByLabel('Its figures are'), { label: 'changed' });
  await expect(page.getByRole('row', { name: /^Driftwood 7 mm/ })).toBeVisible();
});

test('a tool that works faces has its figures, and a laser the width of its cut by material', async ({
  page,
  shop,
}) => {
  await visit(page, `${shop.url}/shelf`);
  await page.getByRole('button', { name: 'Change Laser, engraving' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByLabel('Engraved line')).toHaveValue('0.2');
  await dialog.getByLabel('Engraved line').fill('');
  await dialog.getByRole('button', { name: 'Change it' }).click();
  await expect(dialog.getByText('Engraved line is missing')).toBeVisible();
  await dialog.getByLabel('Engraved line').fill('0.25');
  await dialog.getByLabel('Cut, by material').fill('acrylic 0.2, wood 0.3');
  await dialog.getByRole('button', { name: 'Change it' }).click();
  await expect(dialog).toHaveCount(0);
  await expect(page.getByRole('row', { name: /^Laser, engraving/ }).first()).toContainText('0.25 mm');
});

test('the shop’s settings: its colours are those of the files for machines, its hour is in what a job costs', async ({
  page,
  shop,
}) => {
  await openJob(page, shop, 'Curlew', 'brief');
  const before = await figure(page, 'a sign, with').textContent();
  await visit(page, `${shop.url}/shelf`);
  await page.getByRole('button', { name: 'The shop’s settings' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('An hour of work, €').fill('a lot');
  await expect(dialog.getByText('an amount of money, 0 to 10,000')).toBeVisible();
  await expect(dialog.getByRole('button', { name: 'Keep these settings' })).toBeDisabled();
  await dialog.getByLabel('An hour of work, €').fill('76');
  await dialog.getByLabel('Cut through').fill('#00ff40');
  await dialog.getByRole('button', { name: 'Keep these settings' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'settings are changed' })).toBeVisible();

  await openJob(page, shop, 'Curlew', 'brief');
  await lit(page);
  expect(await figure(page, 'a sign, with').textContent()).not.toBe(before);
  const file = await packOf(page);
  const letter = strFromU8(file('toolpaths/letter-3.svg'));
  expect(letter).toContain(
    '<g id="CUT-THROUGH-12MM" data-operation="cut" fill="none" fill-rule="nonzero" stroke="#00ff40"',
  );
  expect(letter).toContain('<g id="TAB-10_5MM"');
  expect(strFromU8(file('toolpaths/letter-3.dxf'))).toContain('CUT-THROUGH-12MM');

  await visit(page, `${shop.url}/shelf`);
  await page.getByRole('button', { name: 'The shop’s settings' }).click();
  await dialog.getByRole('button', { name: 'Back to the usual colours' }).click();
  await dialog.getByLabel('An hour of work, €').fill('38');
  await dialog.getByRole('button', { name: 'Keep these settings' }).click();
  await expect(dialog).toBeHidden();
});
