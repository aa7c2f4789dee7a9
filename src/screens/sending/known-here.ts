'use client';

/** Where the browser keeps what the workspace knows; `public/offline.js` forgets it when the device is no longer let in. */
const KNOWN = 'evarn-known';

/** Keeps an answer in the browser, for a page that opens without the network; where the browser keeps nothing, nothing. */
export async function rememberHere(path: string, value: unknown): Promise<void> {
  if (!('caches' in window)) return;
  try {
    await (await caches.open(KNOWN)).put(path, Response.json(value));
  } catch {
    // No room, or forbidden: then it is asked for again.
  }
}

/** What was kept of an answer; undefined where nothing was. */
export async function recallHere<T>(path: string): Promise<T | undefined> {
  if (!('caches' in window)) return undefined;
  try {
    return (await (await caches.match(path, { cacheName: KNOWN }))?.json()) as T | undefined;
  } catch {
    return undefined;
  }
}
