'use client';

import { useState, type ReactNode } from 'react';
import type { BuildSnapshot } from '@/core/workbench';
import { PaletteProvider } from '@/ui/palette-context';
import { BuildContext, makeBuildStore, useBuild } from './build-store';
import { useCatchUp } from './use-catch-up';
import { useCommands, type Command } from '../commands/use-commands';

/** Holds a build's books for one of its screens, and catches up with other windows. */
export function BuildScreen({ snapshot, children }: { snapshot: BuildSnapshot; children: ReactNode }) {
  const [store] = useState(() => makeBuildStore(snapshot));
  return (
    <BuildContext value={store}>
      <Inside>{children}</Inside>
    </BuildContext>
  );
}

function Inside({ children }: { children: ReactNode }) {
  const palette = useBuild((s) => s.workbench.palette);
  useCatchUp();
  return <PaletteProvider palette={palette}>{children}</PaletteProvider>;
}

/** Commands that every screen of a build has, and its own. */
export function useScreenCommands(own: readonly Command[], next: () => void, listening = true): void {
  const undoOrRedo = useBuild((s) => s.undoOrRedo);
  useCommands(
    [
      ...own,
      { name: 'Undo', key: 'ctrl+z', run: () => void undoOrRedo('undo') },
      { name: 'Redo', key: 'ctrl+shift+z', run: () => void undoOrRedo('redo') },
      { name: 'Redo', key: 'ctrl+y', run: () => void undoOrRedo('redo') },
      { name: 'Brightness of the background', key: 'm', run: next },
    ],
    listening,
  );
}
