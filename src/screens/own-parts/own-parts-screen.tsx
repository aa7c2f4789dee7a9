'use client';

import { Link } from '@/ui/link';
import dynamic from 'next/dynamic';
import { useMemo } from 'react';
import { priceLookup, worthOf } from '@/core/ledger';
import { collectionOf, contested, shareOut } from '@/core/stock';
import type { StockOpening, StockSnapshot } from '@/server/snapshot';
import { buttonClass } from '@/ui/button';
import { count, priced } from '@/ui/numbers';
import { PaletteProvider } from '@/ui/palette-context';
import { TabPart, Tabs, withKeys } from '@/ui/tabs';
import { useCommands } from '../commands';
import { useBackground } from '../common/use-background';
import { usePartHere } from '../common/use-part';
import { collectionWords } from '../words/own-parts';
import { WithStock } from '../common/with-stock';
import { UndoButtons, useOwnPartsActs, useOwnPartsPalette } from '../common/own-parts-acts';
import { TraysTab } from './trays-tab';
import { ListLinks } from '../lists/list-links';

// Each part comes when it is shown: a page carries the one that it opens with.
const ByColourTab = dynamic(() => import('./by-colour-tab').then((m) => m.ByColourTab));
const LentTab = dynamic(() => import('./lent-tab').then((m) => m.LentTab));
const RoughlyTab = dynamic(() => import('./roughly-tab').then((m) => m.RoughlyTab));
const SparesTab = dynamic(() => import('./spares-tab').then((m) => m.SparesTab));
const TogetherTab = dynamic(() => import('./together-tab').then((m) => m.TogetherTab));
const ClaimsTab = dynamic(() => import('./claims-tab').then((m) => m.ClaimsTab));

const PARTS = [
  { name: 'trays', words: 'Trays' },
  { name: 'claims', words: 'Asked for by builds' },
  { name: 'lent', words: 'Lent out' },
  { name: 'together', words: 'Buy together' },
  { name: 'spares', words: 'Builds’ spares' },
  { name: 'colours', words: 'By colour' },
  { name: 'roughly', words: 'Roughly known' },
] as const;

/** Own parts, shared by every build: trays of drawn parts, who is to have what, and what is out on loan. */
export const OwnPartsScreen = ({ opening }: { opening: StockOpening }) => (
  <WithStock opening={opening} screen="Own parts">
    {(stock) => <OwnParts stock={stock} />}
  </WithStock>
);

function OwnParts({ stock }: { stock: StockSnapshot }) {
  const [part, setPart, keys] = usePartHere(PARTS, 'trays');
  useBackground();
  const acts = useOwnPartsActs(stock);
  const palette = useOwnPartsPalette(stock);
  const priceOf = useMemo(() => priceLookup(stock.prices), [stock.prices]);
  const comesTo = collectionOf(stock.rows, stock.trays.length);
  const { worth, unpriced } = useMemo(
    () => worthOf(stock.rows, (r) => priceOf(r.element, r.grade)),
    [stock.rows, priceOf],
  );
  const contests = useMemo(
    () =>
      shareOut(
        stock.rows,
        stock.claims,
        stock.builds.map((b) => b.id),
      ),
    [stock],
  );
  const tight = contested(contests);
  useCommands(keys);
  return (
    <PaletteProvider palette={palette}>
      <main className="flex min-h-0 flex-1 flex-col">
        <div className="flex flex-wrap items-end gap-3 px-4 pt-4 pb-2">
          <div className="min-w-64 flex-1">
            <h1 className="text-[24px] leading-tight">{collectionWords(comesTo)}</h1>
            <p className="text-soft mt-1">
              {comesTo.pieces > 0 && `Worth ${priced(worth, unpriced)}. `}
              {tight.length === 0
                ? 'Your own parts. Every build takes from them, after its own spares.'
                : `${count(tight.length)} ${tight.length === 1 ? 'kind is' : 'kinds are'} asked for by several builds: there are not enough for all.`}
            </p>
          </div>
          <UndoButtons undoRedo={stock.undoRedo} acts={acts} />
          <ListLinks of="/own-parts" list="own-parts" />
          <Link href="/import?for=stock" className={buttonClass()}>
            Import a list
          </Link>
        </div>
        <p role="status" className="px-4 font-medium">
          {acts.says}
        </p>
        <Tabs
          label="Own parts"
          chosen={part}
          onChoose={setPart}
          tabs={withKeys(PARTS, { trays: count(stock.trays.length), claims: count(contests.length) })}
        >
          <TabPart name="trays" className="flex min-h-0 flex-1 flex-col">
            <TraysTab stock={stock} acts={acts} palette={palette} />
          </TabPart>
          <TabPart name="claims" className="flex min-h-0 flex-1 flex-col">
            <ClaimsTab stock={stock} acts={acts} contests={contests} />
          </TabPart>
          <TabPart name="lent" className="flex min-h-0 flex-1 flex-col">
            <LentTab stock={stock} acts={acts} />
          </TabPart>
          <TabPart name="spares" className="flex min-h-0 flex-1 flex-col">
            <SparesTab stock={stock} acts={acts} />
          </TabPart>
          <TabPart name="colours" className="flex min-h-0 flex-1 flex-col">
            <ByColourTab stock={stock} palette={palette} priceOf={priceOf} />
          </TabPart>
          <TabPart name="roughly" className="flex min-h-0 flex-1 flex-col">
            <RoughlyTab stock={stock} acts={acts} palette={palette} />
          </TabPart>
          <TabPart name="together" className="flex min-h-0 flex-1 flex-col">
            <TogetherTab stock={stock} acts={acts} palette={palette} />
          </TabPart>
        </Tabs>
      </main>
    </PaletteProvider>
  );
}
