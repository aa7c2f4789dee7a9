'use client';

import { createStore as createKeptStore, delMany, entries, del, set } from 'idb-keyval';
import { createStore } from 'zustand';
import { post } from './answers';
import { KeptAtOnce } from './kept-at-once';
import { Outbox, requestOf, type Outcome, type OutboxState, type Wish } from './outbox';
import { fromGoneWindows, holdWindowName, windowName } from './window-name';

/** A window keeps what it has not sent yet in the browser, under its own name, so that the next opening finds it. */
const keyOf = (name: string, no: number) => `${name}:${String(no).padStart(9, '0')}`;

let keptStore: ReturnType<typeof createKeptStore> | undefined;
const store = () => (keptStore ??= createKeptStore('evarn-outbox', 'wishes'));
/** A browser may forbid storage: then what waits lives as long as the page, which asks before it closes. */
const hasStorage = (): boolean => typeof indexedDB !== 'undefined';
/** Until it is stored. */
const atOnce = new KeptAtOnce<Wish>('wish');

async function keep(no: number, wish: Wish): Promise<void> {
  atOnce.keep(no, wish);
  if (!hasStorage()) return;
  await set(keyOf(windowName, no), wish, store());
  atOnce.forget(no);
}

async function forget(no: number): Promise<void> {
  atOnce.forget(no);
  if (hasStorage()) await del(keyOf(windowName, no), store());
}

const send = (wish: Wish) =>
  wish.kind === 'action'
    ? post<never>('/api/actions', wish.action)
    : post<never>('/api/undo', withoutKind(wish));

const withoutKind = ({ kind: _, ...rest }: Extract<Wish, { kind: 'undo' }>) => rest;

/** Waits, but no longer than until the network comes back or the window comes to the front. */
const pause = (ms: number): Promise<void> =>
  new Promise((done) => {
    const go = () => {
      clearTimeout(timer);
      window.removeEventListener('online', go);
      window.removeEventListener('focus', go);
      done();
    };
    const timer = setTimeout(go, ms);
    window.addEventListener('online', go);
    window.addEventListener('focus', go);
  });

/** What every screen of this window shows of it. */
export const outboxState = createStore<OutboxState>()(() => ({ waiting: 0, unreached: null }));

let outbox: Outbox | undefined;

/** The one outbox of this window. */
export function windowOutbox(): Outbox {
  if (outbox) return outbox;
  outbox = new Outbox({
    send,
    keep,
    forget,
    pause,
    onState: (state) => outboxState.setState(state),
  });
  if (typeof window === 'undefined') return outbox;
  window.addEventListener('beforeunload', (e) => {
    if (outboxState.getState().waiting > 0) e.preventDefault();
  });
  holdWindowName();
  return outbox;
}

/**
 * What a window that is gone had left unsent, sent now; gives what came of each, oldest first. `onFound` hears of each as
 * it is found, so that it can be shown before it is answered.
 */
export async function sendWhatWasLeft(
  onFound: (wish: Wish, outcome: Promise<Outcome>) => void = () => undefined,
): Promise<Outcome[]> {
  const sent = await fromGoneWindows(async (isGone) => {
    const outcomes = new Map<string, Promise<Outcome>>();
    const take = (wish: Wish): void => {
      if (outcomes.has(requestOf(wish))) return;
      const outcome = windowOutbox().add(wish);
      outcomes.set(requestOf(wish), outcome);
      onFound(wish, outcome);
    };
    const stored = hasStorage() ? await entries<string, Wish>(store()) : [];
    const left = stored
      .filter(([key]) => isGone(key.slice(0, key.lastIndexOf(':'))))
      .sort(([a], [b]) => (a < b ? -1 : 1));
    for (const [, wish] of left) take(wish);
    // What was not stored any more came last.
    atOnce.takeFrom(isGone, take);
    if (left.length > 0)
      await delMany(
        left.map(([key]) => key),
        store(),
      );
    return [...outcomes.values()];
  });
  return Promise.all(sent ?? []);
}
