import { ConflictException, Injectable, NotFoundException } from '@nestjs/common';
import type { JobShort, JobStockView, ShoppingView, StockDone, StockEntryDto } from '@vitrum/contract';
import { and, asc, eq, gt, inArray, isNull } from 'drizzle-orm';
import { CatalogueService } from '../catalogue/catalogue.service.js';
import { DatabaseService } from '../database/database.module.js';
import { jobs, stockClaims, stockEntries, stockLots } from '../database/schema.js';
import { SummariesService } from '../summaries/summaries.service.js';
import { jobsAtHand } from './at-hand.js';
import { LedgerService, type TakenFrom } from './ledger.service.js';
import { asLot, lotView, namesOf, type LotRow } from './lot-views.js';
import { StockPool } from './stock-pool.js';

/** More jobs at hand than a shop works on. */
const mostJobs = 200;

/** What jobs take of stock: what is kept for them, used by them, short for them and to be bought. */
@Injectable()
export class StockService {
  constructor(
    private readonly database: DatabaseService,
    private readonly catalogue: CatalogueService,
    private readonly ledger: LedgerService,
    private readonly pool: StockPool,
    private readonly summaries: SummariesService,
  ) {}

  /** Something that became of stock, and the jobs that it has left short. */
  async enter(request: StockEntryDto): Promise<StockDone> {
    const catalogue = await this.catalogue.read();
    const rows = await this.ledger.enter(request, catalogue);
    const nameOf = namesOf(catalogue);
    return { lots: rows.map((row) => lotView(row, nameOf)), short: await this.shortAfter(request.what, rows) };
  }

  /** What a job takes, and what of it is not there beside what others have a claim to. */
  async ofJob(jobId: string): Promise<JobStockView> {
    return (await this.servedOne(jobId)).view;
  }

  private async servedOne(
    jobId: string,
  ): Promise<{ readonly view: JobStockView; readonly taken: readonly TakenFrom[] }> {
    const [row] = await this.database.steady((db) =>
      db
        .select({
          id: jobs.id,
          needs: jobs.needs,
          claimed: stockClaims.needs,
          revision: jobs.headRevision,
          summaryOf: jobs.summaryOf,
        })
        .from(jobs)
        .leftJoin(stockClaims, eq(stockClaims.jobId, jobs.id))
        .where(eq(jobs.id, jobId)),
    );
    if (row === undefined) throw noSuchJob();
    // Summed up by a version that did not tell what it takes.
    if (row.needs === null) this.summaries.wantOnce(jobId, row.revision);
    this.summaries.look([row]);
    const { found } = await this.served([jobId], [jobId]);
    const own = found.jobs.find((each) => each.jobId === jobId);
    return {
      view: {
        claimed: row.claimed !== null,
        known: row.needs !== null && row.summaryOf === row.revision,
        needs: row.claimed ?? row.needs ?? [],
        shorts: own?.shorts ?? [],
        lines: found.lines,
        laid: own?.laid ?? [],
      },
      taken: own?.taken ?? [],
    };
  }

  /** Gives a job a claim to what it takes, after those that have one; tells what is short. */
  async claim(jobId: string, op: string): Promise<JobStockView> {
    await this.database.transaction(async (transaction) => {
      const [job] = await transaction.select({ needs: jobs.needs }).from(jobs).where(eq(jobs.id, jobId)).for('update');
      if (job === undefined) throw noSuchJob();
      if ((await this.ledger.lotsOfOp(transaction, op)) !== null) return;
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
      if ((await this.ledger.lotsOfOp(transaction, op)) !== null) return;
      const gone = await transaction
        .delete(stockClaims)
        .where(eq(stockClaims.jobId, jobId))
        .returning({ id: stockClaims.jobId });
      if (gone.length > 0) await transaction.insert(stockEntries).values({ op, what: 'released', jobId });
    });
    return this.ofJob(jobId);
  }

  /**
   * Takes from the lots what was kept for the job, and ends its claim; what was short stays told in the answer. What is left of sheets
   * that were cut into lies in the shop again, as offcuts, where that is asked.
   */
  async use(jobId: string, op: string, keepLeft: boolean): Promise<JobStockView> {
    const { view, taken } = await this.servedOne(jobId);
    await this.database.transaction(async (transaction) => {
      if ((await this.ledger.lotsOfOp(transaction, op)) !== null) return;
      const gone = await transaction
        .delete(stockClaims)
        .where(eq(stockClaims.jobId, jobId))
        .returning({ id: stockClaims.jobId });
      // Of two who take it at once one does.
      if (gone.length === 0)
        throw new ConflictException(
          'Nothing is kept for this job, or it was taken already; keep it for the job first.',
        );
      await transaction.insert(stockEntries).values({ op, what: 'released', jobId, note: 'used up' });
      const got = await this.ledger.takeAll(transaction, op, jobId, taken);
      if (keepLeft) await this.ledger.putBack(transaction, op, jobId, view.laid, got);
    });
    return { ...view, claimed: false };
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
  private async served(
    jobIds: readonly string[] | null,
    laidFor: readonly string[] = [],
  ): Promise<{
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
          .select({
            jobId: jobs.id,
            needs: jobs.needs,
            name: jobs.name,
            dueOn: jobs.dueOn,
            revision: jobs.headRevision,
            summaryOf: jobs.summaryOf,
          })
          .from(jobs)
          .leftJoin(stockClaims, eq(stockClaims.jobId, jobs.id))
          .where(
            and(
              isNull(stockClaims.jobId),
              jobIds === null
                ? and(inArray(jobs.status, [...jobsAtHand]), eq(jobs.archived, false), eq(jobs.template, false))
                : inArray(jobs.id, [...jobIds]),
            ),
          )
          .orderBy(asc(jobs.dueOn), asc(jobs.createdAt))
          .limit(mostJobs),
      ),
    ]);
    this.summaries.look(asked.map(({ jobId, ...row }) => ({ id: jobId, ...row })));
    const claims = [...claimed, ...asked].map(({ jobId, needs }) => ({ jobId, needs: needs ?? [] }));
    const own = [
      ...claimed.map((row) => ({ ...row, claimed: true })),
      ...asked.map((row) => ({ ...row, claimed: false })),
    ].filter(({ jobId }) => jobIds === null || jobIds.includes(jobId));
    const found = await this.pool.find({
      lots: lots.map(asLot),
      claims,
      buyFor: own.map(({ jobId }) => jobId),
      laidFor,
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
    const claims = await this.database.steady((db) => db.select({ jobId: stockClaims.jobId }).from(stockClaims));
    const { found, of } = await this.served(claims.map(({ jobId }) => jobId));
    return of
      .map((job) => ({
        ...job,
        shorts: (found.jobs.find(({ jobId }) => jobId === job.jobId)?.shorts ?? []).filter(({ kind, lineId }) =>
          rows.some((row) => row.kind === kind && row.lineId === lineId),
        ),
      }))
      .filter(({ shorts }) => shorts.length > 0);
  }
}

const noSuchJob = (): NotFoundException => new NotFoundException('There is no such job in the book.');
