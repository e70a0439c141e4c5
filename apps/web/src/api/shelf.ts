import type { ImportReport, ItemChanged, ShelfItemView } from '@vitrum/contract';
import type { CatalogueKind, ShelfItem, WrittenItem } from '@vitrum/core';
import { request } from './client';

const json = (body: unknown): string => JSON.stringify(body);
const itemAt = (kind: CatalogueKind, id: string): string => `/catalogue/${kind}/items/${encodeURIComponent(id)}`;

/** An item as it is now, with its version and how many jobs have it. */
export const getItem = (kind: CatalogueKind, id: string): Promise<ShelfItemView> => request(itemAt(kind, id));

export const addItem = (kind: CatalogueKind, figures: WrittenItem, copyOf?: string): Promise<ShelfItem> =>
  request(`/catalogue/${kind}/items`, {
    method: 'POST',
    body: json({ figures, ...(copyOf === undefined ? {} : { copyOf }) }),
  });

/** Changes an item from the version that was looked at. */
export const changeItem = (
  kind: CatalogueKind,
  id: string,
  figures: WrittenItem,
  version: number,
): Promise<ItemChanged> =>
  request(itemAt(kind, id), { method: 'PUT', headers: { 'If-Match': `"${version}"` }, body: json({ figures }) });

/** No longer offers an item, or offers it again. */
export const offerItem = (kind: CatalogueKind, id: string, offered: boolean): Promise<ShelfItem> =>
  request(`${itemAt(kind, id)}/${offered ? 'offer' : 'retire'}`, { method: 'POST' });

/** What a file would do to a list; does it where it is to be taken. */
export const importList = (kind: CatalogueKind, text: string, apply: boolean): Promise<ImportReport> =>
  request(`/catalogue/${kind}/import`, { method: 'POST', body: json({ text, apply }) });
