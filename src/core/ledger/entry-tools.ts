import type { CopyId, EntryId, ZoneId } from '../shared/ids';
import { assert } from '../shared/assert';
import { accountOwner, placeOf, sourceName, zoneOf } from '../places';
import { ENTRY_KINDS, LOGGED_KINDS, type LoggedKind } from '../places';
import { conditionOf } from '../places';
import type { Intent, Pieces, SourceChoice } from './intent';
import { BLANK_INTENT } from './intent';
import type { Entry, Movement } from '../records';

const leaves = (m: Movement): boolean => placeOf(m.from) === 'model';
const joins = (m: Movement): boolean => placeOf(m.to) === 'model';
const count = (ms: readonly Movement[]): number => ms.reduce((s, m) => s + m.qty, 0);

/** Pieces by element, in the order they were first named. */
export function piecesOf(movements: readonly Movement[]): Pieces[] {
  const sums = new Map<Movement['element'], number>();
  for (const m of movements) sums.set(m.element, (sums.get(m.element) ?? 0) + m.qty);
  return [...sums].map(([element, qty]) => ({ element, qty }));
}

export const offPieces = (entry: Entry): Pieces[] => piecesOf(entry.movements.filter(leaves));
export const onPieces = (entry: Entry): Pieces[] =>
  staysOnModel(entry) ? [] : piecesOf(entry.movements.filter(joins));

/** Pieces that are moved on the model, or stay where they are: none of them joins it. */
const staysOnModel = (entry: Entry): boolean =>
  entry.kind === 'move' || (ENTRY_KINDS[entry.kind].stays ?? false);

const isLogged = (kind: Entry['kind']): kind is LoggedKind =>
  (LOGGED_KINDS as readonly string[]).includes(kind);

/** What a person would have said to get this entry; undefined for stock entries, which nobody types. */
export function intentOf(entry: Entry): Intent | undefined {
  if (!isLogged(entry.kind)) return undefined;
  const off = entry.movements.filter(leaves);
  const on = entry.kind === 'move' ? [] : entry.movements.filter(joins);
  const to = off[0] && placeOf(off[0].to);
  const sources = new Set(on.map((m) => placeOf(m.from)));
  const conditions = new Set((on.length > 0 ? on : []).map((m) => conditionOf(m.grade)));
  const source = sources.size === 1 ? ([...sources][0] as SourceChoice) : null;
  const bought = on.find((m) => placeOf(m.from) === 'outside');
  const own = on.find((m) => placeOf(m.from) === 'own');
  const onlyCondition = conditions.size === 1 ? [...conditions][0] : undefined;
  return {
    ...BLANK_INTENT,
    kind: entry.kind,
    off: piecesOf(off),
    on: piecesOf(on),
    zone: zoneIn(entry),
    toZone: entry.kind === 'move' ? (zoneOf(off[0]?.to ?? ('outside' as never)) ?? null) : null,
    source,
    boxes: source === 'donor' ? [...new Set(on.map((m) => accountOwner<CopyId>(m.from)))] : [],
    ownFrom: source === 'own' && own ? sourceName(own.from) : '',
    destination:
      to === 'stock' || to === 'own' ? to : to === 'gone' && entry.kind !== 'missing' ? 'bin' : null,
    condition: source === 'outside' && onlyCondition !== 'new' ? (onlyCondition ?? null) : null,
    price: source === 'outside' ? (bought?.worth ?? null) : null,
    why: entry.why,
    note: entry.note,
    hidden: entry.hidden,
    planned: entry.state === 'planned',
    standsFor: entry.standsFor,
    assembly: entry.assembly,
  };
}

/** The zone an entry works in: where it was logged, or else where pieces join or leave. */
export function zoneIn(entry: Entry): ZoneId | null {
  if (entry.zone) return entry.zone;
  const on = staysOnModel(entry) ? undefined : entry.movements.find(joins);
  const off = entry.movements.find(leaves);
  return (on ? zoneOf(on.to) : off ? zoneOf(off.from) : undefined) ?? null;
}

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/** How many equal steps an entry can be done in: its pieces, or for a swap of 4 against 2, two. */
export function stepsOf(entry: Entry): number {
  if (entry.assembly || ENTRY_KINDS[entry.kind].stays) return 1;
  if (entry.kind === 'swap') return strandsOf(entry).map(count).reduce(gcd);
  const off = count(entry.movements.filter(leaves));
  const on = staysOnModel(entry) ? 0 : count(entry.movements.filter(joins));
  return off && on ? gcd(off, on) : off || on;
}

/** The movements of an entry that run side by side when it is done in steps: what leaves, and what comes; of a swap by kind. */
function strandsOf(entry: Entry): Movement[][] {
  const sides = [entry.movements.filter(leaves), entry.movements.filter((m) => !leaves(m))];
  if (entry.kind !== 'swap') return sides;
  return sides.flatMap((side) => {
    const kinds = new Map<Movement['element'], Movement[]>();
    for (const m of side) kinds.set(m.element, [...(kinds.get(m.element) ?? []), m]);
    return [...kinds.values()];
  });
}

/** Pieces that make an entry's size when it is told as "31 of 46 placed". */
export const sizeOf = (entry: Entry): number =>
  staysOnModel(entry) || !entry.movements.some(joins)
    ? count(entry.movements.filter(leaves))
    : count(entry.movements.filter(joins));

/**
 * Splits an entry after `steps` of its `stepsOf`: the first keeps the id, the second gets `restId`; both together move
 * exactly what the whole did. Asserts 0 < steps < stepsOf(entry).
 */
export function splitEntry(entry: Entry, steps: number, restId: EntryId): [Entry, Entry] {
  const all = stepsOf(entry);
  assert(Number.isInteger(steps) && steps > 0 && steps < all, 'an entry is split inside', { steps, all });
  const cuts = strandsOf(entry).map((side) => cutMovements(side, (count(side) / all) * steps));
  const splitFrom = entry.splitFrom ?? entry.id;
  return [
    { ...entry, splitFrom, movements: cuts.flatMap(([first]) => first) },
    { ...entry, id: restId, splitFrom, movements: cuts.flatMap(([, rest]) => rest) },
  ];
}

/** The first `pieces` pieces of a run of movements, and the rest. */
function cutMovements(movements: readonly Movement[], pieces: number): [Movement[], Movement[]] {
  const first: Movement[] = [];
  const rest: Movement[] = [];
  let left = pieces;
  for (const m of movements) {
    const n = Math.min(left, m.qty);
    if (n > 0) first.push({ ...m, qty: n });
    if (m.qty > n) rest.push({ ...m, qty: m.qty - n });
    left -= n;
  }
  return [first, rest];
}

/** Placeholders still waiting for the right part. */
export interface OpenPlaceholder {
  readonly element: Movement['element'];
  readonly standsFor: Movement['element'];
  readonly qty: number;
}

/** Placeholders placed less those replaced, over some entries, by element and by what they stand for. */
export function openPlaceholders(entries: Iterable<Entry>): OpenPlaceholder[] {
  const open = new Map<string, OpenPlaceholder>();
  const note = (element: Movement['element'], standsFor: Movement['element'], qty: number) => {
    const key = `${element}>${standsFor}`;
    open.set(key, { element, standsFor, qty: (open.get(key)?.qty ?? 0) + qty });
  };
  for (const entry of entries) {
    if (entry.kind === 'placeholder' && entry.standsFor)
      for (const p of onPieces(entry)) note(p.element, entry.standsFor, p.qty);
    if (entry.kind === 'replacement' && entry.standsFor)
      for (const p of offPieces(entry)) note(p.element, entry.standsFor, -p.qty);
  }
  return [...open.values()].filter((s) => s.qty > 0);
}
