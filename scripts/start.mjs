import path from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { setUp } from './lib/setup.mjs';
import { bringUpPostgres } from './lib/postgres.mjs';
import { dataFolder } from './lib/paths.mjs';
import { PlainError, runMain, say } from './lib/say.mjs';
import { startServer } from './lib/server.mjs';

const signalled = () =>
  new Promise((resolve) => {
    for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, resolve);
  });

const lookEveryMs = 1000;

/** Brings the database up again when it has ended by itself; gives what stops looking. */
const watch = (postgres) => {
  let stopped = false;
  const look = async () => {
    while (!stopped) {
      await pause(lookEveryMs);
      if (stopped) return;
      try {
        if (await postgres.revive()) say('The database had ended by itself; it is up again.');
      } catch (error) {
        say(`The database has ended, and does not come up yet: ${error.message}`);
      }
    }
  };
  const looking = look();
  return async () => {
    stopped = true;
    await looking;
  };
};

const main = async () => {
  await setUp();
  const data = dataFolder();
  const postgres = process.env.DATABASE_URL ? null : await bringUpPostgres(data);
  const asked = signalled();
  const unwatch = postgres === null ? () => undefined : watch(postgres);
  let server;
  try {
    const log = path.join(data, 'server.log');
    const environment = { DATABASE_URL: process.env.DATABASE_URL || postgres.url };
    server = await startServer({ environment, log }).catch((error) => {
      throw new PlainError(error.message);
    });
    say(`\nVitrum is open at ${server.url}\nCtrl-C stops it. Its log is ${log}\n`);
    const ended = await Promise.race([asked, server.exited.then((code) => ({ code }))]);
    if (typeof ended === 'object') throw new PlainError(`The server stopped by itself; its log is ${log}.`);
    say('\nStopping …');
  } finally {
    await unwatch();
    await server?.stop();
    postgres?.stop();
  }
};

await runMain(main);
process.exit(process.exitCode ?? 0);
