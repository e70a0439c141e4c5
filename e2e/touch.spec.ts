import type { Page } from '@playwright/test';
import { expect, openFindings, openJob, test } from './support/shop';

type Place = readonly [number, number];

/** Fingers on the glass, moved together from where they are put down to where they are lifted. */
const moveFingers = async (page: Page, from: readonly Place[], to: readonly Place[]): Promise<void> => {
  const devtools = await page.context().newCDPSession(page);
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', fingers: readonly Place[]) =>
    devtools.send('Input.dispatchTouchEvent', { type, touchPoints: fingers.map(([x, y], id) => ({ x, y, id })) });
  await touch('touchStart', from);
  const steps = 6;
  for (let step = 1; step <= steps; step += 1)
    await touch(
      'touchMove',
      from.map(([x, y], finger) => {
        const [endX, endY] = to[finger]!;
        return [x + ((endX - x) * step) / steps, y + ((endY - y) * step) / steps];
      }),
    );
  await touch('touchEnd', []);
  await devtools.detach();
};

test.describe('on glass', () => {
  test.use({ viewport: { width: 820, height: 1180 }, hasTouch: true });

  test('two fingers draw the front larger about what lies between them, and move it along', async ({ page, shop }) => {
    await openJob(page, shop, 'Dispensary', 'face');
    const front = (await page.getByRole('group', { name: /^Front of the sign/ }).boundingBox())!;
    const [x, y]: Place = [front.x + front.width / 2, front.y + front.height / 2];
    const face = async () => (await page.getByTestId('face').boundingBox())!;
    const fitted = await face();
    await moveFingers(
      page,
      [
        [x - 50, y],
        [x + 50, y],
      ],
      [
        [x - 100, y],
        [x + 100, y],
      ],
    );
    await expect.poll(async () => (await face()).width / fitted.width).toBeCloseTo(2, 1);
    const larger = await face();
    expect(larger.x + larger.width / 2).toBeCloseTo(fitted.x + fitted.width / 2, -1);
    await moveFingers(
      page,
      [
        [x - 50, y],
        [x + 50, y],
      ],
      [
        [x + 10, y + 30],
        [x + 110, y + 30],
      ],
    );
    await expect.poll(async () => (await face()).x - larger.x).toBeCloseTo(60, -1);
    const moved = await face();
    expect(moved.y - larger.y).toBeCloseTo(30, -1);
    expect(moved.width).toBeCloseTo(larger.width, -1);
    // One finger moves it too, and lets go of it when it is lifted.
    await moveFingers(page, [[x, y]], [[x - 40, y]]);
    await expect.poll(async () => (await face()).x - moved.x).toBeCloseTo(-40, -1);
  });

  test('findings lie under the picture, in sight where the page opens', async ({ page, shop }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await openFindings(page, shop, 'Dispensary', 'face');
    await expect(page.getByText('The rows show as bands from 3 m')).toHaveCount(1);
    await expect(page.getByText('The rows show as bands from 3 m')).toBeInViewport();
    await expect(page.getByRole('button', { name: 'Apply' }).first()).toBeInViewport();
  });
});
