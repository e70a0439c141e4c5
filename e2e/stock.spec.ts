import { expect, openJob, test, visit } from './support/shop';

test('a job that is short of glue gets its list before it starts, and has all once that came in', async ({
  page,
  shop,
}) => {
  test.slow();
  const id = await openJob(page, shop, 'Smoke house', 'cut');
  const stock = page.getByRole('region', { name: 'Stock', exact: true });
  const list = stock.getByRole('list', { name: 'To buy for this job' });
  await expect(list.getByRole('listitem').first()).toBeVisible({ timeout: 60_000 });
  const opal = list.getByRole('listitem').filter({ hasText: 'Opal acrylic 5 mm, dense' });
  await expect(opal).toContainText('buy 1 sheet');
  await expect(opal).toContainText('€59.00');
  // Glue is there; a count finds the tube empty, and the job is short of it.
  await expect(list).not.toContainText('Wood glue');
  await stock.getByRole('button', { name: 'Keep it for this job' }).click();
  await expect(stock.getByText(/the rest is kept for it/)).toBeVisible();
  // Its parts lie on the offcuts of the shop first.
  await page.getByRole('radio', { name: 'On what is here' }).click();
  const sheets = page.getByRole('region', { name: 'Sheet layout' });
  await expect(sheets.getByRole('img', { name: 'Birch plywood 6 mm, offcut that is here' })).toContainText('Base');
  await expect(sheets.getByRole('img', { name: 'Opal acrylic 5 mm, dense, sheet to be bought' })).toBeVisible();
  await expect(stock.getByRole('checkbox', { name: /lies in the shop again: .* of Opal acrylic 3 mm/ })).toBeChecked();

  await stock.getByRole('link', { name: 'all stock' }).click();
  await page.getByRole('searchbox', { name: 'Find' }).fill('wood glue');
  await page.getByRole('button', { name: /Wood glue/ }).click();
  await page.getByRole('button', { name: /^Enter for 140 ml of Wood glue/ }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('radio', { name: 'Counted' }).click();
  await dialog.getByLabel('There now, as counted').fill('0');
  await dialog.getByLabel('Note').fill('dried up');
  await dialog.getByRole('button', { name: 'Enter it' }).click();
  await expect(page.getByRole('alert')).toContainText('A job is short now of what was kept for it');
  await expect(page.getByRole('alert')).toContainText('Trial: Wood glue, 250 ml');

  await visit(page, `${shop.url}/jobs/${id}/cut`);
  await expect(list.getByRole('listitem').filter({ hasText: 'Wood glue' })).toContainText('buy 1 tube');

  // The list for all jobs; what came in is entered from it.
  await visit(page, `${shop.url}/stock?show=to-buy`);
  await expect(page.getByText(/What the jobs at hand/)).toBeVisible({ timeout: 60_000 });
  await page.getByRole('button', { name: /^Wood glue.* came in$/ }).click();
  await dialog.getByRole('button', { name: 'Enter it' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Wood glue' })).toContainText('there by the ledger');
  await expect(page.getByRole('button', { name: /^Wood glue.* came in$/ })).toHaveCount(0);
  await visit(page, `${shop.url}/jobs/${id}/cut`);
  await expect(list.getByRole('listitem').first()).toBeVisible();
  await expect(list).not.toContainText('Wood glue');

  // Made from what is there, the ledger says so for every lot.
  await stock.getByRole('button', { name: /It is used/ }).click();
  await expect(stock.getByRole('button', { name: 'Keep it for this job' })).toBeVisible();
  await visit(page, `${shop.url}/stock?show=ledger`);
  const rows = page.getByRole('row').filter({ hasText: 'Trial' });
  await expect(rows.filter({ hasText: 'used' }).first()).toContainText('−');
  await expect(page.getByRole('row').filter({ hasText: 'dried up' })).toContainText('−140 ml');
  await expect(rows.filter({ hasText: 'left of a sheet' }).first()).toContainText('Opal acrylic 3 mm');
});

test('a reel comes in, is cut in two, and its pieces are not added up for a long run', async ({ page, shop }) => {
  await visit(page, `${shop.url}/stock`);
  await page.getByRole('button', { name: 'Something comes in' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Which strip').click();
  await page
    .getByRole('option', { name: /White 24 V, 70 LED\/m, 12 W\/m/ })
    .first()
    .click();
  await dialog.getByLabel('On each').fill('3');
  await dialog.getByRole('button', { name: 'Enter it' }).click();
  await expect(page.getByRole('status').filter({ hasText: '3 m there by the ledger' })).toBeVisible();
  await page.getByRole('searchbox', { name: 'Find' }).fill('70 LED/m, 12');
  await page.getByRole('button', { name: /^White 24 V, 70 LED/ }).click();
  await page.getByRole('button', { name: /^Enter for 3 m/ }).click();
  await dialog.getByRole('radio', { name: 'Cut off' }).click();
  await dialog.getByLabel('Cut off, and kept as a piece of its own').fill('1.2');
  await dialog.getByRole('button', { name: 'Enter it' }).click();
  await expect(page.getByRole('status').filter({ hasText: '1.8 m and 1.2 m there by the ledger' })).toBeVisible();
  await page.getByRole('button', { name: /^Enter for 1\.8 m/ }).click();
  await dialog.getByLabel('Used of it').fill('2');
  await dialog.getByRole('button', { name: 'Enter it' }).click();
  await expect(dialog.getByRole('alert')).toContainText('Only 1800 mm are there by the ledger');
});
