'use client';

import dynamic from 'next/dynamic';
import { useMemo } from 'react';
import type { BuildSnapshot } from '@/core/workbench';
import { needOf } from '@/core/need';
import { count } from '@/ui/numbers';
import { TabPart, Tabs, withKeys } from '@/ui/tabs';
import { BalanceStrip } from '../common/balance-strip';
import { useBuild } from '../common/build-store';
import { BuildBar } from '../common/build-bar';
import { BuildScreen, useScreenCommands } from '../common/build-screen';
import { WholePart } from '../common/once-whole';
import { useBackground } from '../common/use-background';
import { usePart } from '../common/use-part';
import { useSourcing } from '../sourcing';
import { NeedTab } from './need-tab';

// Each part comes when it is shown: a page carries the one that it opens with.
const BuyingPlanTab = dynamic(() => import('./buying-plan-tab').then((m) => m.BuyingPlanTab));
const OrdersTab = dynamic(() => import('./orders-tab').then((m) => m.OrdersTab));
const PickTab = dynamic(() => import('./pick-tab').then((m) => m.PickTab));
const PoolTab = dynamic(() => import('./pool-tab').then((m) => m.PoolTab));
const PutAwayTab = dynamic(() => import('./put-away-tab').then((m) => m.PutAwayTab));

/** Parts: what is still missing, where it comes from, for how much, and by when. */
export function PartsScreen({ snapshot }: { snapshot: BuildSnapshot }) {
  return (
    <BuildScreen snapshot={snapshot}>
      <Parts />
    </BuildScreen>
  );
}

const PARTS = [
  { name: 'need', words: 'Needed' },
  { name: 'buying-plan', words: 'Buying plan' },
  { name: 'orders', words: 'Orders' },
  { name: 'pick', words: 'Pick list' },
  { name: 'put-away', words: 'Put away' },
  { name: 'pool', words: 'These boxes only' },
] as const;

function Parts() {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const background = useBackground();
  const [part, setPart, keys] = usePart(PARTS, 'need');
  useScreenCommands(keys, background.next);
  const need = useMemo(() => {
    void version;
    return needOf(workbench);
  }, [workbench, version]);
  const known = useMemo(
    () => ({
      palette: workbench.palette,
      build: workbench.build,
    }),
    [workbench],
  );
  const sourcing = useSourcing(need, known);
  return (
    <div className="page-box flex flex-col">
      <BuildBar screen="Parts" background={background} />
      <BalanceStrip />
      <Tabs
        label="Parts"
        chosen={part}
        onChoose={setPart}
        tabs={withKeys(PARTS, { need: count(need.missing), orders: count(workbench.records.order.size) })}
      >
        <main className="min-h-0 flex-1 print:overflow-visible">
          <TabPart name="need">
            <NeedTab need={need} onBuyingPlan={() => setPart('buying-plan')} />
          </TabPart>
          <WholePart name="buying-plan" screen="Parts">
            <BuyingPlanTab need={need} sourcing={sourcing} onOrdered={() => setPart('orders')} />
          </WholePart>
          <WholePart name="orders" screen="Parts">
            <OrdersTab />
          </WholePart>
          <WholePart name="pick" screen="Parts">
            <PickTab />
          </WholePart>
          <WholePart name="put-away" screen="Parts">
            <PutAwayTab />
          </WholePart>
          <WholePart name="pool" screen="Parts">
            <PoolTab />
          </WholePart>
        </main>
      </Tabs>
    </div>
  );
}
