'use client';

import { useEffect, useMemo, useState, type ReactNode } from 'react';
import type { BuildSnapshot } from '@/core/bench';
import { Button } from '@/ui/button';
import { PaletteProvider } from '@/ui/palette-context';
import { BenchContext, makeBenchStore, useBench, useBenchStore } from './bench-store';
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

/**
 * What is planned by the prices, years and own parts of the whole workspace, shown once all of them are there. Once it
 * has been shown it stays, so nothing that was chosen on it is lost.
 */
export function OnceWhole({ children }: { children: ReactNode }) {
  const isWhole = useBench((s) => s.bench.isComplete);
  const [shown, setShown] = useState(isWhole);
  if (isWhole && !shown) setShown(true);
  return shown || isWhole ? children : <Learning />;
}

function Learning() {
  const store = useBenchStore();
  const [tries, setTries] = useState(1);
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    let isThere = true;
    void store
      .getState()
      .learn()
      .then(() => isThere && setFailed(!store.getState().bench.isComplete));
    return () => void (isThere = false);
  }, [store, tries]);
  const askAgain = () => {
    setFailed(false);
    setTries(tries + 1);
  };
  return (
    <main className="flex items-center gap-3 p-4">
      <p role="status" className="text-soft">
        {failed
          ? 'The prices and your own parts could not be read: the server does not answer.'
          : 'Reading the prices and your own parts…'}
      </p>
      {failed && <Button onClick={askAgain}>Ask again</Button>}
    </main>
  );
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
