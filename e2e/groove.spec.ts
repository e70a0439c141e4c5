import { parseDesign } from '@vitrum/core';
import { strFromU8 } from 'fflate';
import { choose } from './support/controls';
import { packOf, rowsOf } from './support/pack';
import { expect, openFindings, openJob, saved, lit, test, visit } from './support/shop';

/** A wave and a ring as strokes. */
const strokes = `<svg xmlns="http://www.w3.org/2000/svg" width="300mm" height="120mm" viewBox="0 0 300 120">
<g id="warm" fill="none" stroke="#000"><path d="M10 60C60 0 110 120 160 60"/><circle cx="230" cy="60" r="40"/></g></svg>`;

test('a word is drawn on by hand, its runs made even, wired in pairs, cut in two, and goes to the bench', async ({
  page,
  shop,
}) => {
  await visit(page, `${shop.url}/jobs/new`);
  await page.getByLabel('Lines in a groove').check();
  await page.getByLabel('The sign says').fill('Ole');
  await page.getByRole('button', { name: 'Light it' }).click();
  await lit(page);

  // Lines of the lettering become lines with points, one of which is dragged; undo brings it back.
  await page.getByRole('link', { name: /^Artwork/ }).click();
  await page.getByRole('button', { name: 'Draw on by hand' }).click();
  await expect(page.getByTestId('line-overlay')).toBeVisible();
  const point = page.getByTestId('line-point').first();
  const where = await point.boundingBox();
  await page.mouse.move(where!.x + where!.width / 2, where!.y + where!.height / 2);
  await page.mouse.down();
  await page.mouse.move(where!.x + where!.width / 2 + 20, where!.y + where!.height / 2 + 12, { steps: 6 });
  await page.mouse.up();
  await expect.poll(async () => Math.abs((await point.boundingBox())!.x - where!.x)).toBeGreaterThan(8);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(async () => Math.abs((await point.boundingBox())!.x - where!.x)).toBeLessThan(4);

  // With coarser cut marks runs are uneven, until a click moves their ends.
  await page.getByRole('link', { name: /^Light/ }).click();
  await choose(page.getByLabel('Strip', { exact: true }), 'continuous-24v-320');
  await lit(page);
  await expect(page.getByText(/are not whole cuts\./)).toBeVisible();
  await page
    .getByRole('button', { name: /uneven → \d/ })
    .first()
    .click();
  await lit(page);
  const uneven = page.locator('tr.text-signal');
  await expect.poll(async () => uneven.count()).toBeLessThan(3);

  // Two and two in series, with the volts of each pair.
  await page.getByRole('link', { name: /^Power/ }).click();
  await choose(page.getByRole('combobox', { name: 'Segments', exact: true }), { label: 'two and two in series' });
  await lit(page);
  await expect(page.getByText(/in series/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();

  // Cut in two along a seam.
  await page.getByRole('link', { name: /^Carrier/ }).click();
  await page.getByRole('button', { name: 'Add a seam' }).click();
  await expect(page.getByTestId('seams').locator('line')).toHaveCount(1);
  await saved(page);
  await lit(page);

  const file = await packOf(page);
  const read = parseDesign(strFromU8(file('design.json')));
  if (!read.ok) throw new Error(read.problems[0]?.message);
  const [sign] = read.value.assemblies;
  if (sign?.build !== 'groove') throw new Error('not a sign of lines');
  expect(sign.lines.from).toBe('drawn');
  for (const part of ['carrier-1', 'carrier-2']) {
    expect(strFromU8(file(`parts/${part}.svg`))).toContain('data-operation="rout"');
    expect(strFromU8(file(`parts/${part}.dxf`))).toContain('BIT-PATH');
  }
  const pieces = rowsOf(file('pieces.csv'));
  expect(rowsOf(file('wire-holes.csv'))).toHaveLength(2 * pieces.length);
  for (const row of pieces) expect(Number(row.split(',')[2]) % 25).toBe(0);
  expect(file('lines-to-trace-a4.pdf').length).toBeGreaterThan(1000);
});

test('strokes of a drawing are lines, areas are told what to do with', async ({ page, shop }) => {
  await openJob(page, shop, 'late soup', 'artwork');
  const input = page.getByLabel('Strokes of SVG, DXF, PDF …');
  await input.setInputFiles({
    name: 'areas.svg',
    mimeType: 'image/svg+xml',
    buffer: Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" width="90mm" height="9mm"><rect width="90" height="9"/></svg>',
    ),
  });
  await expect(page.getByRole('alert').filter({ hasText: 'no lines' })).toBeVisible();
  await input.setInputFiles({ name: 'wave.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(strokes) });
  await expect(page.getByRole('region', { name: 'Lines drawn' }).getByText('wave.svg')).toBeVisible();
  await expect(page.getByRole('link', { name: /^Artwork/ })).toContainText('2 lines');
  // A line more, and a point of it moved by the keys.
  await page.getByRole('button', { name: 'Another line' }).click();
  await expect(page.getByRole('link', { name: /^Artwork/ })).toContainText('3 lines');
  const end = page.getByTestId('line-point').last();
  await end.focus();
  await end.press('Shift+ArrowRight');
  await page.getByRole('button', { name: 'Take line 3 away' }).click();
  await expect(page.getByRole('link', { name: /^Artwork/ })).toContainText('2 lines');
});

test('lines of a layer have strip and colour of their own, in the light, the wiring and the list', async ({
  page,
  shop,
}) => {
  await openJob(page, shop, 'late soup', 'artwork');
  const two = `<svg xmlns="http://www.w3.org/2000/svg" width="300mm" height="120mm" viewBox="0 0 300 120">
<path d="M10 30H290" fill="none" stroke="red"/><path d="M10 90H290" fill="none" stroke="black"/></svg>`;
  await page
    .getByLabel('Strokes of SVG, DXF, PDF …')
    .setInputFiles({ name: 'two.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(two) });
  await expect(page.getByRole('link', { name: /^Artwork/ })).toContainText('2 lines');
  await expect(page.getByLabel('Layer', { exact: true })).toHaveValue(/red|black/);
  await page.getByRole('link', { name: /^Light/ }).click();
  const layers = page.getByRole('region', { name: 'Strip by layer' });
  await choose(layers.getByLabel('Layer red'), 'rgb-24v-60');
  await layers.getByLabel('Colour of red').fill('#20c040');
  await saved(page);
  await lit(page);
  const file = await packOf(page);
  const pieces = rowsOf(file('pieces.csv'));
  expect(pieces.filter((row) => row.includes('RGB 24 V'))).toHaveLength(pieces.length / 2);
  const design = parseDesign(strFromU8(file('design.json')));
  expect(design.ok && design.value.assemblies[0]).toMatchObject({
    light: { layers: [{ layer: 'red', stripId: 'rgb-24v-60', colour: '#20c040' }] },
  });
});

test('the demo is one fix away from each of its three mistakes', async ({ page, shop }) => {
  await openFindings(page, shop, 'late soup', 'light');
  await page
    .getByRole('button', { name: /all 12 runs even/ })
    .first()
    .click();
  await lit(page);
  await expect(page.getByText('All 12 are whole cuts.')).toBeVisible();
  const findings = page.getByRole('region', { name: 'Findings' });
  await expect(findings.getByText('A joint carries more than it may')).toBeVisible();
  await expect(findings.getByText('The carrier is larger than the machine reaches')).toBeVisible();
});

test('a carrier of each kind is lit, and says what it is cut from', async ({ page, shop }) => {
  await openJob(page, shop, 'late soup', 'case');
  for (const [kind, part] of [
    ['two-layer', 'Back layer'],
    ['clear', 'Sheet'],
    ['board', 'Board'],
  ] as const) {
    await choose(page.getByLabel('Strip lies in', { exact: true }), kind);
    await lit(page);
    await expect(page.getByLabel(part, { exact: true })).toBeVisible();
  }
});
