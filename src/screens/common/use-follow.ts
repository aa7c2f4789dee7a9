'use client';

import { useEffect, useRef } from 'react';
import { followSteps } from '../sending/feed-client';
import { useRefresh } from './use-in-address';

/** Fetches a page anew whenever another window has done something since the revision that it shows. */
export function useFollow(revision: number): void {
  const refresh = useRefresh();
  const seen = useRef(revision);
  useEffect(() => {
    seen.current = revision;
  }, [revision]);
  useEffect(
    () =>
      followSteps(
        () => seen.current,
        (steps) => steps.revision !== seen.current && refresh(),
      ),
    [refresh],
  );
}
