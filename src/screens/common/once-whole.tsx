'use client';

import { useEffect, useState, type ComponentProps, type ReactNode } from 'react';
import { Button } from '@/ui/button';
import { BalanceStrip } from './balance-strip';
import { useBuild, useBuildStore } from './build-store';
import { BuildBar } from './build-bar';
import { useBackground } from './use-background';

interface OnceWholeProps {
  readonly screen: ComponentProps<typeof BuildBar>['screen'];
  readonly children: ReactNode;
}

/**
 * What is planned by the prices, years and own parts of the whole workspace, shown once all of them are there. Once it
 * has been shown it stays, so nothing that was chosen on it is lost.
 */
export function OnceWhole({ screen, children }: OnceWholeProps) {
  const isWhole = useBuild((s) => s.workbench.isComplete);
  const [shown, setShown] = useState(isWhole);
  if (isWhole && !shown) setShown(true);
  return shown || isWhole ? children : <Learning screen={screen} />;
}

/** The screen's bar and figures, which need no more than the build, and how far the rest is. */
function Learning({ screen }: Pick<OnceWholeProps, 'screen'>) {
  const store = useBuildStore();
  const background = useBackground();
  const [tries, setTries] = useState(1);
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    let isThere = true;
    void store
      .getState()
      .learn()
      .then(() => isThere && setFailed(!store.getState().workbench.isComplete));
    return () => void (isThere = false);
  }, [store, tries]);
  const askAgain = () => {
    setFailed(false);
    setTries(tries + 1);
  };
  return (
    <div className="page-box flex flex-col">
      <BuildBar screen={screen} background={background} />
      <BalanceStrip />
      <main className="flex flex-wrap items-center gap-3 p-4">
        <h1 className="sr-only">{screen}</h1>
        <p role="status" className="text-soft">
          {failed
            ? 'The prices and your own parts could not be read: the server does not answer.'
            : 'Reading the prices and your own parts…'}
        </p>
        {failed && <Button onClick={askAgain}>Ask again</Button>}
      </main>
    </div>
  );
}
