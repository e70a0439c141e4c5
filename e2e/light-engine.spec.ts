import { readFile } from 'node:fs/promises';
import { strFromU8, unzipSync } from 'fflate';
import { expect, figure, openJob, saved, lit, test, visit } from './support/shop';
import { choose, expectChosen } from './support/controls';

const cosineIes = (power: number): string => {
  const angles = Array.from({ length: 19 }, (_, index) => index * 5);
  const candela = angles.map((angle) => (100 * Math.cos((angle * Math.PI) / 180) ** power).toFixed(3));
  return `IESNA:LM-63-2002\nTILT=NONE\n1 -1 1 19 1 1 2 0 0 0\n1 1 1\n${angles.join(' ')}\n0\n${candela.join(' ')}\n`;
};

test('a sweep is tried, a point taken and undone; another is stopped half-way', async ({ page, shop }) => {
  await openJob(page, shop, 'Dispensary', 'face');
  await page.getByRole('link', { name: 'Try-outs' }).click();
  await expect(page).toHaveURL(/\/tryouts$/);
  // The chart is drawn without being asked for, the design as it is among what was tried.
  await expect(page.getByTestId('sweep-chart')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Stop' })).toHaveCount(0, { timeout: 60_000 });
  await expect(page.getByTestId('sweep-chart')).toHaveAttribute('aria-label', /^Try-outs: \d\d+ combinations/);
  await page.getByLabel('Depth from').fill('60');
  await page.getByLabel('Depth to').fill('140');
  await page.getByLabel('Step').fill('40');
  await page.getByLabel('Step', { exact: true }).press('Enter');
  await page.getByLabel('Rows from').fill('2');
  await page.getByLabel('Rows to').fill('5');
  await page.getByLabel('Rows to', { exact: true }).press('Enter');
  await page.getByRole('checkbox', { name: 'Opal acrylic 5 mm, dense' }).uncheck();
  await page.getByRole('checkbox', { name: 'Light-diffusing acrylic 3 mm' }).uncheck();
  await expect(page.getByText('12 combinations')).toBeVisible();
  await page.getByRole('button', { name: 'Try them all' }).click();
  await expect(page.getByTestId('sweep-chart')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Stop' })).toHaveCount(0, { timeout: 30_000 });
  const best = page.getByTestId('short-list').getByRole('button').first();
  await expect(best).toBeVisible();
  await best.click();
  await expect(figure(page, 'depth inside')).not.toContainText('81 mm');
  await expect(figure(page, 'dots and bands')).toContainText('none seen');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(figure(page, 'depth inside')).toContainText('81 mm');

  // A long one is stopped, at once, and keeps what it found.
  await page.getByLabel('Step').fill('1');
  await page.getByLabel('Step', { exact: true }).press('Enter');
  await page.getByRole('button', { name: 'Try them all' }).click();
  await expect(page.getByTestId('sweep-chart')).toBeVisible();
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByText('Stopped; what was found stays.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Try them all' })).toBeEnabled();
});

test('solving finds a shallower case than deepening did, says what binds, and is taken', async ({ page, shop }) => {
  await openJob(page, shop, 'Dispensary', 'face');
  await page.getByRole('link', { name: 'Try-outs' }).click();
  await page.getByRole('button', { name: 'Pin', exact: true }).click();
  await page.getByRole('button', { name: 'Shallowest' }).click();
  await expect(page.getByRole('button', { name: 'Stop' })).toBeVisible();
  const solution = page.getByTestId('solution');
  await expect(solution).toContainText('The shallowest that will do', { timeout: 60_000 });
  await expect(solution).toContainText('one step further fails');
  await solution.getByRole('button', { name: 'Take it' }).click();
  await expect(figure(page, 'dots and bands')).toContainText('none seen');
  const depth = Number.parseFloat((await figure(page, 'depth inside').textContent()) ?? '');
  expect(depth).toBeLessThan(81);
  await saved(page);
  // Both stand side by side; the pinned one can be taken back.
  await expect(page.getByRole('article', { name: 'variant 1' })).toContainText('bands');
  await page.getByRole('article', { name: 'variant 1' }).getByRole('button', { name: 'Take' }).click();
  await expect(figure(page, 'depth inside')).toContainText('81 mm');
});

test('one sanded sheet shows every LED, two hide them better; the face says so in a sentence', async ({
  page,
  shop,
}) => {
  await openJob(page, shop, 'Ticket', 'face');
  await choose(page.getByLabel('Face', { exact: true }), 'clear-3');
  await choose(page.getByLabel('Inside', { exact: true }).first(), 'sanded-80');
  const contrast = async (): Promise<number> => {
    const row = page.getByRole('row', { name: /contrast, row pitch/ });
    return Number.parseFloat((await row.getByRole('cell').textContent()) ?? '');
  };
  await expect.poll(contrast).toBeGreaterThan(20);
  const one = await contrast();
  await expect(page.getByTestId('verdict')).toContainText('From 4 m you see');
  await page.getByRole('button', { name: 'Add a second sheet behind it' }).click();
  await page.getByLabel('Gap to the face').fill('30');
  await page.getByLabel('Gap to the face', { exact: true }).press('Enter');
  await expect.poll(contrast).toBeLessThan(0.5 * one);
  await expect(page.getByText('second', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Take it out' }).click();
  await expect(page.getByRole('button', { name: 'Add a second sheet behind it' })).toBeVisible();
});

test('measured light is read and drawn; a file that is none says the line and changes nothing', async ({
  page,
  shop,
}) => {
  await openJob(page, shop, 'Dispensary', 'light');
  const upload = (name: string, text: string) =>
    page.getByLabel('IES file').setInputFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });
  await upload('broken.ies', cosineIes(1).replace('TILT=NONE', 'TILT=NONE\nfive'));
  await expect(page.getByRole('alert')).toContainText('broken.ies, line 3');
  await upload('narrow.ies', cosineIes(5));
  await expect(page.getByText(/narrow.ies: beam \d+°/)).toBeVisible();
  await expect(page.getByRole('img', { name: /Intensity by direction/ })).toBeVisible();
  await saved(page);
  await page.reload();
  await lit(page);
  await page.getByRole('button', { name: 'Forget it' }).click();
  await expect(page.getByText('Light by the beam angle')).toBeVisible();
});

test('false colour has a histogram and marks; a measured line is drawn as luminance', async ({ page, shop }) => {
  await openJob(page, shop, 'Dispensary', 'face');
  await page.keyboard.press('f');
  await expect(page.getByRole('img', { name: 'How much of the face has which luminance' })).toBeVisible();
  await page.getByRole('button', { name: /^Measure/ }).click();
  const face = (await page.getByTestId('face').boundingBox())!;
  await page.mouse.move(face.x + 20, face.y + face.height / 2);
  await page.mouse.down();
  await page.mouse.move(face.x + face.width - 20, face.y + face.height / 2, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByTestId('cross-section')).toContainText(/\d+ to \d+ cd\/m² along the line/);
});

test('a block in the case stops rows, carries strip round it, and goes again', async ({ page, shop }) => {
  await openJob(page, shop, 'Dispensary', 'case');
  await page.getByRole('button', { name: 'Add a block on the back' }).click();
  await page.getByLabel('Block height').fill('160');
  await page.getByLabel('Block height', { exact: true }).press('Enter');
  await page.getByRole('link', { name: /^Light/ }).click();
  await expect(page.getByRole('row', { name: /^4 back/ })).toBeVisible();
  await choose(page.getByLabel('Runs', { exact: true }), 'block');
  await expect(page.getByRole('row', { name: /^1 block/ })).toBeVisible();
  await expectChosen(page.getByLabel('LEDs face'), 'out');
  await page.getByRole('link', { name: /^Case/ }).click();
  await page.getByRole('button', { name: 'Take it out' }).click();
  await page.getByRole('link', { name: /^Light/ }).click();
  await expectChosen(page.getByLabel('Runs', { exact: true }), 'rows');
});

test('the light is traced for a second opinion, and agrees; tracing stops when told to', async ({ page, shop }) => {
  await openJob(page, shop, 'Dispensary', 'face');
  await page.getByRole('button', { name: 'Trace photons' }).click();
  await page.getByRole('region', { name: 'Traced light' }).getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByRole('button', { name: 'Trace photons' })).toBeVisible();
  await page.getByRole('button', { name: 'Trace photons' }).click();
  await expect(page.getByTestId('trace-report')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Trace photons' })).toBeVisible({ timeout: 60_000 });
  const [traced, patches] = await page
    .getByRole('row', { name: /^light out/ })
    .getByRole('cell')
    .allTextContents();
  expect(Number.parseFloat(traced ?? '') / Number.parseFloat(patches ?? '')).toBeCloseTo(1, 1);
});

test('the light maps come in full as PNG, CSV, 16-bit PNG and floats, and can be called off', async ({
  page,
  shop,
}) => {
  await openJob(page, shop, 'Rye', 'face');
  const saved: string[] = [];
  page.on('download', (each) => saved.push(each.suggestedFilename()));
  await page.getByRole('button', { name: 'Job menu' }).click();
  await page.getByRole('menuitem', { name: 'Save the light maps in full …' }).click();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('button', { name: 'Bench pack' })).toBeVisible();
  expect(saved).toEqual([]);
  await page.getByRole('button', { name: 'Job menu' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: 'Save the light maps in full …' }).click();
  const zip = unzipSync(new Uint8Array(await readFile(await (await download).path())));
  expect(saved).toHaveLength(1);
  const [header] = strFromU8(zip['rye-salt-counter-box-light/luminance.csv']!).split('\r\n');
  expect(header!.split(',').length).toBeGreaterThan(800);
  expect(zip['rye-salt-counter-box-light/luminance-16.png']!.length).toBeGreaterThan(100_000);
});

test('a sweep on the server goes on over a reload and a crash of the server, and is all there', async ({
  page,
  shop,
}) => {
  const id = await openJob(page, shop, 'Dispensary', 'face');
  await page.getByRole('link', { name: 'Try-outs' }).click();
  await page.getByLabel('Step').fill('10');
  await page.getByLabel('Step', { exact: true }).press('Enter');
  const said = await page.getByText(/^\d+ combinations$/).textContent();
  const total = Number.parseInt(said ?? '', 10);
  expect(total).toBeGreaterThan(50);
  await page.getByRole('button', { name: 'On the server' }).click();
  await expect(page.getByText(/^[1-9]\d* of \d+ on the server$/)).toBeVisible({ timeout: 20_000 });
  await shop.kill();
  await shop.start();
  await visit(page, `${shop.url}/jobs/${id}/tryouts`);
  await expect(page.getByText(/on the server$/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Stop' })).toHaveCount(0, { timeout: 110_000 });
  await expect(page.getByTestId('sweep-chart')).toHaveAttribute('aria-label', new RegExp(`: ${total} combinations`));
});
