'use client';

import { Command } from 'cmdk';
import { Dialog as Radix } from 'radix-ui';
import { Key } from '@/ui/button';

export interface BenchCommand {
  readonly name: string;
  readonly keys?: string;
  readonly run: () => void;
}

/** Every command of the bench by name. */
export function CommandPalette({
  commands,
  onClose,
}: {
  commands: readonly BenchCommand[];
  onClose: () => void;
}) {
  return (
    <Radix.Root open onOpenChange={onClose}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-black/30" />
        <Radix.Content
          aria-describedby={undefined}
          className="bg-sheet border-edge fixed top-[12vh] left-1/2 z-50 w-[calc(100vw-2rem)] max-w-lg -translate-x-1/2 rounded-lg border shadow-xl"
        >
          <Radix.Title className="sr-only">Commands</Radix.Title>
          <Command label="Commands" loop>
            <Command.Input
              autoFocus
              placeholder="What do you want to do?"
              className="border-rule w-full border-b bg-transparent px-4 py-3 text-[15px] outline-none"
            />
            <Command.List label="Commands" className="max-h-96 overflow-auto p-1">
              <Command.Empty className="text-soft px-3 py-4">No command is called that.</Command.Empty>
              {commands.map((c) => (
                <Command.Item
                  key={c.name}
                  value={c.name}
                  onSelect={() => {
                    onClose();
                    c.run();
                  }}
                  className="data-[selected=true]:bg-wash flex min-h-8 cursor-pointer items-center gap-3 rounded-sm px-3"
                >
                  <span className="flex-1 truncate">{c.name}</span>
                  {c.keys && <Key>{c.keys}</Key>}
                </Command.Item>
              ))}
            </Command.List>
          </Command>
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
