import type { ProblemReport } from '@vitrum/contract';
import type { RequestHandler, Response } from 'express';
import type { Config } from '../config.js';

const loopback = new Set(['localhost', '127.0.0.1', '[::1]']);
const harmless = new Set(['GET', 'HEAD', 'OPTIONS']);

/** `shop.lan:4780` → `shop.lan`; null for what is no host. */
const nameOf = (host: string): string | null => {
  try {
    return new URL(`http://${host}`).hostname;
  } catch {
    return null;
  }
};

const refuse = (response: Response, message: string): void => {
  const requestId = String(response.getHeader('x-request-id') ?? '');
  response.status(403).json({ statusCode: 403, message, problems: [], requestId } satisfies ProblemReport);
};

/**
 * Answers only under names of its own, so that no page of another site reaches it by a name that was pointed here; and
 * lets nothing be written from the page of another site.
 */
export const knownHosts = ({ hosts, origins }: Pick<Config, 'hosts' | 'origins'>): RequestHandler => {
  const isKnown = (name: string | null): boolean => name !== null && (loopback.has(name) || hosts.includes(name));
  const isOwn = (origin: string, host: string): boolean =>
    origins.includes(origin) || origin === `http://${host}` || origin === `https://${host}`;
  return (request, response, next) => {
    const { host = '', origin } = request.headers;
    if (!isKnown(nameOf(host))) {
      return refuse(response, 'This server does not go by that name; name it in VITRUM_HOSTS if it should.');
    }
    const isForeign = origin === undefined ? request.headers['sec-fetch-site'] === 'cross-site' : !isOwn(origin, host);
    if (isForeign && !harmless.has(request.method)) return refuse(response, 'Pages of other sites may not write here.');
    return next();
  };
};
