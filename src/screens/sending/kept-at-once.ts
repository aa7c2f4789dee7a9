'use client';

import { windowName } from './window-name';

/**
 * Small things that a window keeps in the browser in the moment they are made. What stores more takes its time to, and a page
 * that is opened anew in that moment would lose them.
 */
export class KeptAtOnce<T> {
  constructor(private readonly kind: string) {}

  keep(no: number, value: T): void {
    try {
      localStorage.setItem(this.keyOf(no), JSON.stringify(value));
    } catch {
      // A browser may forbid it, or have no room for as much: then it lives as long as the page, which asks before it closes.
    }
  }

  forget(no: number): void {
    try {
      localStorage.removeItem(this.keyOf(no));
    } catch {
      // Nothing was kept either.
    }
  }

  /**
   * Hands over what the windows of some names had kept, oldest first, where it is wanted. It is forgotten when `take` has come
   * back: who takes it keeps it again, under their own name.
   */
  takeFrom(isTheirs: (name: string) => boolean, take: (value: T) => void, isWanted = (_: T) => true): void {
    for (const key of this.keysOf(isTheirs)) {
      const value = read<T>(key);
      if (value === undefined || !isWanted(value)) continue;
      take(value);
      localStorage.removeItem(key);
    }
  }

  private get prefix(): string {
    return `evarn-kept:${this.kind}:`;
  }

  private keyOf = (no: number): string => `${this.prefix}${windowName}:${String(no).padStart(9, '0')}`;

  private keysOf(isTheirs: (name: string) => boolean): string[] {
    try {
      return Object.keys(localStorage)
        .filter((key) => key.startsWith(this.prefix))
        .filter((key) => isTheirs(key.slice(this.prefix.length, key.lastIndexOf(':'))))
        .sort();
    } catch {
      return [];
    }
  }
}

/** What stands under a key; undefined where somebody else wrote there. */
function read<T>(key: string): T | undefined {
  try {
    return JSON.parse(localStorage.getItem(key) ?? '') as T;
  } catch {
    return undefined;
  }
}
