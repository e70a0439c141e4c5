import { randomUUID } from 'node:crypto';
import { setImmediate as breathe } from 'node:timers/promises';
import { Injectable, Logger, OnModuleDestroy } from '@nestjs/common';
import type { SweepPointView } from '@vitrum/contract';
import { sweep } from '@vitrum/core';
import { CatalogueService } from '../catalogue/catalogue.service.js';
import { EvaluationService } from '../evaluation/evaluation.service.js';
import { SweepQueue } from './sweep-queue.js';
import { pointView } from './sweep-views.js';
import { SweepsService, type ClaimedSweep } from './sweeps.service.js';

/** Points are stored together at least this often: what a crash may cost, and how old a progress may be. */
const storeEveryMs = 700;
const lookRoundMs = 3000;

/** Works through sweeps of the queue, and takes up those whose runner has died. */
@Injectable()
export class SweepRunner implements OnModuleDestroy {
  private readonly logger = new Logger('sweeps');
  private readonly runner = randomUUID();
  private looking: NodeJS.Timeout | null = null;
  private stopping = false;
  private busy: Promise<void> = Promise.resolve();

  constructor(
    private readonly sweeps: SweepsService,
    private readonly queue: SweepQueue,
    private readonly catalogue: CatalogueService,
    private readonly evaluation: EvaluationService,
  ) {}

  async start(): Promise<void> {
    await this.queue.work((id) => this.run(id));
    const lookRound = async (): Promise<void> => {
      for (const id of await this.sweeps.orphans()) await this.run(id);
    };
    this.looking = setInterval(() => {
      lookRound().catch((error: unknown) => this.logger.warn(`could not look for orphans: ${String(error)}`));
    }, lookRoundMs);
  }

  /** One sweep at a time, however it came in. */
  run(id: string): Promise<void> {
    const turn = this.busy.then(() => this.take(id));
    // One that failed must not stop those after it.
    this.busy = turn.catch((error: unknown) => this.logger.warn(`sweep ${id} was not taken: ${String(error)}`));
    return turn;
  }

  private async take(id: string): Promise<void> {
    if (this.stopping) return;
    const claimed = await this.sweeps.claim(id, this.runner);
    if (claimed === null) return;
    try {
      if (await this.work(claimed)) await this.sweeps.end(id, this.runner, null);
    } catch (error) {
      this.logger.error(
        `sweep ${id} failed: ${error instanceof Error ? (error.stack ?? error.message) : String(error)}`,
      );
      await this.sweeps.end(id, this.runner, error instanceof Error ? error.message : String(error));
    }
  }

  /** True when it came to its end; false when it was cancelled, taken away or left for another day. */
  private async work({ id, design, plan, done }: ClaimedSweep): Promise<boolean> {
    const evaluator = await this.evaluation.evaluator(await this.catalogue.read());
    // What was stored before a crash is gone over without being tried again.
    const work = sweep(design, plan, evaluator.quick, done);
    let [from, lot, stored] = [done, [] as (SweepPointView | null)[], Date.now()];
    for (let turn = work.next(); turn.done !== true; turn = work.next()) {
      lot.push(turn.value === null ? null : pointView(turn.value));
      await breathe();
      if (this.stopping) return false;
      if (Date.now() - stored < storeEveryMs) continue;
      if (!(await this.sweeps.store(id, this.runner, from, lot))) return false;
      [from, lot, stored] = [from + lot.length, [], Date.now()];
    }
    return this.sweeps.store(id, this.runner, from, lot);
  }

  async onModuleDestroy(): Promise<void> {
    this.stopping = true;
    if (this.looking !== null) clearInterval(this.looking);
    await this.busy;
  }
}
