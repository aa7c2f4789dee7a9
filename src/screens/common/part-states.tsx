'use client';

import type { Scope } from '@/core/ledger';
import { PART_STATES, statesOf, totalsOf, type PartState } from '@/core/need';
import type { Workbench } from '@/core/workbench';
import { count, pieces, priced } from '@/ui/numbers';
import { STATE_MONEY, STATE_WORDS } from '../words/sources';

const LOOKS: Readonly<Record<PartState, string>> = {
  had: 'bg-edge',
  bought: 'bg-ink',
  ordered: 'bg-[radial-gradient(#161616_1px,#fff_1.4px)] bg-[length:5px_5px] border border-ink',
  'to buy': 'bg-[repeating-linear-gradient(45deg,#161616_0_2px,#fff_2px_5px)] border border-ink',
};

interface PartStatesProps {
  readonly workbench: Workbench;
  readonly scope: Scope;
  readonly title: string;
  readonly planned?: boolean;
  readonly onOpen?: (state: PartState) => void;
}

/** Had, bought, ordered and to buy, pieces and money, of a modification, a zone or the build. */
export function PartStates({ workbench, scope, title, planned = true, onOpen }: PartStatesProps) {
  const totals = totalsOf(statesOf(workbench, scope, planned));
  const all = PART_STATES.reduce((s, x) => s + totals[x].pieces, 0);
  return (
    <section aria-label={title}>
      <h2 className="mb-2">
        {title} · {pieces(all)}
      </h2>
      {all === 0 && <p className="text-soft">Nothing goes on.</p>}
      <div aria-hidden className="mb-2 flex h-3 gap-0.5">
        {PART_STATES.filter((s) => totals[s].pieces > 0).map((s) => (
          <span key={s} style={{ flexGrow: totals[s].pieces }} className={`rounded-xs ${LOOKS[s]}`} />
        ))}
      </div>
      {all > 0 && (
        <dl className="grid grid-cols-[auto_1fr_auto_auto] items-center gap-x-2">
          {PART_STATES.map((s) => (
            <div key={s} className="contents">
              <span aria-hidden className={`size-3 rounded-xs ${LOOKS[s]}`} />
              <dt>{STATE_WORDS[s]}</dt>
              <dd className="text-right font-semibold">
                {onOpen && totals[s].pieces > 0 ? (
                  <button
                    type="button"
                    className="min-h-6 min-w-6 text-right hover:underline"
                    aria-label={`${count(totals[s].pieces)} ${STATE_WORDS[s]}: the entries`}
                    onClick={() => onOpen(s)}
                  >
                    {count(totals[s].pieces)}
                  </button>
                ) : (
                  count(totals[s].pieces)
                )}
              </dd>
              <dd className="text-soft text-right text-[12px]">
                {totals[s].pieces > 0 && `${STATE_MONEY[s]} ${priced(totals[s].money, totals[s].unpriced)}`}
              </dd>
            </div>
          ))}
        </dl>
      )}
    </section>
  );
}
