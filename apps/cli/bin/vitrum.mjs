#!/usr/bin/env node
import { existsSync } from 'node:fs';

// Who reads our answer may stop reading: that is no failure of ours.
process.stdout.on('error', (error) => {
  if (error.code === 'EPIPE') process.exit(0);
  throw error;
});

const main = new URL('../dist/main.js', import.meta.url);
if (existsSync(main)) {
  const { main: run } = await import(main);
  process.exitCode = await run(process.argv.slice(2));
} else {
  process.stderr.write('Vitrum is not built yet; run “npm run build” once.\n');
  process.exitCode = 1;
}
