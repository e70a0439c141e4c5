import { Injectable, Logger, OnModuleDestroy } from '@nestjs/common';
import { and, eq, isNull, lt, lte, or } from 'drizzle-orm';
import { CatalogueService } from '../catalogue/catalogue.service.js';
import { DatabaseService } from '../database/database.module.js';
import { jobs, revisions } from '../database/schema.js';
import { designFromStore } from '../jobs/stored-design.js';
import { SummaryPool } from './summary-pool.js';

/**
 * Sums revisions up after they were saved: a save answers at once, its picture and figures follow. Of a job that is saved
 * again meanwhile only the newest revision is summed up.
 */
@Injectable()
export class SummariesService implements OnModuleDestroy {
  private readonly logger = new Logger('summaries');
  private readonly waiting = new Map<string, number>();
  private readonly stopped = new AbortController();
  private working: Promise<void> | null = null;

  constructor(
    private readonly database: DatabaseService,
    private readonly catalogue: CatalogueService,
    private readonly pool: SummaryPool,
  ) {}

  /** Asks for the summary of a revision; one of an older revision of the job that still waits is given up. */
  want(jobId: string, revision: number): void {
    this.waiting.set(jobId, revision);
    this.begin();
  }

  private begin(): void {
    this.working ??= this.work().finally(() => {
      this.working = null;
      // What was asked for after the last was taken and before this ended.
      if (this.waiting.size > 0 && !this.stopped.signal.aborted) this.begin();
    });
  }

  /** Asks for all that a server which ended left undone. */
  async catchUp(): Promise<void> {
    const undone = await this.database.db
      .select({ jobId: jobs.id, number: jobs.headRevision })
      .from(jobs)
      .where(or(isNull(jobs.summaryOf), lt(jobs.summaryOf, jobs.headRevision)));
    for (const { jobId, number } of undone) this.want(jobId, number);
  }

  /** Resolves when nothing waits any more. */
  async idle(): Promise<void> {
    while (this.working !== null) await this.working;
  }

  private async work(): Promise<void> {
    for (let next = this.take(); next !== null && !this.stopped.signal.aborted; next = this.take())
      await this.sumUp(...next).catch((error: unknown) => {
        if (!this.stopped.signal.aborted)
          this.logger.warn(
            // What failed, not what it failed on: a failed query tells its values.
            `revision ${next?.join(' ')} has no summary: ${String((error as { cause?: unknown }).cause ?? error).slice(0, 200)}`,
          );
      });
  }

  private take(): readonly [jobId: string, revision: number] | null {
    const [next] = this.waiting;
    if (next === undefined) return null;
    this.waiting.delete(next[0]);
    return next;
  }

  private async sumUp(jobId: string, number: number): Promise<void> {
    const one = and(eq(revisions.jobId, jobId), eq(revisions.number, number));
    const [row] = await this.database.steady((db) =>
      db.select({ design: revisions.design }).from(revisions).where(one),
    );
    if (row === undefined) return;
    const task = { design: designFromStore(row.design), catalogue: await this.catalogue.read() };
    const { facts, picture } = await this.pool.summarise(task, this.stopped.signal);
    await this.database.steady((db) =>
      db
        .update(jobs)
        .set({ summary: facts, summaryOf: number, picture: picture === null ? null : Buffer.from(picture) })
        // One that took its time does not come over a newer.
        .where(and(eq(jobs.id, jobId), or(isNull(jobs.summaryOf), lte(jobs.summaryOf, number)))),
    );
  }

  async onModuleDestroy(): Promise<void> {
    this.stopped.abort();
    this.waiting.clear();
    await this.idle();
  }
}
