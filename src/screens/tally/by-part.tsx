import { type Books, type Figures, type Scope } from '@/core/ledger';
import { standingOf } from '@/core/show';
import type { Workbench } from '@/core/workbench';
import { count, priced, signed } from '@/ui/numbers';

/** A part of a build that has figures of its own. */
export interface Part {
  readonly name: string;
  readonly scope: Scope;
}

const COLUMNS: readonly [string, (f: Figures) => string][] = [
  ['out', (f) => count(f.out)],
  ['in', (f) => count(f.in)],
  ['recoloured', (f) => count(f.recoloured)],
  ['renewed', (f) => count(f.renewed)],
  ['moved', (f) => (f.movedIn - f.movedOut ? signed(f.movedIn - f.movedOut) : count(f.moved))],
  ['net', (f) => signed(f.net)],
  ['out of pocket', (f) => priced(f.outOfPocket, f.boughtUnpriced)],
  ['worth', (f) => priced(f.worthIn, f.unpriced)],
  ['spares', (f) => signed(f.sparesLeft)],
];

interface ByPartProps {
  readonly title: string;
  readonly workbench: Workbench;
  readonly books: Books;
  readonly parts: readonly Part[];
  readonly total?: Figures;
  readonly note?: string;
}

/** The figures of each part of a build, and what they come to together. */
export function ByPart({ title, books, parts, total, note }: ByPartProps) {
  const columns =
    title === 'By zone'
      ? [
          ...COLUMNS.filter(([w]) => !['out of pocket', 'worth', 'spares'].includes(w)),
          ['on the model', (f: Figures) => count(f.onModel)] as const,
          ['kept', (f: Figures) => count(standingOf(f).kept)] as const,
          ['changed', (f: Figures) => count(standingOf(f).changed)] as const,
          ['new', (f: Figures) => count(standingOf(f).fresh)] as const,
        ]
      : COLUMNS;
  const rows = parts
    .map((p) => ({ ...p, figures: books.figures(p.scope) }))
    .filter((r) => Object.values(r.figures).some((n) => n !== 0));
  return (
    <section className="drawn-near mb-6 break-inside-avoid overflow-x-auto">
      <h2 className="mb-1 text-[16px]">{title}</h2>
      {note && <p className="text-soft mb-1">{note}</p>}
      <table className="w-full text-right">
        <thead>
          <tr className="border-ink text-faint border-b text-[12px]">
            <th scope="col" className="py-1 text-left font-normal">
              <span className="sr-only">{title}</span>
            </th>
            {columns.map(([words]) => (
              <th key={words} scope="col" className="px-2 font-normal">
                {words}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => (
            <tr key={r.name} className="border-rule border-b">
              <th scope="row" className="max-w-64 truncate py-1.5 text-left font-medium">
                <bdi>{r.name}</bdi>
              </th>
              {columns.map(([words, value]) => (
                <td key={words} className="px-2">
                  {value(r.figures)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
        {total && (
          <tfoot>
            <tr className="border-ink border-t font-bold">
              <th scope="row" className="py-1.5 text-left">
                Together
              </th>
              {columns.map(([words, value]) => (
                <td key={words} className="px-2">
                  {value(total)}
                </td>
              ))}
            </tr>
          </tfoot>
        )}
      </table>
    </section>
  );
}
