import type {
  JobStockView,
  LotView,
  ShoppingView,
  StockDone,
  StockEntryDto,
  StockEntryView,
  StockLineView,
} from '@vitrum/contract';
import { request } from './client';

const json = (body: unknown): string => JSON.stringify(body);

/** An operation of stock, without the id that it is given when it is first sent. */
export type StockEntry = Omit<StockEntryDto, 'op'>;

export const getStock = (): Promise<readonly StockLineView[]> => request('/stock');

export const getLots = (kind: string, lineId: string): Promise<readonly LotView[]> =>
  request(`/stock/lots?kind=${kind}&line=${encodeURIComponent(lineId)}`);

/** The ledger, the latest first, from before the entry of that number on. */
export const getEntries = (before: number | null, lotId: string | null = null): Promise<readonly StockEntryView[]> =>
  request(
    `/stock/entries?${new URLSearchParams({ ...(before === null ? {} : { before: `${before}` }), ...(lotId === null ? {} : { lot: lotId }) }).toString()}`,
  );

/** Enters what became of stock; sent again with the same `op` it counts once. */
export const enterStock = (op: string, entry: StockEntry): Promise<StockDone> =>
  request('/stock/entries', { method: 'POST', body: json({ op, ...entry }) });

export const getShopping = (): Promise<ShoppingView> => request('/stock/shopping');

export const getJobStock = (jobId: string): Promise<JobStockView> => request(`/stock/jobs/${jobId}`);

/** Keeps for a job what it takes, gives that up, or takes it from stock; then what is left of sheets may lie there again. */
export const claimStock = (
  jobId: string,
  what: 'claim' | 'release' | 'use',
  op: string,
  keepLeft = false,
): Promise<JobStockView> =>
  request(`/stock/jobs/${jobId}/${what}`, { method: 'POST', body: json({ op, ...(keepLeft ? { keepLeft } : {}) }) });
