import { encode } from 'fast-png';
import { expect, openJob, test } from './support/shop';

/** A photograph of a lit face, a fifth in from the sides, that falls off to the right by `fallOff`. */
const photograph = (white: number, fallOff: number): Buffer => {
  const [width, height] = [800, 480];
  const data = new Uint8Array(width * height * 3).fill(12);
  for (let y = 120; y < 360; y += 1)
    for (let x = 160; x < 640; x += 1)
      data.fill(white * (1 - (fallOff * (x - 160)) / 480) ** 0.4545, 3 * (y * width + x), 3 * (y * width + x) + 3);
  return Buffer.from(encode({ width, height, data, channels: 3, depth: 8 }));
};

test('a photograph of the piece is measured for evenness, refused where it is clipped, and kept', async ({
  page,
  shop,
}) => {
  await openJob(page, shop, 'Rye', 'prove');
  const choose = (white: number, fallOff: number) =>
    page
      .getByLabel('Choose a photograph')
      .setInputFiles({ name: 'piece.png', mimeType: 'image/png', buffer: photograph(white, fallOff) });
  await choose(255, 0);
  const sheet = page.getByRole('dialog', { name: 'Evenness by photograph' });
  await sheet.getByRole('button', { name: 'Measure' }).click();
  await expect(sheet.getByRole('alert')).toContainText(/as white as a picture can be.*−1 EV/);
  await expect(sheet.getByRole('button', { name: 'Keep it with the job' })).toBeDisabled();
  await sheet.getByRole('button', { name: 'Close' }).click();

  await choose(190, 0.5);
  // A corner is off, and is brought back by the keys.
  const corner = sheet.getByRole('slider', { name: 'Upper left corner' });
  await corner.focus();
  await page.keyboard.press('Shift+ArrowLeft');
  await expect(corner).toHaveAttribute('aria-valuetext', '150, 120 pixels');
  await page.keyboard.press('Shift+ArrowRight');
  await sheet.getByRole('button', { name: 'Measure' }).click();
  const said = sheet.getByRole('region', { name: 'What the photograph says' });
  // Linear light falls from 1 to a half: two thirds of the mean at the end, less the rim and what is smoothed.
  await expect(said).toContainText(/Darkest place (6[6-9]|7[0-4]) % of the mean, computed \d+ %/);
  await expect(said.getByRole('img')).toHaveCount(2);
  await sheet.getByRole('button', { name: 'Keep it with the job' }).click();
  const took = page.getByRole('region', { name: 'What it took' });
  await expect(took.getByRole('img', { name: /^Darkest place/ })).toBeVisible();
  await page.reload();
  await expect(took.getByRole('img', { name: /^Darkest place/ })).toBeVisible({ timeout: 30_000 });
});
