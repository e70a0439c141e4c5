import { Inject, Injectable, Logger, OnModuleDestroy } from '@nestjs/common';
import PgBoss from 'pg-boss';
import { CONFIG, type Config } from '../config.js';

const queue = 'sweeps';

interface SweepJob {
  readonly sweepId: string;
}

/** The queue of long work in PostgreSQL. A message only says which sweep wants doing; the tables hold the truth. */
@Injectable()
export class SweepQueue implements OnModuleDestroy {
  private readonly logger = new Logger('queue');
  private started: Promise<PgBoss> | null = null;

  constructor(@Inject(CONFIG) private readonly config: Config) {}

  private boss(): Promise<PgBoss> {
    this.started ??= (async () => {
      const boss = new PgBoss({ connectionString: this.config.databaseUrl, max: 3, schema: 'queue' });
      boss.on('error', (error) => this.logger.error(`queue: ${error.message}`));
      await boss.start();
      await boss.createQueue(queue);
      return boss;
    })();
    return this.started;
  }

  async send(sweepId: string): Promise<void> {
    await (await this.boss()).send(queue, { sweepId } satisfies SweepJob);
  }

  /** Calls `run` for each sweep that comes in, one at a time. */
  async work(run: (sweepId: string) => Promise<void>): Promise<void> {
    await (
      await this.boss()
    ).work<SweepJob>(queue, { pollingIntervalSeconds: 1, batchSize: 1 }, async (jobs) => {
      for (const { data } of jobs) await run(data.sweepId);
    });
  }

  async onModuleDestroy(): Promise<void> {
    if (this.started === null) return;
    await (await this.started).stop({ graceful: false, close: true, timeout: 2000 });
  }
}
