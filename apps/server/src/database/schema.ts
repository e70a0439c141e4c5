import type { DesignFacts, SweepPointView, SweepStatus } from '@vitrum/contract';
import type { Design, JobStatus, SweepAxes } from '@vitrum/core';
import { sql } from 'drizzle-orm';
import {
  boolean,
  customType,
  date,
  index,
  integer,
  json,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  unique,
  uuid,
} from 'drizzle-orm/pg-core';

const bytes = customType<{ data: Buffer }>({ dataType: () => 'bytea' });

export const jobs = pgTable(
  'jobs',
  {
    id: uuid('id').primaryKey().defaultRandom(),
    name: text('name').notNull(),
    customer: text('customer').notNull().default(''),
    status: text('status').$type<JobStatus>().notNull().default('quoted'),
    dueOn: date('due_on', { mode: 'string' }),
    headRevision: integer('head_revision').notNull().default(0),
    /** What lists show of revision `summaryOf`, the newest that has been summed up, and its picture (PNG). */
    summary: json('summary').$type<DesignFacts>(),
    summaryOf: integer('summary_of'),
    picture: bytes('picture'),
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
