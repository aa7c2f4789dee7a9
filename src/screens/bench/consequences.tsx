'use client';

import { memo } from 'react';
import {
  allIn,
  BLANK_INTENT,
  openPlaceholders,
  placeOf,
  type AllIn,
  type Entry,
  type Figures,
  type OpenPlaceholder,
  worthOf,
} from '@/core/ledger';
import { printIntent } from '@/core/log-line';
import { toBuy } from '@/core/workbench';
import { elementName, splitElementKey, type ElementKey } from '@/core/parts';
import { Button, Key } from '@/ui/button';
import { Glyph, LotGlyph } from '@/ui/glyph';
import { allInWords, count, modNo, pieces, kinds, pricedShort, spares } from '@/ui/numbers';
import { entriesOf, useBuild } from '../common/build-store';
import { PartStates } from '../common/part-states';
import type { BenchDialogs } from './dialogs';
import { scopeOf } from './scope';

/** What the selected modification does: where its parts come from, what it leaves behind, its cost both ways. */
export const Consequences = memo(function Consequences({ dialogs }: { dialogs: BenchDialogs }) {
  const workbench = useBuild((s) => s.workbench);
  useBuild((s) => s.version);
  const selected = useBuild((s) => s.selected);
  const modification = selected ? workbench.records.modification.get(selected) : undefined;
  const zone = useBuild((s) => s.zone);
  const scope = modification
    ? ({ of: 'modification', modification: modification.id } as const)
    : scopeOf(zone);
  const name = modification
    ? modNo(modification.no)
    : zone
      ? (workbench.records.zone.get(zone)?.name ?? '')
      : 'The build';
  const figures = workbench.planned.figures(scope);
  const entries = modification ? entriesOf(workbench, modification.id) : workbench.planned.entriesOf(scope);
  return (
    <aside aria-label="Consequences" className="flex h-full flex-col gap-4 overflow-auto p-4">
      <PartStates
        workbench={workbench}
        scope={scope}
        title={`${name}, what goes on`}
        onOpen={(state) => dialogs.open({ dialog: 'state', state, scope })}
      />
      <Sources figures={figures} onOrder={() => dialogs.open({ dialog: 'sources' })} />
      {scope.of !== 'zone' && (
        <Costs
          figures={figures}
          whole={scope.of === 'build' ? allIn(workbench.planned, figures) : null}
          onUnpriced={() => dialogs.open({ dialog: 'unpriced' })}
        />
      )}
      {modification && (
        <>
          <ToBuy entries={entries} onOrder={() => dialogs.open({ dialog: 'order', modification })} />
          <Placeholders entries={entries} />
          <LeavesBehind entries={entries} />
        </>
      )}
    </aside>
  );
});

/** Where what goes on is taken from, and a way to change the order of it. */
function Sources({ figures: f, onOrder }: { figures: Figures; onOrder: () => void }) {
  const rows: [string, number][] = [
    ['this build’s spares', f.fromSpares],
    ['its boxes', f.fromDonor],
    ['own parts in trays', f.fromStock],
    ['own, uncounted', f.fromOwn],
    ['orders', f.fromOrder],
    ['bought or to buy', f.bought],
  ];
  return (
    <section className="border-rule border-t pt-3">
      <h2 className="mb-1">From where</h2>
      <dl className="grid grid-cols-[1fr_auto] gap-x-2">
        {rows
          .filter(([, n]) => n > 0)
          .map(([words, n]) => (
            <div key={words} className="contents">
              <dt>{words}</dt>
              <dd className="text-right font-semibold">{count(n)}</dd>
            </div>
          ))}
      </dl>
      <Button className="mt-2" onClick={onOrder}>
        Order of sources…
      </Button>
    </section>
  );
}

/** A part of the sum above it, or what is taken from it. */
const isAside = (words: string): boolean => /^(of it|less) /.test(words);

interface CostsProps {
  readonly figures: Figures;
  /** With the boxes that it began from: of a build alone. */
  readonly whole: AllIn | null;
  readonly onUnpriced: () => void;
}

function Costs({ figures: f, whole, onUnpriced }: CostsProps) {
  const rows: [string, string][] = [
    ['Out of pocket', pricedShort(f.outOfPocket, f.boughtUnpriced)],
    ['of it postage, boxes', pricedShort(f.sharedCost, f.sharedUnpriced)],
    ['Worth of what goes in', pricedShort(f.worthIn, f.unpriced)],
    ['less what comes back', `− ${pricedShort(f.worthBack, f.backUnpriced)}`],
    ['leaves', pricedShort(f.worthIn - f.worthBack, f.unpriced + f.backUnpriced)],
  ];
  const unknown = f.unpriced + f.backUnpriced;
  const unpricedBoxes = whole?.unpricedBoxes ?? 0;
  return (
    <section className="border-rule border-t pt-3">
      <h2 className="mb-1">What it costs, {whole ? 'three ways' : 'both ways'}</h2>
      <dl className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-2">
        {rows.map(([words, amount]) => (
          <div key={words} className="contents">
            <dt className={isAside(words) ? 'text-faint' : ''}>{words}</dt>
            <dd
              className={
                isAside(words)
                  ? 'text-faint text-right whitespace-nowrap'
                  : 'text-right font-semibold whitespace-nowrap'
              }
            >
              {amount}
            </dd>
          </div>
        ))}
        {whole && (
          <div className="col-span-2">
            <dt>All in, with the boxes it began from</dt>
            <dd className="text-right font-semibold">{allInWords(whole)}</dd>
          </div>
        )}
      </dl>
      {(unknown > 0 || f.boughtUnpriced > 0 || unpricedBoxes > 0) && (
        <p className="text-soft mt-1">
          {unknown > 0 && `${pieces(unknown)} without a known price. `}
          <Button onClick={onUnpriced}>
            Price them… <Key>U</Key>
          </Button>
        </p>
      )}
    </section>
  );
}

function ToBuy({ entries, onOrder }: { entries: readonly Entry[]; onOrder: () => void }) {
  const lots = sum(toBuy(entries).flatMap((e) => e.movements.filter((m) => placeOf(m.from) === 'outside')));
  if (lots.length === 0) return null;
  return (
    <section className="border-rule border-t pt-3">
      <h2 className="mb-1">Still to buy</h2>
      <Lots lots={lots} />
      <Button className="mt-2" onClick={onOrder}>
        Order these…
      </Button>
    </section>
  );
}

function Placeholders({ entries }: { entries: readonly Entry[] }) {
  const set = useBuild((s) => s.set);
  const open = openPlaceholders(entries);
  if (open.length === 0) return null;
  return (
    <section className="border-rule border-t pt-3">
      <h2 className="mb-1">Placeholder</h2>
      <ul className="flex flex-col gap-1">
        {open.map((s) => (
          <li key={s.element + s.standsFor} className="flex items-center gap-2">
            <Glyph element={s.element} mark="placeholder" size={30} />
            <span className="flex-1">
              {s.qty} {elementName(s.element)} for {splitElementKey(s.standsFor).colour}
            </span>
            <Button
              onClick={() => {
                set({ line: replacementLine(s) });
                document.getElementById('log-line')?.focus();
              }}
            >
              Replace
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The line that puts the right part in a placeholder's place. */
const replacementLine = (s: OpenPlaceholder): string =>
  printIntent(
    {
      ...BLANK_INTENT,
      kind: 'replacement',
      off: [{ element: s.element, qty: s.qty }],
      on: [{ element: s.standsFor, qty: s.qty }],
      standsFor: s.standsFor,
    },
    { zones: [], assemblies: [] },
  );

function LeavesBehind({ entries }: { entries: readonly Entry[] }) {
  const priceOf = useBuild((s) => s.workbench.priceOf);
  const moved = entries
    .flatMap((e) => e.movements)
    .filter((m) => placeOf(m.from) === 'model' && placeOf(m.to) === 'spares');
  const lots = sum(moved);
  const { worth, unpriced } = worthOf(moved, (m) => priceOf(m.element, m.grade));
  const total = lots.reduce((s, l) => s + l.qty, 0);
  return (
    <section className="border-rule border-t pt-3">
      <h2 className="mb-1">Leaves behind</h2>
      <Lots lots={lots} />
      <p className="text-soft">
        {total === 0 ? 'No spares.' : `${spares(total)}, worth ${pricedShort(worth, unpriced)}`}
      </p>
    </section>
  );
}

function sum(movements: readonly { element: ElementKey; qty: number }[]) {
  const sums = new Map<ElementKey, number>();
  for (const m of movements) sums.set(m.element, (sums.get(m.element) ?? 0) + m.qty);
  return [...sums].map(([element, qty]) => ({ element, qty }));
}

const Lots = ({ lots }: { lots: readonly { element: ElementKey; qty: number }[] }) => (
  <div className="flex flex-wrap gap-x-3">
    {lots.slice(0, 12).map((l) => (
      <LotGlyph key={l.element} element={l.element} qty={l.qty} size={32} />
    ))}
    {lots.length > 12 && <span className="text-faint self-center">and {kinds(lots.length - 12)} more</span>}
  </div>
);
