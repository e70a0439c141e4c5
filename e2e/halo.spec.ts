import { readFile } from 'node:fs/promises';
import { strFromU8, unzipSync } from 'fflate';
import { PDFDocument } from 'pdf-lib';
import { expect, openFindings, test, showOver, visit } from './support/shop';
import { choose } from './support/controls';

/** An anchor of our own drawing: a stock with a ring, and a bowed arm. */
const anchor = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 200 220">
<path fill-rule="evenodd" d="M82 60h36v70c25-2 44-15 52-40l26 14c-14 46-44 72-96 74c-52-2-82-28-96-74l26-14c8 25 27 38 52 40z"/>
<path fill-rule="evenodd" d="M60 0h80v66h-80zM88 22v22h24v-22z"/></svg>`;

test('a customer’s SVG becomes halo letters: sized, mended by what is found, a post dragged, and out to the bench', async ({
  page,
  shop,
}) => {
  await visit(page, `${shop.url}/jobs/new`);
  await page.getByLabel('Halo letters').check();
  await page.getByLabel('The sign says').fill('Anchor');
  await page.getByLabel('Cap height').fill('250');
  await page.getByRole('button', { name: 'Light it' }).click();
  await expect(page.getByLabel('Standoff').first()).toBeVisible();

  await page.getByRole('link', { name: /Artwork/ }).click();
  await page
    .getByLabel('SVG, DXF, PDF, scan …')
    .setInputFiles({ name: 'anchor.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(anchor) });
  const sheet = page.getByRole('dialog', { name: 'Artwork from anchor.svg' });
  await sheet.getByLabel(/is truly/).fill('380 mm');
  await sheet.getByRole('button', { name: 'Use this drawing' }).click();
  await expect(page.getByLabel('Drawing’s width')).toHaveValue('380 mm');

  // Too close to the wall, the glow is a thin rim; the finding stands it off.
  await page.getByRole('link', { name: /Letters/ }).click();
  const standoff = page.getByRole('textbox', { name: 'Standoff' });
  await standoff.fill('7');
  await standoff.press('Enter');
  await expect(page.getByText('The standoff is too small: the glow is a thin rim')).toBeVisible();
  await page
    .locator('li', { hasText: /Stand \d+ mm off the wall/ })
    .first()
    .getByRole('button', { name: 'Apply' })
    .click();
  await expect(page.getByText('The standoff is too small: the glow is a thin rim')).toHaveCount(0);
  expect(Number.parseFloat(await standoff.inputValue())).toBeGreaterThan(7);

  // A post dragged out over the edge throws a shadow; the finding says so, and Delete lets Vitrum place it again.
  const post = page.getByTestId('post').first();
  const box = (await post.boundingBox())!;
  const place = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  await page.mouse.move(place.x, place.y);
  await page.mouse.down();
  await page.mouse.move(place.x - 150, place.y - 10, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByRole('button', { name: /Post 1 at .*, held by hand/ })).toBeVisible();
  await expect(page.getByText(/A post stands (beside the letters|between strip and edge)/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText(/A post stands (beside the letters|between strip and edge)/)).toHaveCount(0);
  await expect(page.getByRole('button', { name: /held by hand/ })).toHaveCount(0);
  // By keyboard: a little to the side it stays fine, and Delete lets it go.
  const first = page.getByRole('button', { name: /^Post 1 at/ });
  await first.focus();
  await first.press('ArrowDown');
  await expect(page.getByRole('button', { name: /Post 1 at .*, held by hand/ })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Let Vitrum place all posts (1 by hand)' })).toBeVisible();
  await page.getByRole('button', { name: /Post 1 at .*, held by hand/ }).press('Delete');
  await expect(page.getByRole('button', { name: /held by hand/ })).toHaveCount(0);

  // A segment of strip is pushed along and held.
  await page.getByRole('link', { name: /Light/ }).click();
  await showOver(page, 'strip');
  const start = page.getByRole('slider', { name: 'Start of segment 1', exact: true });
  await start.focus();
  await start.press('Shift+ArrowRight');
  await expect(start).toHaveAttribute('aria-valuetext', 'held, pushed 10 mm');
  await page.getByRole('button', { name: 'let go' }).click();
  await expect(start).toHaveAttribute('aria-valuetext', 'as solved');

  await page.getByRole('link', { name: /Letters/ }).click();
  await choose(page.getByLabel('Letters are'), 'hollow');
  await expect(page.getByLabel('Return thickness')).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Bench pack' }).click();
  const zip = unzipSync(new Uint8Array(await readFile(await (await download).path())));
  const file = (name: string): Uint8Array => zip[`anchor/${name}`]!;
  expect(strFromU8(file('parts/letter-1.dxf'))).toContain('LWPOLYLINE');
  expect(strFromU8(file('parts/letter-1-return.svg'))).toContain('<svg');
  expect(strFromU8(file('toolpaths/letter-1.dxf'))).toContain('LWPOLYLINE');
  expect(strFromU8(file('strip-plan.csv'))).toContain('letter');
  for (const name of ['drill-template-a4.pdf', 'strip-template-letter.pdf'])
    expect((await PDFDocument.load(file(name))).getPageCount()).toBeGreaterThan(1);
  const shell = new DataView(file('print/letter-1.stl').slice().buffer);
  expect(shell.byteLength).toBe(84 + 50 * shell.getUint32(80, true));
  expect(file('print/wall-clip.stl').length).toBeGreaterThan(84);
});

test('the ferry’s letters: each ambient light, wall and layout shows on the wall', async ({ page, shop }) => {
  await openFindings(page, shop, 'Curlew', 'face');
  await expect(page.getByTestId('verdict')).toContainText('Even along the edge');
  await choose(page.getByLabel('Wall or backer'), 'red-brick');
  await expect(page.getByText(/reflects 1\d % of what falls on it/)).toBeVisible();
  await page.getByRole('link', { name: /Light/ }).click();
  await choose(page.getByLabel('Runs', { exact: true }), 'rows');
  await expect(page.getByLabel('Row pitch')).toBeVisible();
  await choose(page.getByLabel('Strip or modules'), 'modules-12v-75');
  await expect(page.getByText(/jumpers, .* of wire/)).toBeVisible();
  await showOver(page, 'strip');
  // One module is pushed along its wire by the arrow keys, stays there, and is let go.
  const module = page.getByRole('slider', { name: 'Module 1 of segment 2', exact: true });
  await expect(module).toHaveAttribute('aria-valuetext', 'as solved');
  await module.focus();
  await module.press('ArrowRight');
  await module.press('ArrowRight');
  await expect(module).toHaveAttribute('aria-valuetext', 'held, pushed 2 mm');
  await page.getByRole('button', { name: 'let module 1 go' }).click();
  await expect(module).toHaveAttribute('aria-valuetext', 'as solved');
  // A letter can be cut in two for a small machine.
  await page.getByRole('link', { name: /Artwork/ }).click();
  await page.getByRole('button', { name: 'Add a split' }).click();
  // It starts across the widest letter; beside the letters it is told that it cuts none.
  await expect(page.getByTestId('split-lines').locator('line')).toHaveCount(2);
  await page.getByLabel('Split 1, right').fill('0');
  await page.getByLabel('Split 1, right', { exact: true }).press('Enter');
  await expect(page.getByText('Split 1 cuts no letter')).toBeVisible();
  await page.getByLabel('Split 1, right').fill('-100');
  await page.getByLabel('Split 1, right', { exact: true }).press('Enter');
  await expect(page.getByTestId('split-lines').locator('line')).toHaveCount(2);
  await page.getByRole('link', { name: /Cut/ }).click();
  await expect(page.getByRole('complementary', { name: 'Settings' }).getByText('Letter 3a')).toBeVisible();
  await page.getByRole('link', { name: /Artwork/ }).click();
  await page.getByRole('button', { name: 'Take split 1 away' }).click();
  await expect(page.getByRole('button', { name: /Take split/ })).toHaveCount(0);
  await page.getByRole('link', { name: /Light/ }).click();
  // The slice’s handle is the standoff.
  const handle = page.getByRole('slider', { name: 'Standoff' });
  await handle.focus();
  await handle.press('Shift+ArrowDown');
  await expect(handle).toHaveAttribute('aria-valuenow', '30');
  await page.getByRole('link', { name: /Prove/ }).click();
  await expect(page.getByRole('cell', { name: 'Wall at the edge' })).toBeVisible();
  await page.getByRole('link', { name: 'Try-outs' }).click();
  await expect(page.getByText('Try-outs weigh depth, rows and faces of a light box.')).toBeVisible();
});

test('face-lit letters from a new job: faces, returns rolled out flat, and a deeper can by dragging the slice', async ({
  page,
  shop,
}) => {
  await visit(page, `${shop.url}/jobs/new`);
  await page.getByLabel('Face-lit letters').check();
  await page.getByLabel('The sign says').fill('TEA');
  await page.getByLabel('Cap height').fill('180');
  await page.getByRole('button', { name: 'Light it' }).click();
  await expect(page.getByRole('heading', { name: 'Returns, rolled out flat' })).toBeVisible();
  await expect(page.getByText('Letter 3, return of counter 1')).toBeVisible();
  const handle = page.getByRole('slider', { name: 'Depth inside' });
  // As deep as it was solved, and a centimetre more.
  const depth = page.getByRole('textbox', { name: 'Depth inside' });
  const solvedMm = Number.parseFloat(await depth.inputValue());
  expect(solvedMm).toBeGreaterThan(20);
  await handle.focus();
  await handle.press('Shift+ArrowDown');
  await expect(depth).toHaveValue(`${solvedMm + 10} mm`);
  await choose(page.getByLabel('Faces'), 'inset');
  await page.getByRole('link', { name: /Face/ }).click();
  await expect(page.getByTestId('verdict')).toBeVisible();
  await page.getByRole('link', { name: /Light/ }).click();
  await choose(page.getByLabel('Runs', { exact: true }), 'centre');
  await expect(page.getByText('strokes narrower than twice this')).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Bench pack' }).click();
  const zip = unzipSync(new Uint8Array(await readFile(await (await download).path())));
  expect(strFromU8(zip['tea/parts/letter-2-return.dxf']!)).toContain('LINE');
  expect(strFromU8(zip['tea/parts/letter-1-face.svg']!)).toContain('<path');
});
