'use client';

import { useCallback, useLayoutEffect, useSyncExternalStore } from 'react';

export const MATS = ['light', 'middle', 'dark'] as const;
export type Mat = (typeof MATS)[number];

const KEY = 'evarn-mat';
const listeners = new Set<() => void>();

const read = (): Mat => {
  const kept = localStorage.getItem(KEY);
  return MATS.find((m) => m === kept) ?? 'middle';
};

/** The brightness of the mat: kept on this machine, the same on every screen and in every sheet. */
export function useMat() {
  const subscribe = useCallback((listener: () => void) => {
    listeners.add(listener);
    return () => void listeners.delete(listener);
  }, []);
  const mat = useSyncExternalStore(subscribe, read, () => 'middle' as Mat);
  useLayoutEffect(() => {
    document.documentElement.dataset.mat = mat;
  }, [mat]);
  const setMat = useCallback((next: Mat) => {
    localStorage.setItem(KEY, next);
    listeners.forEach((l) => l());
  }, []);
  const next = useCallback(
    () => setMat(MATS[(MATS.indexOf(read()) + 1) % MATS.length] ?? 'middle'),
    [setMat],
  );
  return { mat, setMat, next };
}
