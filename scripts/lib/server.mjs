import { spawn } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { inRoot } from './paths.mjs';

const stopWithinMs = 8000;

/**
 * Starts the built server; resolves with its URL once it listens, rejects with its own sentence when it cannot. Logs go
 * to `log`.
 */
export const startServer = async ({ environment, log }) => {
  // Found only when it is wanted: on a fresh clone the packages are not there yet.
  const { createStream } = await import('rotating-file-stream');
  mkdirSync(path.dirname(log), { recursive: true });
  const file = createStream(path.basename(log), { path: path.dirname(log), size: '10M', maxFiles: 5 });
  // A log that cannot be written (its folder is gone, the disk is full) stops nothing.
  file.on('error', () => undefined);
  return new Promise((resolve, reject) => {
    // A process group of its own: Ctrl-C reaches this script, which then stops the server in order.
    const child = spawn('node', ['--enable-source-maps', inRoot('apps/server/dist/main.js')], {
      env: { ...process.env, ...environment },
      stdio: ['ignore', 'pipe', 'pipe'],
      detached: true,
    });
    let complaint = '';
    const exited = new Promise((done) => child.once('exit', done));
    const stop = async () => {
      if (child.exitCode !== null) return;
      child.kill('SIGTERM');
      const timer = setTimeout(() => child.kill('SIGKILL'), stopWithinMs);
      await exited;
      clearTimeout(timer);
    };
    /** As a power cut would. */
    const kill = async () => {
      if (child.exitCode === null) child.kill('SIGKILL');
      await exited;
    };
    child.stdout.on('data', (chunk) => {
      file.write(chunk);
      const url = /^listening (\S+)/m.exec(String(chunk))?.[1];
      if (url !== undefined) resolve({ url, stop, kill, exited });
    });
    child.stderr.on('data', (chunk) => {
      file.write(chunk);
      // Log lines are JSON; what is meant for people is not.
      complaint += String(chunk)
        .split('\n')
        .filter((line) => !line.startsWith('{'))
        .join('\n');
    });
    child.once('exit', (code) =>
      reject(new Error(complaint.trim() || `The server ended with code ${code}; its log is ${log}.`)),
    );
  });
};
