'use client';

import { useMemo, useState } from 'react';
import { mapName, planRecolour, planSteps, stepCosts, type ColourMap } from '@/core/recolouring';
import { seenLots, type Register } from '@/core/mismatch';
import type { Tally } from '@/core/ledger';
import type { ColourId, ZoneId } from '@/core/shared/ids';
import { Button, Key } from '@/ui/button';
import { count, money, pieces, priced } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { useTrying } from '../common/use-trying';
import { thisYear } from '../common/use-register';
import { useCommands } from '../commands';
import { RecolourLeft } from './recolour-left';
import { RecolourMap, type Leave } from './recolour-map';
import { RecolourSteps } from './recolour-steps';

/** Recolour at once: map colours to colours, see what is possible and what is not, and work it in steps. */
export function RecolourTab({
  register,
  onTry,
}: {
  register: Register;
  onTry: (tally: Tally | null) => void;
}) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const [pairs, setPairs] = useState<ReadonlyMap<ColourId, ColourId>>(new Map());
  const [zones, setZones] = useState<ReadonlySet<ZoneId> | null>(null);
  const [leave, setLeave] = useState<Leave>({ leavePrints: true, leaveHidden: true, leaveRetired: false });
  const [without, setWithout] = useState<ReadonlySet<ZoneId>>(new Set());
  const colours = useMemo(() => {
    void version;
    const sums = new Map<ColourId, number>();
    for (const l of seenLots(workbench)) sums.set(l.colour, (sums.get(l.colour) ?? 0) + l.qty);
    return [...sums].sort((a, b) => b[1] - a[1]);
  }, [workbench, version]);
  const map: ColourMap = useMemo(() => ({ pairs, zones, ...leave }), [pairs, zones, leave]);
  const plan = useMemo(() => {
    void version;
    return planRecolour(workbench, map, register, thisYear());
  }, [workbench, version, map, register]);
  const steps = useMemo(() => plan.steps.filter((s) => !without.has(s.zone)), [plan, without]);
  const costs = useMemo(() => stepCosts(workbench, plan, steps), [workbench, plan, steps]);
  const chosenCost = costs.reduce((s, x) => s + x.cost, 0);
  const unpriced = costs.reduce((s, x) => s + x.unpriced, 0);
  const tried = useMemo(() => {
    let n = 0;
    return plan.lots.length === 0
      ? null
      : planSteps(workbench, plan, steps, 'try', { newId: () => `try-${n++}`, now: '' }).entries;
  }, [workbench, plan, steps]);
  useTrying(tried, onTry);
  const commit = () => {
    // The colours that were chosen stay where no zone is left to plan them in.
    if (steps.length === 0) return;
    perform(planSteps(workbench, plan, steps, mapName(map), source()));
    setPairs(new Map());
  };
  const roughly = plan.lots.reduce((s, l) => s + l.roughly, 0);
  useCommands([{ name: 'Plan the recolouring', key: 'p', run: commit }]);
  return (
    <div className="grid h-full min-h-0 max-lg:overflow-auto lg:grid-cols-[400px_1fr]">
      <RecolourMap
        colours={colours}
        pairs={pairs}
        onPairs={setPairs}
        leave={leave}
        onLeave={setLeave}
        zones={zones}
        onZones={setZones}
      />
      <section aria-label="The plan" className="min-h-0 overflow-auto p-4" tabIndex={0}>
        <h1 className="text-[21px] leading-tight">
          {pairs.size === 0
            ? 'Choose what is to become what.'
            : `${pieces(plan.pieces)} can change for ${money(plan.cost)}${steps.length < plan.steps.length ? ' in all' : ''}; ${count(plan.left.reduce((s, l) => s + l.qty, 0))} stay.`}
        </h1>
        <p className="text-soft mb-3">
          {pairs.size === 0
            ? 'Map one colour or several at once. The plan, its cost and what is not available appear here as you choose.'
            : `${count(plan.lots.reduce((s, l) => s + l.atHand, 0))} are at hand, ${count(plan.lots.reduce((s, l) => s + l.toBuy, 0))} to buy${roughly > 0 ? `, ${count(roughly)} own and uncounted` : ''}${plan.unpriced > 0 ? `, ${count(plan.unpriced)} of them without a known price` : ''}.`}
        </p>
        {plan.steps.length > 0 && (
          <>
            <RecolourSteps
              plan={plan}
              costs={new Map(steps.map((s, i) => [s.zone, costs[i]!]))}
              without={without}
              onWithout={setWithout}
            />
            <Button look="main" disabled={steps.length === 0} onClick={commit}>
              Plan {steps.length === 1 ? 'this step' : `these ${steps.length} steps`},{' '}
              {priced(chosenCost, unpriced)} <Key>P</Key>
            </Button>
          </>
        )}
        <RecolourLeft left={plan.left} register={register} />
      </section>
    </div>
  );
}
