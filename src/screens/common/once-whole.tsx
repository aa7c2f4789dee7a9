'use client';

import { useEffect, useState, type ReactNode } from 'react';
import { Button } from '@/ui/button';
import { TabPart } from '@/ui/tabs';
import { useBuild, useBuildStore } from './build-store';

interface OnceWholeProps {
  /** Where it is all that the screen shows: what the screen is called. */
  readonly screen?: string;
  readonly children: ReactNode;
}

/**
 * A part of a screen that is planned by the prices, years and own parts of the whole workspace, shown once all of them
 * are there. Once it has been shown it stays, so nothing that was chosen on it is lost. Parts that need no more than what
 * a page opens with are not wrapped in it: they come with the page.
 */
export function OnceWhole({ screen, children }: OnceWholeProps) {
  const isWhole = useBuild((s) => s.workbench.isComplete);
  const [shown, setShown] = useState(isWhole);
  if (isWhole && !shown) setShown(true);
  return shown || isWhole ? children : <Learning screen={screen} />;
}

/** A part of a screen with tabs that is shown once the whole workspace is known. */
export const WholePart = ({
  name,
  screen,
  children,
}: {
  name: string;
  screen: string;
  children: ReactNode;
}) => (
  <TabPart name={name}>
    <OnceWhole screen={screen}>{children}</OnceWhole>
  </TabPart>
);

/** How far what is still to be read is. */
function Learning({ screen }: Pick<OnceWholeProps, 'screen'>) {
  const store = useBuildStore();
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
    <div className="flex flex-wrap items-center gap-3 p-4">
      {screen && <h1 className="sr-only">{screen}</h1>}
      <p role="status" className="text-soft">
        {failed
          ? 'The prices and your own parts could not be read: the server does not answer.'
          : 'Reading the prices and your own parts…'}
      </p>
      {failed && <Button onClick={askAgain}>Ask again</Button>}
    </div>
  );
}
