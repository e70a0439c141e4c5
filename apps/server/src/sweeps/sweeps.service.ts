import { randomUUID } from 'node:crypto';
import { Injectable, NotFoundException } from '@nestjs/common';
import type { SweepEvent, SweepPointView, SweepView } from '@vitrum/contract';
import type { Design, SweepAxes } from '@vitrum/core';
import { and, asc, eq, gt, inArray, lt, or, sql } from 'drizzle-orm';
import { DatabaseService } from '../database/database.module.js';
import { sweepPoints, sweeps } from '../database/schema.js';
import type { NewSweep } from '../intake/wire-requests.js';
import { SweepQueue } from './sweep-queue.js';
import { designFromStore } from '../jobs/stored-design.js';
import { sweepView } from './sweep-views.js';

/** A run that has not been heard of for so long has died with its process. */
const deadAfter = sql`interval '6 seconds'`;
const pointsAnEvent = 200;

/** A sweep as a runner works on it. */
export interface ClaimedSweep {
  readonly id: string;
  readonly design: Design;
  readonly plan: SweepAxes;
  readonly done: number;
}

/** Sweeps that run on the server: kept in tables, so that any process may ask, work or die. */
@Injectable()
export class SweepsService {
  constructor(
    private readonly database: DatabaseService,
    private readonly queue: SweepQueue,
  ) {}

  async create({ design, plan, total }: NewSweep): Promise<SweepView> {
    const id = randomUUID();
    await this.database.steady((db) =>
      db
        .insert(sweeps)
        .values({ id, design: sql`${design.text}::json`, plan, total })
        .onConflictDoNothing(),
    );
    const row = await this.row(id);
    await this.queue.send(row.id);
    return sweepView(row);
  }

  private async row(id: string) {
    const [row] = await this.database.steady((db) => db.select().from(sweeps).where(eq(sweeps.id, id)));
    if (row === undefined) throw new NotFoundException('There is no such sweep.');
    return row;
  }

  async view(id: string): Promise<SweepView> {
    return sweepView(await this.row(id));
  }

  /** Where a sweep stands, with the points after place `from`. */
  async since(id: string, from: number): Promise<SweepEvent & { readonly last: number }> {
    const row = await this.row(id);
    const points = await this.database.steady((db) =>
      db
        .select()
        .from(sweepPoints)
        .where(and(eq(sweepPoints.sweepId, id), gt(sweepPoints.place, from)))
        .orderBy(asc(sweepPoints.place))
        .limit(pointsAnEvent),
    );
    return {
      sweep: sweepView(row),
      points: points.flatMap(({ data }) => (data === null ? [] : [data])),
      last: points.at(-1)?.place ?? from,
    };
  }

  async cancel(id: string): Promise<SweepView> {
    await this.row(id);
    await this.database.steady((db) =>
      db
        .update(sweeps)
        .set({ status: 'cancelled', updatedAt: sql`now()` })
        .where(and(eq(sweeps.id, id), inArray(sweeps.status, ['queued', 'running']))),
    );
    return sweepView(await this.row(id));
  }

  /** Takes a sweep that nobody works on, or whose runner has died; null when somebody else has it. */
  async claim(id: string, runner: string): Promise<ClaimedSweep | null> {
    const [row] = await this.database.db
      .update(sweeps)
      .set({ status: 'running', runner, updatedAt: sql`now()` })
      .where(
        and(
          eq(sweeps.id, id),
          or(
            eq(sweeps.status, 'queued'),
            and(eq(sweeps.status, 'running'), lt(sweeps.updatedAt, sql`now() - ${deadAfter}`)),
          ),
        ),
      )
      .returning();
    if (row === undefined) return null;
    // A row of an older version has an older design in it, and names no assembly.
    return {
      id,
      design: designFromStore(row.design),
      plan: { ...row.plan, assembly: row.plan.assembly ?? 0 },
      done: row.done,
    };
  }

  /** Stores points from place `from` on; false when the sweep has been cancelled or taken by another runner. */
  async store(id: string, runner: string, from: number, points: readonly (SweepPointView | null)[]): Promise<boolean> {
    return this.database.transaction(async (transaction) => {
      const held = await transaction
        .update(sweeps)
        .set({ done: from + points.length, updatedAt: sql`now()` })
        .where(and(eq(sweeps.id, id), eq(sweeps.runner, runner), eq(sweeps.status, 'running')))
        .returning({ id: sweeps.id });
      if (held.length === 0) return false;
      if (points.length > 0)
        await transaction
          .insert(sweepPoints)
          .values(points.map((data, index) => ({ sweepId: id, place: from + index + 1, data })))
          .onConflictDoNothing();
      return true;
    });
  }

  async end(id: string, runner: string, error: string | null): Promise<void> {
    await this.database.steady((db) =>
      db
        .update(sweeps)
        .set({ status: error === null ? 'done' : 'failed', error, updatedAt: sql`now()` })
        .where(and(eq(sweeps.id, id), eq(sweeps.runner, runner), eq(sweeps.status, 'running'))),
    );
  }

  /** Sweeps that want doing and that nobody works on: left behind by a process that died. */
  async orphans(): Promise<readonly string[]> {
    const rows = await this.database.db
      .select({ id: sweeps.id })
      .from(sweeps)
      .where(and(inArray(sweeps.status, ['queued', 'running']), lt(sweeps.updatedAt, sql`now() - ${deadAfter}`)));
    return rows.map(({ id }) => id);
  }
}
