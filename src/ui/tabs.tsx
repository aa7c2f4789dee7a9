'use client';

import clsx from 'clsx';
import { Tabs as Radix } from 'radix-ui';
import type { ReactNode } from 'react';
import { Key } from './button';

interface TabsProps<T extends string> {
  readonly label: string;
  readonly tabs: readonly {
    readonly name: T;
    readonly words: string;
    readonly keys: string;
    readonly aside?: string | undefined;
  }[];
  readonly chosen: T;
  readonly onChoose: (name: T) => void;
  /** A `TabPart` for each. */
  readonly children: ReactNode;
}

/** Of more parts the keys are left out of sight where the row would not hold them: the sheet of keys names them. */
const MOST_KEYED = 8;

/** Parts of a screen, one of which shows; each has a key, and arrow keys go from one to the next. */
export function Tabs<T extends string>({ label, tabs, chosen, onChoose, children }: TabsProps<T>) {
  return (
    <Radix.Root
      value={chosen}
      onValueChange={(name) => onChoose(name as T)}
      className="flex min-h-0 flex-1 flex-col"
    >
      <nav aria-label={label} className="border-rule no-print border-b px-4 py-1.5">
        <Radix.List aria-label={label} className="flex flex-wrap gap-1">
          {tabs.map((t) => (
            <Radix.Trigger
              key={t.name}
              value={t.name}
              className={clsx(
                'flex min-h-7 items-center gap-2 rounded-md px-2.5',
                chosen === t.name ? 'bg-wash font-semibold' : 'text-soft hover:bg-wash',
              )}
            >
              <span className={tabs.length > MOST_KEYED ? 'max-2xl:hidden' : 'max-sm:hidden'}>
                <Key>{t.keys}</Key>
              </span>{' '}
              {t.words}
              {t.aside && <span className="text-faint font-normal">{t.aside}</span>}
            </Radix.Trigger>
          ))}
        </Radix.List>
      </nav>
      {children}
    </Radix.Root>
  );
}

/** What shows while its tab is chosen. */
export const TabPart = ({
  name,
  children,
  className = 'h-full min-h-0',
}: {
  name: string;
  children: ReactNode;
  className?: string;
}) => (
  <Radix.Content value={name} tabIndex={-1} className={className}>
    {children}
  </Radix.Content>
);

/** Parts of a screen as tabs: each with its key, Alt and its number, and what stands beside its name. */
export const withKeys = <T extends string>(
  parts: readonly { readonly name: T; readonly words: string }[],
  asides: Partial<Record<NoInfer<T>, string>> = {},
) => parts.map((p, i) => ({ ...p, keys: `Alt ${(i + 1) % 10}`, aside: asides[p.name] }));
