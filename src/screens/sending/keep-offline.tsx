'use client';

import { usePathname } from 'next/navigation';
import { useEffect } from 'react';

/** What a page needs to be worked with comes first. */
const AFTER_MS = 2000;

async function keepThisPage(): Promise<void> {
  try {
    await navigator.serviceWorker.register('/offline.js');
    const { active } = await navigator.serviceWorker.ready;
    const files = performance.getEntriesByType('resource').map((r) => r.name);
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
