'use client';

import { useCallback, useEffect, useState } from 'react';
import type { Builds } from '@/server/build-list';
import { ask } from '../sending/answers';

/** How long typing may pause before it is looked for. */
const PAUSE_MS = 150;
/** How soon the figures that are still being worked out are asked for again. */
const AGAIN_MS = 300;

const page = (find: string, archived: boolean, from: number) =>
  ask<Builds>(
    `/api/builds?${new URLSearchParams({ find, archived: archived ? '1' : '0', from: String(from) })}`,
  );

/** So many of the builds at least, or all there are: what is shown is asked for anew as one, and never gets shorter meanwhile. */
async function atLeast(find: string, archived: boolean, count: number): Promise<Builds | undefined> {
  let got = await page(find, archived, 0);
  while (got && got.builds.length < Math.min(count, got.found)) {
    const next = await page(find, archived, got.builds.length);
    if (!next || next.builds.length === 0) return next && got;
    got = { ...next, builds: [...got.builds, ...next.builds] };
  }
  return got;
}

/**
 * The builds that are asked for, page by page; figures that are not worked out yet come by themselves. Until the answer to
 * what is looked for has come they are those of what was looked for before, and stale.
 */
export function useBuilds(first: Builds, find: string, archived: boolean) {
  const key = `${archived} ${find.trim()}`;
  const [got, setGot] = useState({ key: 'false ', builds: first, wanted: 0 });
  const [seen, setSeen] = useState(first);
  // The page was made anew, since something was done elsewhere or restored: what it brings is shown, and then as many as there were.
  if (seen !== first) {
    setSeen(first);
    setGot({ key: 'false ', builds: first, wanted: got.key === 'false ' ? got.wanted : 0 });
  }
  const { builds } = got;
  const isStale = got.key !== key;
  useEffect(() => {
    if (!isStale && builds.waiting === 0) return;
    let there = true;
    const timer = setTimeout(
      () =>
        void atLeast(find, archived, isStale ? 0 : builds.builds.length).then((fresh) => {
          if (there && fresh) setGot((was) => ({ key, builds: fresh, wanted: isStale ? 0 : was.wanted }));
        }),
      isStale ? PAUSE_MS : AGAIN_MS,
    );
    return () => {
      there = false;
      clearTimeout(timer);
    };
  }, [isStale, builds, find, archived, key]);
  const more = useCallback(async () => {
    const next = await page(find, archived, builds.builds.length);
    if (!next) return;
    const shown = [...builds.builds, ...next.builds];
    setGot((was) => ({
      key,
      builds: { ...next, builds: shown },
      wanted: Math.max(was.wanted, shown.length),
    }));
  }, [find, archived, builds, key]);
  const lacks = builds.builds.length < Math.min(got.wanted, builds.found);
  useEffect(() => {
    if (!lacks || isStale) return;
    const timer = setTimeout(() => void more(), 0);
    return () => clearTimeout(timer);
  }, [lacks, isStale, more]);
  return { builds, isStale, more };
}
