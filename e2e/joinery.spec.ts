import { choose } from './support/controls';
import { expect, openFindings, openJob, saved, lit, showOver, test } from './support/shop';

test('a box goes from its joint to the settings of saw and router table', async ({ page, shop }) => {
  await openJob(page, shop, 'Dispensary', 'cut');
  await page.getByRole('radio', { name: 'Set-ups' }).click();
  const setUps = page.getByRole('region', { name: 'Set-ups' });
  // Butted corners: seats of the long returns are stopped, by a bit between two blocks.
  const stopped = setUps.getByRole('listitem').filter({ hasText: 'Router table: rabbet for the face' });
  await expect(stopped).toContainText('Top return, Bottom return');
  await expect(stopped).toContainText(/Stop blocks, both sides\s*890\smm/);
  await expect(stopped.getByRole('img', { name: 'Router table: rabbet for the face' })).toBeVisible();
  const drilled = setUps.getByRole('listitem').filter({ hasText: 'Drill press: screw holes near the ends' });
  await expect(drilled).toContainText(/To the middle\s*6\smm/);
  await expect(drilled.getByRole('img')).toBeVisible();

  await page.getByRole('link', { name: /^Case/ }).click();
  await choose(page.getByLabel('Corners', { exact: true }), 'mitre-spline');
  await page.getByRole('link', { name: /^Cut/ }).click();
  // Nothing of the step before stays beside the list of parts.
  const panel = page.getByRole('complementary', { name: 'Settings' });
  await expect(panel.getByRole('listitem').filter({ hasText: /^Top return/ })).toBeVisible();
  await expect(panel.getByLabel('Depth inside')).toHaveCount(0);
  await expect(panel.getByRole('heading', { level: 2 })).toHaveText(['Cut']);
  await page.getByRole('radio', { name: 'Set-ups' }).click();
  await expect(setUps.getByRole('listitem').filter({ hasText: 'mitres to length' })).toHaveCount(2);
  await expect(setUps.getByRole('listitem').filter({ hasText: 'slots for splines' })).toContainText('Spline');
  // Through seats are cut by the saw now, in all four at once.
  const through = setUps.getByRole('listitem').filter({ hasText: 'Saw: rabbet for the face' });
  await expect(through).toContainText('Top return, Bottom return, Left return, Right return');
  await expect(setUps.getByText(/Stop blocks/)).toHaveCount(0);

  // The same fences in inches show thirty-seconds.
  await page.getByRole('button', { name: 'Job menu' }).click();
  await page.getByRole('menuitem', { name: 'Show lengths in inches' }).click();
  await expect(setUps.getByRole('listitem').filter({ hasText: 'rip to width' })).toContainText(/\d+ \d+\/\d+\sin/);
  await lit(page);
  await saved(page);

  // Each setting is a step of the build with its section.
  await page.getByRole('link', { name: /^Build/ }).click();
  await page.getByText('Saw: rabbet for the back, in Top return').first().click();
  await expect(page.getByRole('group', { name: /^Drawing: Saw: rabbet for the back/ }).getByRole('img')).toBeVisible();
});

test('a back on inserts is bought, told and seen; where the ledge is narrow, wood screws mend it', async ({
  page,
  shop,
}) => {
  await openFindings(page, shop, 'Dispensary', 'case');
  await choose(page.getByLabel('Back held'), 'inserts');
  const slice = page.getByRole('region', { name: 'Slice' });
  await expect(slice).toContainText('on threaded inserts: opens for service');
  await showOver(page, 'findings');
  const near = page.locator('[data-finding="back-screws-near-edge"]');
  await expect(near).toContainText('The inserts of the back are too near its edge');
  await near.getByRole('button', { name: /Apply/ }).first().click();
  await expect(near).toHaveCount(0);
  await saved(page);
});

test('screws too near an edge are found, and mended by a deeper seat', async ({ page, shop }) => {
  await openFindings(page, shop, 'Dispensary', 'case');
  await page.getByLabel('Seat depth').fill('4');
  await page.getByLabel('Seat depth', { exact: true }).press('Enter');
  await page.getByLabel('Play a side').fill('0.9');
  await page.getByLabel('Play a side', { exact: true }).press('Enter');
  await showOver(page, 'findings');
  const finding = page.locator('[data-finding="back-screws-near-edge"]');
  await expect(finding).toContainText('to the edge');
  await finding.getByRole('button', { name: /Apply/ }).first().click();
  await expect(finding).toHaveCount(0);
  await expect(page.getByLabel('Seat depth')).toHaveValue(/6/);
});

test('on paper each sheet and each setting has a page of its own', async ({ page, shop }) => {
  await openJob(page, shop, 'Dispensary', 'cut');
  const pages = page.locator('section[aria-label^="Page: "]');
  await expect(pages).toHaveCount(0);
  await page.emulateMedia({ media: 'print' });
  await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')));
  // Three materials on a sheet each, and eight settings, the last of the drill.
  await expect(pages).toHaveCount(11);
  await expect(page.getByRole('region', { name: 'Page: set-up 8' })).toContainText('Drill press');
  await expect(page.getByRole('region', { name: 'Page: set-up 4' })).toContainText('Stop blocks, both sides');
  await expect(page.getByRole('region', { name: 'Page: set-up 4' }).getByRole('img')).toBeVisible();
  await expect(page.getByRole('region', { name: /Page: Birch plywood/ })).toContainText('Top return');
  for (const own of await pages.all())
    expect(await own.evaluate((section) => getComputedStyle(section).breakBefore)).toBe('page');
  await page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
  await expect(pages).toHaveCount(0);
});

test('a face goes in last, past a lip of the top that is glued back', async ({ page, shop }) => {
  await openFindings(page, shop, 'Tide table', 'case');
  await choose(page.getByLabel('Corners', { exact: true }), 'butt');
  await choose(page.getByLabel('It comes out'), 'lip-back');
  await expect(page.getByLabel('Mouths chamfered')).toHaveValue('1 mm');
  await lit(page);
  await page.getByRole('link', { name: /^Cut/ }).click();
  await expect(page.getByRole('listitem').filter({ hasText: /^Lip of the top/ })).toBeVisible();
  await page.getByRole('radio', { name: 'Set-ups' }).click();
  const setUps = page.getByRole('region', { name: 'Set-ups' });
  const rabbet = setUps.getByRole('listitem').filter({ hasText: 'rabbet for the face' });
  await expect(rabbet).toContainText('Lip of the top');
  await expect(rabbet).toContainText('rear edge');
  // Mouths that the sheet slides past are broken at settings of their own: by the V bit, and by hand on the lip.
  const chamfers = setUps.getByRole('listitem').filter({ hasText: 'chamfer for the face' });
  await expect(chamfers.filter({ hasText: 'V bit 90°' }).first()).toContainText(/Point over the table\s*[\d.]+\smm/);
  await expect(chamfers.filter({ hasText: 'By hand' })).toContainText('Lip of the top');
  await expect(chamfers.first().getByRole('img')).toBeVisible();
  await page.getByRole('link', { name: /^Build/ }).click();
  await expect(page.getByText('Slide the face in, glue the lip back, close the back').first()).toBeVisible();
  // The plates that it hangs by are fixed once it is painted.
  await expect(page.getByText('Fix 2 slotted plates to the sign').first()).toBeVisible();

  // Mitred, the lip would slide; the finding says so, and one click squares the corners.
  await page.getByRole('link', { name: /^Frame/ }).click();
  await choose(page.getByLabel('Corners', { exact: true }), 'mitre');
  await expect(page.getByText('The lip of the top cannot be glued back').first()).toBeVisible();
  await saved(page);
});
