import { randomUUID } from 'node:crypto';
import { Injectable, NotFoundException } from '@nestjs/common';
import type { JobListing, JobView, RevisionView, RevisionWithDesign, UpdateJobDto } from '@vitrum/contract';
import { and, asc, desc, eq, getTableColumns, max, sql } from 'drizzle-orm';
import { DatabaseService, type Transaction } from '../database/database.module.js';
import { jobs, revisions } from '../database/schema.js';
import { itemsNamed } from '../catalogue/items-named.js';
import { SummariesService } from '../summaries/summaries.service.js';
import { storedForm, type CheckedDesign } from '../intake/check-design.js';
import { IntakePool } from '../intake/intake-pool.js';
import type { NewJob, Save } from '../intake/wire-requests.js';
import { listingOf, revisionView, type JobRow, type LastQuote, type ListedJob, type RevisionRow } from './views.js';

/** What became of a save. */
export type SaveOutcome =
  | { readonly kind: 'saved'; readonly revision: RevisionView }
  | { readonly kind: 'conflict'; readonly head: RevisionWithDesign; readonly yours: RevisionWithDesign };

/** The same before the designs of both sides are fetched. */
type Stored =
  | { readonly kind: 'saved'; readonly row: RevisionRow }
  | { readonly kind: 'conflict'; readonly theirs: number; readonly yours: number };

interface NewRevision {
  readonly jobId: string;
  readonly parent: number | null;
  readonly design: CheckedDesign;
  readonly note: string;
  readonly setAside: boolean;
}

/** Where a page of jobs goes on. */
export interface JobCursor {
  /** As the database writes it, to the microsecond. */
  readonly madeAt: string;
  readonly id: string;
}

export interface JobPage {
  readonly jobs: readonly JobListing[];
  readonly next: JobCursor | null;
}

/** The newest quote of a job that was not withdrawn, for its price. */
const lastQuote = sql<LastQuote | null>`(
  select json_build_object('facts', q.facts, 'terms', q.terms,
    'agreed', exists (select 1 from quote_answers a where a.quote_id = q.id and a.what = 'yes'))
  from quotes q where q.job_id = "jobs"."id" and not q.withdrawn order by q.made_at desc limit 1)`;

const { picture, needs: _needs, work: _work, ...besidesPicture } = getTableColumns(jobs);
const listedColumns = {
  ...besidesPicture,
  hasPicture: sql<boolean>`${picture} is not null`,
  madeAt: sql<string>`${jobs.createdAt}::text`,
  lastQuote,
};

const lightColumns = {
  id: revisions.id,
  jobId: revisions.jobId,
  number: revisions.number,
  parent: revisions.parent,
  hash: revisions.hash,
  note: revisions.note,
  setAside: revisions.setAside,
  createdAt: revisions.createdAt,
} as const;
const fullColumns = { ...lightColumns, designText: sql<string>`${revisions.design}::text` } as const;

/** The design as the text that is stored. */
type FullRow = RevisionRow & { readonly designText: string };

@Injectable()
export class JobsService {
  constructor(
    private readonly database: DatabaseService,
    private readonly summaries: SummariesService,
    private readonly intake: IntakePool,
  ) {}

  /** A page of jobs in the order in which they were made, from after the one that `cursor` stands for. */
  async list(cursor: JobCursor | null, most: number): Promise<JobPage> {
    const rows = await this.database.steady((db) =>
      db
        .select(listedColumns)
        .from(jobs)
        .where(
          cursor === null
            ? undefined
            : sql`(${jobs.createdAt}, ${jobs.id}) > (${cursor.madeAt}::timestamptz, ${cursor.id}::uuid)`,
        )
        .orderBy(asc(jobs.createdAt), asc(jobs.id))
        .limit(most + 1),
    );
    const last = rows.length > most ? rows[most - 1] : undefined;
    const listed = rows.slice(0, most).map(listingOf);
    this.summaries.look(listed);
    return {
      jobs: listed,
      next: last === undefined ? null : { madeAt: last.madeAt, id: last.id },
    };
  }

  async get(id: string): Promise<JobView> {
    const { job, head } = await this.jobWithHead(id);
    return { ...listingOf(job), head: await this.withDesign(head) };
  }

  /** The picture of a revision (PNG), if it is that which lists show; null when there is none. */
  async picture(id: string, of: number): Promise<Buffer | null> {
    const [row] = await this.database.steady((db) =>
      db
        .select({ picture: jobs.picture })
        .from(jobs)
        .where(and(eq(jobs.id, id), eq(jobs.summaryOf, of))),
    );
    return row?.picture ?? null;
  }

  async create({ name, customer, dueOn, design }: NewJob, status: JobRow['status'] = 'quoted'): Promise<JobView> {
    // Named here, so that work which is done again after a lost connection makes one job, not two.
    const id = randomUUID();
    await this.database.transaction(async (transaction) => {
      const made = await transaction
        .insert(jobs)
        .values({ id, name, customer, status, dueOn })
        .onConflictDoNothing()
        .returning({ id: jobs.id });
      if (made.length > 0)
        await this.append(transaction, { jobId: id, parent: null, design, note: 'first', setAside: false });
    });
    this.summaries.want(id, 1);
    return this.get(id);
  }

  /** A new job of the same design; what was ticked and measured of the other stays with it. */
  async copy(id: string, name: string): Promise<JobView> {
    const { customer, head } = await this.get(id);
    const { proof: _proof, ...design } = head.design;
    return this.create({ name, customer, dueOn: null, design: storedForm({ ...design, name }) });
  }

  async update(id: string, request: UpdateJobDto): Promise<JobView> {
    const given = Object.fromEntries(
      (['name', 'customer', 'status', 'dueOn', 'handedOverOn', 'archived', 'template'] as const).flatMap((key) =>
        request[key] === undefined ? [] : [[key, request[key]]],
      ),
    );
    const { cared, handedOverOn, status } = request;
    const rows = await this.database.steady((db) =>
      db
        .update(jobs)
        .set({
          ...given,
          // What is delivered was handed over, today where nobody says otherwise.
          ...(status === 'delivered' && handedOverOn === undefined
            ? { handedOverOn: sql`coalesce(${jobs.handedOverOn}, current_date)` }
            : {}),
          // Merged by the database: two people may write down different things at once.
          ...(cared === undefined
            ? {}
            : { cared: sql`${jobs.cared} || ${JSON.stringify({ [cared.everyMonths]: cared.on })}::jsonb` }),
          updatedAt: sql`now()`,
        })
        .where(eq(jobs.id, id))
        .returning({ id: jobs.id }),
    );
    if (rows.length === 0) throw noSuchJob();
    return this.get(id);
  }

  /**
   * Saves a design made from the revision whose hash is `basedOn`. When that is no longer the head, the design is kept as
   * a set-aside revision and both sides are returned; nothing is lost either way.
   */
  async save(id: string, { design, note }: Save, basedOn: string): Promise<SaveOutcome> {
    const outcome = await this.database.transaction(async (transaction): Promise<Stored> => {
      const [job] = await transaction
        .select({ headRevision: jobs.headRevision })
        .from(jobs)
        .where(eq(jobs.id, id))
        .for('update');
      if (job === undefined) throw noSuchJob();
      const head = await this.lightRow(transaction, id, job.headRevision);
      // Also what a save finds that was done before its connection was lost.
      if (head.hash === design.hash) return { kind: 'saved', row: head };
      const stale = head.hash !== basedOn;
      // The same edits, sent once more from the same old revision, are kept already.
      const known = stale ? await this.numberOfHash(transaction, id, design.hash) : null;
      if (known !== null) return { kind: 'conflict', theirs: head.number, yours: known };
      const parent = stale ? await this.numberOfHash(transaction, id, basedOn) : head.number;
      const row = await this.append(transaction, { jobId: id, parent, design, note, setAside: stale });
      return stale ? { kind: 'conflict', theirs: head.number, yours: row.number } : { kind: 'saved', row };
    });
    if (outcome.kind === 'conflict') {
      const [head, yours] = await Promise.all([this.revision(id, outcome.theirs), this.revision(id, outcome.yours)]);
      return { kind: 'conflict', head, yours };
    }
    this.summaries.want(id, outcome.row.number);
    return { kind: 'saved', revision: revisionView(outcome.row) };
  }

  async revisions(id: string): Promise<readonly RevisionView[]> {
    const rows = await this.database.steady((db) =>
      db.select(lightColumns).from(revisions).where(eq(revisions.jobId, id)).orderBy(desc(revisions.number)),
    );
    // A job has one revision at least.
    if (rows.length === 0) throw noSuchJob();
    return rows.map(revisionView);
  }

  async revision(id: string, number: number): Promise<RevisionWithDesign> {
    return this.withDesign(await this.database.steady((db) => this.revisionRow(db, id, number)));
  }

  private async withDesign({ designText, ...row }: FullRow): Promise<RevisionWithDesign> {
    return { ...revisionView(row), design: await this.intake.fromStore(designText) };
  }

  private async append(transaction: Transaction, { design, ...next }: NewRevision): Promise<RevisionRow> {
    const [last] = await transaction
      .select({ number: max(revisions.number) })
      .from(revisions)
      .where(eq(revisions.jobId, next.jobId));
    const number = (last?.number ?? 0) + 1;
    const items = await itemsNamed(transaction, design.text);
    const [row] = await transaction
      .insert(revisions)
      .values({ ...next, number, items: [...items], hash: design.hash, design: sql`${design.text}::json` })
      .returning(lightColumns);
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

  private async jobWithHead(id: string): Promise<{ readonly job: ListedJob; readonly head: FullRow }> {
    return this.database.steady(async (db) => {
      const [job] = await db.select(listedColumns).from(jobs).where(eq(jobs.id, id));
      if (job === undefined) throw noSuchJob();
      return { job, head: await this.revisionRow(db, id, job.headRevision) };
    });
  }

  private async lightRow(db: Pick<Transaction, 'select'>, jobId: string, number: number): Promise<RevisionRow> {
    const [row] = await db
      .select(lightColumns)
      .from(revisions)
      .where(and(eq(revisions.jobId, jobId), eq(revisions.number, number)));
    if (row === undefined) throw noSuchRevision();
    return row;
  }

  private async revisionRow(db: Pick<Transaction, 'select'>, jobId: string, number: number): Promise<FullRow> {
    const [row] = await db
      .select(fullColumns)
      .from(revisions)
      .where(and(eq(revisions.jobId, jobId), eq(revisions.number, number)));
    if (row === undefined) throw noSuchRevision();
    return row;
  }
}

const noSuchRevision = (): NotFoundException => new NotFoundException('There is no such revision of this job.');

const noSuchJob = (): NotFoundException => new NotFoundException('There is no such job in the book.');
