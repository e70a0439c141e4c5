import { parseDesign } from '@vitrum/core';
import { strFromU8 } from 'fflate';
import { choose } from './support/controls';
import { packOf } from './support/pack';
import { expect, saved, lit, test, visit } from './support/shop';

test('stacked plates are made from a new job: rings are stacked, a fault is found and mended, and they go to the bench', async ({
  page,
  shop,
}) => {
  test.slow();
  await visit(page, `${shop.url}/jobs/new`);
  await page.getByLabel('Stacked plates').check();
  await page.getByLabel('The sign says').fill('BREAM');
  await page.getByRole('button', { name: 'Light it' }).click();
  await lit(page);
  await expect(page.getByText('Nothing to mend').first()).toBeVisible();

  // One ring more under the lid, one moved, one from other stuff.
  await page.getByRole('link', { name: /^Plates/ }).click();
  const rings = page.getByRole('list', { name: 'Rings' });
  await expect(rings.getByRole('listitem')).toHaveCount(4);
  await page.getByRole('button', { name: 'Ring 4: another on it' }).click();
  await expect(rings.getByRole('listitem')).toHaveCount(5);
  await choose(page.getByRole('combobox', { name: /^Ring 5/ }), 'opal-3');
  await lit(page);
  await expect(rings.getByText(/glows/)).toHaveCount(2);
  await page.getByRole('button', { name: 'Ring 5: down' }).click();
  await lit(page);
  await page.getByRole('button', { name: 'Ring 4: take away' }).click();
  await expect(rings.getByRole('listitem')).toHaveCount(4);
  await lit(page);

  // Strip laid over the band is found, and goes where it belongs with a click.
  await page.getByRole('link', { name: /^Light/ }).click();
  const fromBase = page.getByRole('textbox', { name: 'Strip from the base' });
  await fromBase.fill('14');
  await fromBase.press('Enter');
  await lit(page);
  await expect(page.getByText('Strip covers the inside of the band').first()).toBeVisible();
  await page
    .getByRole('button', { name: /^Apply: Strip .* from the base/ })
    .first()
    .click();
  await lit(page);
  await expect(page.getByText('Strip covers the inside of the band')).toHaveCount(0);

  // On a ledge it looks out at the band.
  await choose(page.getByRole('combobox', { name: 'It looks' }), 'out');
  await lit(page);
  await expect(page.getByLabel('Ledge from the rings')).toBeVisible();
  await saved(page);

  await page.getByRole('link', { name: /^Lid/ }).click();
  await expect(page.getByRole('row', { name: /^letters, mean/ })).toContainText('cd/m²');
  await expect(page.getByRole('row', { name: /edge of ring 3, dimmest/ })).toContainText('%');

  const file = await packOf(page);
  const read = parseDesign(strFromU8(file('design.json')));
  if (!read.ok) throw new Error(read.problems[0]?.message);
  const [assembly] = read.value.assemblies;
  if (assembly?.build !== 'stacked') throw new Error('no stack');
  expect(assembly.light.facing).toBe('out');
  expect(assembly.plates.rings).toHaveLength(4);
  const parts = strFromU8(file('parts.csv'));
  for (const name of ['Base', 'Ring 1', 'Ring 4', 'Ledge ring', 'Lid', 'Letters of the lid'])
    expect(parts).toContain(name);
  expect(file('letters-to-trace-a4.pdf').length).toBeGreaterThan(1000);
  expect(file('strip-template-a4.pdf').length).toBeGreaterThan(1000);
});

test('an outline comes from a drawing; one of two areas is refused, and nothing is lost', async ({ page, shop }) => {
  await visit(page, `${shop.url}/jobs/new`);
  await page.getByLabel('Stacked plates').check();
  await page.getByLabel('The sign says').fill('EEL');
  await page.getByRole('button', { name: 'Light it' }).click();
  await lit(page);
  await page.getByRole('link', { name: /^Plates/ }).click();
  const outline = page.getByRole('region', { name: 'Outline of the plates' });
  const load = (name: string, shape: string) =>
    outline.locator('input[type=file]').setInputFiles({
      name,
      mimeType: 'image/svg+xml',
      buffer: Buffer.from(
        `<svg xmlns="http://www.w3.org/2000/svg" width="300mm" height="200mm" viewBox="0 0 300 200">${shape}</svg>`,
      ),
    });
  await load('shield.svg', '<path d="M20 10H280V110Q280 180 150 195Q20 180 20 110Z"/>');
  await page.getByRole('button', { name: 'Use this drawing' }).click();
  await lit(page);
  await expect(outline.getByRole('combobox', { name: 'Outline' })).toContainText('shield.svg');
  await load('two.svg', '<path d="M10 10H100V100H10Z"/><path d="M180 10H280V100H180Z"/>');
  await page.getByRole('button', { name: 'Use this drawing' }).click();
  await expect(page.getByText(/has 2 separate areas/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await lit(page);
  await expect(outline.getByRole('combobox', { name: 'Outline' })).toContainText('shield.svg');
});
