'use client';

import { createStore as createKeptStore, delMany, entries, del, set } from 'idb-keyval';
import { createStore } from 'zustand';
import { post } from './answers';
import { Outbox, type Outcome, type OutboxState, type Wish } from './outbox';

/** A window keeps what it has not sent yet in the browser, under its own name, so that the next opening finds it. */
const windowName = typeof crypto === 'undefined' ? '' : crypto.randomUUID();
const lockName = (name: string) => `evarn-window-${name}`;
const keyOf = (name: string, no: number) => `${name}:${String(no).padStart(9, '0')}`;

let keptStore: ReturnType<typeof createKeptStore> | undefined;
const store = () => (keptStore ??= createKeptStore('evarn-outbox', 'wishes'));
/** A browser may forbid storage: then what waits lives as long as the page, which asks before it closes. */
const hasStorage = (): boolean => typeof indexedDB !== 'undefined';

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
    keep: (no, wish) => (hasStorage() ? set(keyOf(windowName, no), wish, store()) : Promise.resolve()),
    forget: (no) => (hasStorage() ? del(keyOf(windowName, no), store()) : Promise.resolve()),
    pause,
    onState: (state) => outboxState.setState(state),
  });
  if (typeof window === 'undefined') return outbox;
  window.addEventListener('beforeunload', (e) => {
    if (outboxState.getState().waiting > 0) e.preventDefault();
  });
  // Held for as long as the window lives: what a window that is gone had not sent is known by its lock being free.
  void navigator.locks?.request(lockName(windowName), () => new Promise(() => undefined));
  return outbox;
}

/**
 * What a window that is gone had left unsent, sent now; gives what came of each, oldest first. `onFound` hears of each as
 * it is found, so that it can be shown before it is answered.
 */
export async function sendWhatWasLeft(
  onFound: (wish: Wish, outcome: Promise<Outcome>) => void = () => undefined,
): Promise<Outcome[]> {
  if (!hasStorage() || !navigator.locks) return [];
  const held = new Set((await navigator.locks.query()).held?.map((l) => l.name));
  const left = (await entries<string, Wish>(store()))
    .filter(([key]) => !held.has(lockName(key.slice(0, key.lastIndexOf(':')))))
    .filter(([key]) => !key.startsWith(`${windowName}:`))
    .sort(([a], [b]) => (a < b ? -1 : 1));
  if (left.length === 0) return [];
  // One window takes them, however many are opened at once.
  return navigator.locks.request('evarn-left', { ifAvailable: true }, async (lock) => {
    if (!lock) return [];
    const outcomes = left.map(([, wish]) => {
      const outcome = windowOutbox().add(wish);
      onFound(wish, outcome);
      return outcome;
    });
    await delMany(
      left.map(([key]) => key),
      store(),
    );
    return Promise.all(outcomes);
  });
}
