import {
  accountOwner,
  ENTRY_KINDS,
  offPieces,
  onPieces,
  placeOf,
  sourceName,
  zoneOf,
  type Entry,
  type Movement,
  type Pieces,
  type RecordSet,
} from '@/core/ledger';
import { elementName, splitElementKey } from '@/core/parts';
import { count, kinds, money } from '@/ui/numbers';

/** The kinds of an entry with their pieces: what joins, else what leaves, else what it moves at all. */
export function kindsOf(entry: Entry): readonly Pieces[] {
  const [on, off] = [onPieces(entry), offPieces(entry)];
  if (on.length > 0 || off.length > 0) return on.length > 0 ? on : off;
  const sums = new Map<Pieces['element'], number>();
  for (const m of entry.movements) sums.set(m.element, (sums.get(m.element) ?? 0) + m.qty);
  return [...sums].map(([element, qty]) => ({ element, qty }));
}

const MOST_KINDS = 3;

/** "brick 1x2 ash" for one kind; "8 slope 45 2x2 slate, 2 brick 1x2 chalk and 1 kind more" for several, each with its own. */
export function kindsWords(list: readonly Pieces[]): string {
  const [first, ...others] = list;
  if (!first) return '';
  if (others.length === 0) return elementName(first.element);
  const named = list.slice(0, MOST_KINDS).map((p) => `${count(p.qty)} ${elementName(p.element)}`);
  const more = list.length - named.length;
  return `${named.join(', ')}${more > 0 ? ` and ${kinds(more)} more` : ''}`;
}

/** "6 from spares, 2 from own parts, 1 bought at £0.07", or where the pieces go. */
export function sourceWords(entry: Entry, records: Pick<RecordSet, 'copy' | 'zone'>): string {
  const on = entry.movements.filter((m) => placeOf(m.to) === 'model' && placeOf(m.from) !== 'model');
  if (on.length === 0) return awayWords(entry, records);
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
        : place === 'own'
          ? ownWords(m)
          : place in names
            ? names[place as keyof typeof names]
            : `${bought}${price}`;
    sums.set(words, (sums.get(words) ?? 0) + m.qty);
  }
  const parts = [...sums];
  const [only] = parts;
  return parts.length === 1 && only ? only[0] : parts.map(([w, n]) => `${count(n)} ${w}`).join(', ');
}

/** Own parts that are not counted, or what they came out of. */
const ownWords = (m: Movement): string => {
  const name = sourceName(m.from);
  return name ? `from ${name}` : 'own, uncounted';
};

/** The box that a piece comes from, by its name. */
const boxName = (m: Movement, records: Pick<RecordSet, 'copy'>): string =>
  records.copy.get(accountOwner(m.from))?.setName ?? 'a box';

/** "Porch to Lamp room", or where it comes from several: "2 Porch, 1 Hall to Lamp room". */
function moveWords(entry: Entry, { zone }: Pick<RecordSet, 'zone'>): string {
  const nameOf = (account: Movement['from']) => zone.get(zoneOf(account) ?? '')?.name ?? 'the model';
  if (entry.kind === 'sticker') return nameOf(entry.movements[0]!.to);
  const sums = new Map<string, number>();
  for (const m of entry.movements) sums.set(nameOf(m.from), (sums.get(nameOf(m.from)) ?? 0) + m.qty);
  const from = [...sums].map(([name, n]) => (sums.size > 1 ? `${count(n)} ${name}` : name)).join(', ');
  const to = entry.movements[0] ? nameOf(entry.movements[0].to) : '';
  return `${from} to ${to}`;
}

function awayWords(entry: Entry, records: Pick<RecordSet, 'zone'>): string {
  const to = entry.movements[0]?.to;
  const place = to ? placeOf(to) : 'spares';
  if (place === 'gone') return entry.kind === 'missing' ? 'missing' : 'to be thrown away';
  if (place === 'own') return 'to own parts, uncounted';
  return place === 'model' ? moveWords(entry, records) : `to ${place === 'stock' ? 'own parts' : place}`;
}

/** "boat door 1x6 deep to kelp", "plate 1x2 ash for plate 1x4 ash", "Lamp table". */
export function entryName(entry: Entry): string {
  const [off, on] = [offPieces(entry), onPieces(entry)];
  const single = on.length === 1 && off.length === 1;
  if ((entry.kind === 'recolour' || entry.kind === 'replacement') && single && off[0] && on[0]) {
    const [a, b] = [splitElementKey(off[0].element), splitElementKey(on[0].element)];
    return a.part === b.part
      ? `${a.part} ${a.colour} to ${b.colour}`
      : `${elementName(off[0].element)} to ${elementName(on[0].element)}`;
  }
  const named = (list: readonly Pieces[]) =>
    list.length === 1 && list[0] ? `${count(list[0].qty)} ${elementName(list[0].element)}` : kindsWords(list);
  if (on.length > 0 && off.length > 0 && entry.kind !== 'renew') return `${named(off)} for ${named(on)}`;
  return kindsWords(kindsOf(entry));
}

/** What an entry did, in a few words: "recoloured: boat door 1x6 deep to kelp". */
export const entrySaid = (entry: Entry): string => `${ENTRY_KINDS[entry.kind].label}: ${entryName(entry)}`;
