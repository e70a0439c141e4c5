import { fileURLToPath } from 'node:url';
import { OnModuleDestroy } from '@nestjs/common';
import { Piscina } from 'piscina';

/** No work that a person asks for takes as long; the thread that does is ended and another started. */
const deadlineMs = 20_000;
/** A thread that nothing was asked of for so long gives its memory back. */
const idleMs = 60_000;

/** A thread beside the one that answers requests, started when it is first asked. */
export class ThreadPool<Task, Found> implements OnModuleDestroy {
  private pool: Piscina<Task, Found> | null = null;

  /** `thread`: the module that it runs, from the folder of what is built; so from the sources and from what is built alike. */
  constructor(
    private readonly thread: string,
    private readonly mostMemoryMb: number,
  ) {}

  /** Throws when it takes too long or too much memory. */
  protected run(task: Task, signal?: AbortSignal): Promise<Found> {
    this.pool ??= new Piscina({
      filename: fileURLToPath(new URL(`../../dist/${this.thread}.js`, import.meta.url)),
      minThreads: 0,
      maxThreads: 1,
      idleTimeout: idleMs,
      resourceLimits: { maxOldGenerationSizeMb: this.mostMemoryMb },
    });
    const deadline = AbortSignal.timeout(deadlineMs);
    return this.pool.run(task, { signal: signal === undefined ? deadline : AbortSignal.any([signal, deadline]) });
  }

  async onModuleDestroy(): Promise<void> {
    await this.pool?.destroy();
  }
}
