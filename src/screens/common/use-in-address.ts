'use client';

import { useRouter, useSearchParams } from 'next/navigation';
import { useCallback, useEffect, useRef, useState } from 'react';

/** Whether Back goes to what was there before (something was opened), or not (a filter was changed). */
type History = 'push' | 'replace';

/** True while the address says something else than the page that was fetched: set by hand, or turned by Back. */
let isAhead = false;

/** Puts values into the page's address and leaves the others; an empty one is taken out. Nothing is fetched by that. */
export function writeAddress(values: Readonly<Record<string, string>>, history: History): void {
  const url = new URL(window.location.href);
  for (const [name, value] of Object.entries(values))
    if (value) url.searchParams.set(name, value);
    else url.searchParams.delete(name);
  if (url.href === window.location.href) return;
  isAhead = true;
  if (history === 'push') window.history.pushState(null, '', url);
  else window.history.replaceState(null, '', url);
}

/**
 * Fetches the page anew, at the address that it has now. A plain refresh would find that the address is not the one the
 * page was fetched at, and load all of it again, with what was typed and chosen lost.
 */
export function useRefresh(): () => void {
  const router = useRouter();
  return useCallback(() => {
    const { pathname, search } = window.location;
    if (isAhead) router.replace(`${pathname}${search}`, { scroll: false });
    else router.refresh();
    isAhead = false;
  }, [router]);
}

/** Calls `follow` with the address's values whenever Back or Forward was pressed. */
export function useBackAndForward(follow: (values: URLSearchParams) => void): void {
  const now = useRef(follow);
  useEffect(() => {
    now.current = follow;
  }, [follow]);
  useEffect(() => {
    const heard = () => {
      isAhead = true;
      now.current(new URLSearchParams(window.location.search));
    };
    window.addEventListener('popstate', heard);
    return () => window.removeEventListener('popstate', heard);
  }, []);
}

/**
 * A value that stands in the page's address, so that a link opens the page with it and Back and Forward turn it: what is
 * looked for, what is opened. `first` is what an address without it means.
 */
export function useInAddress(
  name: string,
  first = '',
  history: History = 'replace',
): [string, (value: string) => void] {
  const [value, setValue] = useState(useSearchParams().get(name) ?? first);
  useBackAndForward((values) => setValue(values.get(name) ?? first));
  // At once: written a moment later it would take back a link that was pressed meanwhile.
  const choose = useCallback(
    (next: string) => {
      setValue(next);
      writeAddress({ [name]: next === first ? '' : next }, history);
    },
    [name, first, history],
  );
  return [value, choose];
}

/** The same for one of a few: what an address says that is none of them counts as the first. */
export function useOneInAddress<const T extends string>(
  name: string,
  among: readonly [T, ...T[]],
): [T, (value: T) => void] {
  const [value, choose] = useInAddress(name, among[0]);
  return [among.find((one) => one === value) ?? among[0], choose];
}
