'use client';

import { DropdownMenu as Radix } from 'radix-ui';
import { useRef, type ReactNode } from 'react';
import { Key } from './button';
import { keepInOpenLayer } from './keep-focus';

export interface MenuItem {
  readonly label: string;
  readonly keys?: string;
  readonly disabled?: boolean;
  readonly onSelect: () => void;
}

/** A button that opens a list of things to do. */
export function Menu({
  trigger,
  items,
  label,
}: {
  trigger: ReactNode;
  items: readonly MenuItem[];
  label: string;
}) {
  const chosen = useRef<(() => void) | null>(null);
  // What is chosen is done when the menu has gone and its button has the focus: a sheet that opens has it then undisturbed, and gives
  // it back to the button.
  const closed = (gone: Event) => {
    keepInOpenLayer(gone);
    const act = chosen.current;
    chosen.current = null;
    if (act) queueMicrotask(act);
  };
  return (
    <Radix.Root>
      <Radix.Trigger asChild>{trigger}</Radix.Trigger>
      <Radix.Portal>
        <Radix.Content
          aria-label={label}
          align="end"
          sideOffset={4}
          collisionPadding={8}
          onCloseAutoFocus={closed}
          className="bg-sheet border-edge z-50 max-h-[70vh] min-w-44 overflow-auto rounded-md border p-1 shadow-lg"
        >
          {items.map((item) => (
            <Radix.Item
              key={item.label}
              disabled={item.disabled}
              onSelect={() => void (chosen.current = item.onSelect)}
              className="data-highlighted:bg-wash data-disabled:text-edge flex min-h-7 cursor-pointer items-center gap-4 rounded-sm px-2 outline-none"
            >
              <span className="flex-1">{item.label}</span>
              {item.keys && <Key>{item.keys}</Key>}
            </Radix.Item>
          ))}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
