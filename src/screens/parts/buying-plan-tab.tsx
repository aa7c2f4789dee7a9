'use client';

import { placePlan } from '@/core/orders';
import type { NeedReport } from '@/core/need';
import { useBuild } from '../common/build-store';
import { BuyingPlanView, type SourcingTools } from '../sourcing';
import { useToday } from './use-today';

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
  return (
    <BuyingPlanView
      need={need}
      sourcing={sourcing}
      today={today}
      waitingParts={[...workbench.records.waiting.values()]}
      act={perform}
      onOrder={(plan, at) => {
        perform(placePlan(workbench, sourcing.lots, plan, at, today, source()));
        onOrdered();
      }}
    />
  );
}
