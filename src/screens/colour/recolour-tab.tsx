'use client';

import { useEffect, useMemo, useState } from 'react';
import { mapName, planRecolour, planSteps, type ColourMap } from '@/core/recolouring';
import { seenLots, type Register } from '@/core/mismatch';
import { takeTally, type Tally } from '@/core/ledger';
import { elementName } from '@/core/parts';
import type { ColourId, ZoneId } from '@/core/shared/ids';
import { Button, Key } from '@/ui/button';
import { Check, Select } from '@/ui/field';
import { Glyph } from '@/ui/glyph';
import { count, money, pieces, kinds } from '@/ui/numbers';
import { usePalette } from '@/ui/palette-context';
import { useBuild } from '../common/build-store';
import { thisYear } from '../common/use-register';
import { useCommands } from '../commands';
import { LEFT_WORDS } from '../words/colour';

/** Recolour at once: map colours to colours, see what is possible and what is not, and work it in stages. */
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
  const palette = usePalette();
  const [pairs, setPairs] = useState<ReadonlyMap<ColourId, ColourId>>(new Map());
  const [zones, setZones] = useState<ReadonlySet<ZoneId> | null>(null);
  const [leave, setLeave] = useState({ leavePrints: true, leaveHidden: true, leaveRetired: false });
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
  const steps = plan.steps.filter((s) => !without.has(s.zone));
  const chosenCost = steps.reduce((s, x) => s + x.cost, 0);
  useEffect(() => {
    if (plan.lots.length === 0) return onTry(null);
    const kept = plan.steps.filter((s) => !without.has(s.zone));
    let n = 0;
    const { entries } = planSteps(workbench, plan, kept, 'try', { newId: () => `try-${n++}`, now: '' });
    onTry(
      workbench.planned.trying(entries, [], () =>
        takeTally(workbench.planned, { of: 'build' }, workbench.priceOf),
      ),
    );
  }, [workbench, plan, without, onTry]);
  const commit = () => {
    if (steps.length > 0) perform(planSteps(workbench, plan, steps, mapName(map), source()));
    setPairs(new Map());
  };
  useCommands([{ name: 'Plan the recolouring', key: 'p', run: commit }]);
  const solid = [...palette.values()].filter((c) => c.finish === 'solid');
  return (
    <div className="grid h-full min-h-0 max-lg:overflow-auto lg:grid-cols-[400px_1fr]">
      <section
        aria-label="From colour to colour"
        className="border-rule min-h-0 overflow-auto border-r p-4"
        tabIndex={0}
      >
        <h2 className="mb-2 text-[16px]">From colour to colour</h2>
        <ul>
          {colours.map(([colour, n]) => (
            <li key={colour} className="border-rule flex min-h-9 items-center gap-2 border-b">
              <span
                aria-hidden
                style={{ background: palette.get(colour)?.hex }}
                className="border-edge size-5 rounded-xs border"
              />
              <span className="flex-1">
                {colour} <span className="text-faint">{count(n)}</span>
              </span>
              <span aria-hidden>→</span>
              <span
                aria-hidden
                style={{ background: palette.get(pairs.get(colour) ?? '')?.hex }}
                className="border-edge size-5 rounded-xs border"
              />
              <Select
                aria-label={`${colour} becomes`}
                value={pairs.get(colour) ?? ''}
                onChange={(e) => {
                  const next = new Map(pairs);
                  if (e.target.value) next.set(colour, e.target.value as ColourId);
                  else next.delete(colour);
                  setPairs(next);
                }}
                className="w-36"
              >
                <option value="">stays</option>
                {solid
                  .filter((c) => c.id !== colour)
                  .map((c) => (
                    <option key={c.id} value={c.id}>
                      {c.name}
                    </option>
                  ))}
              </Select>
            </li>
          ))}
        </ul>
        <fieldset className="mt-4">
          <legend className="font-head font-bold">Leave as it is</legend>
          {(
            [
              ['leavePrints', 'what is printed'],
              ['leaveHidden', 'what nobody sees'],
              ['leaveRetired', 'what is no longer made'],
            ] as const
          ).map(([key, words]) => (
            <Check
              key={key}
              words={words}
              on={leave[key]}
              onChange={(on) => setLeave({ ...leave, [key]: on })}
            />
          ))}
          <p className="text-faint text-[12px]">What was never made in the new colour always stays.</p>
        </fieldset>
        <fieldset className="mt-4">
          <legend className="font-head font-bold">Zones</legend>
          {workbench.zones
            .filter((z) => z.parent)
            .map((z) => (
              <Check
                key={z.id}
                words={z.name}
                on={zones?.has(z.id) ?? true}
                onChange={(on) => {
                  const next = new Set(zones ?? workbench.zones.map((x) => x.id));
                  if (on) next.add(z.id);
                  else next.delete(z.id);
                  setZones(next);
                }}
              />
            ))}
        </fieldset>
      </section>
      <section aria-label="The plan" className="min-h-0 overflow-auto p-4" tabIndex={0}>
        <h1 className="text-[21px] leading-tight">
          {pairs.size === 0
            ? 'Choose what is to become what.'
            : `${pieces(plan.pieces)} can change for ${money(plan.cost)}; ${count(plan.left.reduce((s, l) => s + l.qty, 0))} stay.`}
        </h1>
        <p className="text-soft mb-3">
          {pairs.size === 0
            ? 'Map one colour or several at once. The plan, its cost and what is not available appear here as you choose.'
            : `${count(plan.lots.reduce((s, l) => s + l.atHand, 0))} are at hand, ${count(plan.lots.reduce((s, l) => s + l.toBuy, 0))} to buy${plan.unpriced > 0 ? `, ${count(plan.unpriced)} of them without a known price` : ''}.`}
        </p>
        {plan.steps.length > 0 && (
          <>
            <table className="mb-3 w-full max-w-3xl text-right">
              <caption className="pb-1 text-left font-semibold">
                Steps, most to see for the money first
              </caption>
              <thead>
                <tr className="border-ink text-faint border-b text-[12px]">
                  <th scope="col" className="py-1 text-left font-normal">
                    Stage
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
                          setWithout(next);
                        }}
                      />
                    </th>
                    <td className="px-2">{count(s.pieces)}</td>
                    <td className="px-2">
                      {money(s.cost)}
                      {s.unpriced > 0 && ` + ${s.unpriced} unpriced`}
                    </td>
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
            <Button look="main" disabled={steps.length === 0} onClick={commit}>
              Plan {steps.length === 1 ? 'this stage' : `these ${steps.length} stages`}, {money(chosenCost)}{' '}
              <Key>P</Key>
            </Button>
          </>
        )}
        {plan.left.length > 0 && (
          <>
            <h2 className="mt-5 mb-1">What stays, and why</h2>
            <ul className="grid max-w-4xl grid-cols-2 gap-x-6">
              {plan.left.slice(0, 60).map((l) => (
                <li
                  key={`${l.zone}${l.element}${l.because}`}
                  className="border-rule flex min-h-9 items-center gap-2 border-b"
                >
                  <Glyph element={l.element} size={28} />
                  <span className="min-w-0 flex-1 truncate">
                    {l.qty} {elementName(l.element)}, <bdi>{workbench.records.zone.get(l.zone)?.name}</bdi>
                  </span>
                  <span className="text-soft">{LEFT_WORDS[l.because]}</span>
                </li>
              ))}
            </ul>
            {plan.left.length > 60 && (
              <p className="text-faint mt-1">and {kinds(plan.left.length - 60)} more</p>
            )}
          </>
        )}
      </section>
    </div>
  );
}
