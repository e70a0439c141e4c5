import { Inject, Injectable, Logger, OnModuleDestroy } from '@nestjs/common';
import { sql } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/node-postgres';
import pg from 'pg';
import { CONFIG, type Config } from '../config.js';
import type { Database } from '../database/database.module.js';
import * as schema from '../database/schema.js';
import { sweepBell } from './sweep-bell.js';

const connectTimeoutMs = 5000;
const statementTimeoutMs = 10_000;
/** The database notices within half a minute that the machine of a worker is gone, and gives its sweeps to others. */
const noticeDeath = '-c tcp_keepalives_idle=15 -c tcp_keepalives_interval=5 -c tcp_keepalives_count=3';

/** A worker’s own connection: what is locked on it is locked for as long as it lives, however long the work takes. */
export class Line {
  private rang = false;
  private listener: (() => void) | null = null;
  readonly db: Database;

  constructor(private readonly client: pg.Client) {
    this.db = drizzle(client, { schema });
    client.on('notification', () => {
      this.rang = true;
      this.listener?.();
    });
  }

  /** Takes a sweep for this connection; false when another has it. */
  async take(id: string): Promise<boolean> {
    const { rows } = await this.db.execute<{ taken: boolean }>(
      sql`select pg_try_advisory_lock(hashtextextended(${id}, 0)) as taken`,
    );
    return rows[0]?.taken === true;
  }

  async release(id: string): Promise<void> {
    await this.db.execute(sql`select pg_advisory_unlock(hashtextextended(${id}, 0))`);
  }

  /** Resolves when a sweep has come in since this was last asked, when the line ends, or after so long. */
  bell(ms: number): Promise<void> {
    if (this.rang) {
      this.rang = false;
      return Promise.resolve();
    }
    return new Promise((resolve) => {
      const done = (): void => {
        clearTimeout(timer);
        this.listener = null;
        this.rang = false;
        resolve();
      };
      const timer = setTimeout(done, ms);
      this.listener = done;
    });
  }

  wake(): void {
    this.listener?.();
  }

  async end(): Promise<void> {
    this.wake();
    await this.client.end();
  }
}

/** The line of this worker, opened anew when it was lost. */
@Injectable()
export class WorkerLine implements OnModuleDestroy {
  private readonly logger = new Logger('sweeps');
  private current: Line | null = null;

  constructor(@Inject(CONFIG) private readonly config: Config) {}

  async open(): Promise<Line> {
    if (this.current !== null) return this.current;
    const client = new pg.Client({
      connectionString: this.config.databaseUrl,
      connectionTimeoutMillis: connectTimeoutMs,
      statement_timeout: statementTimeoutMs,
      query_timeout: statementTimeoutMs + connectTimeoutMs,
      keepAlive: true,
      options: noticeDeath,
    });
    const line = new Line(client);
    const lost = (why: string): void => {
      if (this.current !== line) return;
      this.current = null;
      line.wake();
      this.logger.warn(`connection lost: ${why}`);
    };
    client.on('error', (error) => lost(error.message));
    client.on('end', () => lost('it ended'));
    await client.connect();
    await client.query(`listen ${sweepBell}`);
    this.current = line;
    return line;
  }

  async onModuleDestroy(): Promise<void> {
    const line = this.current;
    this.current = null;
    await line?.end();
  }
}
