import { Injectable } from '@nestjs/common';
import { shippedCatalogue, type Catalogue, type CatalogueKind } from '@vitrum/core';
import { asc, sql } from 'drizzle-orm';
import { DatabaseService } from '../database/database.module.js';
import { catalogueItems } from '../database/schema.js';

const kinds = Object.keys(shippedCatalogue).filter((key): key is CatalogueKind => key !== 'rates');

/** The shop’s catalogue, one row an item. */
@Injectable()
export class CatalogueService {
  constructor(private readonly database: DatabaseService) {}

  /**
   * Adds shipped items that are not there yet, and brings those still marked typical up to date; what the shop has
   * measured stays.
   */
  async seed(): Promise<void> {
    const items = kinds.flatMap((kind) =>
      shippedCatalogue[kind].map((item, place) => ({ kind, id: item.id, place, data: item })),
    );
    await this.database.db
      .insert(catalogueItems)
      .values(items)
      .onConflictDoUpdate({
        target: [catalogueItems.kind, catalogueItems.id],
        set: { data: sql`excluded.data`, place: sql`excluded.place` },
        setWhere: sql`${catalogueItems.data} ->> 'provenance' = 'typical'`,
      });
    await this.database.db
      .insert(catalogueItems)
      .values({ kind: 'rates', id: 'rates', place: 0, data: shippedCatalogue.rates })
      .onConflictDoNothing();
  }

  async read(): Promise<Catalogue> {
    const rows = await this.database.db
      .select()
      .from(catalogueItems)
      .orderBy(asc(catalogueItems.kind), asc(catalogueItems.place));
    const listed = Object.fromEntries(
      kinds.map((kind) => [kind, rows.filter((row) => row.kind === kind).map(({ data }) => data)]),
    );
    const rates = rows.find(({ kind }) => kind === 'rates')?.data ?? shippedCatalogue.rates;
    return { ...listed, rates } as unknown as Catalogue;
  }
}
