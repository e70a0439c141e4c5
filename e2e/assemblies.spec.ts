import { readFile } from 'node:fs/promises';
import type { JobView } from '@vitrum/contract';
import { parseDesign } from '@vitrum/core';
import { strFromU8, unzipSync } from 'fflate';
import { allTried, expect, openJob, saved, lit, test, visit } from './support/shop';
import { choose, expectChosen } from './support/controls';

test('a sign of two assemblies: put together, wired to one supply, exported, reloaded, undone', async ({
  page,
  shop,
}) => {
  test.slow();
  const broken: string[] = [];
  page.on('pageerror', (error) => broken.push(error.message));
  await visit(page, `${shop.url}/jobs/new`);
  await page.getByLabel('Light box').check();
  await page.getByLabel('The sign says').fill('Inn');
  await page.getByLabel('Width').fill('700');
  await page.getByRole('button', { name: 'Light it' }).click();
  await lit(page);

  // Letters with a halo are added, and stand on the front of the box.
  const assemblies = page.getByRole('region', { name: 'Assemblies' });
  await choose(assemblies.getByLabel('Add an assembly'), { label: 'Halo letters' });
  await expect(page.getByTestId('assembly-tag')).toHaveCount(2);
  await expectChosen(assemblies.getByLabel(/^Assembly, one of 2/), 'assembly-2');
  await expect(page.getByRole('heading', { name: 'Letters', exact: true })).toBeVisible();
  await choose(assemblies.getByLabel('Stands on'), { label: 'the front of A, light box' });
  const up = assemblies.getByLabel('Middle, up');
  await up.fill('40');
  await up.press('Enter');
  await page.getByRole('link', { name: /^Artwork/ }).click();
  await page.getByLabel('Cap height').fill('130');
  await page.getByLabel('Cap height', { exact: true }).press('Enter');

  // Chosen by a key, by a click on the sign, and moved by the keys of its tag.
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: /^Letters/ }).click();
  await page.keyboard.press('a');
  await expect(page.getByRole('heading', { name: 'Case', exact: true })).toBeVisible();
  await page.keyboard.press('Shift+A');
  await expect(page.getByRole('heading', { name: 'Letters', exact: true })).toBeVisible();
  const tag = page.getByRole('button', { name: /^B, halo letters, its middle at/ });
  await tag.focus();
  await tag.press('Shift+ArrowRight');
  await expect(page.getByRole('button', { name: 'B, halo letters, its middle at 10, 40 mm' })).toBeVisible();
  await page.getByRole('button', { name: /^A, light box/ }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Case', exact: true })).toBeVisible();

  // Both are of one voltage before one supply can feed them.
  await page.getByRole('link', { name: /^Light/ }).click();
  await expect(page.getByText('A and B cannot share one supply')).toBeVisible();
  await choose(page.getByLabel('Strip', { exact: true }), 'white-12v-60');
  await page.getByRole('link', { name: /^Power/ }).click();
  // Fixes of both are tried, each of them whole.
  await allTried(page);
  const segments = page.getByRole('table', { name: 'Segments' });
  await expect(segments.getByRole('cell', { name: 'A1', exact: true })).toBeVisible();
  await expect(segments.getByRole('cell', { name: 'B1', exact: true })).toBeVisible();
  await expect(page.getByText('A and B cannot share one supply')).toHaveCount(0);
  await segments.getByRole('button', { name: 'Feed the end of segment B1', exact: true }).click();
  await expect(segments.getByRole('button', { name: 'Stop feeding the end of segment B1', exact: true })).toBeVisible();

  // The lists are the sign’s.
  await page.getByRole('link', { name: /^Cut/ }).click();
  await expect(page.getByRole('listitem').filter({ hasText: /^A / }).first()).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: /^B / }).first()).toBeVisible();
  await saved(page);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Bench pack' }).click();
  const zip = unzipSync(new Uint8Array(await readFile(await (await download).path())));
  const names = Object.keys(zip);
  const read = parseDesign(strFromU8(zip[names.find((name) => name.endsWith('/design.json'))!]!));
  expect(read.ok && read.value.assemblies.map(({ build, place }) => [build, place.on])).toEqual([
    ['lightbox', null],
    ['halo', read.ok ? read.value.assemblies[0]!.id : ''],
  ]);
  expect(read.ok && read.value.power.injections).toEqual([{ assembly: 'assembly-2', segment: 1, end: 'end' }]);
  const wiring = strFromU8(zip[names.find((name) => name.endsWith('/wiring.csv'))!]!);
  expect(wiring).toContain('A1');
  expect(wiring).toContain('B1');
  expect(names.filter((name) => name.includes('/parts/') && name.endsWith('.dxf')).length).toBeGreaterThan(8);

  // All of it is there again, and goes back step by step.
  await page.reload();
  await lit(page, 90_000);
  await expect(page.getByTestId('assembly-tag')).toHaveCount(2);
  await page.getByRole('link', { name: /^Case/ }).click();
  await choose(assemblies.getByLabel(/^Assembly, one of 2/), 'assembly-2');
  await assemblies.getByRole('button', { name: 'Take this assembly away' }).click();
  await expect(page.getByTestId('assembly-tag')).toHaveCount(0);
  await page.getByRole('link', { name: /^Power/ }).click();
  await expect(segments.getByRole('cell', { name: '1', exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByTestId('assembly-tag')).toHaveCount(2);
  await expect(segments.getByRole('button', { name: 'Stop feeding the end of segment B1', exact: true })).toBeVisible();
  expect(broken).toEqual([]);
});

test('an assembly is copied and dragged to its place, and a field nobody knows is told', async ({ page, shop }) => {
  const id = await openJob(page, shop, 'Rye', 'case');
  const { head } = (await (await page.request.get(`${shop.url}/api/jobs/${id}`)).json()) as JobView;
  await page.getByRole('button', { name: /^Copy/ }).click();
  const tag = page.getByRole('button', { name: /^B, light box, its middle at 60, -60 mm/ });
  await expect(tag).toBeVisible();
  const box = (await tag.boundingBox())!;
  await page.mouse.move(box.x + 30, box.y + 10);
  const label = page.getByTestId('assembly-tag').nth(1).locator('text');
  const at = (await label.boundingBox())!;
  await page.mouse.move(at.x + at.width / 2, at.y + at.height / 2);
  await page.mouse.down();
  await page.mouse.move(at.x + 60, at.y + 60, { steps: 5 });
  await page.mouse.up();
  await expect(tag).toHaveCount(0);
  await saved(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(tag).toBeVisible();
  await saved(page);

  const odd = { ...head.design, power: { ...head.design.power, joints: 'clip' } };
  const made = await page.request.post(`${shop.url}/api/jobs`, { data: { name: 'Odd', design: odd } });
  await visit(page, `${shop.url}/jobs/${((await made.json()) as JobView).id}/power`);
  await lit(page);
  await expect(page.getByText('A field that Vitrum does not know')).toBeVisible();
  await expect(page.getByText('power.joints')).toBeVisible();
});
