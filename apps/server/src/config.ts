import path from 'node:path';
import { fileURLToPath } from 'node:url';

/** How the server was asked to run, read once from the environment. */
export interface Config {
  readonly databaseUrl: string;
  readonly host: string;
  readonly port: number;
  /** Names that it answers under beside those of this machine (a proxy’s, say). */
  readonly hosts: readonly string[];
  /** Pages elsewhere that may write, as `http://host:port`. */
  readonly origins: readonly string[];
  /** Proxies whose word is taken for who asks: addresses, ranges, or `loopback`. */
  readonly proxies: readonly string[];
  /** Built web app to serve; may be missing in development. */
  readonly webRoot: string;
  readonly seed: boolean;
  /** Whether a worker runs beside the server. */
  readonly worker: boolean;
}

export const CONFIG = Symbol('config');
export const defaultPort = 4780;

const loopback = new Set(['127.0.0.1', '::1', 'localhost']);

const listed = (text = ''): readonly string[] =>
  text
    .split(',')
    .map((each) => each.trim())
    .filter((each) => each !== '');

/** Reads and checks the environment. Throws with one clear sentence. */
export const readConfig = (environment: NodeJS.ProcessEnv): Config => {
  const databaseUrl = environment['DATABASE_URL'];
  if (databaseUrl === undefined || databaseUrl === '')
    throw new Error('DATABASE_URL is not set; start with “npm start”, which brings a database up.');
  const port = Number(environment['PORT'] ?? defaultPort);
  if (!Number.isInteger(port) || port < 0 || port > 65_535)
    throw new Error(`PORT must be a number from 0 to 65535, and is “${environment['PORT'] ?? ''}”.`);
  const host = environment['HOST'] ?? '127.0.0.1';
  if (!loopback.has(host) && environment['VITRUM_ALLOW_NETWORK'] !== 'yes')
    throw new Error(
      `HOST is “${host}”, which others can reach, and Vitrum has no accounts yet: whoever reaches it may read and change every job. Set VITRUM_ALLOW_NETWORK=yes if that is what you want.`,
    );
  return {
    databaseUrl,
    host,
    port,
    hosts: listed(environment['VITRUM_HOSTS']),
    origins: listed(environment['VITRUM_ORIGINS']),
    proxies: listed(environment['VITRUM_PROXIES']),
    webRoot: fileURLToPath(new URL('../../web/dist', import.meta.url)),
    seed: environment['VITRUM_SEED'] !== 'off',
    worker: environment['VITRUM_WORKER'] !== 'off',
  };
};

/** The folder of committed SQL migrations. */
export const migrationsFolder = path.resolve(fileURLToPath(new URL('../drizzle', import.meta.url)));
