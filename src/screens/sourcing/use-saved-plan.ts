import { useEffect, useRef } from 'react';
import { loadPlan, savePreferences, type KeptPlan, type AskedPlan, type SavedPlan } from '@/core/market';
import { ask } from '../sending/answers';

/** How long somebody may still be typing before what they chose is kept. */
const SETTLES_MS = 250;
/** A run that was stopped by its page's going may need a moment to say what it had. */
const AGAIN_MS = 700;
const TRIES = 3;

const pathOf = (build: string) => `/api/builds/${build}/buying-plan`;
/** The server gives out none that is not whole. */
const fetchSaved = async (build: string) => {
  const kept = await ask<KeptPlan>(pathOf(build));
  return kept ? loadPlan(kept) : undefined;
};

/** What the run that was on when its page was closed had found, once it has said so. */
async function fetchPlan(build: string, run: string, signal: AbortSignal): Promise<AskedPlan | null> {
  for (let tries = 0; tries < TRIES && !signal.aborted; tries++) {
    await new Promise((done) => setTimeout(done, AGAIN_MS));
    const asked = (await fetchSaved(build))?.asked;
    if (asked?.run === run && asked.plan) return asked;
  }
  return null;
}

/** What a page chooses of a saved plan, in the pieces in which it is kept. */
const piecesOf = ({ preferences, seconds, listPostage, lists }: Omit<SavedPlan, 'asked'>) => ({
  wish: JSON.stringify({ preferences: savePreferences(preferences), seconds, listPostage }),
  lists: JSON.stringify({ lists }),
});
type Pieces = ReturnType<typeof piecesOf>;

/**
 * Finds what was asked before for a build, and keeps what is chosen now. Only what changed is sent: price lists do not
 * travel with every preference. Nothing is kept before what was there has been found, and nothing at all where there is
 * no build.
 */
export function useSavedPlan(
  build: string | null,
  now: Omit<SavedPlan, 'asked'>,
  onFound: (saved: SavedPlan) => void,
  onPlan: (asked: AskedPlan) => void,
): void {
  const known = useRef<Pieces | null>(null);
  const found = useRef(onFound);
  const planned = useRef(onPlan);
  const first = useRef(now);
  useEffect(() => {
    if (build === null) return;
    const stop = new AbortController();
    const find = async () => {
      const saved = await fetchSaved(build);
      if (stop.signal.aborted) return;
      known.current = piecesOf(saved ?? first.current);
      if (!saved) return;
      found.current(saved);
      if (!saved.asked || saved.asked.plan) return;
      const later = await fetchPlan(build, saved.asked.run, stop.signal);
      if (later && !stop.signal.aborted) planned.current(later);
    };
    void find();
    return () => stop.abort();
  }, [build]);
  const { preferences, seconds, lists, listPostage } = now;
  useEffect(() => {
    if (build === null) return;
    const timer = setTimeout(() => {
      const pieces = piecesOf({ preferences, seconds, lists, listPostage });
      for (const piece of ['wish', 'lists'] as const) {
        if (known.current === null || known.current[piece] === pieces[piece]) continue;
        known.current = { ...known.current, [piece]: pieces[piece] };
        void keep(build, pieces[piece]).catch(() => {
          // The server is away: it is kept with the next change.
          known.current = { ...known.current!, [piece]: '' };
        });
      }
    }, SETTLES_MS);
    return () => clearTimeout(timer);
  }, [build, preferences, seconds, lists, listPostage]);
}

const keep = (build: string, body: string): Promise<Response> =>
  fetch(pathOf(build), { method: 'PUT', headers: { 'content-type': 'application/json' }, body });

/** Says that a build's plan was ordered: there is none to be found again. */
export const forgetPlan = (build: string): Promise<unknown> =>
  keep(build, JSON.stringify({ asked: null })).catch(() => undefined);
