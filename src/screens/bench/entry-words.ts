import { accountOwner, placeOf, type Entry, type Movement, type RecordSet } from '@/core/ledger';
import { money } from '@/ui/numbers';

/** "6 from spares, 2 from own parts, 1 bought at £0.07", or where the pieces go. */
export function sourceWords(entry: Entry, records: Pick<RecordSet, 'copy'>): string {
  const on = entry.movements.filter((m) => placeOf(m.to) === 'model' && placeOf(m.from) !== 'model');
  if (on.length === 0) return awayWords(entry);
  const names = {
    spares: 'from spares',
    stock: 'from own parts',
    order: 'from an order',
  } as const;
  const sums = new Map<string, number>();
  for (const m of on) {
    const place = placeOf(m.from);
    const bought = entry.state === 'done' ? 'bought' : 'to buy';
    const price = m.worth === null ? ', no price known' : ` at ${money(m.worth)}`;
    const words =
      place === 'donor'
        ? `from ${boxName(m, records)}`
        : place in names
          ? names[place as keyof typeof names]
          : `${bought}${price}`;
    sums.set(words, (sums.get(words) ?? 0) + m.qty);
  }
  const parts = [...sums];
  const [only] = parts;
  return parts.length === 1 && only ? only[0] : parts.map(([w, n]) => `${n} ${w}`).join(', ');
}

/** The box that a piece comes from, by its name. */
const boxName = (m: Movement, records: Pick<RecordSet, 'copy'>): string =>
  records.copy.get(accountOwner(m.from))?.setName ?? 'a box';

function awayWords(entry: Entry): string {
  const to = entry.movements[0]?.to;
  const place = to ? placeOf(to) : 'spares';
  if (place === 'gone') return entry.kind === 'missing' ? 'missing' : 'to be thrown away';
  return place === 'model' ? 'moved' : `to ${place}`;
}
