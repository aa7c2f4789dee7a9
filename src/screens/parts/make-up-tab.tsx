'use client';

import { placePlan, type NeedReport } from '@/core/supply';
import { useBench } from '../common/bench-store';
import { MakeUpView, type MakeUpTools } from '../make-up';
import { useToday } from './use-today';

/** The make-up of one build: what is ordered is the build's, and its plans take their pieces from there. */
export function MakeUpTab({
  need,
  makeUp,
  onOrdered,
}: {
  need: NeedReport;
  makeUp: MakeUpTools;
  onOrdered: () => void;
}) {
  const bench = useBench((s) => s.bench);
  useBench((s) => s.version);
  const perform = useBench((s) => s.perform);
  const source = useBench((s) => s.source);
  const today = useToday();
  return (
    <MakeUpView
      need={need}
      makeUp={makeUp}
      today={today}
      watches={[...bench.records.watch.values()]}
      act={perform}
      onOrder={(plan, at) => {
        perform(placePlan(bench, makeUp.lots, plan, at, today, source()));
        onOrdered();
      }}
    />
  );
}
