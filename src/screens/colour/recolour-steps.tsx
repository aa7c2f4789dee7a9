'use client';

import type { RecolourPlan } from '@/core/recolouring';
import type { ZoneId } from '@/core/shared/ids';
import { Check } from '@/ui/field';
import { count, money, priced } from '@/ui/numbers';
import { useBuild } from '../common/build-store';

/** The steps of a recolouring, zone by zone: each can be left out. */
export function RecolourSteps({
  plan,
  without,
  onWithout,
}: {
  plan: RecolourPlan;
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
            <td className="px-2">{priced(s.cost, s.unpriced)}</td>
            <td className="px-2">{money(s.spent)}</td>
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
