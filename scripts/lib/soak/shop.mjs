import { createRequire } from 'node:module';
import path from 'node:path';
import { Agent, request as httpRequest } from 'node:http';
import { inRoot } from '../paths.mjs';
import { startServer } from '../server.mjs';
import { temporaryDatabase } from '../stage.mjs';

const fromServer = createRequire(inRoot('apps/server/package.json'));

/** The p-th part of values in a hundred. */
export const percentile = (values, p) =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor((values.length * p) / 100))] ?? NaN;

/** A server of its own, started as `npm start` does, with what the parts of a soak ask of it. */
export const openShop = async () => {
  const database = await temporaryDatabase();
  const environment = { DATABASE_URL: database.url, PORT: '0', VITRUM_SEED: 'off', VITRUM_PROXIES: 'loopback' };
  const log = path.join(database.folder, 'server.log');
  let server = await startServer({ environment, log });
  const port = new URL(server.url).port;
  const agent = new Agent({ keepAlive: true, maxSockets: 400 });
  let deaths = 0;
  const watch = () => {
    const watched = server;
    void watched.exited.then(() => {
      if (watched === server && !closing) deaths += 1;
    });
  };
  let closing = false;
  watch();

  /** Sends a body as it is; resolves with status, text and time (ms), status 0 when nobody answers. */
  const ask = (method, address, body, headers = {}) =>
    new Promise((resolve) => {
      const begun = performance.now();
      const asked = httpRequest(
        {
          host: '127.0.0.1',
          port,
          method,
          path: address,
          agent,
          headers: { 'content-type': 'application/json', ...headers },
        },
        (answer) => {
          const parts = [];
          answer.on('data', (part) => parts.push(part));
          answer.on('end', () =>
            resolve({
              status: answer.statusCode,
              text: Buffer.concat(parts).toString(),
              ms: performance.now() - begun,
            }),
          );
          answer.on('error', () => resolve({ status: 0, text: '', ms: performance.now() - begun }));
        },
      );
      asked.on('error', () => resolve({ status: 0, text: '', ms: performance.now() - begun }));
      asked.end(body);
    });
  const newJob = async (name, design) =>
    JSON.parse((await ask('POST', '/api/jobs', JSON.stringify({ name, design }))).text);
  const save = (id, design, basedOn) =>
    ask('PUT', `/api/jobs/${id}/design`, JSON.stringify({ design }), { 'if-match': `"${basedOn}"` });

  return {
    url: server.url,
    databaseUrl: database.url,
    ask,
    newJob,
    save,
    /** How often the server has ended by itself. */
    deaths: () => deaths,
    pg: fromServer('pg'),
    kill: async () => {
      closing = true;
      await server.kill();
      closing = false;
    },
    start: async () => {
      server = await startServer({ environment: { ...environment, PORT: port }, log });
      watch();
    },
    close: async () => {
      closing = true;
      agent.destroy();
      await server.stop();
      database.end();
    },
  };
};
