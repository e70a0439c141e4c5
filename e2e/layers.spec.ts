import type { Page } from '@playwright/test';
import type { JobView } from '@vitrum/contract';
import { parseDesign } from '@vitrum/core';
import { encode } from 'fast-png';
import { strFromU8 } from 'fflate';
import { choose } from './support/controls';
import { packOf } from './support/pack';
import { expect, saved, lit, test, visit } from './support/shop';

/** Three groups of a drawing, as a drawing program writes them: hills, reeds and a bird, the first drawn at the back. */
const drawing = `<svg xmlns="http://www.w3.org/2000/svg" width="500mm" height="200mm" viewBox="0 0 500 200">
  <g id="Hills" fill="#a9b78e"><path d="M0 200V90Q130 40 250 90T500 80V200Z"/></g>
  <g id="Reeds" fill="#5d7a58"><path d="M0 200V170H500V200Z"/><path d="M80 180V40H100V180Z"/><path d="M400 180V60H420V180Z"/></g>
  <g id="Bird" fill="#8a3b2c"><path d="M180 200V150Q250 100 330 150V200Z"/></g>
</svg>`;

/** A new scene of a word, at its sheets. */
const newScene = async (page: Page, shop: { readonly url: string }, text: string): Promise<void> => {
  await visit(page, `${shop.url}/jobs/new`);
  await page.getByLabel('Layered scene').check();
  await page.getByLabel('The sign says').fill(text);
  await page.getByRole('button', { name: 'Light it' }).click();
  await lit(page);
  await page.getByRole('link', { name: /^Sheets/ }).click();
};

test('a layered drawing becomes a scene, its sheets are moved in the slice, and it goes to the bench', async ({
  page,
  shop,
}) => {
  test.slow();
  await newScene(page, shop, 'BANK');

  const layers = page.getByRole('region', { name: 'Layers of a drawing' });
  await layers.locator('input[type=file]').setInputFiles({
    name: 'bank.svg',
    mimeType: 'image/svg+xml',
    buffer: Buffer.from(drawing),
  });
  // Order, names and colours are kept; the window that hides the strip stays.
  const list = page.getByRole('list', { name: 'Sheets' });
  await expect(list.getByRole('button')).toHaveCount(4);
  const names = async (): Promise<readonly string[]> =>
    (await list.getByRole('button').allInnerTexts()).map((text) => text.split('\n')[0]!);
  await expect.poll(names).toEqual(['Window', 'Bird', 'Reeds', 'Hills']);
  await lit(page);

  // In the slice each has a handle: past its neighbour it stands before it.
  const handle = page.getByRole('slider', { name: 'Reeds stands at' });
  const from = Number(await handle.getAttribute('aria-valuenow'));
  await handle.focus();
  for (let step = 0; step < 5; step += 1) await handle.press('Shift+ArrowUp');
  await expect.poll(names).toEqual(['Window', 'Reeds', 'Bird', 'Hills']);
  expect(Number(await handle.getAttribute('aria-valuenow'))).toBe(from + 25);
  for (let step = 0; step < 5; step += 1) await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(names).toEqual(['Window', 'Bird', 'Reeds', 'Hills']);

  // Dragged with the pointer it is one step of the history.
  const box = (await handle.boundingBox())!;
  await page.mouse.move(box.x + 8, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + 8, box.y + box.height / 2 - 12, { steps: 4 });
  await page.mouse.up();
  await expect.poll(async () => Number(await handle.getAttribute('aria-valuenow'))).toBeGreaterThan(from);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(handle).toHaveAttribute('aria-valuenow', String(from));

  // The list moves them too, copies them and takes them away.
  await list.getByRole('button', { name: /Bird/ }).click();
  await page.getByRole('button', { name: 'Back', exact: true }).click();
  await expect.poll(names).toEqual(['Window', 'Reeds', 'Bird', 'Hills']);
  await page.getByRole('button', { name: 'Forward' }).click();
  const chosen = page.getByRole('region', { name: 'Sheet', exact: true });
  await expect(chosen.getByLabel('Called')).toHaveValue('Bird');
  await chosen.getByLabel('Called').fill('Heron');
  await chosen.getByLabel('Called', { exact: true }).press('Enter');
  await expect(list.getByRole('button', { name: /Heron/ })).toBeVisible();
  await saved(page);
  await lit(page);
  await expect(page.getByRole('link', { name: /^Sheets/ })).toContainText('4 sheets');

  // How layers are told apart is a table.
  await page.getByRole('link', { name: /^Look/ }).click();
  await expect(page.getByRole('row', { name: /Heron before Hills/ })).toBeVisible();

  const file = await packOf(page);
  const read = parseDesign(strFromU8(file('design.json')));
  if (!read.ok) throw new Error(read.problems[0]?.message);
  const [assembly] = read.value.assemblies;
  if (assembly?.build !== 'layers') throw new Error('no scene');
  expect(assembly.scene.sheets.map(({ name, colour }) => [name, colour])).toEqual([
    ['Window', expect.any(String)],
    ['Hills', '#a9b78e'],
    ['Reeds', '#5d7a58'],
    ['Heron', '#8a3b2c'],
  ]);
  const parts = strFromU8(file('parts.csv'));
  for (const name of ['Hills', 'Reeds', 'Heron', 'Window', 'Clear front']) expect(parts).toContain(name);
  expect(file('scene-to-trace-a4.pdf').length).toBeGreaterThan(1000);
  expect(file('spacers-3-heron-a4.pdf').length).toBeGreaterThan(1000);
});

test('a picture becomes sheets by its brightnesses, and a drawing of no layers is told so', async ({ page, shop }) => {
  test.slow();
  await newScene(page, shop, 'MOON');
  const layers = page.getByRole('region', { name: 'Layers of a drawing' });
  const list = page.getByRole('list', { name: 'Sheets' });

  await layers.locator('input[type=file]').setInputFiles({
    name: 'lines.svg',
    mimeType: 'image/svg+xml',
    buffer: Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" width="90mm" height="90mm"><path d="M0 0L90 90" fill="none" stroke="black"/></svg>',
    ),
  });
  await expect(layers.getByRole('alert')).toContainText('lines.svg no layer of this drawing closes');
  await expect(list.getByRole('button')).toHaveCount(2);

  // Light in the middle, dark at the rim.
  const [width, height] = [240, 120];
  const data = Uint8Array.from({ length: width * height }, (_, at) => {
    const far = Math.hypot((at % width) - width / 2, 2 * (Math.floor(at / width) - height / 2));
    return Math.max(0, Math.min(255, Math.round(255 - 2.4 * far)));
  });
  await layers.locator('input[type=file]').setInputFiles({
    name: 'moon.png',
    mimeType: 'image/png',
    buffer: Buffer.from(encode({ width, height, depth: 8, channels: 1, data })),
  });
  await expect(list.getByRole('button', { name: /Tone 4/ })).toBeVisible();
  await expect(list.getByRole('button')).toHaveCount(5);

  // A print on one of them, cut out along its outline.
  await list.getByRole('button', { name: /Tone 1/ }).click();
  const picture = page.getByRole('region', { name: 'Picture' });
  await picture.locator('input[type=file]').setInputFiles('apps/web/public/builds/halo.png');
  await expect(picture.getByText('halo.png')).toBeVisible();

  // Letters cut out of a sheet, and opal ones let in.
  await list.getByRole('button', { name: /Window/ }).click();
  const sheet = page.getByRole('region', { name: 'Sheet', exact: true });
  await choose(sheet.getByLabel('Shape'), 'lettered');
  await choose(sheet.getByLabel('Letters let in'), 'opal-3');
  await expect(sheet.getByText(/as is usual \(0.10 mm\)/)).toBeVisible();
  await expect(page.getByLabel('The sign says')).toHaveValue('MOON');
  await saved(page);
  await lit(page);
  await page.getByRole('link', { name: /^Cut/ }).click();
  const settings = page.getByRole('complementary', { name: 'Settings' });
  await expect(settings.getByText('Inlays of Window').first()).toBeVisible();
  await page.getByRole('link', { name: /^Build/ }).click();
  await expect(settings.getByText(/Try the fit of Window on the ladder/).first()).toBeVisible();
});

test('a print is cut out along a line drawn on it, at the size that it is to have', async ({ page, shop }) => {
  test.slow();
  await newScene(page, shop, 'BANK');
  await page.getByRole('button', { name: 'Another sheet' }).click();

  const [width, height] = [60, 40];
  const data = Uint8Array.from({ length: 3 * width * height }, (_, at) => (at % 3 === 0 ? 200 : 90));
  await page.locator('section[aria-label="Picture"] input[type=file]').setInputFiles({
    name: 'heron.png',
    mimeType: 'image/png',
    buffer: Buffer.from(encode({ width, height, data, channels: 3 })),
  });
  await page.getByRole('button', { name: /^Cut the print out along a line/ }).click();
  const dialog = page.getByRole('dialog', { name: 'Cut heron.png out along a line' });
  const board = (await dialog.getByTestId('cut-line-board').boundingBox())!;
  const click = (x: number, y: number) => page.mouse.click(board.x + x * board.width, board.y + y * board.height);

  // Across itself: one sentence, and nothing is lost.
  for (const [x, y] of [
    [0.2, 0.2],
    [0.8, 0.8],
    [0.8, 0.2],
    [0.2, 0.8],
  ] as const)
    await click(x, y);
  await dialog.getByRole('button', { name: 'Cut it out' }).click();
  await expect(dialog.getByRole('alert')).toContainText('crosses itself');
  await dialog.getByRole('button', { name: 'Start again' }).click();
  for (const [x, y] of [
    [0.2, 0.2],
    [0.8, 0.2],
    [0.5, 0.8],
  ] as const)
    await click(x, y);
  await dialog.getByLabel('The whole picture is wide').fill('200');
  await dialog.getByRole('button', { name: 'Cut it out' }).click();
  await expect(dialog).toHaveCount(0);
  await saved(page);

  const id = /jobs\/([^/]+)/.exec(page.url())![1];
  const { head } = (await (await page.request.get(`${shop.url}/api/jobs/${id}`)).json()) as JobView;
  const [scene] = head.design.assemblies;
  if (scene?.build !== 'layers') throw new Error('no scene');
  const cut = scene.scene.sheets.find(({ picture }) => picture)!;
  expect(cut.shape).toBe('drawing');
  const xs = cut.drawing!.rings[0]!.filter((_, at) => at % 2 === 0);
  // Six tenths of 200 mm, to a pixel of the screen.
  expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(120, 0);
  expect(cut.picture!.columns).toBeLessThan(width);
});

test('strip hides behind a sheet, and a hill stands in combs: both have their drawings in the pack', async ({
  page,
  shop,
}) => {
  test.slow();
  await newScene(page, shop, 'HILL');
  await page
    .getByRole('region', { name: 'Layers of a drawing' })
    .locator('input[type=file]')
    .setInputFiles({
      name: 'hills.svg',
      mimeType: 'image/svg+xml',
      buffer: Buffer.from(
        '<svg xmlns="http://www.w3.org/2000/svg" width="570mm" height="276mm" viewBox="0 0 570 276"><g id="Sky"><path d="M0 0H570V276H0Z"/></g><g id="Hills"><path d="M0 276V150Q285 60 570 150V276Z"/></g></svg>',
      ),
    });
  const list = page.getByRole('list', { name: 'Sheets' });
  await list.getByRole('button', { name: /Hills/ }).click();
  const sheet = page.getByRole('region', { name: 'Sheet', exact: true });
  await choose(sheet.getByLabel('Held by'), 'combs');
  await expect(sheet.getByText('slotted into the combs')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Combs' }).getByText(/1 slot each/)).toBeVisible();

  await page.getByRole('link', { name: /^Light/ }).click();
  await page.getByLabel('Strip lies').click();
  await page.getByRole('option', { name: /behind the edges of Window/ }).click();
  await expect(page.getByLabel('In from the edge')).toHaveValue(/^8/);
  await expect(page.getByRole('cell', { name: 'sheet', exact: true }).first()).toBeVisible();
  await saved(page);
  await lit(page);

  const file = await packOf(page);
  expect(file('strip-behind-a4.pdf').length).toBeGreaterThan(1000);
  expect(strFromU8(file('parts.csv'))).toContain('Combs');
  expect(strFromU8(file('coupons/slot-ladder.svg'))).toContain('<svg');
});
