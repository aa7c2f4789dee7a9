'use client';

import { useMemo, useState, type ReactNode } from 'react';
import type { BuildSnapshot } from '@/core/bench';
import { PaletteProvider } from '@/ui/palette-context';
import { BenchContext, makeBenchStore, useBench } from './bench-store';
import { useCatchUp } from './use-catch-up';
import { useKeys, type KeyedCommand } from './use-keys';

/** Holds a build's books for one of its screens, and catches up with other windows. */
export function BuildScreen({ snapshot, children }: { snapshot: BuildSnapshot; children: ReactNode }) {
  const [store] = useState(() => makeBenchStore(snapshot));
  return (
    <BenchContext value={store}>
      <Inside>{children}</Inside>
    </BenchContext>
  );
}

function Inside({ children }: { children: ReactNode }) {
  const palette = useBench((s) => s.bench.palette);
  useCatchUp();
  return <PaletteProvider palette={palette}>{children}</PaletteProvider>;
}

/** Keys that every screen of a build has, and its own. */
export function useScreenKeys(own: readonly KeyedCommand[], next: () => void, listening = true): void {
  const turn = useBench((s) => s.turn);
  const keys = useMemo(
    (): KeyedCommand[] => [
      ...own,
      { key: 'ctrl+z', run: () => void turn('undo') },
      { key: 'ctrl+shift+z', run: () => void turn('redo') },
      { key: 'm', run: next },
    ],
    [own, turn, next],
  );
  useKeys(keys, listening);
}
