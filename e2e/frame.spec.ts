import { parseDesign } from '@vitrum/core';
import { encode } from 'fast-png';
import type { Page } from '@playwright/test';
import { strFromU8 } from 'fflate';
import { choose } from './support/controls';
import { packOf } from './support/pack';
import { expect, openJob, saved, lit, test, visit } from './support/shop';

const newFrame = async (page: Page, shop: { readonly url: string }): Promise<void> => {
  await visit(page, `${shop.url}/jobs/new`);
  await page.getByLabel('Display frame').check();
  await page.getByLabel('The sign says').fill('MENU');
  await page.getByRole('button', { name: 'Light it' }).click();
  await lit(page);
};

test('a print and a mirror tile are made from a new job, and go to the bench', async ({ page, shop }) => {
  // Two packs on a machine that runs other tests beside it.
  test.slow();
  await newFrame(page, shop);
  // Its picture is taken from a file, and shows in the light.
  await page.getByRole('link', { name: /^Artwork/ }).click();
  const shows = page.getByLabel('It shows');
  const picture = page.getByRole('region', { name: 'Picture' });
  await picture.locator('input[type=file]').setInputFiles('apps/web/public/builds/halo.png');
  await expect(picture.getByText('halo.png')).toBeVisible();
  await saved(page);
  await lit(page);
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
  await lit(page);
  await expect(page.getByRole('link', { name: /^Artwork/ })).toContainText(/tile \d/);
  const tile = await packOf(page);
  expect(strFromU8(tile('parts/face.svg'))).toContain('data-operation="engrave"');
  expect(tile('drawings/glass-drawing-a4.pdf').length).toBeGreaterThan(1000);
  expect(tile('mirror-template-a4.pdf').length).toBeGreaterThan(1000);
  // It comes out past a top that is set back; mitred corners would hold that, which is told and mended.
  await page.getByRole('link', { name: /^Frame/ }).click();
  await expect(page.getByLabel('It comes out')).toContainText('top set back');
  await choose(page.getByLabel('Corners', { exact: true }), 'mitre');
  await lit(page);
  await page.getByRole('button', { name: 'Apply: Butt corners, screwed' }).click();
  await expect(page.getByLabel('Corners', { exact: true })).toContainText('butted, screwed');
});

test('a mirror with a lit band is made from a new job, here or by a glass shop, and goes to the bench', async ({
  page,
  shop,
}) => {
  test.slow();
  await newFrame(page, shop);
  await page.getByRole('link', { name: /^Artwork/ }).click();
  // A band all round, as wide as is typed.
  await choose(page.getByLabel('It shows'), 'lit-mirror');
  await expect(page.getByRole('link', { name: /^Artwork/ })).toContainText(/mirror \d/);
  await page.getByLabel('Lit band width').fill('24');
  await page.getByLabel('Lit band width', { exact: true }).press('Enter');
  await saved(page);
  await lit(page);
  // Text and drawings are not asked of it; who makes it is, with both prices in a line.
  await expect(page.getByLabel('The sign says')).toHaveCount(0);
  await page.getByLabel('A glass shop asks').fill('90');
  await page.getByLabel('A glass shop asks', { exact: true }).press('Enter');
  await expect(page.getByText(/Made here: \d+ € with .* glass shop: \d+ € with .* (cheaper|same)\./)).toBeVisible();
  await choose(page.getByRole('combobox', { name: 'Made by' }), 'glass-shop');
  await saved(page);
  await lit(page);
  const mirror = await packOf(page);
  expect(strFromU8(mirror('parts.csv'))).toContain('Inner frame, top');
  expect(strFromU8(mirror('parts.csv'))).toContain('Mirror as drawn, from a glass shop');
  const last = parseDesign(strFromU8(mirror('design.json')));
  expect(last.ok && last.value.assemblies[0]).toMatchObject({ shows: { kind: 'lit-mirror', band: { widthMm: 24 } } });
  for (let undone = 0; undone < 4; undone += 1) await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: /^Artwork/ })).toContainText(/print \d/);
});

/** A few bytes that say they are a picture of so many pixels each way. */
const claims = (side: number): Buffer => {
  const bytes = Buffer.from(encode({ width: 2, height: 2, depth: 8, channels: 1, data: new Uint8Array(4) }));
  bytes.writeUInt32BE(side, 16);
  bytes.writeUInt32BE(side, 20);
  return bytes;
};

test('a file that is no picture, or one of a hundred megapixels, is told so, and nothing is lost', async ({
  page,
  shop,
}) => {
  await openJob(page, shop, 'Tide table', 'artwork');
  const picture = page.getByRole('region', { name: 'Picture' });
  await picture
    .locator('input[type=file]')
    .setInputFiles({ name: 'huge.png', mimeType: 'image/png', buffer: claims(10_000) });
  await expect(picture.getByRole('alert')).toContainText('huge.png has 100 megapixels');
  await picture
    .locator('input[type=file]')
    .setInputFiles({ name: 'tides.png', mimeType: 'image/png', buffer: Buffer.from('no picture at all') });
  await expect(picture.getByRole('alert')).toContainText('is no picture that can be read');
  await expect(picture.getByText('tides, rendered')).toBeVisible();
});
