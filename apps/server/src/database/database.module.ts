import { setTimeout as pause } from 'node:timers/promises';
import { Global, Inject, Injectable, Logger, Module, OnModuleDestroy } from '@nestjs/common';
import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import type { PgTransactionConfig } from 'drizzle-orm/pg-core';
import pg from 'pg';
import { CONFIG, migrationsFolder, type Config } from '../config.js';
import { isAway, mayBeTriedAgain } from './away.js';
import * as schema from './schema.js';

export type Database = NodePgDatabase<typeof schema>;
export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0];

/** Held while migrating and seeding, so that servers starting together do it once. Any fixed number will do. */
const setupLock = 724_191;
const connectTimeoutMs = 5000;
/** No statement of this program takes a tenth of it; one that does is ended by the database. */
const statementTimeoutMs = 10_000;
/** Beyond that the connection itself is taken for dead. */
const queryTimeoutMs = 15_000;
/** Waits before work is tried again whose connection was lost (ms). */
const pausesMs = [30, 120, 400];

/** The connection pool, migrated before first use and closed last. */
@Injectable()
export class DatabaseService implements OnModuleDestroy {
  private readonly logger = new Logger('database');
  private readonly pool: pg.Pool;
  readonly db: Database;

  constructor(@Inject(CONFIG) private readonly config: Config) {
    this.pool = new pg.Pool({
      connectionString: config.databaseUrl,
      connectionTimeoutMillis: connectTimeoutMs,
      statement_timeout: statementTimeoutMs,
      query_timeout: queryTimeoutMs,
      idle_in_transaction_session_timeout: queryTimeoutMs,
      max: 8,
    });
    this.pool.on('error', (error) => this.logger.warn(`idle connection lost: ${error.message}`));
    // A connection that is lost between two statements of a transaction says so to nobody else; unheard, it ends the process.
    this.pool.on('connect', (client) =>
      client.on('error', (error) => this.logger.warn(`connection lost: ${error.message}`)),
    );
    this.db = drizzle(this.pool, { schema });
  }

  /**
   * Does work that may be done twice, and does it again when its connection was lost on the way. Throws what it threw
   * last when the database stays away.
   */
  async steady<T>(work: (db: Database) => Promise<T>): Promise<T> {
    for (const ms of pausesMs)
      try {
        return await work(this.db);
      } catch (error) {
        if (!mayBeTriedAgain(error)) throw error;
        await pause(ms * (0.5 + Math.random()));
      }
    return work(this.db);
  }

  /** A transaction, done again when its connection was lost on the way; what it does must be such that it may be done twice. */
  transaction<T>(work: (transaction: Transaction) => Promise<T>): Promise<T> {
    return this.steady(() => this.transactionOnce(work));
  }

  /** A transaction that is not done again: of work that cannot be, or is too much. */
  async transactionOnce<T>(work: (transaction: Transaction) => Promise<T>, config?: PgTransactionConfig): Promise<T> {
    // Taken and given back here: Drizzle keeps a connection for ever whose very first statement fails.
    const client = await this.pool.connect();
    let lost = false;
    try {
      return await drizzle(client, { schema }).transaction(work, config);
    } catch (error) {
      lost = isAway(error);
      throw error;
    } finally {
      client.release(lost);
    }
  }

  /** Applies the migrations, then `then`, alone among all servers on this database. */
  async setUp(then: () => Promise<void>): Promise<void> {
    // A connection of its own: waiting for others, and moving a large shop, may take longer than any request.
    const guard = new pg.Client({
      connectionString: this.config.databaseUrl,
      connectionTimeoutMillis: connectTimeoutMs,
    });
    await guard.connect();
    try {
      await guard.query('select pg_advisory_lock($1)', [setupLock]);
      await migrate(drizzle(guard), { migrationsFolder });
      await then();
    } finally {
      await guard.end();
    }
  }

  /** Why the database does not answer, or null when it does. */
  async absence(): Promise<string | null> {
    try {
      await this.pool.query('select 1');
      return null;
    } catch (error) {
      const why = error instanceof Error ? error.message || error.name : String(error);
      this.logger.warn(`database does not answer: ${why}`);
      return why;
    }
  }

  async onModuleDestroy(): Promise<void> {
    await this.pool.end();
  }
}

@Global()
@Module({ providers: [DatabaseService], exports: [DatabaseService] })
export class DatabaseModule {}
