'use client';

import { usePathname } from 'next/navigation';
import { useEffect } from 'react';
import { ask } from './answers';

/** What a page needs to be worked with comes first. */
const AFTER_MS = 2000;

async function keepThisPage(): Promise<void> {
  try {
    await navigator.serviceWorker.register('/offline.js');
    const { active } = await navigator.serviceWorker.ready;
    const here = performance.getEntriesByType('resource').map((r) => r.name);
    // Parts of a page come when they are shown: what they are made of is kept before that.
    const built = (await ask<string[]>('/api/offline-files')) ?? [];
    const files = [...new Set([...here, ...built.map((f) => new URL(f, window.location.origin).href)])];
    active?.postMessage({ keep: 'this page', page: window.location.pathname, files });
  } catch {
    // Forbidden by the browser, or by its settings: then pages open only where Evarn is reached.
  }
}

/**
 * Has the browser keep the pages that were opened, so that they open while Evarn cannot be reached. A browser allows it on
 * the machine itself, and to a phone where sharing has a certificate.
 */
export function KeepOffline() {
  // A page that was come to by a link was not loaded by itself: it is kept as well.
  const path = usePathname();
  useEffect(() => {
    if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
    const timer = setTimeout(() => void keepThisPage(), AFTER_MS);
    return () => clearTimeout(timer);
  }, [path]);
  return null;
}
