'use client';

import { useSearchParams } from 'next/navigation';
import { parseAsStringLiteral, useQueryState } from 'nuqs';
import { useEffect, useMemo, useState } from 'react';
import type { Command } from '../commands/use-commands';

/**
 * Which part of a screen shows: it stands in the address, so that a link opens it and Back goes to the one before. What was
 * chosen here holds, whatever a page that is being fetched anew meanwhile does to the address. Gives also the commands that
 * choose each by Alt and its number.
 */
export function usePart<const T extends string>(
  parts: readonly { readonly name: T; readonly words: string }[],
  first: T,
): [T, (part: T) => void, Command[]] {
  const names = useMemo(() => parts.map((p) => p.name), [parts]);
  const [inAddress, setInAddress] = useQueryState(
    'part',
    parseAsStringLiteral(names)
      .withDefault(first as never)
      .withOptions({ history: 'push' }),
  );
  const [part, setPart] = useState<T>(inAddress as T);
  useEffect(() => {
    const follow = () => {
      const named = new URLSearchParams(window.location.search).get('part');
      setPart(names.find((n) => n === named) ?? first);
    };
    window.addEventListener('popstate', follow);
    return () => window.removeEventListener('popstate', follow);
  }, [names, first]);
  const choose = (next: T) => {
    setPart(next);
    void setInAddress(next as never);
  };
  return [part, choose, commandsFor(parts, choose)];
}

/**
 * The same for a page that is fetched anew after each action: what shows does not stand in its address, since the fetch
 * would put an older address back over one that was just chosen.
 */
export function usePartHere<const T extends string>(
  parts: readonly { readonly name: T; readonly words: string }[],
  first: T,
): [T, (part: T) => void, Command[]] {
  // A link may name one to begin with.
  const named = useSearchParams().get('part');
  const [part, setPart] = useState<T>(parts.find((p) => p.name === named)?.name ?? first);
  return [part, setPart, commandsFor(parts, setPart)];
}

const commandsFor = <T extends string>(
  parts: readonly { readonly name: T; readonly words: string }[],
  choose: (part: T) => void,
): Command[] =>
  parts.map((p, i) => ({
    name: `Show ${p.words}`,
    key: `alt+${(i + 1) % 10}`,
    everywhere: true,
    group: 'Parts of this page',
    run: () => choose(p.name),
  }));
