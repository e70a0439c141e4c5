import type { NestExpressApplication } from '@nestjs/platform-express';
import type { ProblemReport } from '@vitrum/contract';
import type { NextFunction, Request, Response } from 'express';

/** What is used of Express’s router: its routes, each with what it matches and its methods. */
interface Layer {
  readonly match: (path: string) => boolean;
  readonly route?: { readonly methods: Readonly<Record<string, boolean>> };
}

/** Streams never end by themselves: nothing is gained by asking for their head, and a stream would be held for it. */
const isStream = (path: string): boolean => path.endsWith('/events');

/** Methods that some route takes at this path, as `Allow` lists them; empty when there is no such path. */
const methodsAt = (layers: readonly Layer[], path: string): readonly string[] => {
  const methods = new Set<string>();
  for (const layer of layers)
    if (layer.route !== undefined && layer.match(path))
      for (const method of Object.keys(layer.route.methods)) methods.add(method.toUpperCase());
  if (methods.has('GET') && !isStream(path)) methods.add('HEAD');
  return [...methods].sort();
};

/** Answers 405 with `Allow` where a path is there that does not take the method. Unknown paths go on, and are not found. */
export const allowedMethods =
  (app: NestExpressApplication) =>
  (request: Request, response: Response, next: NextFunction): void => {
    // The published types of the router leave out `match`.
    const { router } = app.getHttpAdapter().getInstance() as {
      readonly router: { readonly stack: readonly unknown[] };
    };
    const allowed = methodsAt(router.stack as readonly Layer[], request.path);
    if (allowed.length === 0 || allowed.includes(request.method) || request.method === 'OPTIONS') return next();
    const requestId = String(response.getHeader('x-request-id') ?? '');
    const message = `${request.method} means nothing here; this path takes ${allowed.join(', ')}.`;
    response.setHeader('Allow', allowed.join(', '));
    response.status(405).json({ statusCode: 405, message, problems: [], requestId } satisfies ProblemReport);
  };
