'use client';

import { useEffect } from 'react';

/** Something a key does. */
export interface KeyedCommand {
  /** The key that runs it, as `event.key`, with "ctrl+", "shift+" and "alt+" before it. */
  readonly key?: string;
  /** True when the key works inside text fields too. */
  readonly everywhere?: boolean;
  readonly run: () => void;
}

/** Where letters are typed or chosen, and so are no commands. */
const TYPED = 'input:not([type=checkbox], [type=radio], [type=range]), textarea, select';

/** Listens for the keys of commands, outside of text fields but for those that work everywhere. */
export function useKeys(commands: readonly KeyedCommand[], listening: boolean): void {
  useEffect(() => {
    if (!listening) return;
    const onKey = (e: KeyboardEvent) => {
      const control = e.ctrlKey || e.metaKey;
      // With Alt a digit may come as another sign: its key on the board tells it.
      const digit = e.altKey ? /^Digit(\d)$/.exec(e.code)?.[1] : undefined;
      const key = digit ?? (e.key.length === 1 ? e.key.toLowerCase() : e.key);
      const pressed = `${control ? 'ctrl+' : ''}${control && e.shiftKey ? 'shift+' : ''}${e.altKey ? 'alt+' : ''}${key}`;
      const command = commands.find((c) => c.key === pressed);
      if (!command) return;
      const field = e.target instanceof HTMLElement && e.target.matches(TYPED);
      const emptyLine =
        e.target instanceof HTMLInputElement && e.target.id === 'call-line' && e.target.value === '';
      if (field && !command.everywhere && !(emptyLine && control)) return;
      e.preventDefault();
      command.run();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [commands, listening]);
}
