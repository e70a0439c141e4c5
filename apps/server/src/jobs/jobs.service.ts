import { Injectable, NotFoundException } from '@nestjs/common';
import type {
  CreateJobDto,
  JobListing,
  JobView,
  RevisionView,
  RevisionWithDesign,
  UpdateJobDto,
} from '@vitrum/contract';
import { readDesign, type Design } from '@vitrum/core';
import { and, asc, desc, eq, isNotNull, max, sql, type SQL } from 'drizzle-orm';
import { badRequest } from '../common/problems.js';
import { DatabaseService, type Transaction } from '../database/database.module.js';
import { jobs, revisions } from '../database/schema.js';
import { SummariesService } from '../summaries/summaries.service.js';
import { designHash } from './design-hash.js';
import { listingOf, revisionView, revisionWithDesign, type JobRow, type RevisionRow } from './views.js';

/** What became of a save. */
export type SaveOutcome =
  | { readonly kind: 'saved'; readonly revision: RevisionWithDesign }
  | { readonly kind: 'conflict'; readonly head: RevisionWithDesign; readonly yours: RevisionWithDesign };

interface NewRevision {
  readonly jobId: string;
  readonly parent: number | null;
  readonly design: Design;
  readonly note: string;
  readonly setAside: boolean;
}

/** Checks a design that came over the wire. Throws a 400 that names every wrong field. */
export const designFromWire = (value: unknown): Design => {
  const read = readDesign(value);
  if (read.ok) return read.value;
  throw badRequest(
    read.problems.map(({ path, message }) => ({ path: path === '' ? 'design' : `design.${path}`, message })),
  );
};

@Injectable()
export class JobsService {
  constructor(
    private readonly database: DatabaseService,
    private readonly summaries: SummariesService,
  ) {}

  async list(): Promise<readonly JobListing[]> {
    const summed = this.lastSummed(eq(revisions.jobId, jobs.id)).as('summed');
    const rows = await this.database.db
      .select({ job: jobs, summed: { number: summed.number, summary: summed.summary } })
      .from(jobs)
      .leftJoinLateral(summed, sql`true`)
      .orderBy(asc(jobs.createdAt), asc(jobs.id));
    return rows.map((row) => listingOf(row.job, row.summed));
  }

  async get(id: string): Promise<JobView> {
    const { job, head } = await this.jobWithHead(id);
    const [summed] = await this.lastSummed(eq(revisions.jobId, id));
    return { ...listingOf(job, summed ?? null), head: revisionWithDesign(head) };
  }

  async create(request: CreateJobDto, status: JobRow['status'] = 'quoted'): Promise<JobView> {
    const design = designFromWire(request.design);
    const id = await this.database.db.transaction(async (transaction) => {
      const [job] = await transaction
        .insert(jobs)
        .values({ name: request.name, customer: request.customer ?? '', status, dueOn: request.dueOn ?? null })
        .returning();
      if (job === undefined) throw new Error('the database returned no new job');
      await this.append(transaction, { jobId: job.id, parent: null, design, note: 'first', setAside: false });
      return job.id;
    });
    this.summaries.want(id, 1);
    return this.get(id);
  }

  async update(id: string, request: UpdateJobDto): Promise<JobView> {
    const given = Object.fromEntries(
      (['name', 'customer', 'status', 'dueOn'] as const).flatMap((key) =>
        request[key] === undefined ? [] : [[key, request[key]]],
      ),
    );
    const rows = await this.database.db
      .update(jobs)
      .set({ ...given, updatedAt: sql`now()` })
      .where(eq(jobs.id, id))
      .returning({ id: jobs.id });
    if (rows.length === 0) throw noSuchJob();
    return this.get(id);
  }

  /**
   * Saves a design made from the revision whose hash is `basedOn`. When that is no longer the head, the design is kept as
   * a set-aside revision and both sides are returned; nothing is lost either way.
   */
  async save(id: string, value: unknown, basedOn: string, note: string): Promise<SaveOutcome> {
    const design = designFromWire(value);
    const hash = designHash(design);
    const outcome = await this.database.db.transaction(async (transaction): Promise<SaveOutcome> => {
      const [job] = await transaction.select().from(jobs).where(eq(jobs.id, id)).for('update');
      if (job === undefined) throw noSuchJob();
      const head = await this.revisionRow(transaction, id, job.headRevision);
      if (head.hash === hash) return { kind: 'saved', revision: revisionWithDesign(head) };
      const stale = head.hash !== basedOn;
      const parent = stale ? await this.numberOfHash(transaction, id, basedOn) : head.number;
      const row = await this.append(transaction, { jobId: id, parent, design, note, setAside: stale });
      const yours = revisionWithDesign(row);
      return stale ? { kind: 'conflict', head: revisionWithDesign(head), yours } : { kind: 'saved', revision: yours };
    });
    if (outcome.kind === 'saved') this.summaries.want(id, outcome.revision.number);
    return outcome;
  }

  async revisions(id: string): Promise<readonly RevisionView[]> {
    await this.jobWithHead(id);
    const rows = await this.database.db
      .select()
      .from(revisions)
      .where(eq(revisions.jobId, id))
      .orderBy(desc(revisions.number));
    return rows.map(revisionView);
  }

  async revision(id: string, number: number): Promise<RevisionWithDesign> {
    return revisionWithDesign(await this.revisionRow(this.database.db, id, number));
  }

  /** The newest revision of the line that has been summed up. */
  private lastSummed(where: SQL | undefined) {
    return this.database.db
      .select({ number: revisions.number, summary: revisions.summary })
      .from(revisions)
      .where(and(where, eq(revisions.setAside, false), isNotNull(revisions.summary)))
      .orderBy(desc(revisions.number))
      .limit(1);
  }

  private async append(transaction: Transaction, next: NewRevision): Promise<RevisionRow> {
    const [last] = await transaction
      .select({ number: max(revisions.number) })
      .from(revisions)
      .where(eq(revisions.jobId, next.jobId));
    const number = (last?.number ?? 0) + 1;
    const [row] = await transaction
      .insert(revisions)
      .values({ ...next, number, hash: designHash(next.design) })
      .returning();
    if (row === undefined) throw new Error('the database returned no new revision');
    if (!next.setAside)
      await transaction
        .update(jobs)
        .set({ headRevision: number, updatedAt: sql`now()` })
        .where(eq(jobs.id, next.jobId));
    return row;
  }

  private async numberOfHash(transaction: Transaction, jobId: string, hash: string): Promise<number | null> {
    const [row] = await transaction
      .select({ number: max(revisions.number) })
      .from(revisions)
      .where(and(eq(revisions.jobId, jobId), eq(revisions.hash, hash)));
    return row?.number ?? null;
  }

  private async jobWithHead(id: string): Promise<{ readonly job: JobRow; readonly head: RevisionRow }> {
    const [job] = await this.database.db.select().from(jobs).where(eq(jobs.id, id));
    if (job === undefined) throw noSuchJob();
    return { job, head: await this.revisionRow(this.database.db, id, job.headRevision) };
  }

  private async revisionRow(db: Pick<Transaction, 'select'>, jobId: string, number: number): Promise<RevisionRow> {
    const [row] = await db
      .select()
      .from(revisions)
      .where(and(eq(revisions.jobId, jobId), eq(revisions.number, number)));
    if (row === undefined) throw new NotFoundException('There is no such revision of this job.');
    return row;
  }
}

const noSuchJob = (): NotFoundException => new NotFoundException('There is no such job in the book.');
