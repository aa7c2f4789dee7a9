'use client';

import { useEffect, useState, type ReactNode } from 'react';
import type { StockOpening, StockSnapshot } from '@/server/snapshot';
import { AppHeader } from '@/ui/app-header';
import { Button } from '@/ui/button';
import { ask } from '../sending/answers';
import { collectionWords, priceBookWords, PRICES_ARE_FOR } from '../words/own-parts';

type LaterStock = Extract<StockOpening, { later: unknown }>['later'];

interface WithStockProps {
  readonly opening: StockOpening;
  readonly screen: 'Own parts' | 'Prices';
  readonly children: (stock: StockSnapshot) => ReactNode;
}

/** Shows own parts and prices once they are here. A large collection is asked for, and again when something was done. */
export function WithStock({ opening, screen, children }: WithStockProps) {
  const [fetched, setFetched] = useState<StockSnapshot | null>(null);
  const [asked, setAsked] = useState({ times: 1, failed: false });
  const revision = 'later' in opening ? opening.later.revision : null;
  useEffect(() => {
    if (revision === null) return;
    let gone = false;
    void ask<StockSnapshot>('/api/stock').then((stock) => {
      if (gone) return;
      if (stock) setFetched(stock);
      setAsked((a) => ({ ...a, failed: !stock }));
    });
    return () => {
      gone = true;
    };
  }, [revision, asked.times]);
  const stock = 'stock' in opening ? opening.stock : fetched;
  return (
    <div className="page-box flex flex-col">
      {/* The same bar before and after: what is pressed in it as the list comes is pressed, and the focus stays. */}
      <AppHeader screen={screen} />
      {stock
        ? children(stock)
        : 'later' in opening && (
            <Waiting
              of={opening.later}
              screen={screen}
              failed={asked.failed}
              onAgain={() => setAsked((a) => ({ times: a.times + 1, failed: false }))}
            />
          )}
    </div>
  );
}

interface WaitingProps {
  readonly of: LaterStock;
  readonly screen: WithStockProps['screen'];
  readonly failed: boolean;
  readonly onAgain: () => void;
}

/** What is known of own parts and prices while they are on their way. */
function Waiting({ of: later, screen, failed, onAgain }: WaitingProps) {
  return (
    <main className="px-4 py-5">
      <h1 className="text-[24px] leading-tight">
        {screen === 'Prices' ? priceBookWords(later.prices) : collectionWords(later)}
      </h1>
      {screen === 'Prices' && <p className="text-soft mt-1">{PRICES_ARE_FOR}</p>}
      <p role="status" className="text-soft mt-1">
        {failed ? 'The server did not answer.' : 'Reading your own parts and prices…'}
      </p>
      {failed && <Button onClick={onAgain}>Ask again</Button>}
    </main>
  );
}
