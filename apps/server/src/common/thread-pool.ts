import { fileURLToPath } from 'node:url';
import { OnModuleDestroy } from '@nestjs/common';
import { Piscina } from 'piscina';
import { Busy } from './busy.js';

/** With the start of a thread and a queue on a busy machine, which take most of it; the thread is ended and another started. */
const usualDeadlineMs = 60_000;
/** A thread that nothing was asked of for so long gives its memory back. */
const idleMs = 60_000;

/** A thread beside the one that answers requests, started when it is first asked. */
export class ThreadPool<Task, Found> implements OnModuleDestroy {
  private pool: Piscina<Task, Found> | null = null;

  /** `thread`: the module that it runs, from the folder of what is built; so from the sources and from what is built alike. */
  constructor(
    private readonly thread: string,
    private readonly mostMemoryMb: number,
    private readonly deadlineMs = usualDeadlineMs,
  ) {}

  /** Throws a 503 when it is not done in time, and an error when it takes too much memory. */
  protected async run(task: Task, signal?: AbortSignal): Promise<Found> {
    this.pool ??= new Piscina({
      filename: fileURLToPath(new URL(`../../dist/${this.thread}.js`, import.meta.url)),
      minThreads: 0,
      maxThreads: 1,
      idleTimeout: idleMs,
      resourceLimits: { maxOldGenerationSizeMb: this.mostMemoryMb },
    });
    const deadline = AbortSignal.timeout(this.deadlineMs);
    try {
      return await this.pool.run(task, {
        signal: signal === undefined ? deadline : AbortSignal.any([signal, deadline]),
      });
    } catch (error) {
      if (deadline.aborted && (error as Error).name === 'AbortError')
        throw new Busy(
          `The server is busy: this was not done within ${this.deadlineMs / 1000} s. Try again in a moment.`,
        );
      throw error;
    }
  }

  async onModuleDestroy(): Promise<void> {
    await this.pool?.destroy();
  }
}
