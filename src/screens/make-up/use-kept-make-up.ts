import { useEffect, useRef } from 'react';
import { keepMakeUp, readMakeUp, type SavedMakeUp } from '@/core/supply';

/** How long somebody may still be typing before what they chose is kept. */
const SETTLES_MS = 250;
/** A run that was stopped by its page's going may need a moment to say what it had. */
const AGAIN_MS = 700;
const TRIES = 3;

const textOf = (saved: SavedMakeUp): string => JSON.stringify(keepMakeUp(saved));
const pathOf = (build: string) => `/api/builds/${build}/make-up`;

/** Fetches what is kept for a build, once more when its run was still being ended. */
async function fetchKept(build: string, signal: AbortSignal): Promise<SavedMakeUp | undefined> {
  let saved: SavedMakeUp | undefined;
  for (let tries = 0; tries < TRIES; tries++) {
    const body = (await (await fetch(pathOf(build), { signal })).json()) as { value?: unknown };
    saved = readMakeUp(body.value);
    if (!saved?.asked || saved.asked.plan) break;
    await new Promise((done) => setTimeout(done, AGAIN_MS));
  }
  return saved;
}

/**
 * Finds what was asked before for a build, and keeps what is asked now. Nothing is kept before what was there has been
 * found, and nothing at all where there is no build.
 */
export function useKeptMakeUp(
  build: string | null,
  now: SavedMakeUp,
  onFound: (saved: SavedMakeUp) => void,
): void {
  const known = useRef<string | null>(null);
  const found = useRef(onFound);
  const { preferences, seconds, lists, listPostage, asked } = now;
  const first = useRef(now);
  useEffect(() => {
    if (build === null) return;
    const stop = new AbortController();
    void fetchKept(build, stop.signal)
      .then((saved) => {
        if (stop.signal.aborted) return;
        known.current = textOf(saved ?? first.current);
        if (saved) found.current(saved);
      })
      .catch(() => {
        // The server is away: what is chosen now is kept when it is back.
        if (!stop.signal.aborted) known.current = textOf(first.current);
      });
    return () => stop.abort();
  }, [build]);
  useEffect(() => {
    if (build === null) return;
    const timer = setTimeout(() => {
      const text = textOf({ preferences, seconds, lists, listPostage, asked });
      if (known.current === null || known.current === text) return;
      known.current = text;
      void fetch(pathOf(build), {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: text,
      }).catch(() => {
        known.current = '';
      });
    }, SETTLES_MS);
    return () => clearTimeout(timer);
  }, [build, preferences, seconds, lists, listPostage, asked]);
}
