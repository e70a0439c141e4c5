import { choose } from './support/controls';
import { expect, openFindings, openJob, saved, lit, test } from './support/shop';

test('a box goes from plates to a cleat, and from a wall of board to its studs', async ({ page, shop }) => {
  await openFindings(page, shop, 'Dispensary', 'hang');
  const overlay = page.getByTestId('fixings-overlay');
  await expect(page.getByTestId('fixing')).toHaveCount(2);
  await expect(page.getByRole('img', { name: /^The wall, middle of the sign 2600\smm/ })).toBeVisible();

  await choose(page.getByLabel('Hangs or stands'), 'cleat');
  await expect(page.getByRole('img', { name: /^The cleat in section: battens 12\smm thick/ })).toBeVisible();
  await expect(page.getByTestId('fixing')).toHaveCount(0);
  await expect(overlay.locator('circle')).toHaveCount(3);

  await choose(page.getByLabel('It is fixed to'), 'studs');
  const finding = page.locator('[data-finding="cleat-misses-studs"]');
  await expect(finding).toContainText('not found yet');
  await page.getByRole('button', { name: 'I have found one' }).click();
  await page.getByLabel('A stud is at').fill('-300');
  await page.getByLabel('A stud is at', { exact: true }).press('Enter');
  await expect(finding).toHaveCount(0);
  await expect(overlay.locator('circle')).toHaveCount(2);
  await lit(page);
  await saved(page);

  // What is cut for it is among the parts, and a step of the build.
  await page.getByRole('link', { name: /^Cut/ }).click();
  await expect(page.getByRole('complementary', { name: 'Settings' })).toContainText('Cleat, on the wall');
  await page.getByRole('link', { name: /^Build/ }).click();
  await page.getByText('Rip both battens of the cleat in one cut').first().click();
  await expect(page.getByRole('group', { name: /^Drawing: Rip both battens/ })).toBeVisible();
});

test('a fixing is moved by keys, stays where it is put, and is levelled again with one click', async ({
  page,
  shop,
}) => {
  await openFindings(page, shop, 'Dispensary', 'hang');
  const second = page.getByTestId('fixing').nth(1);
  await expect(second).toHaveAccessibleName(/as solved/);
  await second.focus();
  for (let press = 0; press < 3; press += 1) await page.keyboard.press('ArrowDown');
  const finding = page.locator('[data-finding="fixings-not-level"]');
  await expect(finding).toContainText('3 mm');
  await finding.getByRole('button', { name: /Apply/ }).first().click();
  await expect(finding).toHaveCount(0);
  await lit(page);
});

test('what hangs from nothing is found, and stands on feet with one click on a counter', async ({ page, shop }) => {
  await openFindings(page, shop, 'Dispensary', 'brief');
  await choose(page.getByLabel('Hangs', { exact: true }), 'counter');
  const finding = page.locator('[data-finding="nothing-to-hang-by"]');
  await expect(finding).toContainText('feet');
  await finding.getByRole('button', { name: /Apply/ }).first().click();
  await expect(finding).toHaveCount(0);
  await page.keyboard.press('7');
  await expect(page.getByRole('img', { name: /^The sign on its counter/ })).toBeVisible();
  await expect(page.getByRole('complementary', { name: 'Settings' })).toContainText('tipped until it falls');
});

test('letters are set on a backer, and the backer on a cleat', async ({ page, shop }) => {
  await openJob(page, shop, 'Curlew', 'case');
  await page.getByRole('button', { name: 'Set them on a backer' }).click();
  await expect(page.getByTestId('backer-line')).toBeVisible();
  await page.getByLabel('Margin round them').fill('80');
  await page.getByLabel('Margin round them', { exact: true }).press('Enter');
  await page.getByRole('link', { name: /^Hang/ }).click();
  await expect(page.getByTestId('fixing')).toHaveCount(4);
  await choose(page.getByLabel('Hangs or stands'), 'cleat');
  await expect(page.getByRole('img', { name: /^The cleat in section/ })).toBeVisible();
  await lit(page);
  await saved(page);
  await page.getByRole('link', { name: /^Build/ }).click();
  await expect(page.getByText('Cut the backer').first()).toBeVisible();
  await expect(page.getByText('Set the letters on their backer, lead last').first()).toBeVisible();
});

test('the outside of a case is painted as it is chosen, and what that takes is on the list', async ({ page, shop }) => {
  await openFindings(page, shop, 'Dispensary', 'case');
  const paint = page.getByRole('region', { name: 'Paint and glue' });
  await expect(paint).toContainText('Inside: by its lining');
  await choose(paint.getByLabel('Outside of the case'), 'oil');
  await paint.getByLabel('Between coats').fill('1 h');
  await paint.getByLabel('Between coats', { exact: true }).press('Enter');
  const finding = page.locator('[data-finding="drying-forgotten"]');
  await expect(finding).toContainText('12 h');
  await finding.getByRole('button', { name: /Apply/ }).first().click();
  await expect(finding).toHaveCount(0);
  await page.getByRole('link', { name: /^Cut/ }).click();
  await expect(page.getByRole('region', { name: 'Cans and tubes' })).toContainText('1 × Hard oil, 0.5 L');
});
