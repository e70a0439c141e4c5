import { clientsClaim } from 'workbox-core';
import type { WorkboxPlugin } from 'workbox-core/types.js';
import { ExpirationPlugin } from 'workbox-expiration';
import { matchPrecache, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { NetworkFirst } from 'workbox-strategies';
import { isKept, keptAnswers } from './kept-paths';

/** The files of this version of the page, put here by the build. */
declare const VITRUM_FILES: { readonly url: string; readonly revision?: string }[];
declare const self: { readonly skipWaiting: () => Promise<void> };

// A page that is open asks for its own version’s files by name, so that a newer worker is no danger to it.
void self.skipWaiting();
clientsClaim();

precacheAndRoute(VITRUM_FILES, { cleanURLs: false, directoryIndex: '' });

// The server’s own page as long as it answers: what is kept here may be a version behind.
const page = async ({ request }: { readonly request: Request }): Promise<Response> => {
  try {
    return await fetch(request);
  } catch {
    return (await matchPrecache('/index.html')) ?? Response.error();
  }
};
registerRoute(new NavigationRoute(page, { denylist: [/^\/api\//] }));

registerRoute(
  ({ url, sameOrigin }) => sameOrigin && isKept(url.pathname),
  new NetworkFirst({
    cacheName: keptAnswers,
    // Its own types and those of the strategy differ over what is left undefined.
    plugins: [new ExpirationPlugin({ maxEntries: 120, purgeOnQuotaError: true }) as WorkboxPlugin],
  }),
);
