'use client';

import { useCallback, useSyncExternalStore } from 'react';

const HEARD = 'evarn-timer';

/**
 * When the timer of a build was started, in milliseconds; null = it does not run. It stands in the browser, so that it runs on
 * while other pages are looked at, in this window or another.
 */
export function useTimer(build: string): [number | null, (since: number | null) => void] {
  const key = `timer ${build}`;
  const subscribe = useCallback((heard: () => void) => {
    window.addEventListener('storage', heard);
    window.addEventListener(HEARD, heard);
    return () => {
      window.removeEventListener('storage', heard);
      window.removeEventListener(HEARD, heard);
    };
  }, []);
  const text = useSyncExternalStore(
    subscribe,
    () => window.localStorage.getItem(key),
    () => null,
  );
  const put = (since: number | null) => {
    if (since === null) window.localStorage.removeItem(key);
    else window.localStorage.setItem(key, `${since}`);
    window.dispatchEvent(new Event(HEARD));
  };
  const since = Number(text);
  return [text !== null && Number.isFinite(since) && since > 0 ? since : null, put];
}
