import type { ShopFileReport } from '@vitrum/contract';
import { request } from './client';

/** Where the whole shop is taken out as one file. */
export const shopFileAddress = '/api/shop/file';

/** A whole shop may take its time to be read (ms). */
const patienceMs = 300_000;

/** Reads a shop’s file back: what is not there yet is added, all of it or nothing. */
export const putShopFile = (file: Blob): Promise<ShopFileReport> =>
  request('/shop/file', {
    method: 'POST',
    headers: { 'content-type': 'application/octet-stream' },
    body: file,
    signal: AbortSignal.timeout(patienceMs),
  });
