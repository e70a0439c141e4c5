import { randomUUID } from 'node:crypto';
import { HttpException, HttpStatus, Injectable, NotFoundException } from '@nestjs/common';
import type { SweepEvent, SweepView } from '@vitrum/contract';
import { and, asc, count, eq, gt, sql } from 'drizzle-orm';
import { Busy } from '../common/busy.js';
import { DatabaseService } from '../database/database.module.js';
import { sweepPoints, sweeps } from '../database/schema.js';
import type { NewSweep } from '../intake/wire-requests.js';
import { sweepBell } from './sweep-bell.js';
import { underWay } from './sweep-turns.js';
import { sweepView } from './sweep-views.js';

const pointsAnEvent = 200;
/** Sweeps of one person that may be under way at once. */
const mostOfAPerson = 4;
/** Sweeps that may be under way at once. */
const mostOfAll = 400;

/** A sweep without its design and plan, which are not looked at while it goes on. */
const lightColumns = {
  id: sweeps.id,
  status: sweeps.status,
  done: sweeps.done,
  total: sweeps.total,
  error: sweeps.error,
} as const;

/** Sweeps that run on the server: kept in tables, so that any process may ask, work or die. */
@Injectable()
export class SweepsService {
  constructor(private readonly database: DatabaseService) {}

  /** Throws a 429 when so many of this person’s are under way already, a 503 when too many of all are. */
  async create({ design, plan, total }: NewSweep, person: string): Promise<SweepView> {
    const id = randomUUID();
    return this.database.transaction(async (transaction) => {
      // One after the other for each person, or two at once would both find room. What was stored already, before its
      // connection was lost, does not stand in its own way.
      await transaction.execute(sql`select pg_advisory_xact_lock(hashtextextended(${`person ${person}`}, 0))`);
      const underWayNow = async (whose = sql`true`): Promise<number> =>
        (await transaction.select({ n: count() }).from(sweeps).where(and(underWay, whose)))[0]?.n ?? 0;
      if ((await underWayNow(sql`person = ${person} and id <> ${id}`)) >= mostOfAPerson)
        throw new HttpException(
          {
            message: `${mostOfAPerson} sweeps of yours are under way on the server; stop one, or wait until one is done.`,
          },
          HttpStatus.TOO_MANY_REQUESTS,
        );
      if ((await underWayNow()) >= mostOfAll)
        throw new Busy('Too many sweeps are under way on the server; try again later, or run it in the page.');
      const [row] = await transaction
        .insert(sweeps)
        .values({ id, design: sql`${design.text}::json`, plan, total, person })
        // Work that was done before its connection was lost, and is done again.
        .onConflictDoUpdate({ target: sweeps.id, set: { id } })
        .returning(lightColumns);
      await transaction.execute(sql`select pg_notify(${sweepBell}, '')`);
      return sweepView(row!);
    });
  }

  private async row(id: string) {
    const [row] = await this.database.steady((db) => db.select(lightColumns).from(sweeps).where(eq(sweeps.id, id)));
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
        .where(and(eq(sweeps.id, id), underWay)),
    );
    return sweepView(await this.row(id));
  }
}
