/**
 * Opens pages that were seen before while Evarn cannot be reached: on a phone whose network is away, or while the machine is
 * off. What is asked of the server goes to the server and nowhere else; what was logged meanwhile waits in the window's own
 * outbox. A page that can be fetched is always fetched.
 */
const PAGES = 'evarn-pages';
const FILES = 'evarn-files';
const KNOWN = 'evarn-known';
// Books of a long log and large collections are no part of their pages: a page that has nothing yet asks for them.
const KNOWLEDGE = [
  // Pages that were kept before an update ask in the words that they had then.
  /^\/api\/(knowledge(\?packed)?|stock)$/,
  /^\/api\/builds\/[^/]+\/surroundings(\?packed)?$/,
  /^\/api\/builds\/[^/]+\/snapshot\?opening(&packed)?$/,
];
const PACKED = 'application/gzip, application/json';
const MOST = { [PAGES]: 40, [FILES]: 400, [KNOWN]: 50 };

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (e) => e.waitUntil(self.clients.claim()));

self.addEventListener('fetch', (e) => {
  const { request } = e;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== self.location.origin) return;
  // Whoever is led to where devices are let in is not, or no longer, let in: nothing of the workspace stays.
  if (url.pathname === '/pair') e.waitUntil(forgetAll());
  else if (request.mode === 'navigate' && !url.pathname.startsWith('/api/'))
    e.respondWith(page(request, url));
  else if (isFile(url)) e.respondWith(file(request));
  // What the workspace has and knows: a page opens with it, and hears of what changed since.
  else if (isKnowledge(url)) e.respondWith(known(request));
});

/** A window that was there before this worker says what it is made of. */
self.addEventListener('message', (e) => {
  if (e.data?.keep !== 'this page') return;
  e.waitUntil(
    (async () => {
      await keep(PAGES, e.data.page, await fetch(e.data.page, { headers: { accept: 'text/html' } }));
      for (const url of e.data.files) {
        if (isFile(new URL(url)) && !(await caches.match(url))) await keep(FILES, url, await fetch(url));
        // It was asked for before this worker was there to keep it.
        if (isKnowledge(new URL(url)))
          await keep(KNOWN, url, await fetch(url, { headers: { accept: PACKED } }));
      }
    })().catch(() => undefined),
  );
});

/** Named by what is in them: they never change. */
const isFile = (url) => url.origin === self.location.origin && url.pathname.startsWith('/_next/static/');

/** What a build is worked with besides its own books: prices and own parts, and what other builds leave it. */
const isKnowledge = ({ origin, pathname, search }) =>
  origin === self.location.origin && KNOWLEDGE.some((k) => k.test(pathname + search));

async function page(request, url) {
  try {
    const came = await fetch(request);
    await keep(PAGES, url.pathname, came.clone());
    return came;
  } catch (error) {
    const before = await caches.match(url.pathname, { cacheName: PAGES });
    if (before) return before;
    return new Response(
      '<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>Evarn cannot be reached</title><body style="font:16px sans-serif;max-width:30em;margin:3em auto;padding:0 1em"><main><h1>Evarn cannot be reached.</h1><p>This page was not opened here before, so nothing of it is kept. Builds that were opened on this device open without the network too, and what you log in them is sent when it is back.</p><p><a href="/builds">All builds</a></p></main>',
      { status: 503, headers: { 'content-type': 'text/html; charset=utf-8' } },
    );
  }
}

async function file(request) {
  const before = await caches.match(request, { cacheName: FILES });
  if (before) return before;
  const came = await fetch(request);
  await keep(FILES, request.url, came.clone());
  return came;
}

async function known(request) {
  try {
    const came = await fetch(request);
    await keep(KNOWN, request.url, came.clone());
    return came;
  } catch (error) {
    const before = await caches.match(request, { cacheName: KNOWN, ignoreVary: true });
    if (before) return before;
    throw error;
  }
}

/** Keeps an answer, the newest of as many as there is room for; a device that is not let in any more keeps nothing. */
async function keep(name, key, answer) {
  if (answer.status === 401) return forgetAll();
  if (!answer.ok || answer.redirected || answer.type !== 'basic') return;
  const cache = await caches.open(name);
  await cache.delete(key);
  await cache.put(key, answer);
  const keys = await cache.keys();
  for (const old of keys.slice(0, Math.max(0, keys.length - MOST[name]))) await cache.delete(old);
}

const forgetAll = async () => {
  for (const name of [PAGES, FILES, KNOWN]) await caches.delete(name);
};
