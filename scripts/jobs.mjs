/** Solves 200 new jobs by chance, or as many as are asked for, and applies every fix of 200 designs; tells what does not hold. */
import { spawnSync } from 'node:child_process';
import { root } from './lib/paths.mjs';

const count = Number(process.argv[2] ?? 200);
const jest = spawnSync(
  process.execPath,
  [
    '--experimental-vm-modules',
    '--disable-warning=ExperimentalWarning',
    'node_modules/jest/bin/jest.js',
    '--selectProjects',
    'core',
    '-i',
    '--testPathPatterns',
    'solving/new-jobs|evaluate/whole-fixes',
  ],
  { cwd: root, stdio: 'inherit', env: { ...process.env, VITRUM_JOBS: String(count) } },
);
process.exit(jest.status ?? 1);
