import { Injectable } from '@nestjs/common';
import type { LotView, StockEntryView, StockLineView } from '@vitrum/contract';
import { stockUnit, type CatalogueKind } from '@vitrum/core';
import { and, desc, eq, gt, lt, sql } from 'drizzle-orm';
import { CatalogueService } from '../catalogue/catalogue.service.js';
import { DatabaseService } from '../database/database.module.js';
import { jobs, stockClaims, stockEntries, stockLots } from '../database/schema.js';
import { lotView, namesOf } from './lot-views.js';

const lotsAPage = 200;
const entriesAPage = 100;

/** What is shown of stock: what is there of each thing, its lots, and the ledger. */
@Injectable()
export class StockListsService {
  constructor(
    private readonly database: DatabaseService,
    private readonly catalogue: CatalogueService,
  ) {}

  /** Everything of which something is there, or to which a job has a claim. */
  async lines(): Promise<readonly StockLineView[]> {
    const [catalogue, rows, claims] = await Promise.all([
      this.catalogue.read(),
      this.database.steady((db) =>
        db
          .select({
            kind: stockLots.kind,
            lineId: stockLots.lineId,
            form: stockLots.form,
            lots: sql<number>`count(*) filter (where ${stockLots.amount} > 0)::int`,
            amount: sql<number>`sum(${stockLots.amount})`,
            largest: sql<number>`max(${stockLots.amount})`,
          })
          .from(stockLots)
          .groupBy(stockLots.kind, stockLots.lineId, stockLots.form),
      ),
      this.database.steady((db) => db.select({ needs: stockClaims.needs }).from(stockClaims)),
    ]);
    const nameOf = namesOf(catalogue);
    const lines = new Map<string, StockLineView>();
    for (const { kind, lineId, form, lots, amount, largest } of rows)
      lines.set(`${kind} ${lineId}`, {
        kind: kind as CatalogueKind,
        lineId,
        name: nameOf(kind, lineId),
        form,
        unit: stockUnit(kind as CatalogueKind),
        lots,
        amount: Number(amount),
        largest: lots > 0 ? Number(largest) : null,
        claimed: 0,
      });
    for (const { kind, lineId, name, form, amount } of claims.flatMap(({ needs }) => needs)) {
      const key = `${kind} ${lineId}`;
      const known = lines.get(key) ?? {
        kind,
        lineId,
        name,
        form,
        unit: stockUnit(kind),
        lots: 0,
        amount: 0,
        largest: null,
        claimed: 0,
      };
      lines.set(key, { ...known, claimed: known.claimed + amount });
    }
    return [...lines.values()].sort((a, b) => a.kind.localeCompare(b.kind) || a.name.localeCompare(b.name));
  }

  /** The lots of one line that have something left, the latest first; `before`: older than that one. */
  async lots(kind: string, lineId: string, before: string | null): Promise<readonly LotView[]> {
    const nameOf = namesOf(await this.catalogue.read());
    const rows = await this.database.steady((db) =>
      db
        .select()
        .from(stockLots)
        .where(
          and(
            eq(stockLots.kind, kind),
            eq(stockLots.lineId, lineId),
            gt(stockLots.amount, 0),
            before === null
              ? undefined
              : sql`(${stockLots.madeAt}, ${stockLots.id}) < (select ${stockLots.madeAt}, ${stockLots.id} from ${stockLots} where ${stockLots.id} = ${before}::uuid)`,
          ),
        )
        .orderBy(desc(stockLots.madeAt), desc(stockLots.id))
        .limit(lotsAPage),
    );
    return rows.map((row) => lotView(row, nameOf));
  }

  /** What became of stock, the latest first; of one lot or one job where that is asked. */
  async entries(of: {
    readonly lotId?: string;
    readonly jobId?: string;
    readonly before?: number;
  }): Promise<readonly StockEntryView[]> {
    const nameOf = namesOf(await this.catalogue.read());
    const rows = await this.database.steady((db) =>
      db
        .select({ entry: stockEntries, kind: stockLots.kind, lineId: stockLots.lineId, jobName: jobs.name })
        .from(stockEntries)
        .leftJoin(stockLots, eq(stockEntries.lotId, stockLots.id))
        .leftJoin(jobs, eq(stockEntries.jobId, jobs.id))
        .where(
          and(
            of.lotId === undefined ? undefined : eq(stockEntries.lotId, of.lotId),
            of.jobId === undefined ? undefined : eq(stockEntries.jobId, of.jobId),
            of.before === undefined ? undefined : lt(stockEntries.seq, of.before),
          ),
        )
        .orderBy(desc(stockEntries.seq))
        .limit(entriesAPage),
    );
    return rows.map(({ entry, kind, lineId, jobName }) => ({
      seq: entry.seq,
      what: entry.what,
      lotId: entry.lotId,
      name: kind === null || lineId === null ? '' : nameOf(kind, lineId),
      unit: kind === null ? '' : stockUnit(kind as CatalogueKind),
      delta: entry.delta,
      jobId: entry.jobId,
      jobName,
      note: entry.note,
      at: entry.at.toISOString(),
    }));
  }
}
