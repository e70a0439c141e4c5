import { fork, type ChildProcess } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { Logger } from '@nestjs/common';

const program = fileURLToPath(new URL('./worker.js', import.meta.url));
const restartAfterMs = 2000;
const stopWithinMs = 4000;

/** Keeps one worker process running beside the server; returns what stops it. */
export const keepWorker = (environment: NodeJS.ProcessEnv): (() => Promise<void>) => {
  const logger = new Logger('worker');
  let stopping = false;
  let child: ChildProcess | null = null;
  const start = (): void => {
    if (stopping) return;
    const started = fork(program, { env: environment, stdio: ['ignore', 'inherit', 'inherit', 'ipc'] });
    child = started;
    started.once('exit', (code) => {
      if (stopping) return;
      logger.warn(`the worker ended with code ${code}; another is started`);
      setTimeout(start, restartAfterMs).unref();
    });
  };
  start();
  return async () => {
    stopping = true;
    const running = child;
    if (running === null || running.exitCode !== null) return;
    const gone = new Promise((resolve) => running.once('exit', resolve));
    running.kill('SIGTERM');
    const timer = setTimeout(() => running.kill('SIGKILL'), stopWithinMs);
    await gone;
    clearTimeout(timer);
  };
};
