import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { inRoot } from './paths.mjs';

const pollMs = 500;

const alive = (pid) => {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return error.code === 'EPERM';
  }
};

const holderOf = (folder) => {
  try {
    return Number(readFileSync(path.join(folder, 'pid'), 'utf8'));
  } catch {
    return null; // Taken a moment ago, its pid not yet written; or just released.
  }
};

/** Does `work` alone among all commands of this clone; a lock left by a dead process is taken over. */
export const alone = async (name, work) => {
  const folder = inRoot('.vitrum', `${name}.lock`);
  mkdirSync(path.dirname(folder), { recursive: true });
  for (let unknownFor = 0; ; unknownFor += 1) {
    try {
      mkdirSync(folder);
      break;
    } catch (error) {
      if (error.code !== 'EEXIST') throw error;
      const holder = holderOf(folder);
      if (holder !== null && !alive(holder)) rmSync(folder, { recursive: true, force: true });
      if (holder !== null) unknownFor = 0;
      if (unknownFor > 20) rmSync(folder, { recursive: true, force: true });
      await wait(pollMs);
    }
  }
  writeFileSync(path.join(folder, 'pid'), String(process.pid));
  try {
    return await work();
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
};
