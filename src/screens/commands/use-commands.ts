'use client';

import { useEffect, useRef } from 'react';
import { tinykeys } from 'tinykeys';
import { bindingsOf, isAllowed, runsIn } from './keys';

/** Something a person can do here: its key runs it, the palette and the sheet of keys list it. */
export interface Command {
  readonly name: string;
  /** The key that runs it, as `event.key`, with "ctrl+", "shift+" and "alt+" before it. */
  readonly key?: string;
  /** True when the key works inside text fields too. */
  readonly everywhere?: boolean;
  /** The heading it is listed under in the sheet of keys. */
  readonly group?: string;
  readonly run: () => void;
}

interface Layer {
  commands: readonly Command[];
}

/** Every part of the page that has commands now, the innermost last. */
const layers: Layer[] = [];

/** All that can be done on the page as it is, innermost first; a name stands once. */
export function commandsNow(): Command[] {
  const named = new Map<string, Command>();
  for (const { commands } of layers.toReversed())
    for (const c of commands) if (!named.has(c.name)) named.set(c.name, c);
  return [...named.values()];
}

/** True while a dialog is open: what lies under it hears no keys. */
const dialogIsOpen = (): boolean => document.querySelector('[role=dialog][data-state=open]') !== null;

/**
 * Makes commands known and listens for their keys, for as long as the part of the page is there and `listening`. Those of a
 * dialog say so: the others are silent while one is open.
 */
export function useCommands(commands: readonly Command[], listening = true, inDialog = false): void {
  const layer = useRef<Layer>({ commands });
  useEffect(() => {
    layer.current.commands = commands;
  });
  useEffect(() => {
    if (!listening) return;
    const own = layer.current;
    layers.push(own);
    return () => void layers.splice(layers.indexOf(own), 1);
  }, [listening]);
  const keys = commands.flatMap((c) => c.key ?? []).join('\n');
  useEffect(() => {
    if (!listening || !keys) return;
    const run = (key: string) => (e: KeyboardEvent) => {
      const command = layer.current.commands.find((c) => c.key === key);
      if (!command || !isAllowed(key) || !runsIn(e.target, command) || (!inDialog && dialogIsOpen())) return;
      e.preventDefault();
      command.run();
    };
    const map = keys.split('\n').flatMap((key) => bindingsOf(key).map((b) => [b, run(key)] as const));
    return tinykeys(window, Object.fromEntries(map));
  }, [keys, listening, inDialog]);
}
