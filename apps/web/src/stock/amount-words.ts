import type { CatalogueKind } from '@vitrum/core';

const plain = (value: number, digits = 2): string => `${Number(value.toFixed(digits)).toLocaleString('en')}`;

/** An amount of stock as it is said in the shop: metres of strip, sheets, litres. */
export const amountWords = (amount: number, unit: string): string => {
  if (unit === 'mm') return `${plain(amount / 1000)} m`;
  if (unit === 'sheet' || unit === 'bar' || unit === 'piece')
    return `${plain(amount)} ${unit}${amount === 1 ? '' : 's'}`;
  return `${plain(amount)} ${unit}`;
};

/** How long something takes from ordering until it is there. */
export const leadWords = (days: number | null): string =>
  days === null ? 'not said' : days === 0 ? 'same day' : `${days} ${days === 1 ? 'day' : 'days'}`;

const ones: Partial<Readonly<Record<CatalogueKind, string>>> = {
  strips: 'reel',
  paints: 'can',
  glues: 'tube',
  covers: 'length',
};

/** What is to be bought, as it is asked for over the counter: reels, sheets, tins, metres. */
export const pieceWords = (kind: CatalogueKind, pieces: number, unit: string): string => {
  if (kind === 'wires' || kind === 'films') return `${pieces} ${kind === 'wires' ? 'm' : 'm²'}`;
  const one = ones[kind] ?? (unit === 'sheet' || unit === 'bar' ? unit : 'piece');
  return `${pieces} ${one}${pieces === 1 ? '' : 's'}`;
};
