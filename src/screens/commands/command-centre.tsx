'use client';

import dynamic from 'next/dynamic';
import { useEffect } from 'react';
import { leaveToInputMethod } from '@/ui/input-method';
import { goToRegion, keepFocus } from '@/ui/keep-focus';
import { usePathname, useRouter } from 'next/navigation';
import { useStore } from 'zustand';
import { savePicture } from './save-picture';
import { createStore } from 'zustand/vanilla';
import { CommandPalette } from './command-palette';
import { useCommands, type Command } from './use-commands';

// The palette is there at once: what is typed right after its key belongs to it.
const KeysSheet = dynamic(() => import('./keys-sheet').then((m) => m.KeysSheet));

type Open = 'commands' | 'keys' | null;
const opened = createStore<{ readonly open: Open }>()(() => ({ open: null }));

/** Opens the list of commands, or the sheet of keys. */
export const openCommandCentre = (open: Open): void => opened.setState({ open });

const SCREENS: readonly [name: string, path: string][] = [
  ['Builds', '/builds'],
  ['Own parts', '/own-parts'],
  ['Prices', '/prices'],
  ['Settings', '/settings'],
  ['Import', '/import'],
];
const OF_BUILD: readonly [name: string, path: string][] = [
  ['Inspect', '/inspect'],
  ['Brief', '/brief'],
  ['Bench', ''],
  ['Fit', '/fit'],
  ['Colour', '/colour'],
  ['Parts', '/parts'],
  ['Tally', '/tally'],
];

/** What can be done on every page: go to another, see all commands, see all keys. */
export function CommandCentre() {
  const router = useRouter();
  const build = /^\/builds\/[^/]+/.exec(usePathname())?.[0];
  const open = useStore(opened, (s) => s.open);
  const places = [...(build ? OF_BUILD.map(([n, p]) => [n, build + p] as const) : []), ...SCREENS];
  const commands: Command[] = [
    { name: 'All commands', key: 'ctrl+k', everywhere: true, run: () => openCommandCentre('commands') },
    { name: 'Keys and the log line', key: 'F1', everywhere: true, run: () => openCommandCentre('keys') },
    { name: 'Next part of the page', key: 'F6', everywhere: true, run: () => goToRegion(1) },
    { name: 'Part of the page before', key: 'shift+F6', everywhere: true, run: () => goToRegion(-1) },
    { name: 'Save a picture of this view (PNG)', run: () => void savePicture() },
    ...places.map(([name, path]) => ({ name: `Go to ${name}`, run: () => router.push(path) })),
  ];
  useCommands(commands);
  useEffect(keepFocus, []);
  useEffect(leaveToInputMethod, []);
  const close = () => openCommandCentre(null);
  if (open === 'commands') return <CommandPalette onClose={close} />;
  return open === 'keys' ? <KeysSheet onClose={close} /> : null;
}
