import { setTimeout as pause } from 'node:timers/promises';
import { Injectable, Logger, OnModuleDestroy } from '@nestjs/common';
import { and, eq, lt, sql } from 'drizzle-orm';
import { CatalogueService } from '../catalogue/catalogue.service.js';
import { sweepPoints, sweeps } from '../database/schema.js';
import { SweepPool, SweepTooCostly } from './sweep-pool.js';
import type { SweepTurn } from './sweep-thread.js';
import { nextInTurn, underWay } from './sweep-turns.js';
import { WorkerLine, type Line } from './worker-line.js';

/** How long a sweep is worked on before the next has its turn; also what a crash may cost. */
const turnMs = 500;
/** Work that nobody rang for, left behind by a worker that died, is looked for so often. */
const lookRoundMs = 2000;
const afterFaultMs = 1000;
const tidyEveryMs = 3_600_000;
/** What a sweep found is kept for so long after its end. */
const keptFor = sql`interval '7 days'`;

/** Works through sweeps, a turn of each at a time. Any number of workers may do so on one database. */
@Injectable()
export class SweepRunner implements OnModuleDestroy {
  private readonly logger = new Logger('sweeps');
  private stopping = false;
  private working: Promise<void> = Promise.resolve();
  private tidied = 0;

  constructor(
    private readonly line: WorkerLine,
    private readonly catalogue: CatalogueService,
    private readonly pool: SweepPool,
  ) {}

  start(): void {
    this.working = this.work();
  }

  private async work(): Promise<void> {
    while (!this.stopping)
      try {
        if (await this.turn()) continue;
        await this.tidyUp();
        await (await this.line.open()).bell(lookRoundMs);
      } catch (error) {
        if (this.stopping) return;
        this.logger.warn(`a turn was lost: ${error instanceof Error ? error.message : String(error)}`);
        await pause(afterFaultMs);
      }
  }

  /** Works on the sweep whose turn it is; false when there is none that nobody else works on. */
  async turn(): Promise<boolean> {
    const line = await this.line.open();
    for (const id of await nextInTurn(line.db)) {
      if (!(await line.take(id))) continue;
      try {
        if (await this.advance(line, id)) return true;
      } finally {
        await line.release(id);
      }
    }
    return false;
  }

  /** False when it came to its end between being seen and being taken. */
  private async advance(line: Line, id: string): Promise<boolean> {
    const [row] = await line.db
      .update(sweeps)
      .set({ status: 'running' })
      .where(and(eq(sweeps.id, id), underWay))
      .returning({ design: sql<string>`design::text`, plan: sweeps.plan, done: sweeps.done, total: sweeps.total });
    if (row === undefined) return false;
    const { design, plan, done, total } = row;
    const begun = Date.now();
    try {
      // A row of an older version names no assembly.
      const task = { id, design, plan: { ...plan, assembly: plan.assembly ?? 0 }, done, turnMs };
      const points = await this.pool.turn({ ...task, catalogue: await this.catalogue.read() });
      await this.store(line, id, { points, done, total, workedMs: Date.now() - begun });
    } catch (error) {
      if (!(error instanceof SweepTooCostly)) throw error;
      this.logger.warn(`sweep ${id} is given up: ${error.message}`);
      await line.db
        .update(sweeps)
        .set({ status: 'failed', error: error.message, updatedAt: sql`now()` })
        .where(and(eq(sweeps.id, id), underWay));
    }
    return true;
  }

  /** On the connection that holds the sweep: when that is lost, so is the turn, and whoever takes it next goes on before it. */
  private async store(
    line: Line,
    id: string,
    turn: { readonly points: SweepTurn; readonly done: number; readonly total: number; readonly workedMs: number },
  ): Promise<void> {
    const { points, done, total, workedMs } = turn;
    const now = done + points.length;
    await line.db.transaction(async (transaction) => {
      const held = await transaction
        .update(sweeps)
        .set({
          done: now,
          // Fewer points than a turn holds, and not at the end: the plan is shorter than was said.
          status: now >= total || points.length === 0 ? 'done' : 'running',
          workedMs: sql`${sweeps.workedMs} + ${workedMs}`,
          updatedAt: sql`clock_timestamp()`,
        })
        .where(and(eq(sweeps.id, id), underWay))
        .returning({ id: sweeps.id });
      if (held.length === 0 || points.length === 0) return;
      await transaction
        .insert(sweepPoints)
        .values(points.map((data, index) => ({ sweepId: id, place: done + index + 1, data })))
        .onConflictDoNothing();
    });
  }

  /** Lets go of what nobody will ask for any more. */
  private async tidyUp(): Promise<void> {
    if (Date.now() - this.tidied < tidyEveryMs) return;
    this.tidied = Date.now();
    const line = await this.line.open();
    await line.db.delete(sweeps).where(and(sql`not ${underWay}`, lt(sweeps.updatedAt, sql`now() - ${keptFor}`)));
  }

  async onModuleDestroy(): Promise<void> {
    this.stopping = true;
    await Promise.all([this.pool.onModuleDestroy(), this.line.onModuleDestroy()]);
    await this.working;
  }
}
