import { runMain, say } from './lib/say.mjs';
import { setUp } from './lib/setup.mjs';

await runMain(async () => {
  await setUp();
  say('Built.');
});
