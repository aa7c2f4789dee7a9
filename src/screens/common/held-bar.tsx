'use client';

import { createContext, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import { createPortal } from 'react-dom';
import { AppHeader, type ScreenName } from '@/ui/app-header';

type Named = NonNullable<Parameters<typeof AppHeader>[0]['build']>;

interface Held {
  /** Where a bar that is there already takes the buttons of a screen. */
  readonly place: HTMLElement | null;
  readonly tell: (build: Named) => void;
}

const HeldContext = createContext<Held | null>(null);

interface HeldBarProps {
  readonly build: Named;
  readonly screen: ScreenName;
  readonly children: ReactNode;
}

/**
 * A page whose bar is there before its books, and stays when they come: what is pressed in it just then is pressed, and the
 * focus is not lost. The screen's own bar puts its buttons into this one.
 */
export function HeldBar({ build, screen, children }: HeldBarProps) {
  const [place, setPlace] = useState<HTMLElement | null>(null);
  const [told, tell] = useState(build);
  const held = useMemo(() => ({ place, tell }), [place]);
  return (
    <HeldContext value={held}>
      <div className="page-box flex flex-col print:block print:h-auto">
        <AppHeader build={told} screen={screen}>
          <div ref={setPlace} className="contents" />
        </AppHeader>
        {children}
      </div>
    </HeldContext>
  );
}

/** The bar of a build's screen: its own, or the one that is there already. */
export function BarOf({ build: { id, name, says }, screen, children }: HeldBarProps) {
  const held = useContext(HeldContext);
  useEffect(() => held?.tell({ id, name, says }), [held, id, name, says]);
  if (held) return held.place && createPortal(children, held.place);
  return (
    <AppHeader build={{ id, name, says }} screen={screen}>
      {children}
    </AppHeader>
  );
}
