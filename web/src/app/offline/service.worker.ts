/// <reference lib="webworker" />
import { clientsClaim } from 'workbox-core';
import { ExpirationPlugin } from 'workbox-expiration';
import { cleanupOutdatedCaches, precacheAndRoute, type PrecacheEntry } from 'workbox-precaching';
import { registerRoute, setCatchHandler } from 'workbox-routing';
import { NetworkFirst } from 'workbox-strategies';
import { KEPT_SINCE, DATA_CACHE, MOST_KEPT, PAGE_CACHE, TAKEN_AT } from './kept';

// Keeps the application and what was last read in the browser, so that it opens with the server away. The network always goes first: what is kept is shown only when it does not answer.

declare const self: ServiceWorkerGlobalScope & { readonly __WB_MANIFEST: PrecacheEntry[] };

/** The one page of the application, under which every address of it is kept. */
const PAGE = '/';

/** A copy of an answer with one header more. */
function withHeader(response: Response, name: string, value: string): Response {
  const headers = new Headers(response.headers);
  headers.set(name, value);
  return new Response(response.body, { status: response.status, statusText: response.statusText, headers });
}

/** Read from the network, and kept with the time; when the network is away, what was kept says since when. */
const data = new NetworkFirst({
  cacheName: DATA_CACHE,
  plugins: [
    new ExpirationPlugin({ maxEntries: MOST_KEPT, purgeOnQuotaError: true }),
    {
      cacheWillUpdate: ({ response }) => Promise.resolve(response.status === 200 ? withHeader(response, TAKEN_AT, new Date().toISOString()) : null),
      cachedResponseWillBeUsed: ({ cachedResponse }) =>
        Promise.resolve(cachedResponse ? withHeader(cachedResponse, KEPT_SINCE, cachedResponse.headers.get(TAKEN_AT) ?? '') : null),
    },
  ],
});

/** The page with the headers that it came with: its style nonce stands in both, so the kept page is as strict as the fresh one. A page that asks for the pass-phrase is not kept. */
const page = new NetworkFirst({
  cacheName: PAGE_CACHE,
  plugins: [
    {
      cacheKeyWillBeUsed: () => Promise.resolve(PAGE),
      cacheWillUpdate: ({ response }) => Promise.resolve(response.status === 200 && !response.redirected ? response : null),
    },
  ],
});

/** What is not kept: streams, files that are made, who is signed in, and what is true only at the moment it is asked. */
const passing = (path: string): boolean =>
  /\/print\/[^/]+$|\/(?:stream|print|export|plan|steps|times|held-remnants|sessions|backups|health)$|\.pdf$|\/camera\//.test(path);

cleanupOutdatedCaches();
precacheAndRoute(self.__WB_MANIFEST, { cleanURLs: false });
registerRoute(
  ({ request, url }) =>
    request.mode === 'navigate' && url.origin === self.location.origin && !url.pathname.startsWith('/api/') && !/^\/sign-/.test(url.pathname),
  page,
);
registerRoute(({ url }) => url.origin === self.location.origin && url.pathname.startsWith('/api/') && !passing(url.pathname), data);

/** What a write answers is how the thing is now: it takes the place of what was read before. */
async function written(request: Request): Promise<Response> {
  const response = await fetch(request);
  if (response.ok && response.headers.get('content-type')?.includes('json')) {
    const stored = (await response.clone().json()) as { id?: unknown; job?: unknown; shop?: unknown };
    const address = typeof stored.id === 'string' && stored.job ? `/api/jobs/${stored.id}` : stored.shop ? '/api/shop' : null;
    if (address) await (await caches.open(DATA_CACHE)).put(address, withHeader(response.clone(), TAKEN_AT, new Date().toISOString()));
  }
  return response;
}
for (const method of ['PUT', 'POST'] as const)
  registerRoute(
    ({ url }) => url.origin === self.location.origin && /^\/api\/(?:jobs|shop)(?:\/|$)/.test(url.pathname),
    ({ request }) => written(request),
    method,
  );

self.addEventListener('message', ({ data }: { data: unknown }) => {
  if ((data as { kind?: unknown } | null)?.kind === 'take-over') void self.skipWaiting();
});
setCatchHandler(() => Promise.resolve(Response.error()));
clientsClaim();
