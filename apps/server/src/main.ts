import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { createApp } from './create-app.js';
import { readConfig } from './config.js';
import { IntakePool } from './intake/intake-pool.js';
import { keepWorker } from './worker-process.js';

const explain = (error: unknown, port: number): string => {
  const { code, message } = error as { code?: string; message?: string };
  if (code === 'EADDRINUSE') return `Port ${port} is in use; stop what listens there or set PORT to another.`;
  if (code === 'EACCES') return `Port ${port} may not be used by this user; set PORT to one above 1024.`;
  if (code === 'ECONNREFUSED') return 'The database does not come up: nothing answers at DATABASE_URL.';
  return `Vitrum could not start: ${message ?? String(error)}`;
};

/** Whoever sends a request at a trickle is not waited for. Answers, events among them, may take as long as they do. */
const limitTimes = (server: Server): void => {
  server.headersTimeout = 10_000;
  server.requestTimeout = 30_000;
};

/** Stops the worker first when the server is told to stop; Nest closes the rest. */
const stopWith = (stopWorker: () => Promise<void>): void => {
  for (const signal of ['SIGTERM', 'SIGINT'] as const) process.once(signal, () => void stopWorker());
};

const run = async (): Promise<void> => {
  const config = readConfig(process.env);
  try {
    const app = await createApp(config);
    const server = await app.listen(config.port, config.host);
    limitTimes(server);
    app.get(IntakePool).warm();
    if (config.worker) stopWith(keepWorker(process.env));
    const { port } = app.getHttpServer().address() as AddressInfo;
    process.stdout.write(`listening http://${config.host}:${port}\n`);
  } catch (error) {
    process.stderr.write(`${explain(error, config.port)}\n`);
    process.exit(1);
  }
};

run().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(1);
});
