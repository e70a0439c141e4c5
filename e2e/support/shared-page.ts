import { expect, type Browser, type BrowserContextOptions, type Page } from '@playwright/test';

/** A page of the app that is about nothing, and soon there. */
const nowhere = '/between-two-pages';

/** As the browser does when it goes back or forward: the app shows another page and is not loaded anew. */
const follow = (page: Page, path: string): Promise<void> =>
  page.evaluate((to) => {
    history.pushState({}, '', to);
    dispatchEvent(new PopStateEvent('popstate', { state: {} }));
  }, path);

const leave = async (page: Page): Promise<void> => {
  await follow(page, nowhere);
  await expect(page).toHaveURL(new RegExp(nowhere));
  await expect(page.getByRole('heading', { name: 'Not found' })).toBeVisible();
};

const isOn = (page: Page, url: string): boolean => page.url().startsWith(`${new URL(url).origin}/`);

/**
 * Goes to a page of the app: within it, as by a link, where the app is up already; what stood there before is gone then. A
 * browser that is not there yet loads it, with threads that begin cold and take three times as long for the first job.
 */
export const visit = async (page: Page, url: string): Promise<void> => {
  if (!isOn(page, url)) {
    await page.goto(url);
    return;
  }
  await leave(page);
  const { pathname, search } = new URL(url);
  await follow(page, `${pathname}${search}`);
};

/**
 * A page that the tests of a run share, so that its threads have worked before. Each finds it with nothing chosen; what the
 * browser keeps of the jobs of others stays.
 */
export class SharedPage {
  private page: Page | null = null;

  constructor(
    private readonly browser: Browser,
    private readonly url: string,
  ) {}

  async take(options: BrowserContextOptions): Promise<Page> {
    const page = this.page ?? (await (await this.browser.newContext(options)).newPage());
    this.page = page;
    if (options.viewport) await page.setViewportSize(options.viewport);
    return page;
  }

  /** After a test: what it was about is left, and what it chose forgotten. */
  async rest(): Promise<void> {
    const { page } = this;
    if (page === null) return;
    if (page.isClosed() || !isOn(page, this.url)) return this.close();
    await page.mouse.move(0, 0);
    await page.emulateMedia({ media: null });
    await leave(page);
    await page.evaluate(() => {
      sessionStorage.clear();
      localStorage.clear();
      // What another tab hears of that.
      dispatchEvent(new StorageEvent('storage', { key: null }));
    });
  }

  async close(): Promise<void> {
    const { page } = this;
    this.page = null;
    await page?.context().close();
  }
}
