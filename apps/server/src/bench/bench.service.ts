import { BadRequestException, ConflictException, Injectable, NotFoundException } from '@nestjs/common';
import type { LogEntryView, LogView } from '@vitrum/contract';
import { doneByLog, entryProblem, type LogEntry } from '@vitrum/core';
import { and, asc, count, eq, gt, inArray } from 'drizzle-orm';
import { DatabaseService, type Transaction } from '../database/database.module.js';
import { benchEntries, benchPhotos, jobs } from '../database/schema.js';
import { typeOfPhoto } from './photo-type.js';

/** What is given at a time. */
const part = 500;
const mostEntries = 20_000;
const mostPhotos = 300;
/** Clocks differ by a little; what lies farther ahead is set to now, or it would have the last word for long. */
const clockSlackMs = 60_000;

type Row = typeof benchEntries.$inferSelect;

const viewOf = ({ jobId: _job, at, ...row }: Row): LogEntryView => ({ ...row, at: at.toISOString() });

/** The bench log of a job: what was ticked, how long it took, what went wrong, photographs. */
@Injectable()
export class BenchService {
  constructor(private readonly database: DatabaseService) {}

  /** Entries that came in after `after`, in the order in which they did. */
  async read(jobId: string, after: number): Promise<LogView> {
    const rows = await this.database.steady((db) =>
      db
        .select()
        .from(benchEntries)
        .where(and(eq(benchEntries.jobId, jobId), gt(benchEntries.seq, after)))
        .orderBy(asc(benchEntries.seq))
        .limit(part),
    );
    if (rows.length === 0) await this.mustExist(jobId);
    return { entries: rows.map(viewOf), after: rows.length < part ? null : rows.at(-1)!.seq };
  }

  /** Adds entries, all or none; those that are there already stay as they are. */
  async add(jobId: string, entries: readonly LogEntry[]): Promise<readonly LogEntryView[]> {
    for (const [index, entry] of entries.entries()) {
      const problem = entryProblem(entry);
      if (problem !== null) throw new BadRequestException(`Entry ${index + 1}: ${problem}.`);
    }
    return this.database.transaction(async (transaction) => {
      await holdJob(transaction, jobId);
      const ids = entries.map(({ id }) => id);
      const known = await transaction.select().from(benchEntries).where(inArray(benchEntries.id, ids));
      if (known.some((row) => row.jobId !== jobId))
        throw new ConflictException('An entry of that id stands in the log of another job.');
      const [{ there } = { there: 0 }] = await transaction
        .select({ there: count() })
        .from(benchEntries)
        .where(eq(benchEntries.jobId, jobId));
      if (there + entries.length > mostEntries)
        throw new ConflictException(`A job’s log holds at most ${mostEntries} entries.`);
      await mustBeThere(transaction, jobId, entries);
      const latest = Date.now() + clockSlackMs;
      await transaction
        .insert(benchEntries)
        .values(entries.map(({ at, ...rest }) => ({ ...rest, jobId, at: heldBack(Date.parse(at), latest) })))
        .onConflictDoNothing();
      const rows = await transaction.select().from(benchEntries).where(inArray(benchEntries.id, ids));
      return rows.map(viewOf).sort((a, b) => a.seq - b.seq);
    });
  }

  /** Keeps a photograph for the entry of the same id, which comes after it. */
  async keepPhoto(jobId: string, id: string, bytes: Buffer): Promise<void> {
    const type = typeOfPhoto(bytes);
    if (type === null)
      throw new BadRequestException('This is no photograph that can be kept: JPEG or PNG, at most 8000 pixels a side.');
    await this.database.transaction(async (transaction) => {
      await holdJob(transaction, jobId);
      const [{ there } = { there: 0 }] = await transaction
        .select({ there: count() })
        .from(benchPhotos)
        .where(eq(benchPhotos.jobId, jobId));
      if (there >= mostPhotos) throw new ConflictException(`A job holds at most ${mostPhotos} photographs.`);
      await transaction.insert(benchPhotos).values({ id, jobId, type, bytes }).onConflictDoNothing();
    });
  }

  async photo(jobId: string, id: string): Promise<{ readonly type: string; readonly bytes: Buffer }> {
    const [row] = await this.database.steady((db) =>
      db
        .select({ type: benchPhotos.type, bytes: benchPhotos.bytes })
        .from(benchPhotos)
        .where(and(eq(benchPhotos.id, id), eq(benchPhotos.jobId, jobId))),
    );
    if (row === undefined) throw new NotFoundException('There is no such photograph.');
    return row;
  }

  /** Steps that are done of each of some jobs, on top of what their designs say of it. */
  async doneOf(before: ReadonlyMap<string, readonly string[]>): Promise<ReadonlyMap<string, readonly string[]>> {
    if (before.size === 0) return before;
    const rows = await this.database.steady((db) =>
      db
        .select({ jobId: benchEntries.jobId, stepId: benchEntries.stepId, what: benchEntries.what })
        .from(benchEntries)
        .where(and(inArray(benchEntries.jobId, [...before.keys()]), inArray(benchEntries.what, ['done', 'not-done'])))
        .orderBy(asc(benchEntries.at), asc(benchEntries.id)),
    );
    const ticks = new Map<string, typeof rows>();
    for (const row of rows) ticks.set(row.jobId, [...(ticks.get(row.jobId) ?? []), row]);
    return new Map([...before].map(([jobId, steps]) => [jobId, doneByLog(ticks.get(jobId) ?? [], steps)] as const));
  }

  private async mustExist(jobId: string): Promise<void> {
    const [row] = await this.database.steady((db) =>
      db.select({ id: jobs.id }).from(jobs).where(eq(jobs.id, jobId)).limit(1),
    );
    if (row === undefined) throw noSuchJob();
  }
}

/** One writer at a time, so that whoever reads on from a number never passes over a smaller one that comes in late. */
const holdJob = async (transaction: Transaction, jobId: string): Promise<void> => {
  const [row] = await transaction.select({ id: jobs.id }).from(jobs).where(eq(jobs.id, jobId)).for('update');
  if (row === undefined) throw noSuchJob();
};

/** What entries point at: photographs that were kept, entries of this log. */
const mustBeThere = async (transaction: Transaction, jobId: string, entries: readonly LogEntry[]): Promise<void> => {
  const photos = entries.filter(({ what }) => what === 'photo').map(({ id }) => id);
  if (photos.length > 0) {
    const kept = await transaction
      .select({ id: benchPhotos.id })
      .from(benchPhotos)
      .where(and(eq(benchPhotos.jobId, jobId), inArray(benchPhotos.id, photos)));
    if (kept.length < new Set(photos).size)
      throw new ConflictException('Send the photograph first, then the entry that tells of it.');
  }
  const own = new Set(entries.map(({ id }) => id));
  const backs = entries.flatMap(({ of }) => (of === null || own.has(of) ? [] : [of]));
  if (backs.length === 0) return;
  const found = await transaction
    .select({ id: benchEntries.id })
    .from(benchEntries)
    .where(and(eq(benchEntries.jobId, jobId), inArray(benchEntries.id, backs)));
  if (found.length < new Set(backs).size) throw new ConflictException('What is taken back is not in this log.');
};

const heldBack = (at: number, latest: number): Date => new Date(at > latest ? Date.now() : at);
const noSuchJob = (): NotFoundException => new NotFoundException('There is no such job in the book.');
