'use client';

import type { RecolourPlan } from '@/core/recolouring';
import type { ZoneId } from '@/core/shared/ids';
import { Check } from '@/ui/field';
import type { WorkCost } from '@/core/workbench';
import { count, priced } from '@/ui/numbers';
import { useBuild } from '../common/build-store';

const costWords = ({ cost, unpriced }: WorkCost): string => priced(cost, unpriced);

/** What is spent when a step is done, over the chosen ones up to it. */
function spentBy(plan: RecolourPlan, costs: ReadonlyMap<ZoneId, WorkCost>, step: number): WorkCost {
  let [cost, unpriced] = [0, 0];
  for (const s of plan.steps.slice(0, step + 1)) {
    cost += costs.get(s.zone)?.cost ?? 0;
    unpriced += costs.get(s.zone)?.unpriced ?? 0;
  }
  return { cost, unpriced };
}

/** The steps of a recolouring, zone by zone: each can be left out. */
export function RecolourSteps({
  plan,
  costs,
  without,
  onWithout,
}: {
  plan: RecolourPlan;
  /** What each chosen step costs as it will be booked. */
  costs: ReadonlyMap<ZoneId, WorkCost>;
  without: ReadonlySet<ZoneId>;
  onWithout: (without: ReadonlySet<ZoneId>) => void;
}) {
  const workbench = useBuild((s) => s.workbench);
  return (
    <table className="mb-3 w-full max-w-3xl text-right">
      <caption className="pb-1 text-left font-semibold">Steps, most to see for the money first</caption>
      <thead>
        <tr className="border-ink text-faint border-b text-[12px]">
          <th scope="col" className="py-1 text-left font-normal">
            Step
          </th>
          <th scope="col" className="px-2 font-normal">
            pieces
          </th>
          <th scope="col" className="px-2 font-normal">
            costs
          </th>
          <th scope="col" className="px-2 font-normal">
            spent by then
          </th>
          <th scope="col" className="px-2 font-normal">
            in the new colours
          </th>
        </tr>
      </thead>
      <tbody>
        {plan.steps.map((s, i) => (
          <tr key={s.zone} className="border-rule border-b">
            <th scope="row" className="text-left font-medium">
              <Check
                words={`${i + 1}. ${workbench.records.zone.get(s.zone)?.name ?? ''}`}
                on={!without.has(s.zone)}
                onChange={(on) => {
                  const next = new Set(without);
                  if (on) next.delete(s.zone);
                  else next.add(s.zone);
                  onWithout(next);
                }}
              />
            </th>
            <td className="px-2">{count(s.pieces)}</td>
            <td className="px-2">{costWords(costs.get(s.zone) ?? s)}</td>
            <td className="px-2">{without.has(s.zone) ? '' : costWords(spentBy(plan, costs, i))}</td>
            <td className="px-2">
              <span className="inline-flex items-center gap-2">
                <span aria-hidden className="border-ink bg-sheet inline-block h-2.5 w-24 border">
                  <span
                    className="bg-ink block h-full"
                    style={{ width: `${Math.round(100 * s.newShare)}%` }}
                  />
                </span>
                {Math.round(100 * s.newShare)} %
              </span>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
