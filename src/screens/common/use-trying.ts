'use client';

import { useEffect } from 'react';
import { takeTally, type Entry, type Tally } from '@/core/ledger';
import { useBuild } from './build-store';

/** Shows in the balance what entries would come to that are not planned yet; null or none = nothing is tried. */
export function useTrying(entries: readonly Entry[] | null, onTry: (tally: Tally | null) => void): void {
  const workbench = useBuild((s) => s.workbench);
  useEffect(() => {
    const { planned, priceOf } = workbench;
    onTry(
      entries && entries.length > 0
        ? planned.trying(entries, [], () => takeTally(planned, { of: 'build' }, priceOf))
        : null,
    );
    return () => onTry(null);
  }, [workbench, entries, onTry]);
}
