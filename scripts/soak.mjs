/**
 * What takes minutes to break: a crowd, a flood, lost connections, a long book, many sweeps, a killed browser. Tells what it found
 * beside what is to hold; fails when something was lost, or the server ended.
 */
import { createRequire } from 'node:module';
import { pathToFileURL } from 'node:url';
import { inRoot } from './lib/paths.mjs';
import { runMain, say } from './lib/say.mjs';
import { setUp } from './lib/setup.mjs';
import { crowd } from './lib/soak/crowd.mjs';
import { fairSweeps } from './lib/soak/fair-sweeps.mjs';
import { flood } from './lib/soak/flood.mjs';
import { killedBrowser } from './lib/soak/killed-browser.mjs';
import { longList } from './lib/soak/long-list.mjs';
import { lostConnections } from './lib/soak/lost-connections.mjs';
import { openShop } from './lib/soak/shop.mjs';

const ms = (value) => `${Math.round(value)} ms`;

await runMain(async () => {
  await setUp();
  const core = createRequire(inRoot('apps/server/package.json')).resolve('@vitrum/core');
  const { demoDesigns, faceOptions, shippedCatalogue } = await import(pathToFileURL(core).href);
  const box = demoDesigns.dispensary;
  const asked = process.argv.slice(2);
  let missed = 0;
  /** A line of the report; what must hold on any machine fails the soak, what is a matter of time is told. */
  const tell = (what, found, goal, holds, must = true) => {
    if (!holds && must) missed += 1;
    say(`  ${what.padEnd(34)} ${found}   (${goal}: ${holds ? 'holds' : 'MISSED'})`);
  };

  const parts = {
    crowd: async (shop) => {
      const { saves, wrong, p50, p99 } = await crowd(shop, box);
      say(`\ncrowd: 100 people, a save each every 2 s, ${saves} saves`);
      tell('saves that were not taken', wrong.length, 'none', wrong.length === 0);
      tell('a save, half of them within', ms(p50), 'told', true);
      tell('a save, 99 in 100 within', ms(p99), '≤ 200 ms', p99 <= 200, false);
    },
    flood: async (shop) => {
      const found = await flood(shop, [box, demoDesigns.curlew], {
        requests: Number(process.env.VITRUM_FLOOD ?? 10_000),
      });
      say(`\nflood: ${found.requests} of the worst requests, eight at a time: ${JSON.stringify(found.statuses)}`);
      tell('crashes and answers 500', found.failed, 'none', found.failed === 0);
      tell('slowest answer', ms(found.slowest), '≤ 2 s', found.slowest <= 2000, false);
      tell('health meanwhile, 99 in 100', ms(found.health99), '≤ 100 ms', found.health99 <= 100, false);
      tell('an honest save, 99 in 100', ms(found.save99), '≤ 500 ms', found.save99 <= 500, false);
      tell('honest saves not taken', found.refused.length, 'none', found.refused.length === 0);
    },
    connections: async (shop) => {
      const { saved, away, failed, kills, lost } = await lostConnections(shop, box);
      say(`\nconnections: all ended ${kills} times, the server killed 5 times; ${saved} saves, ${away} told to wait`);
      tell('acknowledged and lost', lost, 'none', lost === 0);
      tell('answers other than 200, 409, 503', failed.length, 'none', failed.length === 0);
    },
    list: async (shop) => {
      const { jobs, revisions, bytes, p50 } = await longList(shop, box);
      say(`\nlist: ${jobs} jobs, ${revisions} revisions`);
      tell('first page', `${Math.round(bytes / 1000)} kB`, '≤ 60 kB', bytes <= 60_000);
      tell('first page, half of them within', ms(p50), '≤ 50 ms', p50 <= 50, false);
    },
    sweeps: async (shop) => {
      const { took, refused, begun } = await fairSweeps(shop, box, faceOptions(box, 0, shippedCatalogue));
      say(
        `\nsweeps: 60 of 20,000 points of 15 people, ${begun} of them begun; beside them ${took.length} of ten points`,
      );
      tell('a fifth of one person', refused, 'refused, 429', refused === 429);
      tell('ten points, the slowest within', ms(Math.max(...took)), '≤ 5 s', Math.max(...took) <= 5000, false);
    },
    browser: async (shop) => {
      const { kills, lost } = await killedBrowser(shop, box, { kills: Number(process.env.VITRUM_KILLS ?? 100) });
      say(`\nbrowser: killed ${kills} times under edits, its server as often: before the edits or with it`);
      tell('edits older than 100 ms that were lost', lost, 'none', lost === 0);
    },
  };
  const unknown = asked.filter((name) => parts[name] === undefined);
  if (unknown.length > 0)
    throw new Error(`there is no part “${unknown[0]}”; there is ${Object.keys(parts).join(', ')}`);
  for (const [name, part] of Object.entries(parts)) {
    if (asked.length > 0 && !asked.includes(name)) continue;
    const shop = await openShop();
    try {
      await part(shop);
      tell('times the server ended by itself', shop.deaths(), 'none', shop.deaths() === 0);
    } finally {
      await shop.close();
    }
  }
  process.exitCode = missed === 0 ? 0 : 1;
});
process.exit(process.exitCode ?? 0);
