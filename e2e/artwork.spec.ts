import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { encode } from 'fast-png';
import { strFromU8, unzipSync } from 'fflate';
import { expect, openFindings, openJob, test } from './support/shop';
import { choose, slideTo } from './support/controls';

const fish = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 300 140">
<g id="body"><path fill-rule="evenodd" d="M20 70C60 10 170 10 220 65L280 25C265 55 265 85 280 115L220 75C170 130 60 130 20 70ZM70 55a8 8 0 1 0 16 0a8 8 0 1 0-16 0z"/></g>
<g id="waves"><rect x="20" y="120" width="260" height="2"/></g>
<text x="10" y="10">curlew</text></svg>`;

const svgFile = (name: string, text: string) => ({ name, mimeType: 'image/svg+xml', buffer: Buffer.from(text) });

test('a drawing takes the place of text: layers chosen, sized by a known length, put right, undone, cut as DXF', async ({
  page,
  shop,
}) => {
  await openFindings(page, shop, 'Rye', 'artwork');
  await page.getByLabel('SVG, DXF, PDF, scan …').setInputFiles(svgFile('fish.svg', fish));
  const sheet = page.getByRole('dialog', { name: 'Artwork from fish.svg' });
  await expect(sheet.getByText('text was left out')).toBeVisible();
  await expect(sheet.getByText('does not state its size')).toBeVisible();
  await expect(sheet.getByRole('img')).toHaveAttribute('aria-label', /3 outlines/);
  await sheet.getByLabel('waves').uncheck();
  await expect(sheet.getByRole('img')).toHaveAttribute('aria-label', /2 outlines/);
  await sheet.getByLabel(/is truly/).fill('30 mm + 1 foo');
  await expect(sheet.getByRole('button', { name: 'Use this drawing' })).toBeDisabled();
  await sheet.getByLabel(/is truly/).fill('2600 mm / 10');
  await sheet.getByRole('button', { name: 'Use this drawing' }).click();

  await expect(page.getByLabel('Drawing’s width')).toHaveValue('260 mm');
  await expect(page.getByRole('link', { name: /Artwork/ })).toContainText('drawing, 1 part');
  await expect(page.getByLabel('The sign says')).toHaveCount(0);

  // Too large for the face: the finding shrinks it, and undo brings it back.
  await page.getByLabel('Drawing’s width').fill('600');
  await page.getByLabel('Drawing’s width', { exact: true }).press('Enter');
  await expect(page.getByText('The artwork reaches past the lit face')).toBeVisible();
  const fix = page.locator('li', { hasText: /Drawing .* wide, centred/ });
  await fix.getByRole('button', { name: 'Apply' }).click();
  await expect(page.getByText('The artwork reaches past the lit face')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Drawing’s width')).toHaveValue('600 mm');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Drawing’s width')).toHaveValue('260 mm');

  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Bench pack' }).click();
  const zip = unzipSync(new Uint8Array(await readFile(await (await download).path())));
  const film = strFromU8(zip['rye-salt-counter-box/parts/film.dxf']!);
  expect(film).toContain('LWPOLYLINE');
  // The eye of the fish goes out as the circle it was.
  expect(film).toContain('CIRCLE');

  await page.getByRole('button', { name: 'Back to text' }).click();
  await expect(page.getByLabel('The sign says')).toHaveValue('Rye & Salt');
});

/** A page of 200 × 100 points with a ring and a word on it. */
const pdfPage = `%PDF-1.4
1 0 obj<</Type/Catalog/Pages 2 0 R>>endobj
2 0 obj<</Type/Pages/Kids[3 0 R]/Count 1>>endobj
3 0 obj<</Type/Page/Parent 2 0 R/MediaBox[0 0 200 100]/Contents 4 0 R/Resources<</Font<</F 5 0 R>>>>>>endobj
4 0 obj<</Length 104>>stream
0 g 20 20 160 60 re 60 40 80 20 re f*
BT /F 8 Tf 30 84 Td (quay) Tj ET
endstream endobj
5 0 obj<</Type/Font/Subtype/Type1/BaseFont/Helvetica>>endobj
trailer<</Root 1 0 R>>
%%EOF`;

test('a page of PDF takes the place of text, at the size that it states; one that is broken is refused', async ({
  page,
  shop,
}) => {
  await openJob(page, shop, 'Rye', 'artwork');
  const open = page.getByLabel('SVG, DXF, PDF, scan …');
  await open.setInputFiles({ name: 'ring.pdf', mimeType: 'application/pdf', buffer: Buffer.from(pdfPage) });
  const sheet = page.getByRole('dialog', { name: 'Artwork from ring.pdf' });
  await expect(sheet.getByRole('img')).toHaveAttribute('aria-label', /2 outlines/);
  await expect(sheet.getByText('text was left out')).toBeVisible();
  await sheet.getByRole('button', { name: 'Use this drawing' }).click();
  // 160 points.
  await expect(page.getByLabel('Drawing’s width')).toHaveValue('56.4 mm');
  await open.or(page.getByLabel('Another …')).setInputFiles({
    name: 'cut.pdf',
    mimeType: 'application/pdf',
    buffer: Buffer.from(pdfPage.slice(0, 60)),
  });
  await expect(page.getByRole('alert').filter({ hasText: 'cut.pdf' })).toContainText('this PDF could not be read');
  await expect(page.getByLabel('Drawing’s width')).toHaveValue('56.4 mm');
});

test('a hostile or unreadable file is refused with a sentence, and the design is as it was', async ({ page, shop }) => {
  await openJob(page, shop, 'Rye', 'artwork');
  const picker = page.getByLabel('SVG, DXF, PDF, scan …');
  const refused = async (name: string, text: string, sentence: string | RegExp): Promise<void> => {
    await picker.setInputFiles(svgFile(name, text));
    await expect(page.getByRole('alert').filter({ hasText: sentence })).toBeVisible();
    const leave = page.getByRole('button', { name: 'Leave it' });
    if ((await leave.count()) > 0) await leave.click();
  };
  await refused('bomb.svg', '<!DOCTYPE svg [<!ENTITY a "aa">]><svg>&a;</svg>', 'nothing in this drawing to cut');
  await refused('script.svg', '<svg><script>alert(1)</script></svg>', 'carries a script');
  await refused('note.txt', 'hello', 'note.txt is no drawing');
  await refused('plan.dxf', 'hello', 'no DXF drawing');
  await expect(page.getByLabel('The sign says')).toHaveValue('Rye & Salt');
});

test('a word of joined letters goes from right to left, and a variable font is set heavier', async ({ page, shop }) => {
  await openJob(page, shop, 'Rye', 'artwork');
  const says = page.getByRole('textbox', { name: 'The sign says' });
  const work = page.getByRole('link', { name: /Artwork/ });
  await choose(page.getByLabel('Letters in'), { label: 'Noto Sans Arabic Bold (Arabic)' });
  await says.fill('ملح');
  // Three letters in one stroke.
  await expect(work).toContainText('3 letters');
  await expect(page.getByText(/^1 part, /).first()).toBeVisible({ timeout: 30_000 });
  await says.fill('ملح Rye');
  await expect(page.getByText('This font has no R y e').first()).toBeVisible({ timeout: 30_000 });
  const fonts = createRequire(import.meta.url);
  const file = fonts.resolve('@fontsource-variable/overpass/files/overpass-latin-wght-normal.woff2');
  await says.fill('Rye');
  await page.getByLabel('Font file …').setInputFiles(file);
  await expect(page.getByText('Set in overpass-latin-wght-normal.woff2')).toBeVisible({ timeout: 30_000 });
  const heavy = page.getByLabel('How heavy');
  await expect(heavy).toHaveValue('400');
  await heavy.fill('900');
  await heavy.press('Enter');
  await expect(heavy).toHaveValue('900');
  await expect(page.getByText('100 to 900; 400 is regular, 700 bold')).toBeVisible();
});

test('letters are set in a font file of one’s own, spaced out, and cut mirrored', async ({ page, shop }) => {
  await openJob(page, shop, 'Rye', 'artwork');
  const packages = createRequire(new URL('../packages/core/package.json', import.meta.url));
  const font = await readFile(packages.resolve('@fontsource/anton/files/anton-latin-400-normal.woff'));
  const size = page.getByText(/^the lettering is/);
  const before = await size.textContent();
  await page.getByLabel('Font file …').setInputFiles({ name: 'own.woff', mimeType: 'font/woff', buffer: font });
  await expect(page.getByText('Set in own.woff')).toBeVisible();
  await expect(size).not.toHaveText(before ?? '');
  const own = await size.textContent();
  await page.getByLabel('Room between letters').fill('20');
  await page.getByLabel('Room between letters', { exact: true }).press('Enter');
  await expect(size).not.toHaveText(own ?? '');
  await choose(page.getByLabel('Worked'), 'true');
  await page.getByRole('button', { name: 'Use a shipped font' }).click();
  await expect(page.getByLabel('Letters in')).toBeVisible();
  await page
    .getByLabel('Font file …')
    .setInputFiles({ name: 'broken.ttf', mimeType: 'font/ttf', buffer: Buffer.from('not a font') });
  await expect(page.getByRole('alert').filter({ hasText: 'broken.ttf' })).toBeVisible();
});

test('a scan is traced, with threshold and smoothing at hand', async ({ page, shop }) => {
  const [width, height] = [240, 160];
  const data = Uint8Array.from({ length: width * height }, (_, pixel) => {
    const r = Math.hypot((pixel % width) - 120, Math.floor(pixel / width) - 80);
    return r < 50 ? 20 : r < 70 ? 170 : 250;
  });
  const png = Buffer.from(encode({ width, height, data, channels: 1, depth: 8 }));
  await openJob(page, shop, 'Rye', 'artwork');
  await page
    .getByLabel('SVG, DXF, PDF, scan …')
    .setInputFiles({ name: 'scan.png', mimeType: 'image/png', buffer: png });
  const sheet = page.getByRole('dialog');
  const width50 = sheet.getByText(/^2\d\.?\d* mm × 2\d/);
  await expect(width50).toBeVisible();
  await slideTo(sheet, /^Ink is darker than/, 210, 1);
  await expect(sheet.getByText(/^3\d\.?\d* mm × 3\d/)).toBeVisible();
  await sheet.getByLabel('Light on a dark ground').check();
  await expect(sheet.getByText(/^6\d\.?\d* mm × 4\d/)).toBeVisible();
  await sheet.getByLabel('Light on a dark ground').uncheck();
  await slideTo(sheet, /^Smooth over/, 3, 0.5);
  await sheet.getByLabel(/is truly/).fill('120');
  await sheet.getByRole('button', { name: 'Use this drawing' }).click();
  await expect(page.getByLabel('Drawing’s width')).toHaveValue('120 mm');
});
