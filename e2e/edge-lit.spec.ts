import type { Page } from '@playwright/test';
import { parseDesign } from '@vitrum/core';
import { decode, encode } from 'fast-png';
import { strFromU8 } from 'fflate';
import { choose } from './support/controls';
import { packOf } from './support/pack';
import { expect, figure, openFindings, openJob, saved, lit, test, visit } from './support/shop';

/** A gull over two waves, as tall as the panel is high. */
const gull = `<svg xmlns="http://www.w3.org/2000/svg" width="180mm" height="110mm" viewBox="0 0 180 110">
<path d="M10 30C40 0 70 5 90 35C110 5 140 0 170 30C140 18 112 22 90 55C68 22 40 18 10 30Z"/>
<path d="M20 75h140v8h-140z"/><path d="M20 95h140v8h-140z"/></svg>`;

const sizeOf = (svg: Uint8Array): readonly [number, number] => {
  const [, width, height] = /width="([\d.]+)mm" height="([\d.]+)mm"/.exec(strFromU8(svg))!;
  return [Number(width), Number(height)];
};

const evenness = async (page: Page): Promise<number> =>
  Number.parseFloat((await figure(page, 'of its brightest part').textContent()) ?? '');

test('a panel from a drawing: evened at a click, lit from two edges in a frame, its parts fit', async ({
  page,
  shop,
}) => {
  await visit(page, `${shop.url}/jobs/new`);
  await page.getByLabel('Edge-lit panel').check();
  await page.getByLabel('The sign says').fill('Gull');
  await page.getByRole('button', { name: 'Light it' }).click();
  await lit(page);

  // The drawing takes the place of the text.
  await page.getByRole('link', { name: /^Artwork/ }).click();
  await page
    .getByLabel('SVG, DXF, PDF, scan …')
    .setInputFiles({ name: 'gull.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(gull) });
  await page
    .getByRole('dialog', { name: 'Artwork from gull.svg' })
    .getByRole('button', { name: 'Use this drawing' })
    .click();
  await expect(page.getByLabel('Drawing’s width')).toHaveValue('160 mm');
  await choose(page.getByLabel('Fill', { exact: true }), 'solid');
  await page.getByLabel('Drawing’s width').fill('170');
  await page.getByLabel('Drawing’s width', { exact: true }).press('Enter');
  await lit(page);

  // It fades from the strip on; one click evens it, one undo brings that back.
  await page.getByRole('link', { name: /^Glow/ }).click();
  await lit(page);
  // Its figures may still be those of the drawing as it came in.
  await expect.poll(() => evenness(page)).toBeLessThan(60);
  const before = await evenness(page);
  await page.getByRole('button', { name: /^Even it/ }).click();
  await expect.poll(() => evenness(page)).toBeGreaterThan(85);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => evenness(page)).toBe(before);
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect.poll(() => evenness(page)).toBeGreaterThan(85);

  // Two edges: a base holds one alone, a frame both.
  await page.getByRole('link', { name: /^Light/ }).click();
  await choose(page.getByLabel('The top edge', { exact: true }), 'lit');
  const findings = page.getByRole('region', { name: 'Findings' });
  await expect(findings.getByText('Nothing holds the strip at the top')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('link', { name: /^Sheet/ }).click();
  await choose(page.getByLabel('Held by', { exact: true }), 'frame');
  await page.getByRole('link', { name: /^Light/ }).click();
  await choose(page.getByLabel('The top edge', { exact: true }), 'lit');
  await saved(page);
  await lit(page);

  const file = await packOf(page);
  const read = parseDesign(strFromU8(file('design.json')));
  if (!read.ok) throw new Error(read.problems[0]?.message);
  const [panel] = read.value.assemblies;
  if (panel?.build !== 'edge-lit' || panel.holder.kind !== 'frame') throw new Error('not a framed panel');
  expect([...panel.light.edges].sort()).toEqual(['bottom', 'top']);
  const [width, height] = sizeOf(file('parts/sheet.svg'));
  expect([width, height]).toEqual([panel.sheet.widthMm, panel.sheet.heightMm]);
  // Sheet + 2 plays − 2 seats inside; through members reach over the stock of 18 mm on both sides.
  const { playMm, seatMm } = panel.holder;
  const inside = (mm: number): number => mm + 2 * playMm - 2 * seatMm;
  expect(Math.abs(sizeOf(file('parts/top.svg'))[0] - (inside(width) + 36))).toBeLessThan(0.1);
  expect(Math.abs(sizeOf(file('parts/left.svg'))[0] - inside(height))).toBeLessThan(0.1);
  // What the machine takes: all lines, and the picture at its true size.
  expect(strFromU8(file('engraving/engraving.dxf'))).toContain('LINE');
  const picture = decode(file('engraving/engraving-508dpi.png'));
  expect(Math.abs(picture.width / ((width / 25.4) * 508) - 1)).toBeLessThan(0.001);
  expect(picture.resolution).toMatchObject({ x: 20_000, y: 20_000 });
});

test('the strip is dragged off the middle of the sheet, and the light goes', async ({ page, shop }) => {
  await openFindings(page, shop, 'Quiet room', 'light');
  const enters = async (): Promise<number> =>
    Number.parseFloat((await figure(page, 'of the light enters').textContent()) ?? '');
  expect(await enters()).toBeGreaterThan(85);
  const handle = page.getByTestId('depth-handle');
  const box = (await handle.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 - 24, { steps: 8 });
  await page.mouse.up();
  await expect.poll(enters).toBeLessThan(60);
  await page.getByRole('link', { name: /^Sheet/ }).click();
  await expect(
    page.getByRole('region', { name: 'Findings' }).getByText(/of the light passes the edge by/),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(enters).toBeGreaterThan(85);
  // By the keys a tenth at a time, ten with Shift.
  await handle.press('ArrowUp');
  await expect(handle).toHaveAttribute('aria-valuenow', '0.1');
  await handle.press('Shift+ArrowDown');
  await expect(handle).toHaveAttribute('aria-valuenow', '-0.9');
});

test('edges and sheets are compared, and one of them taken with a click', async ({ page, shop }) => {
  await openJob(page, shop, 'Quiet room', 'light');
  await page.getByRole('button', { name: 'Compare', exact: true }).click();
  const table = page.getByTestId('compared');
  await expect(table.getByRole('row')).toHaveCount(14, { timeout: 60_000 });
  await expect(table.getByRole('button', { name: '10 mm' })).toBeEnabled({ timeout: 60_000 });
  await table.getByRole('button', { name: '10 mm' }).click();
  await page.getByRole('link', { name: /^Sheet/ }).click();
  await expect(page.getByLabel('Sheet', { exact: true })).toHaveAttribute('data-value', 'clear-acrylic-10');
});

test('a printed base goes out as two closed solids', async ({ page, shop }) => {
  await openJob(page, shop, 'Quiet room', 'case');
  await choose(page.getByLabel('Base is made', { exact: true }), 'printed');
  await lit(page);
  const file = await packOf(page);
  for (const name of ['base', 'lid']) {
    const bytes = file(`print/${name}.stl`);
    expect(bytes.length).toBeGreaterThan(1000);
    expect(bytes.length).toBe(84 + 50 * new DataView(bytes.buffer, bytes.byteOffset).getUint32(80, true));
  }
});

/** A round arch 200 × 150 mm, straight up where it stands. */
const arch =
  '<svg xmlns="http://www.w3.org/2000/svg" width="200mm" height="150mm" viewBox="0 0 200 150"><path d="M0 150V90C0 30 50 0 100 0S200 30 200 90V150Z"/></svg>';

test('a panel of its own outline with a second area, a photograph as dots: made, found too coarse, mended, and out to the machine', async ({
  page,
  shop,
}) => {
  await visit(page, `${shop.url}/jobs/new`);
  await page.getByLabel('Edge-lit panel').check();
  await page.getByLabel('The sign says').fill('Heron');
  await page.getByRole('button', { name: 'Light it' }).click();
  await lit(page);

  // The outline comes from a drawing, and the sheet is as large as that.
  await page.getByRole('link', { name: /^Sheet/ }).click();
  await page
    .getByLabel('Outline …')
    .setInputFiles({ name: 'arch.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(arch) });
  await page.getByRole('button', { name: 'Use this drawing' }).click();
  await expect(page.getByLabel('Sheet width')).toHaveValue('200 mm');
  await expect(page.getByLabel('Sheet height')).toHaveValue('150 mm');
  await lit(page);

  // The name small and low, a photograph above it.
  await page.getByRole('link', { name: /^Artwork/ }).click();
  await page.getByLabel('Cap height').fill('14');
  await page.getByLabel('Cap height', { exact: true }).press('Enter');
  await page.getByLabel('Shift up').fill('-35');
  await page.getByLabel('Shift up', { exact: true }).press('Enter');
  await lit(page);
  await page.getByRole('button', { name: 'Another area …' }).click();
  await expect(page.getByLabel('This area says')).toHaveValue('text');
  await lit(page);
  const grey = Uint8Array.from({ length: 120 * 90 }, (_, at) =>
    Math.hypot((at % 120) - 60, at / 120 - 45) < 40 ? 230 : 20,
  );
  await page.getByLabel('PNG, JPEG …').setInputFiles({
    name: 'moon.png',
    mimeType: 'image/png',
    buffer: Buffer.from(encode({ width: 120, height: 90, data: grey, channels: 1, depth: 8 })),
  });
  await expect(page.getByLabel('Photograph’s width')).toBeVisible();
  await page.getByLabel('Photograph’s width').fill('70');
  await page.getByLabel('Photograph’s width', { exact: true }).press('Enter');
  await lit(page);
  const findings = page.getByRole('region', { name: 'Findings' });
  await expect(findings.getByText('The artwork reaches past the sheet')).toBeHidden();

  // Coarser dots than it can be told by are found, and mended.
  await page.getByLabel('Dot to dot').fill('1.4');
  await page.getByLabel('Dot to dot', { exact: true }).press('Enter');
  await findings.getByRole('button', { name: /^All/ }).click();
  await expect(findings.getByText('The photograph is too small for its dots').first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(findings.getByText('The photograph is too small for its dots')).toHaveCount(0);
  await saved(page);
  await lit(page);

  const file = await packOf(page);
  const [width, height] = sizeOf(file('parts/sheet.svg'));
  expect([width, height]).toEqual([200, 150]);
  expect(strFromU8(file('engraving/engraving.svg'))).toContain('path');
  const picture = decode(file('engraving/engraving-2-508dpi.png'));
  expect(Math.abs(picture.width / ((200 / 25.4) * 508) - 1)).toBeLessThan(0.001);
  const black = Array.from(picture.data).filter((value) => value === 0).length;
  expect(black).toBeGreaterThan(50_000);

  // A file that is no picture is refused, and nothing is lost.
  await page.getByRole('button', { name: /photograph$/ }).click();
  await page
    .getByLabel('Another …')
    .setInputFiles({ name: 'broken.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await expect(page.getByRole('alert')).toContainText('broken.png is no picture');
  await expect(page.getByLabel('Photograph’s width')).toHaveValue('70 mm');
  await page.getByRole('button', { name: 'Take it away' }).click();
  await expect(page.getByLabel('The sign says')).toHaveValue('Heron');
});
