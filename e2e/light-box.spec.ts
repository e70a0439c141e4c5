import { readFile } from 'node:fs/promises';
import { parseDesign } from '@vitrum/core';
import { strFromU8, unzipSync } from 'fflate';
import { PDFDocument } from 'pdf-lib';
import { expect, faceBrightness, figure, openFindings, openJob, saved, lit, test, visit } from './support/shop';
import { choose } from './support/controls';

const bands = async (page: Parameters<typeof faceBrightness>[0]): Promise<number> => {
  const [row, between] = [await faceBrightness(page, 0.5, 0.26), await faceBrightness(page, 0.05, 0.5)];
  return row - between;
};

test('a new user follows the finding of the first job, drags, undoes, reloads and takes the bench pack', async ({
  page,
  shop,
}) => {
  // The first visit opens a lit job with its fault.
  await page.goto(shop.url);
  await expect(page).toHaveURL(/\/jobs\/[^/]+\/face$/);
  await lit(page);
  const findings = page.getByRole('region', { name: 'Findings' });
  await expect(findings.getByText('1 will disappoint')).toBeVisible();
  await expect(findings.getByText('The rows show as bands from 3 m')).toBeVisible();
  await expect(findings.getByRole('button', { name: /^Apply: / })).toHaveCount(1);
  await findings.getByRole('button', { name: 'Read it' }).click();
  const finding = page.locator('[data-finding="dots-show"]');
  await expect(finding.getByRole('heading')).toHaveText('The rows show as bands from 3 m');
  await finding.hover();
  await expect(page.getByTestId('finding-place')).toBeVisible();
  const bandsBefore = await bands(page);

  // Its fix: bands vanish from picture and figures.
  await finding.getByRole('button', { name: 'Apply: Five rows' }).click();
  await expect(finding).toHaveCount(0);
  await expect(figure(page, 'dots and bands')).toContainText('none seen');
  expect(await bands(page)).toBeLessThan(bandsBefore);
  await saved(page);

  // One undo brings the fault back, redo mends it again.
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(finding).toBeVisible();
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(finding).toHaveCount(0);

  // The back is dragged: picture and figures follow while the button is down.
  const handle = page.getByTestId('depth-handle');
  const box = (await handle.boundingBox())!;
  const depth = figure(page, 'depth inside');
  const luminance = await figure(page, 'mean luminance').textContent();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 20, { steps: 8 });
  await expect(depth).not.toContainText('81 mm');
  await expect(figure(page, 'mean luminance')).not.toHaveText(luminance ?? '');
  await page.mouse.up();
  await saved(page);
  const dragged = await page.getByRole('slider', { name: 'Depth inside' }).getAttribute('aria-valuenow');
  await expect(depth).toContainText(`${dragged ?? ''} mm`);
  const deeper = await depth.textContent();
  expect(Number.parseFloat(deeper ?? '')).toBeGreaterThan(85);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(depth).toContainText('81 mm');
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(depth).toHaveText(deeper ?? '');
  await saved(page);

  // Reloaded, it is there.
  await page.reload();
  await lit(page);
  await expect(depth).toHaveText(deeper ?? '');

  // The pack: sizes in its files fit together to 0.1 mm.
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Bench pack' }).click();
  const zip = unzipSync(new Uint8Array(await readFile(await (await download).path())));
  const file = (name: string): Uint8Array => zip[`dispensary-box/${name}`] ?? new Uint8Array();
  const sizeOf = (part: string): readonly number[] =>
    /width="([\d.]+)mm" height="([\d.]+)mm"/
      .exec(strFromU8(file(`parts/${part}.svg`)))!
      .slice(1)
      .map(Number);
  const [topLength, topWidth] = sizeOf('top') as [number, number];
  const [leftLength, leftWidth] = sizeOf('left') as [number, number];
  const [faceWidth, faceHeight] = sizeOf('face') as [number, number];
  expect(topLength).toBe(900);
  expect(Math.abs(leftLength + 2 * 12 - 300)).toBeLessThan(0.1);
  expect(Math.abs(topWidth - leftWidth)).toBeLessThan(0.1);
  expect(Math.abs(topWidth - (3 + Number.parseFloat(deeper ?? '') + 3))).toBeLessThan(0.1);
  expect(Math.abs(faceWidth - (900 - 24 + 2 * (8 - 1.2)))).toBeLessThan(0.1);
  expect(Math.abs(faceHeight - (300 - 24 + 2 * (8 - 1.2)))).toBeLessThan(0.1);
  const csv = strFromU8(file('parts.csv'));
  expect(csv).toContain(`top,Top return,Birch plywood 12 mm,1,piece,900,${topWidth},12`);
  expect((await PDFDocument.load(file('strip-template-a4.pdf'))).getPageCount()).toBe(8);
  const design = parseDesign(strFromU8(file('design.json')));
  expect(design).toMatchObject({ ok: true, value: { assemblies: [{ light: { rowCount: 5 } }] } });
});

test('three questions make a new lit job; lengths are typed as makers type them', async ({ page, shop }) => {
  await visit(page, `${shop.url}/jobs`);
  await page.getByRole('link', { name: 'New job' }).click();
  await page.getByRole('button', { name: 'Light it' }).click();
  await expect(page.getByRole('alert')).toHaveText('say what the sign says');
  await page.getByLabel('The sign says').fill('LOCKSMITH');
  await page.getByLabel('Width').fill('2ft 6in');
  await page.getByLabel('Height').fill('600/2-12');
  await page.getByLabel('Nearest distance').fill('4 furlongs');
  await page.getByLabel('Nearest distance', { exact: true }).press('Enter');
  await expect(page.getByRole('alert').first()).toContainText('not a length');
  await page.getByLabel('Nearest distance').fill('4m');
  await page.getByRole('button', { name: 'Light it' }).click();
  await expect(page).toHaveURL(/\/case$/);
  await lit(page);
  await expect(page.getByLabel('Outside width')).toHaveValue('762 mm');
  await expect(page.getByLabel('Outside height')).toHaveValue('288 mm');

  // The consequence stands beside the field; a wrong value says why and changes nothing.
  const depth = page.getByLabel('Depth inside', { exact: true }).and(page.locator('input'));
  await depth.fill('4 1/2in');
  await depth.press('Enter');
  await expect(figure(page, 'depth inside')).toContainText('114.3 mm');
  await depth.fill('2');
  await depth.press('Enter');
  await expect(page.getByRole('alert')).toContainText('must be 8 or more');
  await depth.press('Escape');
  await expect(depth).toHaveValue('114.3 mm');
  await depth.press('ArrowUp');
  await expect(figure(page, 'depth inside')).toContainText('115.3 mm');

  // In inches everywhere.
  await page.getByRole('button', { name: 'Job menu' }).click();
  await page.getByRole('menuitem', { name: 'Show lengths in inches' }).click();
  await expect(page.getByLabel('Outside width')).toHaveValue('30 in');
});

test('every field of every step reaches the design and the figures', async ({ page, shop }) => {
  await openFindings(page, shop, 'Ticket', 'brief');
  await page.getByLabel('The sign says').fill('BOATS');
  await choose(page.getByLabel('Light', { exact: true }), 'rgb');
  await expect(page.locator('[data-finding="wrong-colour"]')).toBeVisible();
  await page
    .locator('[data-finding="wrong-colour"]')
    .getByRole('button', { name: /Apply: RGB/ })
    .first()
    .click();
  await expect(page.locator('[data-finding="wrong-colour"]')).toHaveCount(0);
  await page.keyboard.press('2');
  await expect(page).toHaveURL(/\/artwork$/);
  await choose(page.getByLabel('Letters in', { exact: true }), 'oswald-semibold');
  await choose(page.getByLabel('Light through'), 'coloured-letters');
  await choose(page.getByLabel('Film'), 'green-film');
  await choose(page.getByLabel('Cut with'), 'laser');
  await expect(page.getByText('Never laser PVC')).toBeVisible();
  await choose(page.getByLabel('Worked'), 'true');
  await page.getByLabel('Cap height').fill('300');
  await page.getByLabel('Cap height', { exact: true }).press('Enter');
  await page.locator('[data-finding="letters-overhang"]').getByRole('button', { name: /Apply/ }).click();
  await expect(page.locator('[data-finding="letters-overhang"]')).toHaveCount(0);
  await page.getByRole('link', { name: /Light/ }).click();
  await choose(page.getByLabel('Runs', { exact: true }), 'rim');
  await expect(page.getByRole('cell', { name: 'left' })).toBeVisible();
  await page.getByRole('link', { name: /Power/ }).click();
  await choose(page.getByLabel('Runs fed'), 'both-ends');
  await page.getByRole('link', { name: /Cut/ }).click();
  await expect(page.getByRole('region', { name: 'Sheet layout' }).getByRole('img').first()).toBeVisible();
  await page.getByRole('link', { name: /Build/ }).click();
  await expect(page.getByText('licensed electrician').first()).toBeVisible();
  await saved(page);
  const job = (await (await page.request.get(page.url().replace(/\/jobs\/([^/]+)\/.*/, '/api/jobs/$1'))).json()) as {
    head: {
      design: {
        brief: { text: string; light: { kind: string } };
        assemblies: { artwork: object; light: object }[];
        power: object;
      };
    };
  };
  expect(job.head.design).toMatchObject({
    brief: { text: 'BOATS', light: { kind: 'rgb' } },
    assemblies: [
      {
        artwork: {
          fontId: 'oswald-semibold',
          mode: 'coloured-letters',
          filmId: 'green-film',
          toolId: 'laser',
          mirrored: true,
        },
        light: { layout: 'rim' },
      },
    ],
    power: { feed: 'both-ends' },
  });
});

test('the five lights, false colour, the strip and a figure that explains itself', async ({ page, shop }) => {
  await openJob(page, shop, 'Rye', 'face');
  const centre = () => faceBrightness(page, 0.5, 0.15);
  const seen: number[] = [];
  for (const light of ['Noon', 'Overcast', 'Shop', 'Dusk', 'Dark']) {
    await page.getByRole('radio', { name: light }).click();
    await expect(page.getByRole('radio', { name: light })).toBeChecked();
    seen.push(await centre());
  }
  expect(seen.every((value) => value > 60)).toBe(true);
  await page.keyboard.press('l');
  await expect.poll(centre).toBeLessThan(120);
  await page.keyboard.press('l');
  await page.keyboard.press('s');
  await expect(page.getByTestId('strip-overlay')).toBeVisible();
  await page.getByRole('button', { name: 'Show false colour' }).click();
  await expect(page.getByText(/\d+ cd\/m²$/).first()).toBeVisible();
  await figure(page, 'a sign').click();
  await expect(page.getByRole('dialog')).toContainText('hours at the shop’s rate');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('a design goes out as a file and comes in again, and a file that is none is refused', async ({ page, shop }) => {
  await openJob(page, shop, 'Rye', 'brief');
  const menu = async (item: string): Promise<void> => {
    await page.getByRole('button', { name: 'Job menu' }).click();
    await page.getByRole('menuitem', { name: item }).click();
  };
  const download = page.waitForEvent('download');
  await menu('Save the design as a file');
  const text = await readFile(await (await download).path(), 'utf8');
  const design = JSON.parse(text) as Record<string, unknown> & { brief: Record<string, unknown> };
  const upload = (content: string) =>
    page
      .getByLabel('Design file')
      .setInputFiles({ name: 'd.json', mimeType: 'application/json', buffer: Buffer.from(content) });
  await upload('{"format": "something"}');
  await expect(page.getByRole('dialog')).toContainText('is this a Vitrum design file?');
  await expect(async () => {
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0, { timeout: 1000 });
  }).toPass();
  await upload(JSON.stringify({ ...design, shopNote: { kept: true }, brief: { ...design.brief, text: 'Salt & Rye' } }));
  await expect(page.getByLabel('The sign says')).toHaveValue('Salt & Rye');
  await saved(page);
  const again = page.waitForEvent('download');
  await menu('Save the design as a file');
  expect(JSON.parse(await readFile(await (await again).path(), 'utf8'))).toMatchObject({ shopNote: { kept: true } });
  await menu('Revisions …');
  await page.getByRole('dialog').getByRole('button', { name: 'Bring back' }).last().click();
  await expect(page.getByLabel('The sign says')).toHaveValue('Rye & Salt');
});

test('a new job begins solved, and is solved again without what was set by hand', async ({ page, shop }) => {
  await visit(page, `${shop.url}/jobs/new`);
  await page.getByLabel('The sign says').fill('OPEN');
  await page.getByLabel('Width').fill('600 mm');
  await page.getByLabel('Height').fill('200 mm');
  await page.getByRole('button', { name: 'Light it' }).click();
  await expect(page).toHaveURL(/\/case$/);
  await lit(page);
  // Nothing stops and nothing disappoints.
  await expect(page.getByText('Will disappoint')).toHaveCount(0);
  await expect(page.getByText('Stops the build')).toHaveCount(0);
  const depth = page.getByLabel('Depth inside', { exact: true }).and(page.locator('input'));
  await depth.fill('120');
  await depth.press('Enter');
  await lit(page);

  await page.getByRole('link', { name: /Brief/ }).click();
  await expect(page.getByText('the cheapest found that neither stops nor disappoints')).toBeVisible();
  await expect(page.getByText('Keeps the field that you set by hand.')).toBeVisible();
  await choose(page.getByLabel('Seen after dark'), 'country');
  await choose(page.getByLabel('Weather'), 'outdoors');
  await lit(page);
  await page.getByRole('button', { name: /^(All \d+|Read it)$/ }).click();
  await expect(page.getByText('Too bright for dark country')).toBeVisible();
  await page.getByRole('button', { name: 'Choose strip, depth and supplies for me' }).click();
  await lit(page);
  await expect(page.getByText('Too bright for dark country')).toHaveCount(0);
  await expect(figure(page, 'depth inside')).toContainText('120 mm');
});
