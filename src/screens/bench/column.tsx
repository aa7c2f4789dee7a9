import clsx from 'clsx';
import { useContext, useDeferredValue, useEffect, useState, type ReactNode } from 'react';
import { useBuildStore } from '../common/build-store';
import { OpenedContext } from '../common/opened-context';

/** How long the columns of a long log wait for what the whole workspace knows: without a network it may never come. */
const WAIT_MS = 1000;

interface ColumnProps {
  /** On narrow screens one column shows. */
  readonly shows: boolean;
  readonly className?: string;
  readonly children: ReactNode;
}

/**
 * One of the columns above the line. Of a long log, which was opened here and not by the server, they are drawn after the
 * line: it answers a third of a second sooner, and keys come before the rest of the drawing.
 */
export function Column({ shows, className, children }: ColumnProps) {
  const cameWithThePage = useContext(OpenedContext) === null;
  const drawn = useDeferredValue(useIsTime(cameWithThePage), cameWithThePage);
  return (
    <div
      className={clsx('pane min-w-0', className, !shows && 'max-lg:hidden')}
      aria-busy={!drawn || undefined}
    >
      {drawn ? children : <p className="late text-faint p-4">In a moment…</p>}
    </div>
  );
}

/** True at once, or once the whole workspace is known: what is long to draw is drawn once, and not once more when prices come. */
function useIsTime(atOnce: boolean): boolean {
  const store = useBuildStore();
  const [isTime, setIsTime] = useState(atOnce);
  useEffect(() => {
    if (isTime) return;
    const come = () => setIsTime(true);
    const timer = setTimeout(come, WAIT_MS);
    void store.getState().learn().finally(come);
    return () => clearTimeout(timer);
  }, [isTime, store]);
  return isTime;
}
