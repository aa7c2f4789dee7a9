'use client';

import { Command as Palette } from 'cmdk';
import { Dialog as Radix } from 'radix-ui';
import { useState } from 'react';
import { Key } from '@/ui/button';
import { keyWords } from './keys';
import { giveFocusBack } from '@/ui/keep-focus';
import { commandsNow } from './use-commands';

/** Everything that can be done on the page, by name. */
export function CommandPalette({ onClose }: { onClose: () => void }) {
  const [commands] = useState(commandsNow);
  return (
    <Radix.Root open onOpenChange={onClose}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-black/30" />
        <Radix.Content
          aria-describedby={undefined}
          onCloseAutoFocus={(e) => giveFocusBack(e)}
          className="bg-sheet border-edge fixed top-[12vh] left-1/2 z-50 w-[calc(100vw-2rem)] max-w-lg -translate-x-1/2 rounded-lg border shadow-xl"
        >
          <Radix.Title className="sr-only">Commands</Radix.Title>
          <Palette label="Commands" loop>
            <Palette.Input
              autoFocus
              placeholder="What do you want to do?"
              className="border-rule w-full border-b bg-transparent px-4 py-3 text-[15px] outline-none"
            />
            <Palette.List label="Commands" className="max-h-96 overflow-auto p-1">
              <Palette.Empty className="text-soft px-3 py-4">No command is called that.</Palette.Empty>
              {commands.map((c) => (
                <Palette.Item
                  key={c.name}
                  value={c.name}
                  onSelect={() => {
                    onClose();
                    c.run();
                  }}
                  className="data-[selected=true]:bg-wash flex min-h-8 cursor-pointer items-center gap-3 rounded-sm px-3"
                >
                  <span className="flex-1 truncate">{c.name}</span>
                  {c.key && <Key>{keyWords(c.key)}</Key>}
                </Palette.Item>
              ))}
            </Palette.List>
          </Palette>
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
