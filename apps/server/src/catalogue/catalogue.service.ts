import { Injectable } from '@nestjs/common';
import { shippedCatalogue, type Catalogue, type CatalogueKind } from '@vitrum/core';
import { asc } from 'drizzle-orm';
import { DatabaseService } from '../database/database.module.js';
import { catalogueItems } from '../database/schema.js';

const kinds = Object.keys(shippedCatalogue).filter((key): key is CatalogueKind => key !== 'rates');

/** The shop’s catalogue, one row an item. */
@Injectable()
export class CatalogueService {
  constructor(private readonly database: DatabaseService) {}

  /** Adds shipped items that are not there yet; what the shop has changed stays. */
  async seed(): Promise<void> {
    const items = kinds.flatMap((kind) =>
      shippedCatalogue[kind].map((item, place) => ({ kind, id: item.id, place, data: item })),
    );
    await this.database.db
      .insert(catalogueItems)
      .values([...items, { kind: 'rates', id: 'rates', place: 0, data: shippedCatalogue.rates }])
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
