import type { Page } from '@playwright/test';
import { expect, visit } from './shop';

/** The id of the job whose name begins so. */
export const jobOf = async (page: Page, url: string, name: string): Promise<string> => {
  const jobs = (await (await page.request.get(`${url}/api/jobs`)).json()) as { id: string; name: string }[];
  return jobs.find((job) => job.name.startsWith(name))!.id;
};

/** Opens bench mode of a job, and waits for its steps. */
export const openBench = async (page: Page, url: string, id: string): Promise<void> => {
  await visit(page, `${url}/jobs/${id}/bench`);
  await expect(page.getByRole('checkbox', { name: 'Done' })).toBeVisible({ timeout: 30_000 });
};
