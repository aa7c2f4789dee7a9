import { offPieces, sizeOf, type Entry } from '@/core/ledger';
import { LotGlyph } from '@/ui/glyph';
import { MARK_OF } from '@/ui/mark';
import { count, pieces } from '@/ui/numbers';
import { kindsOf } from '../words/entry-words';

/** The first few lots, marked by what happened to them. */
export function CardSummary({ entries, drawn }: { entries: readonly Entry[]; drawn: boolean }) {
  const logged = entries.filter((e) => e.kind !== 'order');
  if (logged.length === 0) return <span className="text-faint block">nothing logged yet</span>;
  if (!drawn)
    return (
      <span className="text-faint block">
        {count(logged.length)} {logged.length === 1 ? 'entry' : 'entries'}
      </span>
    );
  const lots = firstLots(logged);
  const rest = logged.reduce((n, e) => n + sizeOf(e), 0) - lots.reduce((n, l) => n + l.qty, 0);
  return (
    <span className="mt-0.5 flex flex-wrap items-center gap-x-3">
      {lots.map((l) => (
        <LotGlyph key={l.key} element={l.element} qty={l.qty} mark={l.mark} was={l.was} size={28} />
      ))}
      {rest > 0 && <span className="text-faint">and {pieces(rest)} more</span>}
    </span>
  );
}

/** Lots of a closed modification that are drawn. */
const MOST_LOTS = 6;

/** The first lots, every kind of an entry for itself, marked by what happened to them. */
function firstLots(entries: readonly Entry[]) {
  const lots = [];
  for (const e of entries) {
    if (lots.length >= MOST_LOTS) break;
    const was = e.kind === 'recolour' || e.kind === 'replacement' ? offPieces(e)[0]?.element : undefined;
    const mark = e.kind === 'swap' ? ('in' as const) : MARK_OF[e.kind];
    for (const p of kindsOf(e)) lots.push({ key: `${e.id}${p.element}`, ...p, mark, was });
  }
  return lots.slice(0, MOST_LOTS);
}
