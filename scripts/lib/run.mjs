import { spawn, spawnSync } from 'node:child_process';
import { PlainError } from './say.mjs';

/** Output of a command, or null when it fails or is not there. */
export const outputOf = (command, args, options = {}) => {
  const done = spawnSync(command, args, { encoding: 'utf8', ...options });
  return done.status === 0 ? done.stdout.trim() : null;
};

/** Runs a command to its end with its output shown; throws a sentence when it fails. */
export const run = (command, args, options = {}) =>
  new Promise((resolve, reject) => {
    const child = spawn(command, args, { stdio: 'inherit', ...options });
    child.on('error', (error) => reject(new PlainError(`“${command}” could not be run: ${error.message}`)));
    child.on('exit', (code, signal) =>
      code === 0
        ? resolve()
        : reject(new PlainError(`“${[command, ...args].join(' ')}” failed (${signal ?? `exit ${code}`}).`)),
    );
  });
