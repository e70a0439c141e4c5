import { ConflictException, Injectable, NotFoundException } from '@nestjs/common';
import type { ImportReport, ItemChanged, ShelfItemView } from '@vitrum/contract';
import {
  catalogueKinds,
  freeItemId,
  itemDifferences,
  isCurrent,
  readCatalogue,
  readItem,
  readShelfCsv,
  type CatalogueKind,
  type ShelfItem,
  type WrittenItem,
} from '@vitrum/core';
import { and, arrayContains, eq, max, sql } from 'drizzle-orm';
import { badRequest } from '../common/problems.js';
import { DatabaseService, type Transaction } from '../database/database.module.js';
import { catalogueItems, revisions } from '../database/schema.js';

interface Row {
  readonly item: ShelfItem;
  readonly version: number;
  readonly place: number;
}

const today = (): string => new Date().toISOString().slice(0, 10);

const noSuchItem = (kind: string, id: string): NotFoundException =>
  new NotFoundException(`There is no “${id}” among the ${kind}.`);

/** A list of the shelf by its name; fails where there is none. */
export const shelfKindOf = (kind: string): CatalogueKind => {
  const known = catalogueKinds.find((each) => each === kind);
  if (known === undefined)
    throw new NotFoundException(`The shelf has no list “${kind}”; there is ${catalogueKinds.join(', ')}.`);
  return known;
};

/** Changes of the shelf by the shop. An item that a design names is never changed: another takes its place, and it stays for those designs. */
@Injectable()
export class ShelfService {
  constructor(private readonly database: DatabaseService) {}

  async view(kind: CatalogueKind, id: string): Promise<ShelfItemView> {
    return this.database.steady(async (db) => {
      const { item, version } = await this.row(db, kind, id);
      const [used] = await db
        .select({ jobs: sql<number>`count(distinct ${revisions.jobId})::int` })
        .from(revisions)
        .where(arrayContains(revisions.items, [id]));
      return { kind, item, version, jobs: used?.jobs ?? 0 };
    });
  }

  /** A new item from what was typed, over another where it is a copy of that. */
  async add(kind: CatalogueKind, figures: WrittenItem, copyOf?: string): Promise<ShelfItem> {
    return this.database.transaction(async (transaction) => {
      const taken = await this.ids(transaction);
      const base = copyOf === undefined ? {} : (await this.row(transaction, kind, copyOf)).item;
      const { retiredOn: _r, newerId: _n, lineId: _l, measured: _m, ...kept } = base as Partial<ShelfItem>;
      const id = freeItemId(figures['name'] ?? '', taken);
      const read = readItem(kind, figures, { ...kept, id, provenance: 'typical', editedOn: today() });
      if (!read.ok) throw badRequest(inBody(read.problems));
      return this.insert(transaction, kind, read.value);
    });
  }

  /** An item changed by what was typed, from the version that was looked at. */
  async change(kind: CatalogueKind, id: string, figures: WrittenItem, version: number): Promise<ItemChanged> {
    return this.database.transaction(async (transaction) => {
      const row = await this.row(transaction, kind, id, true);
      if (row.version !== version)
        throw new ConflictException({
          message: `${row.item.name} was changed elsewhere in the meantime; look at it once more, then change it.`,
          item: row.item,
          version: row.version,
        });
      if (row.item.newerId !== undefined)
        throw new ConflictException({
          message: `${row.item.name} is kept for the designs that have it; change what stands in its place.`,
          item: row.item,
          version: row.version,
        });
      const read = readItem(kind, figures, row.item);
      if (!read.ok) throw badRequest(inBody(read.problems));
      return this.put(transaction, kind, row, read.value);
    });
  }

  /** An item that is no longer offered, or is again; designs that have it keep it. */
  async retire(kind: CatalogueKind, id: string, retired: boolean): Promise<ShelfItem> {
    return this.database.transaction(async (transaction) => {
      const { item } = await this.row(transaction, kind, id, true);
      const { retiredOn: _, ...offered } = item;
      return this.write(transaction, kind, retired ? { ...offered, retiredOn: item.retiredOn ?? today() } : offered);
    });
  }

  /** What a file would do to a list, and, where it is to be taken, does. */
  async import(kind: CatalogueKind, text: string, apply: boolean): Promise<ImportReport> {
    return this.database.transaction(async (transaction) => {
      const rows = await this.list(transaction, kind);
      const offered = rows.filter(({ item }) => isCurrent(item)).map(({ item }) => item);
      const read = readShelfCsv(kind, text, offered as never, await this.ids(transaction));
      if (apply) {
        for (const item of read.added as readonly ShelfItem[])
          await this.insert(transaction, kind, { ...item, editedOn: today() });
        for (const { item } of read.changed as readonly { readonly item: ShelfItem }[])
          await this.put(
            transaction,
            kind,
            rows.find((row) => row.item.id === item.id)!,
            item,
          );
      }
      return {
        added: (read.added as readonly ShelfItem[]).map(({ id, name }) => ({ id, name })),
        changed: (
          read.changed as readonly {
            readonly item: ShelfItem;
            readonly differences: ReturnType<typeof itemDifferences>;
          }[]
        ).map(({ item: { id, name }, differences }) => ({ id, name, differences })),
        same: read.same,
        unknownColumns: read.unknownColumns,
        complaints: read.complaints,
        applied: apply,
      };
    });
  }

  /** In place where no design has it; else beside it, and it stays as it was. */
  private async put(transaction: Transaction, kind: CatalogueKind, row: Row, changed: ShelfItem): Promise<ItemChanged> {
    if (itemDifferences(kind, row.item, changed).length === 0) return { item: row.item, kept: null };
    const edited = { ...changed, editedOn: today() };
    if (!(await this.isUsed(transaction, row.item.id)))
      return { item: await this.write(transaction, kind, edited), kept: null };
    const lineId = row.item.lineId ?? row.item.id;
    const taken = await this.ids(transaction);
    let number = 2;
    while (taken.has(`${lineId}--${number}`)) number += 1;
    const newer = await this.insert(transaction, kind, { ...edited, id: `${lineId}--${number}`, lineId }, row.place);
    const kept = await this.write(transaction, kind, { ...row.item, newerId: newer.id });
    return { item: newer, kept };
  }

  private async isUsed(transaction: Transaction, id: string): Promise<boolean> {
    const [any] = await transaction
      .select({ id: revisions.id })
      .from(revisions)
      .where(arrayContains(revisions.items, [id]))
      .limit(1);
    return any !== undefined;
  }

  private async ids(transaction: Transaction): Promise<ReadonlySet<string>> {
    const rows = await transaction.select({ id: catalogueItems.id }).from(catalogueItems);
    return new Set(rows.map(({ id }) => id));
  }

  private async list(db: Pick<Transaction, 'select'>, kind: CatalogueKind): Promise<readonly Row[]> {
    const rows = await db.select().from(catalogueItems).where(eq(catalogueItems.kind, kind));
    const { catalogue } = readCatalogue(rows);
    const byId = new Map((catalogue[kind] as readonly ShelfItem[]).map((item) => [item.id, item]));
    return rows.flatMap(({ id, version, place }): readonly Row[] => {
      const item = byId.get(id);
      return item === undefined ? [] : [{ item, version, place }];
    });
  }

  private async row(db: Pick<Transaction, 'select'>, kind: CatalogueKind, id: string, held = false): Promise<Row> {
    const query = db
      .select()
      .from(catalogueItems)
      .where(and(eq(catalogueItems.kind, kind), eq(catalogueItems.id, id)));
    const [found] = held ? await query.for('update') : await query;
    if (found === undefined) throw noSuchItem(kind, id);
    const item = (readCatalogue([found]).catalogue[kind] as readonly ShelfItem[]).find((each) => each.id === id);
    if (item === undefined) throw noSuchItem(kind, id);
    return { item, version: found.version, place: found.place };
  }

  private async insert(
    transaction: Transaction,
    kind: CatalogueKind,
    item: ShelfItem,
    place?: number,
  ): Promise<ShelfItem> {
    const [last] = await transaction
      .select({ place: max(catalogueItems.place) })
      .from(catalogueItems)
      .where(eq(catalogueItems.kind, kind));
    await transaction
      .insert(catalogueItems)
      .values({ kind, id: item.id, place: place ?? (last?.place ?? 0) + 1, data: item });
    return item;
  }

  private async write(transaction: Transaction, kind: CatalogueKind, item: ShelfItem): Promise<ShelfItem> {
    await transaction
      .update(catalogueItems)
      .set({ data: item, version: sql`${catalogueItems.version} + 1` })
      .where(and(eq(catalogueItems.kind, kind), eq(catalogueItems.id, item.id)));
    return item;
  }
}

const inBody = (problems: readonly { readonly path: string; readonly message: string }[]) =>
  problems.map(({ path, message }) => ({ path: `figures.${path}`, message }));
