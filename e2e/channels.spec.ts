import type { Page } from '@playwright/test';
import { expect, figure, openFindings, openJob, saved, lit, test } from './support/shop';
import { choose } from './support/controls';

/** Red, green and blue of the drawn face at a place given in shares of its width and height. */
const faceColour = (page: Page, x: number, y: number): Promise<number[]> =>
  page
    .getByTestId('face')
    .evaluate(
      (canvas: HTMLCanvasElement, [u, v]) => [
        ...(canvas.getContext('2d')?.getImageData(Math.floor(u! * canvas.width), Math.floor(v! * canvas.height), 1, 1)
          .data ?? []),
      ],
      [x, y],
    );
const pick = (page: Page, label: string, choice: string): Promise<void> =>
  choose(page.getByRole('combobox', { name: label, exact: true }), { label: choice });

test('a box of mixed colours: its controller, zones, and a far end whose colour turns, found and fed', async ({
  page,
  shop,
}) => {
  await openFindings(page, shop, 'Slipway', 'power');
  await expect(page.getByText('red 100 %, green 35 %, blue 5 %')).toBeVisible();
  await expect(page.getByText(/^Infrared controller with remote.* of 2 A an output$/)).toBeVisible();
  const findings = page.getByRole('region', { name: 'Findings' });
  await expect(findings.getByText('The colour turns along a run')).toBeVisible();
  // The last row, at the bottom: redder than the first, until its end is fed too.
  const ratio = async (y: number): Promise<number> => {
    const [red = 1, green = 0] = await faceColour(page, 0.2, y);
    return green / red;
  };
  const before = (await ratio(0.9)) - (await ratio(0.1));
  await findings.getByRole('button', { name: 'Apply: Feed the far end as well' }).first().click();
  await expect(findings.getByText('The colour turns along a run')).toHaveCount(0);
  await lit(page);
  await expect.poll(async () => Math.abs((await ratio(0.9)) - (await ratio(0.1)))).toBeLessThan(Math.abs(before));
  // A controller of the wrong kind stops the job, and is put right.
  await pick(page, 'Controller', 'none');
  await expect(findings.getByText('This light needs a controller')).toBeVisible();
  await findings.getByRole('button', { name: 'Apply: Let Vitrum choose the controller' }).click();
  await expect(findings.getByText('This light needs a controller')).toHaveCount(0);
  // Inside the sign the remote’s eye is shut in.
  await pick(page, 'It sits', 'inside the sign');
  await expect(findings.getByText('The remote’s sensor is shut in')).toBeVisible();
  await expect(page.getByText('the lead has 2 cores')).toBeVisible();
  await pick(page, 'Its eye', 'looks out through a hole');
  await expect(findings.getByText('The remote’s sensor is shut in')).toHaveCount(0);
  // Two zones, one turned down.
  await choose(page.getByLabel('Zone of segment 1'), '1');
  await choose(page.getByLabel('Zone of segment 2'), '1');
  await page.getByLabel('Zone 1', { exact: true }).fill('20 %');
  await page.getByLabel('Zone 1', { exact: true }).press('Enter');
  await expect(page.getByRole('table', { name: 'Chains' }).getByText('segments 1, 2')).toBeVisible();
  await lit(page);
  const brightness = async (y: number): Promise<number> => (await faceColour(page, 0.5, y))[0]!;
  await expect.poll(async () => (await brightness(0.9)) - (await brightness(0.1))).toBeGreaterThan(10);
  // Dimmed, it draws less on average; what the supply carries stays.
  const watts = await figure(page, 'drawn, of').textContent();
  await page.getByLabel('Turned up').fill('50');
  await page.getByLabel('Turned up', { exact: true }).press('Enter');
  await expect(page.getByText(/W as set/)).toBeVisible();
  expect(await figure(page, 'drawn, of').textContent()).toBe(watts);
  await saved(page);
});

test('pixels: data by the arrows, the diagram from the socket, the view from behind, and a count that is short', async ({
  page,
  shop,
}) => {
  await openJob(page, shop, 'Net loft', 'power');
  const wires = page.getByRole('table', { name: 'Wires' });
  await expect(wires.getByText('plus, minus, data').first()).toBeVisible();
  const wiring = page.getByRole('region', { name: 'Wiring' });
  await expect(wiring.getByRole('img', { name: 'Wiring of 3 segments' })).toBeVisible();
  await expect(wiring.getByText('117 pixels')).toBeVisible();
  await wiring.getByRole('tab', { name: 'from behind' }).click();
  await expect(wiring.getByText('arrows show the way data runs')).toBeVisible();
  await expect(wiring.getByRole('img', { name: /from behind: 3 segments of strip, 4 wires/ })).toBeVisible();
  // Turned round, power comes in at the far end; data still goes into each start, by a wire of its own.
  await page.getByRole('button', { name: 'Turn chain 1 round' }).click();
  await expect(wires.getByText('lead → 2 end')).toBeVisible();
  await expect(wires.getByText('data', { exact: true }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Plan feeds and chains again' }).click();
  await expect(wires.getByText('lead → 1 start')).toBeVisible();
});

test('ways to feed a box: two small supplies, a battery with its hours, pairs in series with their volts', async ({
  page,
  shop,
}) => {
  await openFindings(page, shop, 'Ticket', 'power');
  const ways = page.getByRole('table', { name: 'Ways to feed it' });
  await ways.getByRole('button', { name: /^Take 2 × / }).click();
  await expect(ways.getByRole('row').filter({ hasText: '2 ×' })).toContainText('taken');
  await expect(page.getByLabel('Supplies', { exact: true })).toHaveValue('2');
  await page.getByLabel('Supplies', { exact: true }).fill('1');
  await page.getByLabel('Supplies', { exact: true }).press('Enter');
  await choose(page.getByLabel('Supply', { exact: true }), 'auto');
  await pick(page, 'Fed by', 'a battery');
  await expect(page.getByText(/full, it lasts \d+\.\d h and ends at \d+ % of its light/)).toBeVisible();
  await pick(page, 'Fed by', 'the mains');
  await pick(page, 'Segments', 'two and two in series');
  const pairs = page.getByRole('list', { name: 'Pairs' });
  await expect(pairs.getByText(/in series/).first()).toBeVisible();
  const findings = page.getByRole('region', { name: 'Findings' });
  await expect(findings.getByText('These segments cannot be wired in pairs')).toBeVisible();
  await choose(page.getByLabel('First of the pair'), '1');
  await choose(page.getByLabel('Second of the pair'), '3');
  await page.getByRole('button', { name: 'Pair', exact: true }).click();
  await expect(pairs.getByText(/1 and 3 in series/)).toBeVisible();
  await findings.getByRole('button', { name: 'Apply: Wire all segments in parallel' }).first().click();
  await expect(findings.getByText('These segments cannot be wired in pairs')).toHaveCount(0);
});

test('a box that runs hot is vented: holes in two returns, cooler, and the light they leak is told', async ({
  page,
  shop,
}) => {
  await openJob(page, shop, 'Slipway', 'case');
  await page.getByRole('button', { name: 'Add vents' }).click();
  const vents = page.getByRole('region', { name: 'Vents' });
  const hint = vents.getByText(/l\/s of air; air inside .* °C; they leak .* lm/);
  await expect(hint).toBeVisible();
  const few = await hint.textContent();
  await vents.getByLabel('Holes in each').fill('14');
  await vents.getByLabel('Holes in each', { exact: true }).press('Enter');
  await expect(hint).not.toHaveText(few!);
  await vents.getByRole('button', { name: 'Take them out' }).click();
  await expect(page.getByRole('button', { name: 'Add vents' })).toBeVisible();
});
