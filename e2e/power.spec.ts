import { readFile } from 'node:fs/promises';
import { strFromU8, unzipSync } from 'fflate';
import { expect, faceBrightness, openJob, saved, lit, test, showOver } from './support/shop';
import { choose } from './support/controls';

test('a dim far end is fed: the letters even out in the figures and on the wall', async ({ page, shop }) => {
  await openJob(page, shop, 'Curlew', 'power');
  // As dim as the ferry’s letters get: one chain of all segments, fed at one end.
  await page.getByLabel('Turned up').fill('100');
  await page.getByLabel('Turned up', { exact: true }).press('Enter');
  await choose(page.getByLabel('Runs fed'), 'one-end');
  await page.getByRole('button', { name: 'Join segment 5 to the chain before' }).click();
  const chains = page.getByRole('table', { name: 'Chains' });
  await expect(chains.getByText('segments 1, 2, 3, 4, 5, 6, 7')).toBeVisible();
  await expect(page.getByText('A run is longer than the strip allows')).toBeVisible();
  await lit(page);
  const least = async (): Promise<number> =>
    Number(/(\d+) %/.exec((await chains.getByRole('row').nth(1).textContent()) ?? '')![1]);
  // Beside the last letter, where the glow is neither black nor burnt out.
  const farEnd = (): Promise<number> => faceBrightness(page, 0.98, 0.5);
  const [dimShare, dimPicture] = [await least(), await farEnd()];
  await showOver(page, 'wires');
  const wires = page.getByTestId('wires-overlay');
  await expect(wires.locator('title')).toHaveCount(7);
  await page.getByRole('button', { name: 'Feed the far end of chain 1' }).click();
  await expect(wires.locator('title')).toHaveCount(8);
  await expect(wires.getByText(/lead to segment 7 end/)).toHaveCount(1);
  await expect.poll(least).toBeGreaterThan(dimShare + 8);
  await lit(page);
  await expect.poll(farEnd).toBeGreaterThan(dimPicture);
  // The voltage at the last segment’s end has risen with it, and the wires say what they carry.
  await expect(page.getByRole('table', { name: 'Segments' }).getByRole('row').nth(7)).toContainText('11.7');
  await expect(page.getByRole('table', { name: 'Wires' }).getByText('lead → 7 end +')).toBeVisible();
  await page.getByRole('button', { name: 'Stop feeding the far end of chain 1' }).click();
  await expect.poll(least).toBe(dimShare);
});

test('chains are split, turned round and planned again; joints are chosen; the wiring goes out as a table', async ({
  page,
  shop,
}) => {
  await openJob(page, shop, 'Dispensary', 'power');
  const chains = page.getByRole('table', { name: 'Chains' });
  await page.getByRole('button', { name: 'Begin a chain at segment 2' }).click();
  await expect(chains.getByText('segment 2', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Turn chain 2 round' }).click();
  await expect(page.getByRole('table', { name: 'Wires' }).getByText('lead → 2 end')).toBeVisible();
  await choose(page.getByLabel('Joined by'), 'clip');
  await expect(page.getByText('carries 3 A; bare 5 mm of wire')).toBeVisible();
  await page.getByRole('button', { name: 'Feed the end of segment 1' }).click();
  await expect(page.getByRole('button', { name: 'Stop feeding the end of segment 1' })).toBeVisible();
  await saved(page);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Bench pack' }).click();
  const zip = unzipSync(new Uint8Array(await readFile(await (await download).path())));
  const names = Object.keys(zip).map((path) => path.split('/').at(-1));
  expect(names).toEqual(
    expect.arrayContaining(['wiring-a4.pdf', 'wiring-letter.pdf', 'labels-a4.pdf', 'labels-letter.pdf']),
  );
  const table = strFromU8(Object.entries(zip).find(([path]) => path.endsWith('/wiring.csv'))![1]);
  const rows = table
    .trim()
    .split('\r\n')
    .map((row) => row.split(','));
  expect(rows.map(([from, to]) => `${from} > ${to}`)).toEqual([
    'from > to',
    'supply > lead',
    'lead > segment 1 start',
    'lead > segment 1 end',
    'lead > segment 2 end',
  ]);
  expect(rows[2]).toContain('clip connector');
  await page.getByRole('button', { name: 'Plan feeds and chains again' }).click();
  await expect(chains.getByText('segments 1, 2')).toBeVisible();
});

test('a real fault is found by what is seen and measured, one proposal after the other', async ({ page, shop }) => {
  await openJob(page, shop, 'Dispensary', 'prove');
  const finder = page.getByRole('region', { name: 'Find the fault' });
  await finder.getByRole('button', { name: 'Find the fault' }).click();
  await expect(finder.getByText(/faults could be/)).toBeVisible();
  // The second row is dark: an open wire, crossed wires, a supply or a short it cannot be.
  await choose(finder.getByLabel('How segment 1 looks'), 'lit');
  await choose(finder.getByLabel('How segment 2 looks'), 'dark');
  await expect(finder.getByText(/\d faults explain it/)).toBeVisible();
  const measure = finder.getByLabel('Measure next');
  await expect(measure).toHaveText(/segment 2|segment 1/);
  // At the start of the second row plus and minus stand the wrong way round.
  await choose(measure, { label: 'volts at the start of segment 2, plus to minus' });
  await finder.getByLabel(/It reads/).fill('-23,8');
  await finder.getByRole('button', { name: 'Keep' }).click();
  await expect(finder.getByText('One fault explains it:')).toBeVisible();
  await expect(
    finder.getByText('plus and minus are swapped in the wire from segment 1 end to segment 2 start'),
  ).toBeVisible();
  await expect(finder.getByText(/-23\.80 V/)).toBeVisible();
  await finder.getByRole('button', { name: /^Strike out/ }).click();
  await expect(finder.getByText(/\d faults explain it/)).toBeVisible();
});
