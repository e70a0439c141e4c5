import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { bringUpPostgres } from './postgres.mjs';
import { startServer } from './server.mjs';

/** A throw-away folder and PostgreSQL for tests and pictures; `end` takes both away. */
export const temporaryDatabase = async () => {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'vitrum-test-'));
  const postgres = await bringUpPostgres(folder, { durable: false });
  return {
    ...postgres,
    folder,
    end: () => {
      postgres.stop();
      postgres.remove();
      rmSync(folder, { recursive: true, force: true });
    },
  };
};

/** A server with the demo shop on a database of its own, on a free port. */
export const demoServer = async () => {
  const database = await temporaryDatabase();
  try {
    const server = await startServer({
      environment: { DATABASE_URL: database.url, PORT: '0' },
      log: path.join(database.folder, 'server.log'),
    });
    return {
      url: server.url,
      end: async () => {
        await server.stop();
        database.end();
      },
    };
  } catch (error) {
    database.end();
    throw error;
  }
};
