import { useEffect, useRef } from 'react';
import { savePlan, readPlan, type AskedPlan, type SavedPlan } from '@/core/market';

/** How long somebody may still be typing before what they chose is kept. */
const SETTLES_MS = 250;
/** A run that was stopped by its page's going may need a moment to say what it had. */
const AGAIN_MS = 700;
const TRIES = 3;

const textOf = (saved: SavedPlan): string => JSON.stringify(savePlan(saved));
const pathOf = (build: string) => `/api/builds/${build}/buying-plan`;

async function fetchSaved(build: string, signal: AbortSignal): Promise<SavedPlan | undefined> {
  const body = (await (await fetch(pathOf(build), { signal })).json()) as { value?: unknown };
  return readPlan(body.value);
}

/** What the run that was on when its page was closed had found, once it has said so. */
async function fetchPlan(build: string, run: string, signal: AbortSignal): Promise<AskedPlan | null> {
  for (let tries = 0; tries < TRIES; tries++) {
    await new Promise((done) => setTimeout(done, AGAIN_MS));
    const asked = (await fetchSaved(build, signal))?.asked;
    if (asked?.run === run && asked.plan) return asked;
  }
  return null;
}

/**
 * Finds what was asked before for a build, and keeps what is asked now. Nothing is kept before what was there has been
 * found, and nothing at all where there is no build.
 */
export function useSavedPlan(
  build: string | null,
  now: SavedPlan,
  onFound: (saved: SavedPlan) => void,
  onPlan: (asked: AskedPlan, wish: SavedPlan['preferences']) => void,
): void {
  const known = useRef<string | null>(null);
  const found = useRef(onFound);
  const planned = useRef(onPlan);
  const { preferences, seconds, lists, listPostage, asked } = now;
  const first = useRef(now);
  useEffect(() => {
    if (build === null) return;
    const stop = new AbortController();
    const find = async () => {
      const saved = await fetchSaved(build, stop.signal);
      if (stop.signal.aborted) return;
      known.current = textOf(saved ?? first.current);
      if (!saved) return;
      found.current(saved);
      if (!saved.asked || saved.asked.plan) return;
      const later = await fetchPlan(build, saved.asked.run, stop.signal);
      if (later && !stop.signal.aborted) planned.current(later, saved.preferences);
    };
    find().catch(() => {
      // The server is away: what is chosen now is kept when it is back.
      if (!stop.signal.aborted) known.current ??= textOf(first.current);
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
