import { randomUUID } from 'node:crypto';
import { ConflictException, Injectable, NotFoundException } from '@nestjs/common';
import type { StockEntryDto } from '@vitrum/contract';
import { stockForm, stockUnit, type Catalogue, type CatalogueKind, type LaidSheet, type ShelfItem } from '@vitrum/core';
import { eq, inArray, sql } from 'drizzle-orm';
import { badRequest } from '../common/problems.js';
import { DatabaseService, type Transaction } from '../database/database.module.js';
import { stockEntries, stockLots } from '../database/schema.js';
import type { LotRow } from './lot-views.js';

/** What is less is nothing: sums of thousandths end so near to nought. */
const nothing = 1e-6;

const missing = (path: string, message: string) => badRequest([{ path, message }]);
const rounded = (value: number): number => Math.round(value * 1e6) / 1e6;

/** What is taken from a lot. */
export interface TakenFrom {
  readonly lotId: string;
  readonly amount: number;
}

/** Stock as a ledger: what is there is the sum of what became of it, and no entry is ever changed. */
@Injectable()
export class LedgerService {
  constructor(private readonly database: DatabaseService) {}

  /** Something that became of stock: the lots that it was about. The same operation once more changes nothing, and is answered alike. */
  enter(request: StockEntryDto, catalogue: Catalogue): Promise<readonly LotRow[]> {
    return this.database.transaction(async (transaction) => {
      const known = await this.lotsOfOp(transaction, request.op);
      if (known !== null) return known;
      return request.what === 'bought' ? this.buy(transaction, request, catalogue) : this.change(transaction, request);
    });
  }

  /**
   * Takes from several lots for a job, as far as they still have it; tells how much of each came. Always in one order,
   * so that no two wait for each other.
   */
  async takeAll(
    transaction: Transaction,
    op: string,
    jobId: string,
    taken: readonly TakenFrom[],
  ): Promise<ReadonlyMap<string, number>> {
    const got = new Map<string, number>();
    const inOrder = [...taken].sort((a, b) => (a.lotId < b.lotId ? -1 : 1));
    for (const [at, { lotId, amount }] of inOrder.entries()) {
      const row = await this.lot(transaction, lotId);
      const from = Math.min(amount, row.amount);
      if (from <= nothing) continue;
      await this.move(transaction, row, -from, { op, place: at + 1, what: 'used', jobId, note: '' });
      got.set(lotId, from);
    }
    return got;
  }

  /** Enters what is left of sheets that a job was cut from as offcuts of their own; of no more sheets than came of their lots. */
  async putBack(
    transaction: Transaction,
    op: string,
    jobId: string,
    laid: readonly LaidSheet[],
    got: ReadonlyMap<string, number>,
  ): Promise<void> {
    const left = new Map(got);
    // Places of the lots that were taken come before.
    let place = 10_000;
    for (const { lotId, kind, lineId, leftMm, bar } of laid) {
      const of = lotId === null ? 0 : (left.get(lotId) ?? 0);
      if (lotId === null || of < 1 - nothing || leftMm.length === 0) continue;
      left.set(lotId, of - 1);
      for (const [widthMm, heightMm] of leftMm) {
        const [made] = await transaction
          .insert(stockLots)
          .values({
            id: randomUUID(),
            kind,
            lineId,
            form: 'sheets',
            amount: 1,
            widthMm,
            heightMm,
          })
          .returning();
        place += 1;
        const note = bar ? 'left of a bar' : 'left of a sheet';
        await transaction
          .insert(stockEntries)
          .values({ op, place, what: 'returned', lotId: made!.id, delta: 1, jobId, note });
      }
    }
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
    if (what !== 'opened' && request.amount === undefined) throw missing('amount', 'say how much');
    const amount = rounded(request.amount ?? 0);
    const entry = { op, place: 0, what, jobId, note };
    switch (what) {
      case 'counted':
        return [await this.move(transaction, row, rounded(amount - row.amount), entry)];
      case 'returned':
        if (amount <= nothing) throw missing('amount', 'nothing came back; say how much');
        return [await this.move(transaction, row, amount, entry)];
      case 'used':
      case 'scrapped':
        this.mustBeThere(row, amount);
        return [await this.move(transaction, row, -amount, entry)];
      case 'parted': {
        this.mustBeThere(row, amount);
        const [widthMm, heightMm] = [request.widthMm ?? row.widthMm, request.heightMm ?? row.heightMm];
        if (row.form === 'sheets' && (widthMm ?? 0) * (heightMm ?? 0) >= (row.widthMm ?? 0) * (row.heightMm ?? 0))
          throw missing('widthMm', 'an offcut is smaller than the sheet that it is left of');
        const left = await this.move(transaction, row, -amount, entry);
        const [piece] = await transaction
          .insert(stockLots)
          .values({
            ...row,
            id: randomUUID(),
            amount,
            madeAt: new Date(),
            widthMm,
            heightMm,
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
  async lotsOfOp(transaction: Transaction, op: string): Promise<readonly LotRow[] | null> {
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
