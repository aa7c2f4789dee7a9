'use client';

import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import { isOpen, planFixes, type AgedApart, type Audit, type Fix, type Register } from '@/core/mismatch';
import type { Tally } from '@/core/ledger';
import type { ZoneId } from '@/core/shared/ids';
import { moneyToEdit, readMoney } from '@/core/shared/money';
import { Button, Key } from '@/ui/button';
import { Input } from '@/ui/field';
import { costOfWork } from '@/core/workbench';
import { money, priced } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { useTrying } from '../common/use-trying';
import { useCommands } from '../commands';
import { auditHeadline } from '../words/colour';
import { AgedRows } from './aged-rows';
import { ColourRulesDialog } from './colour-rules-dialog';
import { SchemeDialog } from './scheme-dialog';
import { MismatchDialog } from './mismatch-dialog';
import { MismatchRows } from './mismatch-rows';
import { ZoneBars } from './zone-bars';
import { ListLinks } from '../lists/list-links';

// The mismatches are read first: the chart's library comes after them, into the room that is kept for it.
const BudgetChart = dynamic(() => import('./budget-chart').then((m) => m.BudgetChart), {
  ssr: false,
  loading: () => <div className="h-56" />,
});

interface MismatchesTabProps {
  readonly audit: Audit;
  readonly register: Register;
  readonly onTry: (tally: Tally | null) => void;
  readonly onAged: (aged: AgedApart) => void;
}

/** Mismatches: what shows by zone, each with its fix; and what any budget buys of them. */
export function MismatchesTab({ audit, register, onTry, onAged }: MismatchesTabProps) {
  const workbench = useBuild((s) => s.workbench);
  const version = useBuild((s) => s.version);
  const perform = useBuild((s) => s.perform);
  const source = useBuild((s) => s.source);
  const set = useBuild((s) => s.set);
  const [budgetText, setBudgetText] = useState<string | null>(null);
  const [byHand, setByHand] = useState<ReadonlyMap<string, boolean>>(new Map());
  const [opened, setOpened] = useState<string | null>(null);
  const [scheme, setScheme] = useState<ZoneId | null>(null);
  const [rules, setRules] = useState(false);
  const most = audit.curve.steps.at(-1)?.cost ?? 0;
  const usual = audit.curve.steps.find((s) => s.value >= 0.8 * (audit.curve.steps.at(-1)?.value ?? 0));
  const typed = budgetText === null ? undefined : readMoney(budgetText);
  const budget = Math.min(typed ?? roundUp(usual?.cost ?? 0), 1e9);
  const chosen = useMemo(() => {
    const best = new Set(audit.curve.best(budget).map((i) => audit.open[i]?.mismatch.id));
    // An official colour that sticks out is put right only once its zone's scheme has been agreed to.
    const agreed = new Set(audit.zones.filter((z) => z.schemeSet).map((z) => z.zone));
    const isProposed = ({ mismatch }: Fix) =>
      best.has(mismatch.id) && (!mismatch.official || agreed.has(mismatch.zone));
    return [...audit.open, ...audit.doubtful.filter(isOpen)].filter(
      (f) => byHand.get(f.mismatch.id) ?? isProposed(f),
    );
  }, [audit, budget, byHand]);
  const shows = chosen.reduce((s, f) => s + f.mismatch.shows, 0);
  // What the chosen ones cost is asked of the entries that would be made: it is what will be booked.
  const tried = useMemo(() => {
    void version;
    return chosen.length === 0 ? [] : planFixes(workbench, chosen, { newId: tryIds(), now: '' }).entries;
  }, [workbench, version, chosen]);
  const { cost, unpriced } = costOfWork(tried);
  useTrying(tried, onTry);
  const plan = () => {
    if (chosen.length === 0) return;
    const work = planFixes(workbench, chosen, source());
    perform(work);
    setByHand(new Map());
    if (work.problems.length > 0)
      set({
        notice: { text: `${work.problems.length} could not be planned: parts moved since.`, kind: 'refused' },
      });
  };
  const keys = [
    { name: 'Set the budget', key: 'b', run: () => document.getElementById('budget')?.focus() },
    { name: 'Plan the chosen fixes', key: 'p', run: plan },
  ];
  useCommands(keys, opened === null && scheme === null && !rules);
  const toggle = (f: Fix, on: boolean) => setByHand(new Map(byHand).set(f.mismatch.id, on));
  const shown = [...audit.fixes, ...audit.doubtful].find((f) => f.mismatch.id === opened);
  return (
    <div className="flex h-full flex-col">
      <header className="flex flex-wrap items-end gap-4 px-4 pt-3 pb-2">
        <div className="min-w-72 flex-1">
          <h1 className="text-[21px] leading-tight">{auditHeadline(audit)}</h1>
          <p className="text-soft">
            Weighed as pieces × share of each that is seen × how far the colour is off (ΔE).{' '}
            {audit.cannot.length > 0 &&
              `${audit.cannot.length} cannot be fixed as it should be: the part was never made in that colour.`}
          </p>
        </div>
        <ListLinks of={`/builds/${workbench.build}`} list="mismatches" />
        <label className="text-right">
          <span className="text-soft flex items-center justify-end gap-1.5 text-[12px]">
            <Key>B</Key> budget
          </span>
          <Input
            id="budget"
            inputMode="decimal"
            value={budgetText ?? money(budget)}
            onChange={(e) => {
              setBudgetText(e.target.value);
              setByHand(new Map());
            }}
            aria-invalid={budgetText !== null && typed === undefined}
            className="font-head w-28 text-right text-[18px] font-bold"
          />
        </label>
      </header>
      <div className="grid min-h-0 flex-1 max-lg:overflow-auto lg:grid-cols-[1fr_320px]">
        <div className="flex min-h-0 min-w-0 flex-col lg:overflow-auto">
          <ZoneBars audit={audit} onScheme={setScheme} onRules={() => setRules(true)} />
          <AgedRows aged={audit.aged} onOpen={onAged} />
          <MismatchRows
            audit={audit}
            chosen={chosen}
            onToggle={toggle}
            onOpen={(f) => setOpened(f.mismatch.id)}
          />
        </div>
        <aside
          aria-label="What money buys"
          className="border-rule flex min-h-0 flex-col gap-3 border-l p-4 lg:overflow-auto"
        >
          <h2>What money buys</h2>
          {/* Of one step there is no curve to choose on. */}
          {audit.curve.steps.length > 1 && (
            <>
              <BudgetChart steps={audit.curve.steps} all={audit.shows} budget={budget} />
              <input
                type="range"
                aria-label="Budget, by dragging"
                aria-valuetext={money(budget)}
                min={0}
                max={Math.max(1, most)}
                value={Math.min(budget, most)}
                onChange={(e) => {
                  setBudgetText(moneyToEdit(Number(e.target.value)));
                  setByHand(new Map());
                }}
                className="w-full"
              />
            </>
          )}
          <p className="text-soft">{marginal(audit, budget)}</p>
          <p>
            <b>{chosen.length}</b> chosen for <b>{priced(cost, unpriced)}</b>: fixes{' '}
            <b>{Math.round((100 * shows) / Math.max(1e-9, audit.shows))} %</b> of what is visible.
          </p>
          <Button look="main" disabled={chosen.length === 0} onClick={plan}>
            Plan these <Key>P</Key>
          </Button>
          {chosen.length === 0 && audit.open.some((f) => f.mismatch.official) && (
            <p>
              What is odd in the official set is chosen once you have agreed to its zone’s scheme, or tick it.
            </p>
          )}
          <p className="text-faint text-[12px]">
            Planned entries go into a modification for each zone. The balance above already shows them.
          </p>
        </aside>
      </div>
      {shown && <MismatchDialog fix={shown} register={register} onClose={() => setOpened(null)} />}
      {rules && <ColourRulesDialog audit={audit} onClose={() => setRules(false)} />}
      {scheme && <SchemeDialog zone={scheme} audit={audit} onClose={() => setScheme(null)} />}
    </div>
  );
}

const roundUp = (pence: number): number => Math.ceil(pence / 10) * 10;

const tryIds = () => {
  let n = 0;
  return () => `try-${n++}`;
};

/** What more money would do: the next step of the curve. */
function marginal(audit: Audit, budget: number): string {
  const { steps } = audit.curve;
  const last = steps.at(-1);
  if (!last || steps.length < 2) return 'There is nothing to buy.';
  if (budget >= last.cost) return `${money(last.cost)} buys all that is available.`;
  const here = [...steps].reverse().find((s) => s.cost <= budget) ?? steps[0];
  const rest = Math.round((100 * (last.value - (here?.value ?? 0))) / Math.max(1e-9, audit.shows));
  return `Each step is the best set for its money. Past ${money(budget)}, ${money(last.cost - (here?.cost ?? 0))} more buys the last ${rest} %.`;
}
