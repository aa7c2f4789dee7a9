import { accountOwner, ENTRY_KINDS, placeOf, sourceName, zoneOf, type AccountKey } from '../places';
import type { ElementKey } from '../parts';
import type { CopyId, ZoneId } from '../shared/ids';
import type { Copy, Entry, Movement } from '../records';
import type { Books } from './books';

/** Where pieces of the model came from: a box of its own, or one of the other sources. */
export type Origin =
  | { readonly from: 'box'; readonly copy: CopyId }
  | { readonly from: 'own'; readonly name: string }
  | { readonly from: 'spares' | 'own parts' | 'bought' };

/** Pieces of an element that went into a zone from an origin. */
export interface CameFrom {
  readonly zone: ZoneId;
  readonly origin: Origin;
  readonly element: ElementKey;
  readonly qty: number;
}

/** An origin as text, the same for the same: 'box:c1', 'bought'. */
export const originKey = (o: Origin): string =>
  o.from === 'box' ? `box:${o.copy}` : o.from === 'own' ? `own:${o.name}` : o.from;

/**
 * What went into each zone, and from which box or other source: one row for each zone, origin and element. Boxes count
 * whether they were unpacked into the model or broken up for it. What came off again is not taken away from any origin,
 * since one piece is like the other; what was moved between zones stays where it first went.
 */
export function cameFrom(books: Books): CameFrom[] {
  const rows = new Map<string, CameFrom>();
  for (const entry of books.entries)
    for (const m of entry.movements) {
      const zone = zoneOf(m.to);
      const origin = zone && originIn(entry, m);
      if (!zone || !origin) continue;
      const key = `${zone}|${originKey(origin)}|${m.element}`;
      rows.set(key, { zone, origin, element: m.element, qty: (rows.get(key)?.qty ?? 0) + m.qty });
    }
  return [...rows.values()];
}

/** What pieces of an entry came from that join the model; undefined for what was there already, if in another condition. */
export const originIn = (entry: Entry, m: Movement): Origin | undefined =>
  ENTRY_KINDS[entry.kind].regrades ? undefined : originOf(m.from);

/** What pieces that join the model from a place came from; undefined for what was there already. */
export function originOf(from: AccountKey): Origin | undefined {
  switch (placeOf(from)) {
    case 'shipped':
    case 'donor':
      return { from: 'box', copy: accountOwner<CopyId>(from) };
    case 'own':
      return { from: 'own', name: sourceName(from) };
    case 'spares':
      return { from: 'spares' };
    case 'stock':
      return { from: 'own parts' };
    case 'outside':
    case 'order':
      return { from: 'bought' };
    default:
      return undefined;
  }
}

/**
 * The name of an origin for a person: a box by its set, numbered where several boxes have the same; own parts by what
 * they came out of.
 *
 * @example originName({ from: 'box', copy }, copies) // 'Night tram, box 2'
 */
export function originName(origin: Origin, copies: ReadonlyMap<string, Copy>): string {
  if (origin.from === 'own') return origin.name || 'own, uncounted';
  if (origin.from !== 'box') return origin.from;
  const copy = copies.get(origin.copy);
  if (!copy) return 'a box';
  const alike = [...copies.values()].filter((c) => c.build === copy.build && c.setName === copy.setName);
  return alike.length > 1 ? `${copy.setName}, box ${alike.indexOf(copy) + 1}` : copy.setName;
}
