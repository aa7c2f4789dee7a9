'use client';

import { placePlan } from '@/core/orders';
import { lotId } from '@/core/market';
import { conditionBeside, leaveNoted, takeInstead, type NeedLot, type NeedReport } from '@/core/need';
import type { ElementKey } from '@/core/parts';
import { useBuild } from '../common/build-store';
import { BuyingPlanView, type SourcingTools } from '../sourcing';
import { useToday } from '../common/use-today';

/** The buying plan of one build: what is ordered is the build's, and its plans take their pieces from there. */
export function BuyingPlanTab({
  need,
  sourcing,
  onOrdered,
}: {
  need: NeedReport;
  sourcing: SourcingTools;
  onOrdered: () => void;
}) {
  const workbench = useBuild((s) => s.workbench);
  useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const today = useToday();
  /** A lot of the need by its id in the problem: its element, with a sign behind it where it is hidden. */
  const lotOf = (id: string): NeedLot =>
    need.lots.find((l) => lotId(l) === id) ?? {
      element: id as ElementKey,
      qty: 0,
      hidden: false,
      sources: [],
    };
  return (
    <BuyingPlanView
      need={need}
      sourcing={sourcing}
      today={today}
      waitingParts={[...workbench.records.waiting.values()]}
      act={perform}
      beside={(lot) => conditionBeside(workbench, lot)}
      offers={[...workbench.records.boxOffer.values()]}
      inPlans={{
        take: (id, to) => takeInstead(workbench, lotOf(id), to),
        leave: (id) => leaveNoted(workbench, lotOf(id), 'not available when the plan was made'),
      }}
      onOrder={(plan, at) => {
        perform(placePlan(workbench, sourcing.lots, plan, at, today, source()));
        onOrdered();
      }}
    />
  );
}
