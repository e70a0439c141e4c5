import { Injectable, Logger, NotFoundException } from '@nestjs/common';
import { MeasuredDto } from '@vitrum/contract';
import {
  catalogueKinds,
  readCatalogue,
  shippedCatalogue,
  withMeasured,
  type Catalogue,
  type MeasurableKind,
} from '@vitrum/core';
import { and, asc, eq, sql } from 'drizzle-orm';
import { badRequest } from '../common/problems.js';
import { DatabaseService } from '../database/database.module.js';
import { catalogueItems } from '../database/schema.js';

/** The shop’s catalogue, one row an item. */
@Injectable()
export class CatalogueService {
  private readonly log = new Logger(CatalogueService.name);
  private last: { readonly key: string; readonly catalogue: Catalogue } | null = null;

  constructor(private readonly database: DatabaseService) {}

  /**
   * Adds shipped items that are not there yet, and brings those still marked typical up to date; what the shop has
   * measured stays.
   */
  async seed(): Promise<void> {
    const items = catalogueKinds.flatMap((kind) =>
      shippedCatalogue[kind].map((item, place) => ({ kind, id: item.id, place, data: item })),
    );
    await this.database.db
      .insert(catalogueItems)
      .values(items)
      .onConflictDoUpdate({
        target: [catalogueItems.kind, catalogueItems.id],
        set: {
          data: sql`excluded.data`,
          place: sql`excluded.place`,
          version: sql`${catalogueItems.version} + 1`,
        },
        // What the shop has changed, retired or followed by another is its own.
        setWhere: sql`(${catalogueItems.data}, ${catalogueItems.place}) is distinct from (excluded.data, excluded.place) and ${catalogueItems.data} ->> 'provenance' = 'typical' and not (${catalogueItems.data} ?| array['editedOn', 'retiredOn', 'newerId'])`,
      });
    await this.database.db
      .insert(catalogueItems)
      .values({ kind: 'rates', id: 'rates', place: 0, data: shippedCatalogue.rates })
      .onConflictDoNothing();
  }

  private async find<Kind extends MeasurableKind>(kind: Kind, id: string): Promise<Catalogue[Kind][number]> {
    const found = (await this.read())[kind].find((item) => item.id === id);
    if (found === undefined) throw new NotFoundException(`There is no “${id}” among the ${kind}.`);
    return found;
  }

  private async put(kind: MeasurableKind, id: string, data: object): Promise<object> {
    await this.database.steady((db) =>
      db
        .update(catalogueItems)
        .set({ data, version: sql`${catalogueItems.version} + 1` })
        .where(and(eq(catalogueItems.kind, kind), eq(catalogueItems.id, id))),
    );
    return data;
  }

  /** Measured figures in place of typical ones; readings of other figures of the item stay. */
  async measure(kind: MeasurableKind, id: string, request: MeasuredDto): Promise<object> {
    const { figures, on, how, readings, errorShare } = request;
    const item = await this.find(kind, id);
    const changed = withMeasured(kind, item, figures, { on, how, readings, errorShare });
    if (!changed.ok) throw badRequest(changed.problems);
    return this.put(kind, id, changed.value);
  }

  /** Back to what ships with the program. */
  async forget(kind: MeasurableKind, id: string): Promise<object> {
    await this.find(kind, id);
    const shipped = shippedCatalogue[kind].find((item) => item.id === id);
    if (shipped === undefined) throw new NotFoundException(`“${id}” has no typical figures to go back to.`);
    return this.put(kind, id, shipped);
  }

  /** The whole catalogue; the same object as long as nothing on the shelf has changed. */
  async read(): Promise<Catalogue> {
    // Every write of a row gives it the number of its transaction, in place of an older one.
    const [state] = await this.database.steady((db) =>
      db
        .select({ key: sql<string>`count(*)::text || ' ' || coalesce(sum(xmin::text::bigint), 0)::text` })
        .from(catalogueItems),
    );
    const key = state?.key ?? '';
    if (this.last?.key !== key) this.last = { key, catalogue: await this.fetch() };
    return this.last.catalogue;
  }

  private async fetch(): Promise<Catalogue> {
    const rows = await this.database.steady((db) =>
      db.select().from(catalogueItems).orderBy(asc(catalogueItems.kind), asc(catalogueItems.place)),
    );
    const { catalogue, problems } = readCatalogue(rows);
    for (const { path, message } of problems) this.log.warn(`the catalogue’s ${path} ${message}; what ships is used`);
    return catalogue;
  }
}
