import type { Page } from '@playwright/test';
import type { JobStockView, JobView } from '@vitrum/contract';
import { shippedCatalogue, type Design } from '@vitrum/core';

const noStock: JobStockView = { claimed: false, known: true, needs: [], shorts: [], lines: [], laid: [] };

/** A server of one job that is kept in memory: for pages whose build no server knows. */
export const jobInMemory = async (page: Page): Promise<void> => {
  let design: Design | null = null;
  let number = 1;
  const job = (): JobView => ({
    id: 'one',
    name: design?.name ?? '',
    customer: '',
    status: 'quoted',
    dueOn: null,
    archived: false,
    template: false,
    handedOverOn: null,
    cared: {},
    quoted: null,
    updatedAt: '2030-01-01T00:00:00Z',
    revision: number,
    summary: null,
    summaryOf: null,
    head: {
      number,
      parent: null,
      hash: `h${number}`,
      savedAt: '2030-01-01T00:00:00Z',
      note: '',
      setAside: false,
      design: design!,
    },
  });
  await page.route('**/api/**', async (route) => {
    const request = route.request();
    const sent = (request.postDataJSON() ?? {}) as { readonly design?: Design };
    if (request.url().endsWith('/catalogue')) return route.fulfill({ json: shippedCatalogue });
    if (request.url().endsWith('/lessons')) return route.fulfill({ json: [] });
    if (request.url().includes('/stock/jobs/')) return route.fulfill({ json: noStock });
    if (sent.design !== undefined) {
      design = sent.design;
      number += 1;
    }
    return route.fulfill({ json: request.method() === 'PUT' ? job().head : job() });
  });
};
