/**
 * In a thread of its own, so that what makes the flood does not stand in the way of what measures it: asks again and again
 * whether the server lives, and saves an honest job now and then, until it is told to stop.
 */
import { Agent, request as httpRequest } from 'node:http';
import { setTimeout as pause } from 'node:timers/promises';
import { parentPort, workerData } from 'node:worker_threads';

const { port, design } = workerData;
const agent = new Agent({ keepAlive: true });
let over = false;
parentPort.once('message', () => (over = true));

const ask = (method, path, body, headers = {}) =>
  new Promise((resolve) => {
    const begun = performance.now();
    const end = (status, text) => resolve({ status, text, ms: performance.now() - begun });
    const asked = httpRequest(
      { host: '127.0.0.1', port, method, path, agent, headers: { 'content-type': 'application/json', ...headers } },
      (answer) => {
        const parts = [];
        answer.on('data', (part) => parts.push(part));
        answer.on('end', () => end(answer.statusCode, Buffer.concat(parts).toString()));
        answer.on('error', () => end(0, ''));
      },
    );
    asked.on('error', () => end(0, ''));
    asked.end(body);
  });

const health = [];
const listening = (async () => {
  while (!over) {
    health.push((await ask('GET', '/api/health')).ms);
    await pause(20);
  }
})();

const saves = [];
const refused = [];
const saving = (async () => {
  const own = JSON.parse((await ask('POST', '/api/jobs', JSON.stringify({ name: 'Honest alone', design }))).text);
  let basedOn = own.head.hash;
  for (let turn = 0; !over; turn += 1) {
    const body = JSON.stringify({ design: { ...design, name: `honest ${turn}` } });
    const { status, text, ms } = await ask('PUT', `/api/jobs/${own.id}/design`, body, { 'if-match': `"${basedOn}"` });
    saves.push(ms);
    if (status === 200) basedOn = JSON.parse(text).hash;
    else refused.push(status);
    await pause(200);
  }
})();

await Promise.all([listening, saving]);
agent.destroy();
parentPort.postMessage({ health, saves, refused });
