'use client';

import { useState } from 'react';
import { Key } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { keyWords } from './keys';
import { LogLineHelp } from './log-line-help';
import { commandsNow } from './use-commands';

/** Keys that a part of a screen has while it is in focus: they belong to no command. */
const IN_PLACE: readonly [group: string, rows: readonly (readonly [string, string])[]][] = [
  [
    'In the log line',
    [
      ['Enter', 'log the line'],
      ['Tab', 'take the completion'],
      ['Esc', 'leave the line'],
    ],
  ],
  [
    'On an entry',
    [
      ['↑ ↓', 'next, previous entry'],
      ['Space', 'mark it'],
      ['Enter', 'edit it in the log line'],
      ['D', 'placed, or back to planned'],
      ['Alt ↑ ↓', 'move it'],
      ['Del', 'delete it'],
    ],
  ],
];

/** The sheet of keys, read from the commands that the page has, and the forms of the log line. */
export function KeysSheet({ onClose }: { onClose: () => void }) {
  const [commands] = useState(() => commandsNow().filter((c) => c.key));
  const groups = [...new Set(commands.map((c) => c.group ?? 'On this page'))];
  return (
    <Dialog open onOpenChange={onClose} wide title="Keys and the log line">
      <div className="grid gap-6 md:grid-cols-[auto_1fr]">
        <div>
          {groups.map((group) => (
            <KeyTable
              key={group}
              title={group}
              rows={commands
                .filter((c) => (c.group ?? 'On this page') === group)
                .map((c) => [keyWords(c.key ?? ''), c.name])}
            />
          ))}
          {IN_PLACE.map(([title, rows]) => (
            <KeyTable key={title} title={title} rows={rows} />
          ))}
        </div>
        <LogLineHelp />
      </div>
    </Dialog>
  );
}

function KeyTable({ title, rows }: { title: string; rows: readonly (readonly [string, string])[] }) {
  return (
    <section className="mb-4">
      <h3 className="mb-1">{title}</h3>
      <dl className="grid grid-cols-[auto_1fr] gap-x-3 gap-y-1">
        {rows.map(([key, says]) => (
          <div key={key + says} className="contents">
            <dt>
              <Key>{key}</Key>
            </dt>
            <dd>{says}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
