'use client';

import { useContext, useState, type ReactNode } from 'react';
import type { BuildSnapshot } from '@/core/workbench';
import { PaletteProvider } from '@/ui/palette-context';
import { BuildContext, makeBuildStore, useBuild, type BuildStore } from './build-store';
import { windowOutbox } from '../sending/window-outbox';
import { OpenedContext } from './opened-context';
import { useCatchUp } from './use-catch-up';
import { useCommands, type Command } from '../commands/use-commands';

/** Holds a build's books for one of its screens, and catches up with other windows. */
export function BuildScreen({ snapshot, children }: { snapshot: BuildSnapshot; children: ReactNode }) {
  const store = useOpenedStore(snapshot);
  return (
    <BuildContext value={store}>
      <Inside>{children}</Inside>
    </BuildContext>
  );
}

/** The store of a build's screen, of books that were opened before it or are opened now. */
export function useOpenedStore(snapshot: BuildSnapshot): BuildStore {
  const opened = useContext(OpenedContext);
  const [store] = useState(() => makeBuildStore(snapshot, windowOutbox(), opened ?? undefined));
  return store;
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
