'use client';

import { parseAsStringLiteral, useQueryState } from 'nuqs';
import { useMemo } from 'react';
import type { Command } from '../commands/use-commands';

/**
 * Which part of a screen shows: it stands in the address, so that a link opens it and Back goes to the one before. Gives
 * also the commands that choose each by Alt and its number.
 */
export function usePart<const T extends string>(
  parts: readonly { readonly name: T; readonly words: string }[],
  first: T,
): [T, (part: T) => void, Command[]] {
  const names = useMemo(() => parts.map((p) => p.name), [parts]);
  const [part, setPart] = useQueryState(
    'part',
    parseAsStringLiteral(names)
      .withDefault(first as never)
      .withOptions({ history: 'push' }),
  );
  const choose = (next: T) => void setPart(next as never);
  const commands = parts.map((p, i) => ({
    name: `Show ${p.words}`,
    key: `alt+${i + 1}`,
    everywhere: true,
    group: 'Parts of this page',
    run: () => choose(p.name),
  }));
  return [part as T, choose, commands];
}
