import { fileURLToPath } from 'node:url';
import { Injectable, OnModuleDestroy } from '@nestjs/common';
import { Piscina } from 'piscina';
import type { StockFound, StockTask } from './stock-thread.js';

/** From the sources and from what is built of them alike: a thread runs what is built. */
const thread = fileURLToPath(new URL('../../dist/stock/stock-thread.js', import.meta.url));

const deadlineMs = 20_000;
const mostMemoryMb = 256;
/** A thread that nothing was asked of for so long gives its memory back. */
const idleMs = 60_000;

/** A thread beside the one that answers requests, in which parts are laid on offcuts. */
@Injectable()
export class StockPool implements OnModuleDestroy {
  private pool: Piscina<StockTask, StockFound> | null = null;

  /** Throws when it takes too long or too much memory. */
  find(task: StockTask): Promise<StockFound> {
    this.pool ??= new Piscina({
      filename: thread,
      minThreads: 0,
      maxThreads: 1,
      idleTimeout: idleMs,
      resourceLimits: { maxOldGenerationSizeMb: mostMemoryMb },
    });
    return this.pool.run(task, { signal: AbortSignal.timeout(deadlineMs) });
  }

  async onModuleDestroy(): Promise<void> {
    await this.pool?.destroy();
  }
}
