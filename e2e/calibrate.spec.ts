import { choose } from './support/controls';
import { encode } from 'fast-png';
import { expect, figure, openJob, lit, test, visit } from './support/shop';

const toByte = (linear: number): number =>
  Math.round(255 * (linear <= 0.0031308 ? linear * 12.92 : 1.055 * Math.pow(linear, 1 / 2.4) - 0.055));

/** A coupon with an LED behind it, rendered as a camera would take it. */
const couponPng = (sigmaDeg: number): Buffer => {
  const [width, height] = [320, 240];
  const sigma = (sigmaDeg * Math.PI) / 180;
  const data = new Uint8Array(width * height * 4);
  for (let pixel = 0; pixel < width * height; pixel += 1) {
    const r =
      Math.hypot((pixel % width) - width / 2 + 0.5, Math.floor(pixel / width) - height / 2 + 0.5) * (120 / width);
    const angle = Math.atan(r / 60);
    const byte = toByte(0.8 * Math.exp(-(angle * angle) / (2 * sigma * sigma)) * Math.cos(angle) ** 4);
    data.set([byte, byte, byte, 255], pixel * 4);
  }
  return Buffer.from(encode({ width, height, data, channels: 4, depth: 8 }));
};

test('lux through a sample makes a face measured, and open designs use it; it can be taken back', async ({
  page,
  shop,
}) => {
  const id = await openJob(page, shop, 'Dispensary', 'face');
  const before = Number.parseFloat((await figure(page, 'mean luminance').textContent()) ?? '');
  await page.getByRole('link', { name: 'Job book' }).click();
  await page.getByRole('link', { name: 'Shelf' }).click();
  await page.getByRole('button', { name: 'Measure Opal acrylic 3 mm', exact: true }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Without, reading 1').fill('1000');
  await dialog.getByLabel('Through, reading 1').fill('1300');
  await expect(dialog.getByRole('alert')).toContainText('swapped');
  await dialog.getByLabel('Through, reading 1').fill('300');
  await dialog.getByLabel('Without, reading 2').fill('800');
  await dialog.getByLabel('Through, reading 2').fill('244');
  await expect(dialog.getByTestId('fit')).toContainText(/It passes 30\.\d %/);
  await dialog.getByRole('button', { name: 'Use it from now on' }).click();
  await expect(page.getByRole('row', { name: /^Opal acrylic 3 mm 30 %/ })).toContainText('measured');

  // Without a reload: the design is lit anew with what was measured.
  await page.getByRole('link', { name: 'Job book' }).click();
  await visit(page, `${shop.url}/jobs/${id}/face`);
  await lit(page);
  await expect
    .poll(async () => Number.parseFloat((await figure(page, 'mean luminance').textContent()) ?? ''))
    .toBeLessThan(0.85 * before);
  await visit(page, `${shop.url}/shelf`);
  await page.getByRole('button', { name: 'Measure Opal acrylic 3 mm', exact: true }).click();
  await page.getByRole('button', { name: 'Go back to the typical figures' }).click();
  await expect(page.getByRole('row', { name: /^Opal acrylic 3 mm 45 %/ })).toContainText('typical');
});

test('a photograph of a coupon gives its lobe; one that is no picture is refused', async ({ page, shop }) => {
  await visit(page, `${shop.url}/shelf`);
  await page.getByRole('button', { name: 'Measure Sanded, 180 grit', exact: true }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('radio', { name: 'Photograph of a coupon' }).click();
  const choose = (name: string, buffer: Buffer) =>
    dialog.getByLabel('Photograph', { exact: true }).setInputFiles({ name, mimeType: 'image/png', buffer });
  await choose('notes.png', Buffer.from('not a picture'));
  await expect(dialog.getByRole('alert')).toContainText('no picture that can be read');
  await choose('coupon.png', couponPng(14));
  await expect(dialog.getByTestId('fit')).toContainText(/within ±1[34]\.\d°/);
  await dialog.getByRole('button', { name: 'Use it from now on' }).click();
  await expect(page.getByRole('row', { name: /^Sanded, 180 grit/ })).toContainText('measured');
});

test('brightness read on a finished box corrects its strip', async ({ page, shop }) => {
  await openJob(page, shop, 'Ticket', 'prove');
  const predicted = Number.parseFloat(
    (await page.getByRole('row', { name: /^middle predicted/ }).textContent())?.replace(/\D+/, '') ?? '',
  );
  await page.getByLabel('Read at middle').fill(String(Math.round(predicted * 0.05)));
  await expect(page.getByRole('region', { name: 'Brightness read' }).getByRole('alert')).toContainText('dead chain');
  await page.getByLabel('Read at middle').fill(String(Math.round(predicted * 0.9)));
  await expect(page.getByTestId('brightness-fit')).toContainText('0.90 times the prediction');
  const before = Number.parseFloat((await figure(page, 'mean luminance').textContent()) ?? '');
  await page.getByRole('button', { name: 'Use it for this strip' }).click();
  await expect(page.getByText(/counts as \d+ lm\/m from now on/)).toBeVisible();
  await expect
    .poll(async () => Number.parseFloat((await figure(page, 'mean luminance').textContent()) ?? '') / before)
    .toBeCloseTo(0.9, 1);
});

test('calipers on a coupon give the width of a cut, and set-ups and sheets use it', async ({ page, shop }) => {
  await visit(page, `${shop.url}/shelf`);
  await page.getByRole('button', { name: 'Measure Laser, 0.2 mm beam', exact: true }).click();
  const dialog = page.getByRole('dialog');
  const saved = page.waitForEvent('download');
  await dialog.getByRole('button', { name: 'Coupon, SVG' }).click();
  expect((await saved).suggestedFilename()).toBe('kerf-coupon.svg');
  await dialog.getByLabel('Piece, reading 1').fill('40,2');
  await dialog.getByLabel('Hole, reading 1').fill('39,8');
  await expect(dialog.getByRole('alert')).toContainText('swapped');
  await dialog.getByLabel('Piece, reading 1').fill('39,75');
  await dialog.getByLabel('Hole, reading 1').fill('40,05');
  await expect(dialog.getByTestId('fit')).toContainText('It cuts 0.15 mm wide');
  await expect(dialog).toContainText('too small over 40 mm');
  await dialog.getByRole('button', { name: 'Use it from now on' }).click();
  await expect(page.getByRole('row', { name: /^Laser, 0.2 mm beam 0.15 mm/ })).toContainText('measured');

  // In wood the beam cuts wider, and that counts there alone.
  await page.getByRole('button', { name: 'Measure Laser, 0.2 mm beam', exact: true }).click();
  await choose(dialog.getByLabel('Cut in'), 'wood');
  await dialog.getByLabel('Piece, reading 1').fill('39.7');
  await dialog.getByLabel('Hole, reading 1').fill('40.2');
  await dialog.getByRole('button', { name: 'Use it from now on' }).click();
  await expect(page.getByRole('row', { name: /^Laser, 0.2 mm beam 0.15 mm; wood 0.25 mm/ })).toBeVisible();

  // A saw has no coupon: an offcut is sawn in two.
  await page.getByRole('button', { name: 'Measure Saw blade 250 mm', exact: true }).click();
  await dialog.getByLabel('Whole, reading 1').fill('200');
  await dialog.getByLabel('Halves, reading 1').fill('197.4');
  await dialog.getByRole('button', { name: 'Use it from now on' }).click();
  await expect(page.getByRole('row', { name: /^Saw blade 250 mm 2.6 mm/ })).toContainText('measured');

  await openJob(page, shop, 'Dispensary', 'cut');
  await page.getByRole('radio', { name: 'Set-ups' }).click();
  const setUps = page.getByRole('region', { name: 'Set-ups' });
  await expect(setUps.getByRole('listitem').filter({ hasText: 'rip to width' })).toContainText('Saw blade 250 mm');
  await expect(setUps.getByRole('img').first()).toBeVisible();

  await visit(page, `${shop.url}/shelf`);
  for (const name of ['Laser, 0.2 mm beam', 'Saw blade 250 mm']) {
    await page.getByRole('button', { name: `Measure ${name}`, exact: true }).click();
    await dialog.getByRole('button', { name: 'Go back to the typical figures' }).click();
    await expect(page.getByRole('row', { name: new RegExp(`^${name}`) })).toContainText('typical');
  }
});
