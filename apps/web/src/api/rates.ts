import type { RatesView } from '@vitrum/contract';
import type { LayerColours, Rates } from '@vitrum/core';
import { request } from './client';

/** What the shop reckons with as it is now, with its version. */
export const getRates = (): Promise<RatesView> => request('/catalogue/rates');

/** Changes it from the version that was looked at. */
export const changeRates = (
  rates: Omit<Rates, 'learnedTimes' | 'machineColours'> & { readonly machineColours: Partial<LayerColours> },
  version: number,
): Promise<RatesView> =>
  request('/catalogue/rates', {
    method: 'PUT',
    headers: { 'If-Match': `"${version}"` },
    body: JSON.stringify(rates),
  });
