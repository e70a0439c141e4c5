import { Global, Inject, Injectable, Logger, Module, OnModuleDestroy } from '@nestjs/common';
import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import { CONFIG, migrationsFolder, type Config } from '../config.js';
import * as schema from './schema.js';

export type Database = NodePgDatabase<typeof schema>;
export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0];

/** Held while migrating and seeding, so that servers starting together do it once. Any fixed number will do. */
const setupLock = 724_191;
const connectTimeoutMs = 5000;

/** The connection pool, migrated before first use and closed last. */
@Injectable()
export class DatabaseService implements OnModuleDestroy {
  private readonly logger = new Logger('database');
  private readonly pool: pg.Pool;
  readonly db: Database;

  constructor(@Inject(CONFIG) config: Config) {
    this.pool = new pg.Pool({
      connectionString: config.databaseUrl,
      connectionTimeoutMillis: connectTimeoutMs,
      max: 8,
    });
    this.pool.on('error', (error) => this.logger.error(`idle connection lost: ${error.message}`));
    this.db = drizzle(this.pool, { schema });
  }

  /** Applies the migrations, then `then`, alone among all servers on this database. */
  async setUp(then: () => Promise<void>): Promise<void> {
    const guard = await this.pool.connect();
    try {
      await guard.query('select pg_advisory_lock($1)', [setupLock]);
      await migrate(this.db, { migrationsFolder });
      await then();
    } finally {
      await guard.query('select pg_advisory_unlock($1)', [setupLock]);
      guard.release();
    }
  }

  /** Whether the database answers. */
  async isReady(): Promise<boolean> {
    try {
      await this.pool.query('select 1');
      return true;
    } catch (error) {
      this.logger.warn(`database does not answer: ${error instanceof Error ? error.message : String(error)}`);
      return false;
    }
  }

  async onModuleDestroy(): Promise<void> {
    await this.pool.end();
  }
}

@Global()
@Module({ providers: [DatabaseService], exports: [DatabaseService] })
export class DatabaseModule {}
