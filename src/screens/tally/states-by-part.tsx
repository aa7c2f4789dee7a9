import { needOf, PART_STATES, statesOf, totalsOf } from '@/core/need';
import type { Scope } from '@/core/ledger';
import type { Workbench } from '@/core/workbench';
import { count, priced } from '@/ui/numbers';
import { STATE_MONEY, STATE_WORDS } from '../words/sources';

interface Group {
  readonly title: string;
  readonly parts: readonly { readonly name: string; readonly scope: Scope }[];
}

/** Had, bought, ordered and to buy, pieces and money, for each modification and each zone. */
export function StatesByPart({
  workbench,
  planned,
  groups,
}: {
  workbench: Workbench;
  planned: boolean;
  groups: readonly Group[];
}) {
  const need = needOf(workbench);
  const rows = groups.map((g) => ({
    ...g,
    parts: g.parts
      .map((p) => ({ ...p, totals: totalsOf(statesOf(workbench, p.scope, planned, need)) }))
      .filter((p) => PART_STATES.some((s) => p.totals[s].pieces > 0)),
  }));
  if (rows.every((g) => g.parts.length === 0)) return null;
  return (
    <section className="mb-6 break-inside-avoid overflow-x-auto">
      <h2 className="mb-1 text-[16px]">Had, bought, ordered, to buy</h2>
      <table className="w-full text-right">
        <thead>
          <tr className="border-ink text-faint border-b text-[12px]">
            <th scope="col" className="py-1 text-left font-normal">
              <span className="sr-only">Modification or zone</span>
            </th>
            {PART_STATES.map((s) => (
              <th key={s} scope="col" className="px-2 font-normal">
                {STATE_WORDS[s]}
              </th>
            ))}
          </tr>
        </thead>
        {rows.map((g) => (
          <tbody key={g.title}>
            {g.parts.map((p) => (
              <tr key={p.name} className="border-rule border-b">
                <th scope="row" className="max-w-64 truncate py-1.5 text-left font-medium">
                  <bdi>{p.name}</bdi>
                </th>
                {PART_STATES.map((s) => (
                  <td key={s} className="px-2">
                    {p.totals[s].pieces > 0 && (
                      <>
                        <b>{count(p.totals[s].pieces)}</b>{' '}
                        <span className="text-soft text-[12px]">
                          {STATE_MONEY[s]} {priced(p.totals[s].money, p.totals[s].unpriced)}
                        </span>
                      </>
                    )}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        ))}
      </table>
    </section>
  );
}
