import { parseDesign } from '@vitrum/core';
import { strFromU8 } from 'fflate';
import { choose } from './support/controls';
import { packOf } from './support/pack';
import { expect, openJob, saved, settled, test } from './support/shop';

test('a print, a mirror tile and a lit mirror are made from a new job, and go to the bench', async ({ page, shop }) => {
  await page.goto(`${shop.url}/jobs/new`);
  await page.getByLabel('Display frame').check();
  await page.getByLabel('The sign says').fill('MENU');
  await page.getByRole('button', { name: 'Light it' }).click();
  await settled(page);

  // Its picture is taken from a file, and shows in the light.
  await page.getByRole('link', { name: /^Artwork/ }).click();
  const shows = page.getByLabel('It shows');
  const picture = page.getByRole('region', { name: 'Picture' });
  await picture.locator('input[type=file]').setInputFiles('apps/web/public/builds/halo.png');
  await expect(picture.getByText('halo.png')).toBeVisible();
  await saved(page);
  await settled(page);
  const print = await packOf(page);
  const read = parseDesign(strFromU8(print('design.json')));
  if (!read.ok) throw new Error(read.problems[0]?.message);
  expect(read.value.assemblies[0]).toMatchObject({
    build: 'frame',
    shows: { kind: 'print', picture: { name: 'halo.png' } },
  });
  expect(strFromU8(print('parts.csv'))).toContain('Front sheet');

  // An engraved tile instead: its drawing is mirrored, for the glass shop.
  await choose(shows, 'mirror-tile');
  await saved(page);
  await settled(page);
  await expect(page.getByRole('link', { name: /^Artwork/ })).toContainText(/tile \d/);
  const tile = await packOf(page);
  expect(strFromU8(tile('parts/face.svg'))).toContain('data-layer="engrave"');

  // And a band all round, as wide as is typed; too wide is told at its field.
  await choose(shows, 'lit-mirror');
  await expect(page.getByRole('link', { name: /^Artwork/ })).toContainText(/mirror \d/);
  await page.getByLabel('Lit band width').fill('24');
  await page.getByLabel('Lit band width').press('Enter');
  await saved(page);
  await settled(page);
  const mirror = await packOf(page);
  const last = parseDesign(strFromU8(mirror('design.json')));
  expect(last.ok && last.value.assemblies[0]).toMatchObject({ shows: { kind: 'lit-mirror', band: { widthMm: 24 } } });
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: /^Artwork/ })).toContainText(/tile \d/);
});

test('a file that is no picture is told so, and nothing is lost', async ({ page, shop }) => {
  await openJob(page, shop, 'Tide table', 'artwork');
  const picture = page.getByRole('region', { name: 'Picture' });
  await picture
    .locator('input[type=file]')
    .setInputFiles({ name: 'tides.png', mimeType: 'image/png', buffer: Buffer.from('no picture at all') });
  await expect(picture.getByRole('alert')).toContainText('is no picture that can be read');
  await expect(picture.getByText('tides, rendered')).toBeVisible();
});
