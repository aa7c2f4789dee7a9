'use client';

import clsx from 'clsx';
import type { Completion } from '@/core/log-line';
import { Key } from '@/ui/button';
import { Glyph } from '@/ui/glyph';

interface ListProps {
  readonly id: string;
  readonly list: readonly Completion[];
  readonly chosen: number;
  readonly onChoose: (c: Completion) => void;
}

/** Ways to go on, over the line, with their drawn parts. */
export function Completions({ id, list, chosen, onChoose }: ListProps) {
  return (
    <ul
      id={id}
      role="listbox"
      aria-label="Ways to go on"
      className="bg-sheet border-edge absolute bottom-full left-4 z-30 mb-1 max-h-80 min-w-72 overflow-auto rounded-md border p-1 shadow-lg"
    >
      {list.map((c, i) => (
        <li
          key={c.text}
          id={`${id}-${i}`}
          role="option"
          aria-selected={i === chosen}
          onMouseDown={(e) => {
            e.preventDefault();
            onChoose(c);
          }}
          className={clsx(
            'flex min-h-8 cursor-pointer items-center gap-2 rounded-sm px-2 font-mono',
            i === chosen && 'bg-wash',
          )}
        >
          {c.element && <Glyph element={c.element} size={28} />}
          <span className="flex-1">{c.text}</span>
          {i === chosen && <Key>Tab</Key>}
        </li>
      ))}
    </ul>
  );
}
