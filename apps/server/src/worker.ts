import 'reflect-metadata';
import { ConsoleLogger } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import { WorkerModule } from './app.module.js';
import { readConfig } from './config.js';
import { SweepRunner } from './sweeps/sweep-runner.js';

/**
 * A worker: does long work. `npm start` runs one beside the server; more may run on other machines with
 * the same DATABASE_URL. It ends with the server that started it.
 */
const run = async (): Promise<void> => {
  const app = await NestFactory.createApplicationContext(WorkerModule.with(readConfig(process.env)), {
    logger: new ConsoleLogger({ json: true }),
    abortOnError: false,
  });
  app.enableShutdownHooks();
  process.once('disconnect', () => void app.close().finally(() => process.exit(0)));
  app.get(SweepRunner).start();
};

run().catch((error: unknown) => {
  process.stderr.write(`The worker could not start: ${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(1);
});
