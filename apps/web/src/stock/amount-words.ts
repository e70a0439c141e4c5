import type { CatalogueKind } from '@vitrum/core';

const plain = (value: number, digits = 2): string => `${Number(value.toFixed(digits)).toLocaleString('en')}`;

/** An amount of stock as it is said in the shop: metres of strip, sheets, litres. */
export const amountWords = (amount: number, unit: string): string => {
  if (unit === 'mm') return `${plain(amount / 1000)} m`;
  if (unit === 'sheet' || unit === 'bar') return `${plain(amount)} ${unit}${amount === 1 ? '' : 's'}`;
  if (unit === 'piece') return plain(amount);
  return `${plain(amount)} ${unit}`;
};

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

/** An id for an operation that has none yet; pages that are not served by a name of this machine have no ready-made one. */
export const operationId = (): string => {
  if (typeof crypto.randomUUID === 'function') return crypto.randomUUID();
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = (bytes[6]! & 0x0f) | 0x40;
  bytes[8] = (bytes[8]! & 0x3f) | 0x80;
  const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');
  return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20)].join('-');
};
