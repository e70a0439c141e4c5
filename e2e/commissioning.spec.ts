import { expect, faceBrightness, openJob, saved, lit, test } from './support/shop';
import { choose, slideTo } from './support/controls';

test('the bench’s controller drives the lit view; its meter and thermometer read the circuit', async ({
  page,
  shop,
}) => {
  await openJob(page, shop, 'Slipway', 'prove');
  const bench = page.getByRole('region', { name: 'Bench' });
  await bench.getByRole('button', { name: 'Lay it on the bench' }).click();
  const middle = (): Promise<number[]> =>
    page
      .getByTestId('face')
      .evaluate((canvas: HTMLCanvasElement) => [
        ...(canvas.getContext('2d')?.getImageData(canvas.width >> 2, canvas.height >> 3, 1, 1).data ?? []),
      ]);
  await choose(bench.getByRole('combobox', { name: 'Colour' }), { label: 'only green' });
  await expect.poll(async () => (await middle())[0]!).toBeLessThan(60);
  expect((await middle())[1]!).toBeGreaterThan(100);
  // A camera shows light in proportion, where an eye gets used to less of it.
  await page.getByRole('button', { name: /^As a camera/ }).click();
  await expect(page.getByText('as a camera')).toBeVisible();
  const full = await faceBrightness(page, 0.2, 0.2);
  await slideTo(bench, /^Level/, 20, 5);
  await expect.poll(() => faceBrightness(page, 0.2, 0.2)).toBeLessThan(0.8 * full);
  await bench.getByRole('button', { name: 'Switch off' }).click();
  await expect.poll(() => faceBrightness(page, 0.2, 0.2)).toBeLessThan(40);
  // Off, the meter reads nothing; on, nearly all of the supply’s volts at the end of the lead.
  await choose(bench.getByRole('combobox', { name: 'Meter held to' }), { label: 'end of the lead' });
  const meter = bench.getByRole('status', { name: 'Meter', exact: true });
  await expect(meter).toHaveText('0.00 V');
  await bench.getByRole('button', { name: 'Switch on' }).click();
  // What it is held to is read anew by itself; dimmed, it says that it reads while the light is on.
  await expect(meter).toHaveText(/^11\.\d\d V$/);
  await expect(bench.getByText('dimming is in time, 20 % of it')).toBeVisible();
  await choose(bench.getByRole('combobox', { name: 'Meter held to' }), { label: 'start of segment 1' });
  await expect(meter).toHaveText(/^11\.\d\d V$/);
  await choose(bench.getByRole('combobox', { name: 'Continuity of plus, switched off, to' }), {
    label: 'end of segment 1',
  });
  await expect(bench.getByRole('status', { name: 'Continuity' })).toHaveText(/^beep, \d+ mΩ$/);
  const warm = bench.getByRole('status', { name: 'Thermometer' });
  const late = await warm.textContent();
  await slideTo(bench, /minutes after it went on/, 0, 5);
  await expect(warm).toHaveText('25–25 °C');
  expect(late).not.toBe('25–25 °C');
  // Put away, the lit view shows the design again.
  await bench.getByRole('button', { name: 'Put it away' }).click();
  await expect.poll(async () => (await middle())[0]!).toBeGreaterThan(120);
});

test('readings typed in are judged, stay with the job, and can be struck out', async ({ page, shop }) => {
  const id = await openJob(page, shop, 'Slipway', 'prove');
  const steps = page.getByRole('region', { name: 'Commissioning' });
  await expect(steps.getByText(/^0 of 14 measured/)).toBeVisible();
  const keep = async (title: string, value: string): Promise<void> => {
    const entry = steps
      .getByRole('listitem')
      .filter({ has: page.getByRole('textbox', { name: `Reading of ${title}` }) });
    await entry.getByRole('textbox').fill(value);
    await entry.getByRole('button', { name: 'Keep' }).click();
  };
  await keep('Supply alone', '-12,1');
  await expect(steps.getByText('plus and minus are swapped')).toBeVisible();
  await keep('Supply alone', '12,1');
  await expect(steps.getByText(/measured .*: as computed/)).toBeVisible();
  await keep('Only red', '0');
  await expect(steps.getByText('nothing: an open wire, or the wrong way round')).toBeVisible();
  await expect(steps.getByText(/^2 of 14 measured, 1 not as computed/)).toBeVisible();
  // A cooler room makes for a cooler strip, and both are kept with the reading.
  const strip = steps.getByRole('listitem').filter({ hasText: 'Strip after an hour' });
  const expected = async (): Promise<number> => Number.parseFloat(await strip.locator('.figure').first().innerText());
  const before = await expected();
  await steps.getByRole('textbox', { name: /^Air round the sign now/ }).fill('5');
  await expect.poll(async () => before - (await expected())).toBe(20);
  await keep('Strip after an hour', String(before - 18));
  await expect(steps.getByText(/measured .* at 5 °C: as computed/)).toBeVisible();
  await keep('Luminance of the face', '1');
  await expect(steps.getByText(/^1 cd\/m², .*dimmer than computed/)).toBeVisible();
  await steps.getByRole('button', { name: 'Strike out the reading of Strip after an hour' }).click();
  await steps.getByRole('button', { name: 'Strike out the reading of Luminance of the face' }).click();
  await saved(page);
  await page.reload();
  await lit(page);
  await expect(steps.getByText(/^2 of 14 measured, 1 not as computed/)).toBeVisible();
  const job = (await (await page.request.get(`${shop.url}/api/jobs/${id}`)).json()) as {
    head: { design: { proof: { readings: { id: string; value: number }[] } } };
  };
  expect(job.head.design.proof.readings).toMatchObject([
    { id: 'supply-volts', value: 12.1 },
    { id: 'colour-red', value: 0 },
  ]);
  await steps.getByRole('button', { name: 'Strike out the reading of Only red' }).click();
  await expect(steps.getByText(/^1 of 14 measured\./)).toBeVisible();
  // Shown on the lit view as the step asks: one segment alone leaves the others dark.
  await page.getByRole('button', { name: /^As a camera/ }).click();
  await expect(page.getByText('as a camera')).toBeVisible();
  const bright = await faceBrightness(page, 0.5, 0.9);
  await steps
    .getByRole('listitem')
    .filter({ hasText: 'Segment 1 alone' })
    .getByRole('button', { name: 'Show' })
    .click();
  await expect.poll(() => faceBrightness(page, 0.5, 0.9)).toBeLessThan(bright - 30);
});
