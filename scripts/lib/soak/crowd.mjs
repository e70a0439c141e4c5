import { setTimeout as pause } from 'node:timers/promises';
import { percentile } from './shop.mjs';

/** Many people, each with a job of their own, saving every two seconds, none in step with another. */
export const crowd = async (shop, design, { people = 100, seconds = 30 } = {}) => {
  const jobs = [];
  for (let person = 0; person < people; person += 1) jobs.push(await shop.newJob(`Crowd ${person}`, design));
  const times = [];
  const wrong = [];
  const until = Date.now() + 1000 * seconds;
  const work = async ({ id, head }, person) => {
    let basedOn = head.hash;
    await pause(Math.random() * 2000);
    for (let turn = 0; Date.now() < until; turn += 1) {
      const begun = performance.now();
      const { status, text } = await shop.save(id, { ...design, name: `${person} ${turn}` }, basedOn);
      const ms = performance.now() - begun;
      times.push(ms);
      if (status === 200) basedOn = JSON.parse(text).hash;
      else wrong.push(status);
      await pause(Math.max(0, 2000 - ms));
    }
  };
  await Promise.all(jobs.map(work));
  return { saves: times.length, wrong, p50: percentile(times, 50), p99: percentile(times, 99) };
};
