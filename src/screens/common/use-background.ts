'use client';

import { useCallback, useLayoutEffect, useMemo, useSyncExternalStore } from 'react';

export const BACKGROUNDS = ['light', 'middle', 'dark'] as const;
export type Background = (typeof BACKGROUNDS)[number];

const KEY = 'evarn-background';
const listeners = new Set<() => void>();

const read = (): Background => {
  const kept = localStorage.getItem(KEY);
  return BACKGROUNDS.find((m) => m === kept) ?? 'middle';
};

/** The brightness of the background: kept on this machine, the same on every screen and in every sheet. */
export function useBackground() {
  const subscribe = useCallback((listener: () => void) => {
    listeners.add(listener);
    return () => void listeners.delete(listener);
  }, []);
  const background = useSyncExternalStore(subscribe, read, () => 'middle' as Background);
  useLayoutEffect(() => {
    document.documentElement.dataset.background = background;
  }, [background]);
  const setBackground = useCallback((next: Background) => {
    localStorage.setItem(KEY, next);
    listeners.forEach((l) => l());
  }, []);
  const next = useCallback(
    () => setBackground(BACKGROUNDS[(BACKGROUNDS.indexOf(read()) + 1) % BACKGROUNDS.length] ?? 'middle'),
    [setBackground],
  );
  return useMemo(() => ({ background, setBackground, next }), [background, setBackground, next]);
}
