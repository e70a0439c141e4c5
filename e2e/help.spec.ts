import { expect, openFindings, openJob, lit, test, visit } from './support/shop';

const steps = ['brief', 'artwork', 'case', 'light', 'power', 'face', 'hang'];

/** Steps without fields: what is seen of a clear sheet is not chosen, and what stands on its own base hangs by nothing. */
const without: Readonly<Record<string, readonly string[]>> = {
  Dispensary: [],
  Curlew: [],
  Tern: [],
  Feather: ['face'],
  'Quiet room': ['face', 'hang'],
  'Ferry counter': ['face', 'hang'],
};

for (const [name, fieldless] of Object.entries(without))
  test(`every field of ${name} says what it is, how it is measured or what is usual`, async ({ page, shop }) => {
    const id = await openJob(page, shop, name, 'brief');
    for (const step of steps.filter((each) => !fieldless.includes(each))) {
      // What fields say does not wait for what would help; it comes a moment after them.
      await visit(page, `${shop.url}/jobs/${id}/${step}`);
      await expect(page.locator('aside label[for]').first()).toBeVisible();
      const dumb = (): Promise<string[]> =>
        page
          .locator('aside label[for]')
          .evaluateAll((labels) =>
            (labels as HTMLLabelElement[])
              .filter(
                ({ htmlFor, className }) => className === '' && document.getElementById(`${htmlFor}-help`) === null,
              )
              .map(({ textContent, htmlFor }) =>
                [textContent, document.getElementById(htmlFor)?.tagName ?? ''].join(' '),
              ),
          );
      await expect.poll(dumb, step).toEqual([]);
    }
  });

test('help stands beside the field that is gone to, and F1 switches it off for good', async ({ page, shop }) => {
  await openJob(page, shop, 'Dispensary', 'case');
  await page.getByRole('textbox', { name: 'Depth inside' }).focus();
  const card = page.getByRole('dialog', { name: 'About Depth inside' });
  await expect(card).toContainText('Measure:');
  await expect(card).toContainText('Usual:');
  await expect(page.getByRole('textbox', { name: 'Depth inside' })).toBeFocused();
  await page.keyboard.press('F1');
  await expect(card).toHaveCount(0);
  await page.reload();
  await lit(page);
  await page.getByRole('textbox', { name: 'Depth inside' }).focus();
  await page.waitForTimeout(900);
  await expect(card).toHaveCount(0);
});

test('help goes with its field when the browser goes back', async ({ page, shop }) => {
  await openJob(page, shop, 'Dispensary', 'brief');
  await page.getByRole('navigation', { name: 'Work line' }).getByRole('link').nth(2).click();
  await expect(page).toHaveURL(/\/case$/);
  await page.getByRole('textbox', { name: 'Depth inside' }).focus();
  const card = page.getByRole('dialog', { name: 'About Depth inside' });
  await expect(card).toBeVisible();
  await page.goBack();
  await expect(page).toHaveURL(/\/brief$/);
  await expect(page.getByRole('textbox', { name: 'Depth inside' })).toHaveCount(0);
  await expect(card).toHaveCount(0);
});

test('a list that is open keeps its Escape, however long help has had to come', async ({ page, shop }) => {
  await openJob(page, shop, 'Dispensary', 'face');
  const list = page.getByLabel('Face', { exact: true });
  await list.focus();
  await expect(page.getByRole('dialog', { name: 'About Face' })).toBeVisible();
  await list.press('Enter');
  await expect(page.getByRole('listbox')).toBeVisible();
  await page.waitForTimeout(900);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('listbox')).toHaveCount(0);
  await expect(list).toBeFocused();
});

test('a field, a finding and an action are found by a few letters', async ({ page, shop }) => {
  await openJob(page, shop, 'Dispensary', 'brief');
  await page.keyboard.press('/');
  await page.getByPlaceholder(/A field, a finding/).fill('seat');
  await page.getByRole('option', { name: /Seat depth/ }).click();
  await expect(page).toHaveURL(/\/case$/);
  await expect(page.getByRole('textbox', { name: 'Seat depth' })).toBeFocused();
  await page.keyboard.press('Tab');
  await page.locator('body').click({ position: { x: 5, y: 5 } });
  await page.keyboard.press('/');
  await page.getByPlaceholder(/A field, a finding/).fill('rows show');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('article').filter({ hasText: 'The rows show as bands' })).toBeVisible();
  await page.getByRole('button', { name: 'Find', exact: true }).click();
  await page.getByPlaceholder(/A field, a finding/).fill('inches');
  await page.keyboard.press('Enter');
  await page.getByRole('link', { name: /^Case/ }).click();
  await expect(page.getByRole('textbox', { name: 'Outside width' })).toHaveValue(/in$|"$/);
});

test('each build has a page in the guide, with its pictures, and begins a job from there', async ({ page, shop }) => {
  await visit(page, `${shop.url}/guide`);
  await expect(page.getByRole('heading', { level: 1, name: 'How to work with Vitrum' })).toBeVisible();
  for (const name of ['Light box', 'Halo letters', 'Face-lit letters']) {
    await page.getByRole('navigation', { name: 'Guide' }).getByRole('link', { name }).click();
    await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Order of work' })).toBeVisible();
    const pictures = page.getByRole('main').getByRole('img');
    await expect(pictures).toHaveCount(2);
    for (const picture of await pictures.all())
      await expect.poll(() => picture.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBeGreaterThan(300);
  }
  await page.getByRole('link', { name: 'Begin one' }).click();
  await expect(page.getByRole('radio', { name: 'Face-lit letters' })).toBeChecked();
});

test('an applied remedy is told of, and taken back from there', async ({ page, shop }) => {
  await openFindings(page, shop, 'Dispensary', 'face');
  await page
    .getByRole('button', { name: /^Apply: / })
    .first()
    .click();
  const notice = page.getByText(/^Applied: /).first();
  await expect(notice).toBeVisible();
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByText(/bands from 3 m/).first()).toBeVisible();
  await expect(page.getByRole('button', { name: 'Redo' })).toBeEnabled();
});
