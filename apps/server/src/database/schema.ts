import type { DesignFacts, StockWhat, SweepPointView, SweepStatus } from '@vitrum/contract';
import type {
  Design,
  JobStatus,
  LessonSubject,
  LogWhat,
  Need,
  PlanStep,
  QuoteFacts,
  QuoteTerms,
  RecordLine,
  SweepAxes,
  WallSetup,
} from '@vitrum/core';
import { sql } from 'drizzle-orm';
import {
  bigserial,
  boolean,
  check,
  customType,
  date,
  doublePrecision,
  index,
  integer,
  json,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  unique,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';

const bytes = customType<{ data: Buffer }>({ dataType: () => 'bytea' });

/** What is to do for a job, and what of it is done. */
export interface JobWork {
  readonly steps: readonly PlanStep[];
  readonly done: readonly string[];
  /** Minutes of each step as they are typical, for the whole order; not told by older versions. */
  readonly typical?: Readonly<Record<string, number>>;
  /** What was measured, beside what was computed. */
  readonly readings?: readonly RecordLine[];
}

export const jobs = pgTable(
  'jobs',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    name: text('name').notNull(),
    customer: text('customer').notNull().default(''),
    status: text('status').$type<JobStatus>().notNull().default('quoted'),
    dueOn: date('due_on', { mode: 'string' }),
    /** Put away: kept, and shown only where it is asked for. */
    archived: boolean('archived').notNull().default(false),
    /** Stands in the book to be copied from. */
    template: boolean('template').notNull().default(false),
    /** The day on which the sign was handed over. */
    handedOverOn: date('handed_over_on', { mode: 'string' }),
    /** When it was last looked after, by how often that is due (months). */
    cared: jsonb('cared').$type<Readonly<Record<number, string>>>().notNull().default({}),
    headRevision: integer('head_revision').notNull().default(0),
    /** What lists show of revision `summaryOf`, the newest that has been summed up, and its picture (PNG). */
    summary: json('summary').$type<DesignFacts>(),
    summaryOf: integer('summary_of'),
    picture: bytes('picture'),
    /** What the summed-up revision takes from the shelf. */
    needs: json('needs').$type<readonly Need[]>(),
    /** Its steps as they are planned, and those that are done. */
    work: json('work').$type<JobWork>(),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
    updatedAt: timestamp('updated_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [index('jobs_made').on(table.createdAt, table.id)],
);

/** Append-only. `design` is json, not jsonb: it keeps the text as it came, odd escapes and all. */
export const revisions = pgTable(
  'revisions',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    jobId: uuid('job_id')
      .notNull()
      .references(() => jobs.id),
    number: integer('number').notNull(),
    parent: integer('parent'),
    hash: text('hash').notNull(),
    design: json('design').$type<Design>().notNull(),
    note: text('note').notNull().default(''),
    setAside: boolean('set_aside').notNull().default(false),
    /** Ids of the shelf’s items that the design names; null until that was looked up. */
    items: text('items').array(),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    unique('revisions_number').on(table.jobId, table.number),
    index('revisions_job').on(table.jobId),
    index('revisions_items').using('gin', table.items),
  ],
);

/** One piece, or several alike, of a thing of the shelf. `amount` is the sum of its entries, kept beside them. */
export const stockLots = pgTable(
  'stock_lots',
  {
    id: uuid('id').primaryKey(),
    kind: text('kind').notNull(),
    lineId: text('line_id').notNull(),
    form: text('form').$type<Need['form']>().notNull(),
    amount: doublePrecision('amount').notNull().default(0),
    widthMm: doublePrecision('width_mm'),
    heightMm: doublePrecision('height_mm'),
    openedOn: date('opened_on', { mode: 'string' }),
    madeAt: timestamp('made_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    index('stock_lots_line').on(table.kind, table.lineId),
    check('stock_lots_amount', sql`${table.amount} >= 0`),
  ],
);

/** What became of stock: append-only. One operation may touch several lots; sent twice, it counts once. */
export const stockEntries = pgTable(
  'stock_entries',
  {
    seq: bigserial('seq', { mode: 'number' }).primaryKey(),
    op: uuid('op').notNull(),
    place: integer('place').notNull().default(0),
    what: text('what').$type<StockWhat>().notNull(),
    lotId: uuid('lot_id').references(() => stockLots.id),
    delta: doublePrecision('delta').notNull().default(0),
    jobId: uuid('job_id').references(() => jobs.id),
    note: text('note').notNull().default(''),
    at: timestamp('at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    unique('stock_entries_op').on(table.op, table.place),
    index('stock_entries_lot').on(table.lotId, table.seq),
    index('stock_entries_job').on(table.jobId, table.seq),
  ],
);

/** What the shop keeps one of: its hours, its plan. `version` counts changes, so that two who change it at once are told. */
export const shopPapers = pgTable('shop_papers', {
  name: text('name').primaryKey(),
  version: integer('version').notNull().default(1),
  data: json('data').notNull(),
  changedAt: timestamp('changed_at', { withTimezone: true }).notNull().defaultNow(),
});

/** Quotes as they went out: what they say does not change with the design. Whoever has the token sees just that. */
export const quotes = pgTable(
  'quotes',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    token: text('token').notNull().unique(),
    jobId: uuid('job_id')
      .notNull()
      .references(() => jobs.id),
    revision: integer('revision').notNull(),
    facts: json('facts').$type<QuoteFacts>().notNull(),
    terms: json('terms').$type<QuoteTerms>().notNull(),
    day: bytes('day').notNull(),
    night: bytes('night').notNull(),
    /** The sign on the customer’s own wall (PNG), where there was a photograph of it. */
    wallDay: bytes('wall_day'),
    wallNight: bytes('wall_night'),
    madeAt: timestamp('made_at', { withTimezone: true }).notNull().defaultNow(),
    validUntil: date('valid_until', { mode: 'string' }).notNull(),
    withdrawn: boolean('withdrawn').notNull().default(false),
  },
  (table) => [index('quotes_job').on(table.jobId, table.madeAt)],
);

/** Photographs of walls that signs are to hang on (PNG), one a job, and where the sign is to be. */
export const wallPhotos = pgTable('wall_photos', {
  jobId: uuid('job_id')
    .primaryKey()
    .references(() => jobs.id),
  photo: bytes('photo').notNull(),
  width: integer('width').notNull(),
  height: integer('height').notNull(),
  setup: json('setup').$type<WallSetup>(),
  changedAt: timestamp('changed_at', { withTimezone: true }).notNull().defaultNow(),
});

/** What customers said to quotes: append-only. A yes counts once. */
export const quoteAnswers = pgTable(
  'quote_answers',
  {
    seq: bigserial('seq', { mode: 'number' }).primaryKey(),
    /** Told apart by it where a shop’s file is read twice. */
    id: uuid('id').notNull().unique().defaultRandom(),
    quoteId: uuid('quote_id')
      .notNull()
      .references(() => quotes.id),
    what: text('what').$type<'yes' | 'remark'>().notNull(),
    name: text('name').notNull(),
    remark: text('remark').notNull().default(''),
    at: timestamp('at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    index('quote_answers_quote').on(table.quoteId, table.seq),
    uniqueIndex('quote_answers_yes')
      .on(table.quoteId)
      .where(sql`what = 'yes'`),
  ],
);

/** What was written down at the bench: append-only. Sent twice, an entry counts once. */
export const benchEntries = pgTable(
  'bench_entries',
  {
    seq: bigserial('seq', { mode: 'number' }).primaryKey(),
    id: uuid('id').notNull().unique(),
    jobId: uuid('job_id')
      .notNull()
      .references(() => jobs.id),
    stepId: text('step_id'),
    what: text('what').$type<LogWhat>().notNull(),
    by: text('by').notNull().default(''),
    at: timestamp('at', { withTimezone: true }).notNull(),
    value: doublePrecision('value'),
    words: text('words').notNull().default(''),
    of: uuid('of'),
  },
  (table) => [
    index('bench_entries_job').on(table.jobId, table.seq),
    index('bench_entries_ticks')
      .on(table.jobId, table.at)
      .where(sql`what in ('done', 'not-done')`),
    index('bench_entries_times')
      .on(table.jobId)
      .where(sql`what = 'time'`),
    index('bench_entries_back')
      .on(table.of)
      .where(sql`what = 'taken-back'`),
  ],
);

/** Photographs from the bench (JPEG or PNG), each named as the entry that tells of it. */
export const benchPhotos = pgTable(
  'bench_photos',
  {
    id: uuid('id').primaryKey(),
    jobId: uuid('job_id')
      .notNull()
      .references(() => jobs.id),
    type: text('type').$type<'image/jpeg' | 'image/png'>().notNull(),
    bytes: bytes('bytes').notNull(),
  },
  (table) => [index('bench_photos_job').on(table.jobId)],
);

/** What the shop learned, in its own words. */
export const lessons = pgTable('lessons', {
  id: uuid('id').primaryKey(),
  about: text('about').$type<LessonSubject>().notNull(),
  key: text('key').notNull(),
  words: text('words').notNull(),
  by: text('by').notNull().default(''),
  jobId: uuid('job_id').references(() => jobs.id),
  madeAt: timestamp('made_at', { withTimezone: true }).notNull().defaultNow(),
  retired: boolean('retired').notNull().default(false),
});

/** What jobs have a claim to, the earliest first served. */
export const stockClaims = pgTable('stock_claims', {
  jobId: uuid('job_id')
    .primaryKey()
    .references(() => jobs.id),
  needs: json('needs').$type<readonly Need[]>().notNull(),
  claimedAt: timestamp('claimed_at', { withTimezone: true }).notNull().defaultNow(),
});

export const catalogueItems = pgTable(
  'catalogue_items',
  {
    kind: text('kind').notNull(),
    id: text('id').notNull(),
    place: integer('place').notNull(),
    data: jsonb('data').notNull(),
    /** Counts changes, so that two people who change one item at once are told. */
    version: integer('version').notNull().default(1),
  },
  (table) => [primaryKey({ columns: [table.kind, table.id] })],
);

/**
 * Sweeps that run on the server. Who works on one just now is told by a lock on it, which goes with the connection that
 * took it. `person` is the address it was asked from, `workedMs` what it has had, `updatedAt` when it had its last turn.
 */
export const sweeps = pgTable(
  'sweeps',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    design: json('design').$type<Design>().notNull(),
    plan: json('plan').$type<SweepAxes>().notNull(),
    status: text('status').$type<SweepStatus>().notNull().default('queued'),
    person: text('person').notNull().default(''),
    workedMs: integer('worked_ms').notNull().default(0),
    done: integer('done').notNull().default(0),
    total: integer('total').notNull(),
    error: text('error'),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
    updatedAt: timestamp('updated_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    index('sweeps_under_way')
      .on(table.person)
      .where(sql`status in ('queued', 'running')`),
  ],
);

/** What a sweep has found, place by place; null where a combination makes no case. */
export const sweepPoints = pgTable(
  'sweep_points',
  {
    sweepId: uuid('sweep_id')
      .notNull()
      .references(() => sweeps.id, { onDelete: 'cascade' }),
    place: integer('place').notNull(),
    data: json('data').$type<SweepPointView | null>(),
  },
  (table) => [primaryKey({ columns: [table.sweepId, table.place] })],
);
