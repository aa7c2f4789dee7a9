'use client';

import { ELSEWHERE, donorAccount, sparesAccount, stockAccount } from '@/core/ledger';
import { bindToBoxes, isBoundToBoxes } from '@/core/pool';
import { elsewhereOf, setElsewhere } from '@/core/workbench';
import { Dialog } from '@/ui/dialog';
import { Check } from '@/ui/field';
import { pieces } from '@/ui/numbers';
import { useBuild } from '../common/build-store';
import { ELSEWHERE_SAYS, ELSEWHERE_WORDS } from '../words/sources';

/** Where a build's parts come from, in order: chosen once for it, and changed at any time. */
export function SourcesDialog({ onClose }: { onClose: () => void }) {
  const workbench = useBuild((s) => s.workbench);
  const perform = useBuild((s) => s.perform);
  useBuild((s) => s.version);
  const { balances } = workbench.built;
  const { donors, trays } = workbench.draftContext();
  const bound = isBoundToBoxes(workbench.records, workbench.build);
  const said = elsewhereOf(workbench);
  const held = (qty: number) => (qty === 0 ? 'empty' : pieces(qty));
  const inTrays = trays.reduce((s, t) => s + Math.max(0, balances.total(stockAccount(t))), 0);
  const order = [
    { name: 'this build’s spares', qty: balances.total(sparesAccount(workbench.build)), taken: true },
    ...donors.map((d) => ({
      name: `the box ${workbench.records.copy.get(d)?.setName ?? ''}`,
      qty: balances.total(donorAccount(d)),
      taken: true,
    })),
    { name: 'own parts in trays', qty: inTrays, taken: !bound },
  ];
  return (
    <Dialog
      open
      onOpenChange={onClose}
      title="Where parts come from"
      says="A line that names no place takes from these in turn. A word in the line says otherwise: own, buy, bought 0.12, from own parts."
    >
      <ol aria-label="In this order" className="mb-3">
        {order.map((o, i) => (
          <li
            key={o.name + i}
            className={`border-rule flex min-h-8 items-center gap-2 border-b ${o.taken ? '' : 'text-faint line-through'}`}
          >
            <span className="text-faint w-4">{i + 1}</span>
            <bdi className="flex-1">{o.name}</bdi>
            <span className="text-soft">{held(o.qty)}</span>
          </li>
        ))}
      </ol>
      <Check
        words="From its own boxes and spares, and from nowhere else"
        on={bound}
        onChange={(on) => perform(bindToBoxes(workbench.records, workbench.build, on))}
      />
      <fieldset className="mt-3" disabled={bound}>
        <legend className="mb-1">What is in none of them is</legend>
        {ELSEWHERE.map((e) => (
          <label key={e} className="flex min-h-8 items-baseline gap-2">
            <input
              type="radio"
              name="elsewhere"
              checked={(said ?? 'own') === e}
              onChange={() => perform(setElsewhere(workbench, e))}
            />
            <span>
              <b>{ELSEWHERE_WORDS[e]}</b>: {ELSEWHERE_SAYS[e]}
            </span>
          </label>
        ))}
      </fieldset>
    </Dialog>
  );
}
