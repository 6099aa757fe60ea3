import { clientsClaim } from 'workbox-core';
import { ExpirationPlugin } from 'workbox-expiration';
import {
  cleanupOutdatedCaches,
  createHandlerBoundToURL,
  precacheAndRoute,
  type PrecacheEntry,
} from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { NetworkFirst } from 'workbox-strategies';
import { ANSWERS, AWAY, forgetAnswers, LAST_KNOWN } from './api/lastKnown';

/*
 * What stands between the screens and the network: the screens themselves are on the device, and where there is no network
 * the last answers are, marked with when they were given.
 */

declare const self: {
  __WB_MANIFEST: PrecacheEntry[];
  skipWaiting: () => Promise<void>;
  addEventListener: ((type: 'message', listen: (event: MessageEvent<{ type?: string } | null>) => void) => void) &
    ((type: 'activate', listen: (event: { waitUntil: (done: Promise<void>) => void }) => void) => void);
};

/** Answers that are no news of the kitchen: files, what was typed, how far something is. */
const PASSING = /^\/api\/(plans|foods|amount|bench|search|.*\/(export|pdf|file|photo|preview))/;

const A_FORTNIGHT_S = 14 * 86_400;

clientsClaim();
cleanupOutdatedCaches();
precacheAndRoute(self.__WB_MANIFEST);
registerRoute(
  new NavigationRoute(createHandlerBoundToURL('/build/index.html'), { denylist: [/^\/api\//, /^\/sw\.js$/] }),
);
registerRoute(
  ({ url, request }) =>
    request.method === 'GET' &&
    url.origin === location.origin &&
    url.pathname.startsWith('/api/') &&
    !PASSING.test(url.pathname),
  new NetworkFirst({
    cacheName: ANSWERS,
    plugins: [
      {
        // A server that cannot answer just now is like none.
        fetchDidSucceed: ({ response }) =>
          AWAY.includes(response.status) ? Promise.reject(new Error(response.statusText)) : Promise.resolve(response),
        cacheWillUpdate: ({ response }) => Promise.resolve(response.status === 200 ? response : null),
        cachedResponseWillBeUsed: async ({ cachedResponse }) => {
          if (!cachedResponse) {
            return null;
          }
          const headers = new Headers(cachedResponse.headers);
          headers.set(LAST_KNOWN, headers.get('Date') ?? '');
          return new Response(await cachedResponse.blob(), { status: cachedResponse.status, headers });
        },
      },
      new ExpirationPlugin({ maxEntries: 400, maxAgeSeconds: A_FORTNIGHT_S }),
    ],
  }),
);
self.addEventListener('activate', (event) => {
  event.waitUntil(forgetAnswers((name) => name !== ANSWERS));
});
self.addEventListener('message', (event) => {
  // A new version waits until the cook says so.
  if (event.data?.type === 'SKIP_WAITING') {
    void self.skipWaiting();
  }
});
