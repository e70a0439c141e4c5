import { once } from 'node:events';
import { Worker } from 'node:worker_threads';
import { percentile } from './shop.mjs';

const deep = (depth) => '{"a":'.repeat(depth) + '1' + '}'.repeat(depth);
const fields = (count) => Array.from({ length: count }, (_, at) => `"k${at}":${at}`).join(',');
const withField = (design, field) => `{"name":"x","design":${JSON.stringify(design).slice(0, -1)},${field}}}`;

/** Bodies that cost most: in size, depth, number of fields, letters, and by chance. */
const worst = (designs) => {
  const [box, letters] = designs;
  const many = { ...letters, brief: { ...letters.brief, text: 'ETAOIN SHRDLU '.repeat(14) } };
  const sound = JSON.stringify({ name: 'x', design: box });
  // Made once: what makes the flood is not to be what is slow.
  const made = [
    deep(3000),
    deep(300_000),
    withField(box, fields(40_000)),
    withField(box, fields(1900)),
    withField(box, `"list":[${'[1],'.repeat(300_000)}1]`),
    `{"name":"x","design":"${'z'.repeat(1_700_000)}"}`,
    `{${fields(60_000)}}`,
    JSON.stringify({ name: 'x', design: many }),
  ].map((text) => Buffer.from(text));
  return [
    ...made.map((bytes) => () => bytes),
    () => {
      const bytes = Buffer.from(sound);
      for (let spot = 0; spot < 4; spot += 1)
        bytes[Math.floor(Math.random() * bytes.length)] = Math.floor(Math.random() * 256);
      return bytes;
    },
  ];
};

/** So many of the worst requests, some at a time; beside them whether the server lives, and an honest save now and then. */
export const flood = async (shop, designs, { requests = 2000, lanes = 8 } = {}) => {
  const bodies = worst(designs);
  const { id } = await shop.newJob('Honest', designs[0]);
  let left = requests;
  const statuses = new Map();
  const slow = [];
  const lane = async () => {
    while (left > 0) {
      left -= 1;
      const which = Math.floor(Math.random() * bodies.length);
      const put = Math.random() < 0.3;
      const { status, ms } = await (put
        ? shop.ask('PUT', `/api/jobs/${id}/design`, bodies[which](), { 'if-match': '"x"' })
        : shop.ask('POST', '/api/jobs', bodies[which]()));
      statuses.set(status, (statuses.get(status) ?? 0) + 1);
      slow.push(ms);
    }
  };
  const probe = new Worker(new URL('./probe.mjs', import.meta.url), {
    workerData: { port: new URL(shop.url).port, design: designs[0] },
  });
  const found = once(probe, 'message');
  await Promise.all(Array.from({ length: lanes }, lane));
  probe.postMessage('over');
  const [{ health, saves, refused }] = await found;
  return {
    requests,
    statuses: Object.fromEntries([...statuses].sort(([a], [b]) => a - b)),
    failed: [...statuses]
      .filter(([status]) => status === 0 || status === 500)
      .reduce((sum, [, count]) => sum + count, 0),
    slowest: Math.max(...slow),
    health99: percentile(health, 99),
    save99: percentile(saves, 99),
    refused,
  };
};
