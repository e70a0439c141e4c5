import { crowd } from './soak/crowd.mjs';
import { flood } from './soak/flood.mjs';
import { longList } from './soak/long-list.mjs';
import { longShop } from './soak/long-shop.mjs';
import { openShop } from './soak/shop.mjs';

/** How quick the server is with many people, with a long book, and with the worst that is sent to it. */
export const serverBench = async (say, rated, { demoDesigns }) => {
  const [box, letters] = [demoDesigns.dispensary, demoDesigns.curlew];
  const on = async (work) => {
    const shop = await openShop();
    try {
      return await work(shop);
    } finally {
      await shop.close();
    }
  };
  const many = await on((shop) => crowd(shop, box, { seconds: 20 }));
  say(`\nserver: 100 people, a save each every 2 s, ${many.saves} saves, ${many.wrong.length} not taken`);
  say(`  a save, half of them within          ${Math.round(many.p50)} ms`);
  say(`  a save, 99 in 100 within             ${rated(many.p99, 200, 'ms', 'less')}`);
  const list = await on((shop) => longList(shop, box));
  say(`\nserver: a book of ${list.jobs} jobs, ${list.revisions} revisions`);
  say(`  first page                           ${rated(list.bytes / 1000, 60, 'kB', 'less')}`);
  say(`  first page, half of them within      ${rated(list.p50, 50, 'ms', 'less')}`);
  const years = await on((shop) => longShop(shop, box));
  say(`\nserver: a shop of ${years.jobs} jobs and ${years.entries} entries of its ledger`);
  for (const { name, status, p90 } of years.found)
    say(`  ${name.padEnd(28)} ${status === 200 ? '' : `${status} `}${rated(p90, 150, 'ms', 'less')}`);
  const worst = await on((shop) => flood(shop, [box, letters], { requests: 1000 }));
  say(`\nserver: ${worst.requests} of the worst requests, eight at a time`);
  say(`  whether it lives, 99 in 100 within   ${rated(worst.health99, 100, 'ms', 'less')}`);
  say(`  an honest save, 99 in 100 within     ${rated(worst.save99, 500, 'ms', 'less')}`);
};
