import { existsSync } from 'node:fs';
import path from 'node:path';
import type { NestExpressApplication } from '@nestjs/platform-express';
import sirv from 'sirv';

const yearS = 31_536_000;

/**
 * The built web app, packed beforehand where the build left packed files; every path that is no file is answered by its
 * page. What the build named by its contents may be kept for good, the page itself is asked for anew each time.
 */
export const serveWeb = (app: NestExpressApplication, webRoot: string): void => {
  if (!existsSync(path.join(webRoot, 'index.html'))) return;
  app.use(
    sirv(webRoot, {
      brotli: true,
      gzip: true,
      etag: true,
      single: true,
      ignores: [/^\/api(\/|$)/, /\.[^/]+$/],
      setHeaders: (response, pathname) => {
        const kept = pathname.startsWith('/assets/');
        response.setHeader('Cache-Control', kept ? `public, max-age=${yearS}, immutable` : 'no-cache');
      },
    }),
  );
};
