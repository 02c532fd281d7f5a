// Lets a walk open without a connection: what the pages are made of from the store, pages from the net while there is one.
const STORE = 'turnspit-walk-1';
const MOST_PARTS = 200;

self.addEventListener('install', event => event.waitUntil(self.skipWaiting()));
self.addEventListener('activate', event =>
  event.waitUntil(
    (async () => {
      for (const name of await caches.keys()) if (name !== STORE) await caches.delete(name);
      await self.clients.claim();
    })(),
  ),
);

self.addEventListener('fetch', event => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== self.location.origin) return;
  if (url.pathname.startsWith('/_next/static/')) event.respondWith(storeFirst(request));
  else if (request.mode === 'navigate' && url.pathname.endsWith('/walk'))
    event.respondWith(netFirst(request));
});

async function storeFirst(request) {
  const store = await caches.open(STORE);
  const kept = await store.match(request);
  if (kept) return kept;
  const answer = await fetch(request);
  if (answer.ok) {
    await store.put(request, answer.clone());
    await forgetOld(store);
  }
  return answer;
}

// Parts of earlier versions: the store keeps them in the order in which they came.
async function forgetOld(store) {
  const parts = (await store.keys()).filter(({ url }) =>
    new URL(url).pathname.startsWith('/_next/static/'),
  );
  for (const part of parts.slice(0, Math.max(0, parts.length - MOST_PARTS)))
    await store.delete(part);
}

async function netFirst(request) {
  const store = await caches.open(STORE);
  try {
    const answer = await fetch(request);
    if (answer.ok) await store.put(request, answer.clone());
    return answer;
  } catch (trouble) {
    const kept = await store.match(request, { ignoreSearch: true });
    if (kept) return kept;
    throw trouble;
  }
}
