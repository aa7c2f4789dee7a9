'use client';

import Link from 'next/link';
import { useMemo, useState } from 'react';
import { priceLookup } from '@/core/ledger';
import { contested, shareOut } from '@/core/stores';
import type { StoresSnapshot } from '@/server/snapshot';
import { AppHeader } from '@/ui/app-header';
import { buttonClass } from '@/ui/button';
import { count, money, pieces } from '@/ui/numbers';
import { PaletteProvider } from '@/ui/palette-context';
import { Tabs } from '@/ui/tabs';
import { useKeys } from '../common/use-keys';
import { useMat } from '../common/use-mat';
import { LentTab } from './lent-tab';
import { TurnButtons, useStoresActs, useStoresPalette } from './stores-bar';
import { TogetherTab } from './together-tab';
import { TraysTab } from './trays-tab';
import { WantedTab } from './wanted-tab';

const PARTS = ['trays', 'wanted', 'lent', 'together'] as const;
type Part = (typeof PARTS)[number];

/** Own stock, shared by every build: trays of drawn parts, who is to have what, and what is out on loan. */
export function StoresScreen({ stores }: { stores: StoresSnapshot }) {
  const [part, setPart] = useState<Part>('trays');
  useMat();
  const acts = useStoresActs(stores);
  const palette = useStoresPalette(stores);
  const priceOf = useMemo(() => priceLookup(stores.prices), [stores.prices]);
  const total = stores.rows.reduce((s, r) => s + r.qty, 0);
  const worth = stores.rows.reduce((s, r) => s + (priceOf(r.element, r.grade) ?? 0) * r.qty, 0);
  const contests = useMemo(
    () =>
      shareOut(
        stores.rows,
        stores.claims,
        stores.builds.map((b) => b.id),
      ),
    [stores],
  );
  const tight = contested(contests);
  const keys = useMemo(
    () => PARTS.map((p, i) => ({ key: `alt+${i + 1}`, everywhere: true, run: () => setPart(p) })),
    [],
  );
  useKeys(keys, true);
  return (
    <PaletteProvider palette={palette}>
      <div className="flex h-dvh flex-col">
        <AppHeader screen="Stores" />
        <main className="flex min-h-0 flex-1 flex-col">
          <div className="flex flex-wrap items-end gap-3 px-4 pt-4 pb-2">
            <div className="min-w-64 flex-1">
              <h1 className="text-[24px] leading-tight">
                {total === 0
                  ? 'Nothing is in the stores yet.'
                  : `${pieces(total)} in ${stores.trays.length} ${stores.trays.length === 1 ? 'tray' : 'trays'}, worth ${money(worth)}.`}
              </h1>
              <p className="text-soft mt-1">
                {tight.length === 0
                  ? 'Your own parts. Every build takes from them, after its own spares.'
                  : `${count(tight.length)} ${tight.length === 1 ? 'element is' : 'elements are'} wanted by several builds and will not do for all.`}
              </p>
            </div>
            <TurnButtons turns={stores.turns} turn={acts.turn} />
            <Link href="/bring-in?for=stores" className={buttonClass()}>
              Bring a list in
            </Link>
          </div>
          <p role="status" className="px-4 font-medium">
            {acts.says}
          </p>
          <Tabs
            label="Parts of the stores"
            chosen={part}
            onChoose={setPart}
            tabs={[
              { name: 'trays', words: 'Trays', keys: 'Alt 1', aside: count(stores.trays.length) },
              { name: 'wanted', words: 'Wanted by builds', keys: 'Alt 2', aside: count(contests.length) },
              { name: 'lent', words: 'Lent out', keys: 'Alt 3' },
              { name: 'together', words: 'Make up together', keys: 'Alt 4' },
            ]}
          />
          {part === 'trays' && <TraysTab stores={stores} acts={acts} palette={palette} />}
          {part === 'wanted' && <WantedTab stores={stores} acts={acts} contests={contests} />}
          {part === 'lent' && <LentTab stores={stores} acts={acts} />}
          {part === 'together' && <TogetherTab stores={stores} acts={acts} palette={palette} />}
        </main>
      </div>
    </PaletteProvider>
  );
}
