import { fileURLToPath } from 'node:url';
import { Injectable, OnModuleDestroy } from '@nestjs/common';
import { Piscina } from 'piscina';
import type { SummedUp } from './summary-of.js';
import type { SummaryTask } from './summary-thread.js';

/** From the sources and from what is built of them alike: a thread runs what is built. */
const thread = fileURLToPath(new URL('../../dist/summaries/summary-thread.js', import.meta.url));

/** No design that a person made takes as long; the thread that does is ended and another started. */
const deadlineMs = 20_000;
const mostMemoryMb = 768;
/** A thread that nothing was asked of for so long gives its memory back. */
const idleMs = 60_000;

/** Threads beside the one that answers requests, in which designs are evaluated. */
@Injectable()
export class SummaryPool implements OnModuleDestroy {
  private pool: Piscina<SummaryTask, SummedUp> | null = null;

  /** Throws when a design takes too long or too much memory. */
  summarise(task: SummaryTask, signal?: AbortSignal): Promise<SummedUp> {
    this.pool ??= new Piscina({
      filename: thread,
      minThreads: 0,
      maxThreads: 1,
      idleTimeout: idleMs,
      resourceLimits: { maxOldGenerationSizeMb: mostMemoryMb },
    });
    const deadline = AbortSignal.timeout(deadlineMs);
    return this.pool.run(task, { signal: signal === undefined ? deadline : AbortSignal.any([signal, deadline]) });
  }

  async onModuleDestroy(): Promise<void> {
    await this.pool?.destroy();
  }
}
