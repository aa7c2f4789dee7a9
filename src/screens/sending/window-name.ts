'use client';

/** Each window has a name of its own: what it keeps in the browser is known by it. */
export const windowName = typeof crypto === 'undefined' ? '' : crypto.randomUUID();
const lockName = (name: string) => `evarn-window-${name}`;

let isHeld = false;

/** Holds a lock by the window's name for as long as the window lives: a name whose lock is free is of a window that is gone. */
export function holdWindowName(): void {
  if (isHeld || typeof window === 'undefined') return;
  isHeld = true;
  void navigator.locks?.request(lockName(windowName), () => new Promise(() => undefined));
}

/**
 * Takes what windows that are gone had kept. One window does at a time, so that nothing is taken twice; `take` is told which
 * names are of windows that are gone. Undefined where the browser cannot tell who lives.
 */
export async function fromGoneWindows<T>(
  take: (isGone: (name: string) => boolean) => T | Promise<T>,
): Promise<T | undefined> {
  const { locks } = navigator;
  if (!locks) return undefined;
  return locks.request('evarn-left', async () => {
    const held = new Set((await locks.query()).held?.map((l) => l.name));
    return take((name) => name !== windowName && !held.has(lockName(name)));
  });
}
