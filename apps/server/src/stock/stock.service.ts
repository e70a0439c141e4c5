import { randomUUID } from 'node:crypto';
import { ConflictException, Injectable, NotFoundException } from '@nestjs/common';
import type {
  JobShort,
  JobStockView,
  ShoppingView,
  StockDone,
  StockEntryDto,
  StockEntryView,
  StockLineView,
  LotView,
} from '@vitrum/contract';
import { stockForm, stockUnit, type Catalogue, type CatalogueKind, type ShelfItem } from '@vitrum/core';
import { and, asc, desc, eq, gt, inArray, isNull, lt, sql } from 'drizzle-orm';
import { CatalogueService } from '../catalogue/catalogue.service.js';
import { badRequest } from '../common/problems.js';
import { DatabaseService, type Transaction } from '../database/database.module.js';
import { jobs, stockClaims, stockEntries, stockLots } from '../database/schema.js';
import { SummariesService } from '../summaries/summaries.service.js';
import { jobsAtHand } from './at-hand.js';
import { asLot, lotView, namesOf, type LotRow } from './lot-views.js';
import { StockPool } from './stock-pool.js';

/** What is less is nothing: sums of thousandths end so near to nought. */
const nothing = 1e-6;
const lotsAPage = 200;
const entriesAPage = 100;

const missing = (path: string, message: string) => badRequest([{ path, message }]);
const rounded = (value: number): number => Math.round(value * 1e6) / 1e6;

/** Stock as a ledger: what is there is the sum of what became of it, and no entry is ever changed. */
@Injectable()
export class StockService {
  constructor(
    private readonly database: DatabaseService,
    private readonly catalogue: CatalogueService,
    private readonly pool: StockPool,
    private readonly summaries: SummariesService,
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
          })
          .from(stockLots)
          .groupBy(stockLots.kind, stockLots.lineId, stockLots.form),
      ),
      this.database.steady((db) => db.select({ needs: stockClaims.needs }).from(stockClaims)),
    ]);
    const nameOf = namesOf(catalogue);
    const lines = new Map<string, StockLineView>();
    for (const { kind, lineId, form, lots, amount } of rows)
      lines.set(`${kind} ${lineId}`, {
        kind: kind as CatalogueKind,
        lineId,
        name: nameOf(kind, lineId),
        form,
        unit: stockUnit(kind as CatalogueKind),
        lots,
        amount: Number(amount),
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

  /** Something that became of stock. The same operation sent once more changes nothing, and is answered alike. */
  async enter(request: StockEntryDto): Promise<StockDone> {
    const catalogue = await this.catalogue.read();
    const rows = await this.database.transaction(async (transaction) => {
      const known = await this.lotsOfOp(transaction, request.op);
      if (known !== null) return known;
      return request.what === 'bought' ? this.buy(transaction, request, catalogue) : this.change(transaction, request);
    });
    const nameOf = namesOf(catalogue);
    return { lots: rows.map((row) => lotView(row, nameOf)), short: await this.shortAfter(request.what, rows) };
  }

  /** What a job takes, and what of it is not there beside what others have a claim to. */
  async ofJob(jobId: string): Promise<JobStockView> {
    const [row] = await this.database.steady((db) =>
      db
        .select({ needs: jobs.needs, claimed: stockClaims.needs, revision: jobs.headRevision })
        .from(jobs)
        .leftJoin(stockClaims, eq(stockClaims.jobId, jobs.id))
        .where(eq(jobs.id, jobId)),
    );
    if (row === undefined) throw new NotFoundException('There is no such job in the book.');
    // Summed up by a version that did not tell what it takes.
    if (row.needs === null) this.summaries.wantOnce(jobId, row.revision);
    const needs = row.claimed ?? row.needs ?? [];
    const { found } = await this.served([jobId]);
    return {
      claimed: row.claimed !== null,
      needs,
      shorts: found.jobs.find((each) => each.jobId === jobId)?.shorts ?? [],
      lines: found.lines,
    };
  }

  /** Gives a job a claim to what it takes, after those that have one; tells what is short. */
  async claim(jobId: string, op: string): Promise<JobStockView> {
    await this.database.transaction(async (transaction) => {
      const [job] = await transaction.select({ needs: jobs.needs }).from(jobs).where(eq(jobs.id, jobId)).for('update');
      if (job === undefined) throw new NotFoundException('There is no such job in the book.');
      if ((await this.lotsOfOp(transaction, op)) !== null) return;
      if (job.needs === null)
        throw new ConflictException('What this job takes is still being worked out; try again in a moment.');
      await transaction
        .insert(stockClaims)
        .values({ jobId, needs: job.needs })
        .onConflictDoUpdate({ target: stockClaims.jobId, set: { needs: job.needs } });
      await transaction.insert(stockEntries).values({ op, what: 'claimed', jobId });
    });
    return this.ofJob(jobId);
  }

  /** Gives a claim up: what it held is free for others. */
  async release(jobId: string, op: string): Promise<JobStockView> {
    await this.database.transaction(async (transaction) => {
      if ((await this.lotsOfOp(transaction, op)) !== null) return;
      const gone = await transaction
        .delete(stockClaims)
        .where(eq(stockClaims.jobId, jobId))
        .returning({ id: stockClaims.jobId });
      if (gone.length > 0) await transaction.insert(stockEntries).values({ op, what: 'released', jobId });
    });
    return this.ofJob(jobId);
  }

  /** Takes from the lots what the job is made from, and ends its claim; what was short stays told in the answer. */
  async use(jobId: string, op: string): Promise<JobStockView> {
    const before = await this.ofJob(jobId);
    const { found } = await this.served([jobId]);
    const taken = found.jobs.find((each) => each.jobId === jobId)?.taken ?? [];
    await this.database.transaction(async (transaction) => {
      if ((await this.lotsOfOp(transaction, op)) !== null) return;
      await transaction.insert(stockEntries).values({ op, what: 'released', jobId, note: 'used up' });
      await transaction.delete(stockClaims).where(eq(stockClaims.jobId, jobId));
      for (const [at, { lotId, amount }] of taken.entries()) {
        const row = await this.lot(transaction, lotId);
        const from = Math.min(amount, row.amount);
        if (from > nothing)
          await this.move(transaction, row, -from, { op, place: at + 1, what: 'used', jobId, note: '' });
      }
    });
    return { ...before, claimed: false };
  }

  /** What is short for jobs: those named, or all that are at hand; and one list of what is to be bought for them. */
  async shopping(jobIds: readonly string[] | null): Promise<ShoppingView> {
    const { found, of } = await this.served(jobIds);
    const wanted = new Set(of.map(({ jobId }) => jobId));
    return {
      jobs: of.map((job) => ({ ...job, shorts: found.jobs.find(({ jobId }) => jobId === job.jobId)?.shorts ?? [] })),
      lines: found.lines.filter(({ jobIds: ids }) => ids.some((id) => wanted.has(id))),
      total: found.lines.reduce((sum, { price }) => sum + price, 0),
    };
  }

  /** Stock given to all that have a claim, the earliest first, then to the jobs that are asked about, the most pressing first. */
  private async served(jobIds: readonly string[] | null): Promise<{
    readonly found: Awaited<ReturnType<StockPool['find']>>;
    readonly of: readonly JobShort[];
  }> {
    const [catalogue, lots, claimed, asked] = await Promise.all([
      this.catalogue.read(),
      this.database.steady((db) =>
        db.select().from(stockLots).where(gt(stockLots.amount, 0)).orderBy(asc(stockLots.madeAt)),
      ),
      this.database.steady((db) =>
        db
          .select({ jobId: stockClaims.jobId, needs: stockClaims.needs, name: jobs.name, dueOn: jobs.dueOn })
          .from(stockClaims)
          .innerJoin(jobs, eq(jobs.id, stockClaims.jobId))
          .orderBy(asc(stockClaims.claimedAt), asc(stockClaims.jobId)),
      ),
      this.database.steady((db) =>
        db
          .select({ jobId: jobs.id, needs: jobs.needs, name: jobs.name, dueOn: jobs.dueOn })
          .from(jobs)
          .leftJoin(stockClaims, eq(stockClaims.jobId, jobs.id))
          .where(
            and(
              isNull(stockClaims.jobId),
              jobIds === null ? inArray(jobs.status, [...jobsAtHand]) : inArray(jobs.id, [...jobIds]),
            ),
          )
          .orderBy(asc(jobs.dueOn), asc(jobs.createdAt))
          .limit(lotsAPage),
      ),
    ]);
    const claims = [...claimed, ...asked].map(({ jobId, needs }) => ({ jobId, needs: needs ?? [] }));
    const own = [
      ...claimed.map((row) => ({ ...row, claimed: true })),
      ...asked.map((row) => ({ ...row, claimed: false })),
    ].filter(({ jobId }) => jobIds === null || jobIds.includes(jobId));
    const found = await this.pool.find({
      lots: lots.map(asLot),
      claims,
      buyFor: own.map(({ jobId }) => jobId),
      catalogue,
    });
    return {
      found,
      of: own.map(({ jobId, name, dueOn, needs, claimed: has }) => ({
        jobId,
        name,
        dueOn,
        claimed: has,
        known: needs !== null,
        shorts: [],
      })),
    };
  }

  /** Jobs with a claim that are short of what these lots are of, after what may have taken from them. */
  private async shortAfter(what: StockEntryDto['what'], rows: readonly LotRow[]): Promise<readonly JobShort[]> {
    if (what === 'bought' || what === 'opened' || what === 'returned') return [];
    const { found, of } = await this.servedClaims();
    return of
      .map((job) => ({
        ...job,
        shorts: (found.jobs.find(({ jobId }) => jobId === job.jobId)?.shorts ?? []).filter(({ kind, lineId }) =>
          rows.some((row) => row.kind === kind && row.lineId === lineId),
        ),
      }))
      .filter(({ shorts }) => shorts.length > 0);
  }

  private async servedClaims(): ReturnType<StockService['served']> {
    const rows = await this.database.steady((db) => db.select({ jobId: stockClaims.jobId }).from(stockClaims));
    return this.served(rows.map(({ jobId }) => jobId));
  }

  private async buy(
    transaction: Transaction,
    request: StockEntryDto,
    catalogue: Catalogue,
  ): Promise<readonly LotRow[]> {
    const { kind, itemId, amount, op, note = '', jobId } = request;
    if (kind === undefined) throw missing('kind', 'say of which list of the shelf it is');
    const item = (catalogue[kind] as readonly ShelfItem[]).find(({ id }) => id === itemId);
    if (item === undefined)
      throw missing('itemId', `“${itemId ?? ''}” is not among the ${kind} of the shelf; put it there first`);
    const figures = item as unknown as Readonly<Record<string, number>>;
    const form = stockForm(kind);
    const usual = form === 'lengths' ? (figures['reelMm'] ?? 5000) : 1;
    const each = rounded(amount ?? usual);
    if (each <= nothing) throw missing('amount', 'nothing was bought; say how much');
    const lineId = item.lineId ?? item.id;
    const made: LotRow[] = [];
    for (let at = 0; at < (form === 'lengths' ? (request.pieces ?? 1) : 1); at += 1) {
      const [row] = await transaction
        .insert(stockLots)
        .values({
          id: randomUUID(),
          kind,
          lineId,
          form,
          amount: form === 'lengths' ? each : rounded(each * (request.pieces ?? 1)),
          widthMm: form === 'sheets' ? (request.widthMm ?? figures['sheetWidthMm'] ?? null) : null,
          heightMm: form === 'sheets' ? (request.heightMm ?? figures['sheetHeightMm'] ?? null) : null,
          openedOn: request.openedOn ?? null,
        })
        .returning();
      made.push(row!);
      await transaction
        .insert(stockEntries)
        .values({ op, place: at, what: 'bought', lotId: row!.id, delta: row!.amount, note, jobId: jobId ?? null });
    }
    return made;
  }

  private async change(transaction: Transaction, request: StockEntryDto): Promise<readonly LotRow[]> {
    const { what, op, lotId, note = '', jobId = null } = request;
    if (lotId === undefined) throw missing('lotId', 'say of which lot');
    const row = await this.lot(transaction, lotId);
    const amount = rounded(request.amount ?? 0);
    const entry = { op, place: 0, what, jobId, note };
    switch (what) {
      case 'counted':
        return [await this.move(transaction, row, rounded(amount - row.amount), entry)];
      case 'returned':
        return [await this.move(transaction, row, amount, entry)];
      case 'used':
      case 'scrapped':
        this.mustBeThere(row, amount);
        return [await this.move(transaction, row, -amount, entry)];
      case 'parted': {
        this.mustBeThere(row, amount);
        const left = await this.move(transaction, row, -amount, entry);
        const [piece] = await transaction
          .insert(stockLots)
          .values({
            ...row,
            id: randomUUID(),
            amount,
            madeAt: new Date(),
            widthMm: request.widthMm ?? row.widthMm,
            heightMm: request.heightMm ?? row.heightMm,
          })
          .returning();
        await transaction.insert(stockEntries).values({ ...entry, place: 1, lotId: piece!.id, delta: amount });
        return [left, piece!];
      }
      case 'opened': {
        const openedOn = request.openedOn ?? new Date().toISOString().slice(0, 10);
        const [opened] = await transaction
          .update(stockLots)
          .set({ openedOn })
          .where(eq(stockLots.id, lotId))
          .returning();
        await transaction.insert(stockEntries).values({ ...entry, lotId, delta: 0 });
        return [opened!];
      }
      case 'bought':
        throw new Error('what is bought makes a lot of its own');
    }
  }

  private mustBeThere({ amount, kind }: LotRow, wanted: number): void {
    const unit = stockUnit(kind as CatalogueKind);
    if (wanted <= nothing) throw missing('amount', 'say how much');
    if (wanted > amount + nothing)
      throw new ConflictException({
        message: `Only ${amount} ${unit} are there by the ledger, and ${wanted} ${unit} were to be taken; if there is more, count it first.`,
      });
  }

  private async move(
    transaction: Transaction,
    row: LotRow,
    delta: number,
    entry: Pick<typeof stockEntries.$inferInsert, 'op' | 'place' | 'what' | 'jobId' | 'note'>,
  ): Promise<LotRow> {
    const next = rounded(row.amount + delta);
    const [moved] = await transaction
      .update(stockLots)
      .set({ amount: next < nothing ? 0 : next })
      .where(eq(stockLots.id, row.id))
      .returning();
    await transaction
      .insert(stockEntries)
      .values({ ...entry, lotId: row.id, delta: rounded(moved!.amount - row.amount) });
    return moved!;
  }

  private async lot(transaction: Transaction, id: string): Promise<LotRow> {
    const [row] = await transaction.select().from(stockLots).where(eq(stockLots.id, id)).for('update');
    if (row === undefined) throw new NotFoundException('There is no such lot in the ledger.');
    return row;
  }

  /** The lots that an operation was about which is in the ledger already; null where it is not. */
  private async lotsOfOp(transaction: Transaction, op: string): Promise<readonly LotRow[] | null> {
    // One of two that come at the same time waits here for the other.
    await transaction.execute(sql`select pg_advisory_xact_lock(hashtextextended(${op}, 22))`);
    const known = await transaction
      .select({ lotId: stockEntries.lotId })
      .from(stockEntries)
      .where(eq(stockEntries.op, op));
    if (known.length === 0) return null;
    const ids = known.flatMap(({ lotId }) => (lotId === null ? [] : [lotId]));
    return ids.length === 0 ? [] : transaction.select().from(stockLots).where(inArray(stockLots.id, ids));
  }
}
