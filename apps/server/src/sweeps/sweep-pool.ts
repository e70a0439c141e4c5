import { fileURLToPath } from 'node:url';
import { Injectable, OnModuleDestroy } from '@nestjs/common';
import { Piscina } from 'piscina';
import type { SweepTask, SweepTurn } from './sweep-thread.js';

/** From the sources and from what is built of them alike: a thread runs what is built. */
const thread = fileURLToPath(new URL('../../dist/sweeps/sweep-thread.js', import.meta.url));

/** For one turn, with the start of a thread on a busy machine. */
const deadlineMs = 30_000;
const mostMemoryMb = 768;

/** Combinations that take too long, or too much memory; the sweep they belong to cannot go on. */
export class SweepTooCostly extends Error {}

/** The thread of a worker in which sweeps are worked on. */
@Injectable()
export class SweepPool implements OnModuleDestroy {
  private readonly stopped = new AbortController();
  private readonly pool = new Piscina<SweepTask, SweepTurn>({
    filename: thread,
    minThreads: 1,
    maxThreads: 1,
    resourceLimits: { maxOldGenerationSizeMb: mostMemoryMb },
  });

  /** Throws `SweepTooCostly` when a point takes too long or too much memory. */
  async turn(task: SweepTask): Promise<SweepTurn> {
    const deadline = AbortSignal.timeout(deadlineMs);
    try {
      return await this.pool.run(task, { signal: AbortSignal.any([deadline, this.stopped.signal]) });
    } catch (error) {
      const { code, name } = error as { readonly code?: unknown; readonly name?: unknown };
      if (deadline.aborted) throw new SweepTooCostly('one combination takes too long to be worked out');
      if (code === 'ERR_WORKER_OUT_OF_MEMORY') throw new SweepTooCostly('one combination takes too much memory');
      if (name === 'AbortError') throw new Error('the worker is stopping');
      throw error;
    }
  }

  async onModuleDestroy(): Promise<void> {
    this.stopped.abort();
    await this.pool.destroy();
  }
}
