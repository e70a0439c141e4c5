import { spawn, type ChildProcess } from 'node:child_process';
import { createServer, request as ask, type IncomingMessage, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { fileURLToPath } from 'node:url';

const built = (program: string): string => fileURLToPath(new URL(`../../dist/${program}.js`, import.meta.url));

/** A process of its own, as it runs in a shop. */
export interface Running {
  readonly kill: () => Promise<void>;
}

/** Ends as in a power cut: nothing is said to anybody. */
const killing = (child: ChildProcess): Running => {
  const ended = new Promise<void>((resolve) => child.once('exit', () => resolve()));
  return {
    kill: async () => {
      child.kill('SIGKILL');
      await ended;
    },
  };
};

const environmentOf = (databaseUrl: string): NodeJS.ProcessEnv => ({
  ...process.env,
  DATABASE_URL: databaseUrl,
  VITRUM_SEED: 'off',
  VITRUM_WORKER: 'off',
  VITRUM_PROXIES: 'loopback',
});

export interface RunningServer extends Running {
  readonly port: number;
}

/** A server process; resolves when it listens, on a free port if none is given. */
export const startServer = (databaseUrl: string, port = 0): Promise<RunningServer> =>
  new Promise((resolve, reject) => {
    const child = spawn('node', [built('main')], {
      env: { ...environmentOf(databaseUrl), PORT: String(port) },
      stdio: ['ignore', 'pipe', 'ignore'],
    });
    child.stdout.on('data', (chunk: Buffer) => {
      const found = /^listening \S+:(\d+)$/m.exec(chunk.toString())?.[1];
      if (found !== undefined) resolve({ ...killing(child), port: Number(found) });
    });
    child.once('exit', (code) => reject(new Error(`the server ended with ${code}`)));
  });

/** A worker process. */
export const startWorker = (databaseUrl: string): Running =>
  killing(spawn('node', [built('worker')], { env: environmentOf(databaseUrl), stdio: 'ignore' }));

export interface Proxy {
  readonly url: string;
  readonly close: () => void;
}

/** What stands before several servers: each request goes to the next of them, and on to another when one does not answer. */
export const startProxy = (ports: readonly number[]): Promise<Proxy> => {
  let turn = 0;
  const pass = (incoming: IncomingMessage, body: Buffer, outgoing: ServerResponse, left: number): void => {
    const port = ports[turn++ % ports.length]!;
    const to = { host: '127.0.0.1', port, method: incoming.method, path: incoming.url, agent: false } as const;
    const headers = { ...incoming.headers, connection: 'close', 'x-forwarded-for': '10.9.9.9' };
    const onward = ask({ ...to, headers }, (answer) => {
      outgoing.writeHead(answer.statusCode ?? 502, answer.headers);
      answer.pipe(outgoing);
      answer.on('error', () => outgoing.destroy());
      answer.on('aborted', () => outgoing.destroy());
    });
    outgoing.on('close', () => onward.destroy());
    onward.on('error', (error: NodeJS.ErrnoException) => {
      if (outgoing.headersSent || outgoing.destroyed) return void outgoing.destroy();
      // Nobody has taken it: another may. One that was taken and not answered may have been done.
      if (error.code === 'ECONNREFUSED' && left > 0) return pass(incoming, body, outgoing, left - 1);
      outgoing.writeHead(502).end();
    });
    onward.end(body);
  };
  const server = createServer((incoming, outgoing) => {
    const parts: Buffer[] = [];
    incoming.on('data', (part: Buffer) => parts.push(part));
    incoming.on('end', () => pass(incoming, Buffer.concat(parts), outgoing, ports.length - 1));
  });
  return new Promise((resolve) => {
    server.listen(0, '127.0.0.1', () =>
      resolve({
        url: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
        close: () => {
          server.closeAllConnections();
          server.close();
        },
      }),
    );
  });
};
