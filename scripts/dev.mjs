import { spawn } from 'node:child_process';
import path from 'node:path';
import { bringUpPostgres } from './lib/postgres.mjs';
import { dataFolder, inPackage, inRoot, root } from './lib/paths.mjs';
import { runMain, say } from './lib/say.mjs';
import { setUp } from './lib/setup.mjs';

/** Hot reload: types watched, the server restarted on change, the page served by Vite with its API proxied. */
const main = async () => {
  await setUp();
  const postgres = process.env.DATABASE_URL ? null : await bringUpPostgres(dataFolder());
  const environment = {
    ...process.env,
    DATABASE_URL: process.env.DATABASE_URL || postgres.url,
    PORT: process.env.PORT || '4780',
    // The page comes from Vite's own server there.
    VITRUM_ORIGINS: process.env.VITRUM_ORIGINS || 'http://localhost:5173,http://127.0.0.1:5173',
  };
  const options = { cwd: root, env: environment, stdio: 'inherit' };
  const children = [
    spawn('node', [inRoot('node_modules/typescript/bin/tsc'), '-b', '--watch', '--preserveWatchOutput'], options),
    // The core as it was just compiled, not as it was bundled at the start.
    spawn(
      'node',
      ['--watch', '--conditions=modules', '--enable-source-maps', inRoot('apps/server/dist/main.js')],
      options,
    ),
    spawn('node', [inPackage('apps/web', 'vite', 'bin/vite.js')], { ...options, cwd: path.join(root, 'apps/web') }),
  ];
  await new Promise((resolve) => {
    for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, resolve);
  });
  say('\nStopping …');
  for (const child of children) child.kill('SIGTERM');
  postgres?.stop();
};

await runMain(main);
process.exit(process.exitCode ?? 0);
