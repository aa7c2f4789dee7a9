'use client';

import { useMemo, useState } from 'react';
import type { BuildSnapshot } from '@/core/bench';
import type { EntryId } from '@/core/shared/ids';
import { needOf } from '@/core/supply';
import { count } from '@/ui/numbers';
import { Tabs } from '@/ui/tabs';
import { BalanceStrip } from '../common/balance-strip';
import { useBench } from '../common/bench-store';
import { BuildBar } from '../common/build-bar';
import { BuildScreen, useScreenKeys } from '../common/build-screen';
import { OnceWhole } from '../common/once-whole';
import { useMat } from '../common/use-mat';
import { useMakeUp } from '../make-up';
import { MakeUpTab } from './make-up-tab';
import { NeedTab } from './need-tab';
import { OrdersTab } from './orders-tab';
import { PickTab } from './pick-tab';
import { PoolTab } from './pool-tab';
import { PutAwayTab } from './put-away-tab';

/** Parts: what is still missing, where it comes from, for how much, and by when. */
export function PartsScreen({ snapshot }: { snapshot: BuildSnapshot }) {
  return (
    <BuildScreen snapshot={snapshot}>
      <OnceWhole screen="Parts">
        <Parts />
      </OnceWhole>
    </BuildScreen>
  );
}

const PARTS = ['need', 'make-up', 'orders', 'pick', 'put-away', 'pool'] as const;
type Part = (typeof PARTS)[number];

function Parts() {
  const bench = useBench((s) => s.bench);
  const version = useBench((s) => s.version);
  const mat = useMat();
  const [part, setPart] = useState<Part>('need');
  const keys = useMemo(
    () => PARTS.map((p, i) => ({ key: `alt+${i + 1}`, everywhere: true, run: () => setPart(p) })),
    [],
  );
  useScreenKeys(keys, mat.next);
  const need = useMemo(() => {
    void version;
    return needOf(bench);
  }, [bench, version]);
  const known = useMemo(
    () => ({
      palette: bench.palette,
      priceOf: bench.priceOf,
      kindOf: (id: EntryId) => bench.records.entry.get(id)?.kind,
      build: bench.build,
    }),
    [bench],
  );
  const makeUp = useMakeUp(need, known);
  return (
    <div className="flex h-dvh flex-col">
      <BuildBar screen="Parts" mat={mat} />
      <BalanceStrip />
      <Tabs
        label="Parts of getting parts"
        chosen={part}
        onChoose={setPart}
        tabs={[
          { name: 'need', words: 'Need', keys: 'Alt 1', aside: count(need.missing) },
          { name: 'make-up', words: 'Make-up', keys: 'Alt 2' },
          { name: 'orders', words: 'Orders', keys: 'Alt 3', aside: count(bench.records.order.size) },
          { name: 'pick', words: 'Pick list', keys: 'Alt 4' },
          { name: 'put-away', words: 'Put away', keys: 'Alt 5' },
          { name: 'pool', words: 'Only these boxes', keys: 'Alt 6' },
        ]}
      />
      <main className="min-h-0 flex-1 print:overflow-visible">
        {part === 'need' && <NeedTab need={need} onMakeUp={() => setPart('make-up')} />}
        {part === 'make-up' && <MakeUpTab need={need} makeUp={makeUp} onOrdered={() => setPart('orders')} />}
        {part === 'orders' && <OrdersTab />}
        {part === 'pick' && <PickTab />}
        {part === 'put-away' && <PutAwayTab />}
        {part === 'pool' && <PoolTab />}
      </main>
    </div>
  );
}
