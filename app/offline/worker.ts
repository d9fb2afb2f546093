/// <reference lib="webworker" />
export type {}; // a module of its own

/** Put in by the build: which version this is, and every file of it. */
declare const __VERSION__: string;
declare const __FILES__: readonly string[];
declare const self: ServiceWorkerGlobalScope;

const NAME = 'gelvin-';
const CACHE = `${NAME}${__VERSION__}`;

/** Every file of this version before it offers itself: half a version is none. */
self.addEventListener('install', (event) => {
  event.waitUntil(
    caches.open(CACHE).then((cache) => cache.addAll(__FILES__.map((url) => new Request(url, { cache: 'reload' })))),
  );
});
self.addEventListener('activate', (event) => {
  event.waitUntil(
    (async () => {
      const old = (await caches.keys()).filter((k) => k.startsWith(NAME) && k !== CACHE);
      await Promise.all(old.map((k) => caches.delete(k)));
      await self.clients.claim();
    })(),
  );
});
// a new version waits until somebody says so
self.addEventListener('message', (event) => {
  if ((event.data as { what?: string } | null)?.what === 'take-over') void self.skipWaiting();
});
self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== self.location.origin || url.pathname.startsWith('/api/')) return;
  event.respondWith(
    (async () => {
      const cache = await caches.open(CACHE);
      // any address of the application is its one page; a file is itself
      const page = request.mode === 'navigate' && !/\.[a-z0-9]+$/i.test(url.pathname);
      const kept = await cache.match(page ? '/' : request, { ignoreVary: true });
      return kept ?? fetch(request);
    })(),
  );
});
