'use client';

import { useEffect } from 'react';

/**
 * Has the browser keep the pages that were opened, so that they open while Evarn cannot be reached. A browser allows it on
 * the machine itself, and to a phone where sharing has a certificate.
 */
export function KeepOffline() {
  useEffect(() => {
    if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
    void navigator.serviceWorker
      .register('/offline.js')
      .then(() => navigator.serviceWorker.ready)
      .then(({ active }) => {
        const files = performance.getEntriesByType('resource').map((r) => r.name);
        active?.postMessage({ keep: 'this page', page: window.location.pathname, files });
      })
      // Forbidden by the browser, or by its settings: then pages open only where Evarn is reached.
      .catch(() => undefined);
  }, []);
  return null;
}
