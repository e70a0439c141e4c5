import type { ConsoleMessage, Page } from '@playwright/test';
import { allBuilds } from '@vitrum/core';
import { jobInMemory } from './support/job-in-memory';
import { newBuildPage } from './support/new-build-page';
import { allTried, expect, lit, test, visit } from './support/shop';

const steps = ['brief', 'artwork', 'case', 'light', 'power', 'face', 'hang', 'cut', 'build', 'prove'];

/** Makes a job of a build, and walks its work line: each step shows itself, what is changed is lit anew, and its fixes tried. */
const walk = async (page: Page, url: string, words: string): Promise<void> => {
  const broken: string[] = [];
  const hearBroken = (error: Error): unknown => broken.push(error.message);
  const hearSaid = (message: ConsoleMessage): unknown => message.type() === 'error' && broken.push(message.text());
  page.on('pageerror', hearBroken).on('console', hearSaid);
  await visit(page, `${url}/jobs/new`);
  await page.getByLabel(words).check();
  await page.getByLabel('The sign says').fill('Inn');
  await page.getByRole('button', { name: 'Light it' }).click();
  await lit(page);
  const settings = page.getByRole('complementary', { name: 'Settings' });
  for (const [index, step] of steps.entries()) {
    // The tenth is 0, as it lies on the keys.
    await page.keyboard.press(String((index + 1) % 10));
    await expect(page).toHaveURL(new RegExp(`/${step}$`));
    const link = page.getByRole('navigation', { name: 'Work line' }).getByRole('link').nth(index);
    const name = (await link.locator('.font-bold').last().textContent())!;
    await expect(settings.getByRole('heading', { level: 2 }).first()).toHaveText(name);
    // More than the heading and the findings: what the step is about, once it is fetched.
    await expect.poll(async () => (await settings.innerText()).length).toBeGreaterThan(60);
  }
  await page.keyboard.press('3');
  const handle = page.getByTestId('depth-handle');
  const before = (await handle.getAttribute('aria-valuenow'))!;
  await handle.press('ArrowDown');
  await expect(handle).not.toHaveAttribute('aria-valuenow', before);
  await expect(page.getByTestId('profile')).toHaveAttribute('d', /^M\d/);
  await allTried(page);
  page.off('pageerror', hearBroken).off('console', hearSaid);
  expect(broken).toEqual([]);
};

for (const { words } of allBuilds)
  test(`the page opens on ${words.name.toLowerCase()} and shows every step`, async ({ page, shop }) => {
    await walk(page, shop.url, words.name);
  });

test('a build that is one folder and one line more opens the same way', async ({ browser }) => {
  // Its page is answered by no server.
  const page = await browser.newPage();
  const { url, close } = await newBuildPage();
  try {
    await jobInMemory(page);
    await walk(page, url, 'Lit disc');
  } finally {
    await page.close();
    await close();
  }
});
