import { setTimeout as pause } from 'node:timers/promises';
import { Injectable, Logger, OnModuleDestroy } from '@nestjs/common';
import { and, eq, inArray, isNull, lt, ne, lte, or, sql, type SQL } from 'drizzle-orm';
import { CatalogueService } from '../catalogue/catalogue.service.js';
import { isAway } from '../database/away.js';
import { DatabaseService } from '../database/database.module.js';
import { jobs, revisions } from '../database/schema.js';
import { jobsAtHand } from '../stock/at-hand.js';
import { claimAgain } from '../stock/claim-again.js';
import { SummaryPool } from './summary-pool.js';
import { WaitingLine } from './waiting-line.js';

/** What a server that ended left undone is looked for so often. */
const lookRoundMs = 30_000;
/** Summed up by an earlier version, which did not tell what a job takes or what is to do for it; of others that is found when it is asked for. */
const toldLess = and(or(isNull(jobs.needs), isNull(jobs.work)), inArray(jobs.status, [...jobsAtHand]));
/** A quote that is older is made anew if it is ever wanted. */
const ofLate = sql`interval '120 days'`;
/** What was saved just now is being summed up by the server that took it. */
const leftAfter = sql`interval '30 seconds'`;

/**
 * Sums revisions up after they were saved: a save answers at once, its picture and figures follow. Of a job that is saved
 * again meanwhile only the newest revision is summed up.
 */
@Injectable()
export class SummariesService implements OnModuleDestroy {
  private readonly logger = new Logger('summaries');
  private readonly line = new WaitingLine();
  private readonly stopped = new AbortController();
  /** Ends a wait for what rests. */
  private woken = new AbortController();
  /** The newest revision of each job that failed here: it would again. */
  private readonly failed = new Map<string, number>();
  private working: Promise<void> | null = null;
  private underWay: readonly [jobId: string, revision: number] | null = null;
  private looking: NodeJS.Timeout | null = null;

  constructor(
    private readonly database: DatabaseService,
    private readonly catalogue: CatalogueService,
    private readonly pool: SummaryPool,
  ) {}

  /**
   * Asks for the summary of a revision that was just saved, once its job has rested; one of an older revision of the job
   * that still waits is given up.
   */
  want(jobId: string, revision: number): void {
    this.line.rest(jobId, revision, performance.now());
    this.begin();
  }

  /** Asks for one that somebody waits for, and may ask for again and again: not while it is under way, nor where it failed. */
  wantOnce(jobId: string, revision: number): void {
    const underWay = this.underWay?.[0] === jobId && this.underWay[1] === revision;
    if (underWay || this.failed.get(jobId) === revision) return;
    this.line.first(jobId, revision);
    this.hurry();
  }

  /** Somebody looks at these jobs: what was saved of them a moment ago rests no longer. */
  look(seen: readonly { readonly id: string; readonly revision: number; readonly summaryOf: number | null }[]): void {
    let waited = false;
    for (const { id, revision, summaryOf } of seen) if (revision !== summaryOf) waited = this.line.look(id) || waited;
    if (waited) this.hurry();
  }

  private wantSoon(jobId: string, revision: number): void {
    this.line.soon(jobId, revision, performance.now());
    this.hurry();
  }

  private hurry(): void {
    this.wake();
    this.begin();
  }

  private wake(): void {
    this.woken.abort();
    this.woken = new AbortController();
  }

  private begin(): void {
    this.working ??= this.work().finally(() => {
      this.working = null;
      // What was asked for after the last was taken and before this ended.
      if (!this.line.isEmpty && !this.stopped.signal.aborted) this.begin();
    });
  }

  /** Asks for all that is undone: at the start, and then for what other servers on this database left when they ended. */
  async start(): Promise<void> {
    await this.catchUp();
    this.looking = setInterval(() => {
      this.catchUp(sql`${jobs.updatedAt} < now() - ${leftAfter}`).catch((error: unknown) => this.tell('some', error));
    }, lookRoundMs).unref();
  }

  async catchUp(which?: SQL): Promise<void> {
    const undone = await this.database.db
      .select({ jobId: jobs.id, number: jobs.headRevision })
      .from(jobs)
      .where(and(which, or(isNull(jobs.summaryOf), lt(jobs.summaryOf, jobs.headRevision), toldLess)));
    for (const { jobId, number } of undone) if (this.failed.get(jobId) !== number) this.wantSoon(jobId, number);
  }

  /** Sums jobs up anew that are at hand or were quoted of late: what all are reckoned with has changed. */
  async again(): Promise<void> {
    await this.database.steady((db) =>
      db
        .update(jobs)
        .set({ summaryOf: null })
        .where(
          and(
            ne(jobs.status, 'delivered'),
            eq(jobs.archived, false),
            or(ne(jobs.status, 'quoted'), sql`${jobs.updatedAt} > now() - ${ofLate}`),
          ),
        ),
    );
    this.failed.clear();
    await this.catchUp();
  }

  /** Sums up all that waits, rested or not; resolves when it is done. */
  async idle(): Promise<void> {
    while (this.working !== null) {
      this.line.hasten(performance.now());
      this.wake();
      await this.working;
    }
  }

  private async work(): Promise<void> {
    for (let next = await this.take(); next !== null; next = await this.take()) {
      this.underWay = next;
      try {
        await this.sumUp(...next);
      } catch (error) {
        if (this.stopped.signal.aborted) break;
        if (!isAway(error)) this.failed.set(...next);
        this.tell(next.join(' '), error);
      } finally {
        this.underWay = null;
      }
    }
  }

  private tell(revision: string, error: unknown): void {
    // What failed, not what it failed on: a failed query tells its values.
    const why = String((error as { cause?: unknown }).cause ?? error).slice(0, 200);
    this.logger.warn(`revision ${revision} has no summary: ${why}`);
  }

  /** The next one, once it has rested; null when there is none, or all is to end. */
  private async take(): Promise<readonly [jobId: string, revision: number] | null> {
    while (!this.stopped.signal.aborted) {
      const taken = this.line.take(performance.now());
      if (taken === null) return null;
      if ('next' in taken) return taken.next;
      const signal = AbortSignal.any([this.stopped.signal, this.woken.signal]);
      await pause(Math.ceil(taken.waitMs), undefined, { signal, ref: false }).catch(() => undefined);
    }
    return null;
  }

  private async sumUp(jobId: string, number: number): Promise<void> {
    const one = and(eq(revisions.jobId, jobId), eq(revisions.number, number));
    const [row] = await this.database.steady((db) =>
      db
        .select({ design: sql<string>`${revisions.design}::text` })
        .from(revisions)
        .where(one),
    );
    if (row === undefined) return;
    const task = { design: row.design, catalogue: await this.catalogue.read() };
    const { facts, picture, needs, work } = await this.pool.summarise(task, this.stopped.signal);
    await this.database.transaction(async (transaction) => {
      const taken = await transaction
        .update(jobs)
        .set({
          summary: facts,
          summaryOf: number,
          needs,
          work,
          picture: picture === null ? null : Buffer.from(picture),
        })
        // One that took its time does not come over a newer.
        .where(and(eq(jobs.id, jobId), or(isNull(jobs.summaryOf), lte(jobs.summaryOf, number))))
        .returning({ id: jobs.id });
      if (taken.length > 0) await claimAgain(transaction, jobId, needs);
    });
  }

  async onModuleDestroy(): Promise<void> {
    this.stopped.abort();
    this.line.clear();
    if (this.looking !== null) clearInterval(this.looking);
    await this.idle();
  }
}
