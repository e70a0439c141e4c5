import type { LotView } from '@vitrum/contract';
import { stockUnit, type Catalogue, type CatalogueKind, type Lot, type ShelfItem } from '@vitrum/core';
import type { stockLots } from '../database/schema.js';

export type LotRow = typeof stockLots.$inferSelect;

/** What things are called that stock is kept of: the newest of each line. */
export const namesOf = (catalogue: Catalogue): ((kind: string, lineId: string) => string) => {
  const names = new Map<string, string>();
  for (const [kind, list] of Object.entries(catalogue))
    if (Array.isArray(list))
      for (const { id, lineId, name, newerId } of list as readonly ShelfItem[])
        if (newerId === undefined || !names.has(`${kind} ${lineId ?? id}`)) names.set(`${kind} ${lineId ?? id}`, name);
  return (kind, lineId) => names.get(`${kind} ${lineId}`) ?? lineId;
};

export const lotView = (row: LotRow, nameOf: (kind: string, lineId: string) => string): LotView => ({
  id: row.id,
  kind: row.kind as CatalogueKind,
  lineId: row.lineId,
  name: nameOf(row.kind, row.lineId),
  form: row.form,
  unit: stockUnit(row.kind as CatalogueKind),
  amount: row.amount,
  widthMm: row.widthMm,
  heightMm: row.heightMm,
  openedOn: row.openedOn,
  madeAt: row.madeAt.toISOString(),
});

/** A lot as the core takes it. */
export const asLot = ({ id, kind, lineId, form, amount, widthMm, heightMm }: LotRow): Lot => ({
  id,
  kind: kind as CatalogueKind,
  lineId,
  form,
  amount,
  ...(widthMm === null || heightMm === null ? {} : { sheetMm: [widthMm, heightMm] as const }),
});
