// Lets a walk open without a connection: what the pages are made of from the store, pages from the net while there is one. A store
// that is full or broken costs the walk its pages without a connection, and never an answer.
const STORE = 'turnspit-walk-1';
const MOST_PARTS = 400;

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
  if (url.pathname.startsWith('/_next/static/')) event.respondWith(storeFirst(request, event));
  else if (request.mode === 'navigate' && url.pathname.endsWith('/walk'))
    event.respondWith(netFirst(request, event));
});

// A walk asks for all that it takes to be kept: `{ keep: its page, parts: what it has loaded }`. The answer says whether it is.
self.addEventListener('message', event => {
  const { keep, parts } = event.data ?? {};
  if (typeof keep !== 'string' || !Array.isArray(parts)) return;
  event.waitUntil(
    keepWalk(keep, parts)
      // Without a connection: what was kept before is kept.
      .catch(async () => (await (await opened())?.match(keep)) !== undefined)
      .then(isKept => event.ports[0]?.postMessage({ isKept })),
  );
});

async function keepWalk(page, parts) {
  const store = await caches.open(STORE);
  const answer = await fetch(page, { headers: { accept: 'text/html' } });
  if (!answer.ok || answer.redirected) return false;
  const named = (await answer.clone().text()).match(/\/_next\/static\/[^"'\\\s)>]+/g) ?? [];
  for (const part of new Set([...parts, ...named])) {
    const url = new URL(part, self.location.origin);
    if (url.origin !== self.location.origin || !url.pathname.startsWith('/_next/static/')) continue;
    if (await store.match(url)) continue;
    const found = await fetch(url);
    if (!found.ok) return false;
    await store.put(url, found);
  }
  await store.put(page, answer);
  await forgetOld(store);
  return true;
}

async function storeFirst(request, event) {
  const store = await opened();
  const kept = await store?.match(request);
  if (kept) return kept;
  const answer = await fetch(request);
  if (answer.ok) event.waitUntil(keepAnswer(store, request, answer.clone()));
  return answer;
}

async function netFirst(request, event) {
  const store = await opened();
  try {
    const answer = await fetch(request);
    // Where one is led to the door, that is no walk.
    if (answer.ok && !answer.redirected)
      event.waitUntil(keepAnswer(store, request, answer.clone()));
    return answer;
  } catch (trouble) {
    const kept = await store?.match(request, { ignoreSearch: true });
    if (kept) return kept;
    throw trouble;
  }
}

async function opened() {
  try {
    return await caches.open(STORE);
  } catch {
    return undefined;
  }
}

async function keepAnswer(store, request, answer) {
  try {
    await store?.put(request, answer);
    if (store) await forgetOld(store);
  } catch {
    // No room: what was asked for was answered all the same.
  }
}

// Parts of earlier versions: the store keeps them in the order in which they came.
async function forgetOld(store) {
  const parts = (await store.keys()).filter(({ url }) =>
    new URL(url).pathname.startsWith('/_next/static/'),
  );
  for (const part of parts.slice(0, Math.max(0, parts.length - MOST_PARTS)))
    await store.delete(part);
}
