'use client';

import { useSyncExternalStore } from 'react';

/** The greys of the page as they are now, for what is painted and not styled: charts. */
export interface Inks {
  readonly ink: string;
  readonly soft: string;
  readonly rule: string;
  readonly sheet: string;
  readonly wash: string;
}

const LIGHT: Inks = { ink: '#161616', soft: '#4d4d4d', rule: '#d6d6d6', sheet: '#fcfcfc', wash: '#e8e8e8' };
let kept = LIGHT;

function read(): Inks {
  const style = getComputedStyle(document.documentElement);
  const of = (name: keyof Inks): string => style.getPropertyValue(`--color-${name}`).trim() || LIGHT[name];
  const now = { ink: of('ink'), soft: of('soft'), rule: of('rule'), sheet: of('sheet'), wash: of('wash') };
  if (JSON.stringify(now) !== JSON.stringify(kept)) kept = now;
  return kept;
}

/** They change with the surround that was chosen, and with the system's. */
function follow(onChange: () => void): () => void {
  const system = matchMedia('(prefers-color-scheme: dark)');
  const observer = new MutationObserver(onChange);
  observer.observe(document.documentElement, { attributes: true, attributeFilter: ['data-surround'] });
  system.addEventListener('change', onChange);
  return () => {
    observer.disconnect();
    system.removeEventListener('change', onChange);
  };
}

export const useInks = (): Inks => useSyncExternalStore(follow, read, () => LIGHT);
