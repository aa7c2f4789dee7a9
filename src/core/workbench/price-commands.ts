import { changed, joinDiffs, written, type Command, type Entry } from '../ledger';
import { byElementName, type ElementKey } from '../parts';
import { conditionOf, ENTRY_KINDS, placeOf, type Grade } from '../places';
import type { Movement, Price } from '../records';
import type { Minor } from '../shared/money';
import type { Workbench } from './workbench';

/** Pieces of a build that no sum of money counts, of one element, new or not. */
export interface UnpricedLot {
  readonly element: ElementKey;
  readonly isNew: boolean;
  /** All of them, and how many of those were bought or are to be: for these the price is what was paid. */
  readonly pieces: number;
  readonly bought: number;
  readonly entries: readonly Entry[];
}

const isNew = (grade: Grade): boolean => conditionOf(grade) === 'new';

/** A movement that a sum of money leaves out: pieces that went in, came off to hand or were ordered, with no price. */
function lacksPrice(entry: Entry, m: Movement): boolean {
  if (m.worth !== null || ENTRY_KINDS[entry.kind].regrades) return false;
  const [from, to] = [placeOf(m.from), placeOf(m.to)];
  if (from === 'shipped' || (from === 'model' && to === 'model')) return false;
  return to === 'model' || entry.kind === 'order' || (from === 'model' && to !== 'gone');
}

/**
 * Every element of a build with pieces that have no known price, most pieces first, with the entries they are in: what has to
 * be priced until no sum says that it leaves something out.
 */
export function unpricedLots(workbench: Workbench): UnpricedLot[] {
  const lots = new Map<
    string,
    { element: ElementKey; isNew: boolean; pieces: number; bought: number; entries: Set<Entry> }
  >();
  for (const entry of workbench.entries) {
    if (entry.whatIf !== null && entry.whatIf !== workbench.whatIf) continue;
    for (const m of entry.movements) {
      if (!lacksPrice(entry, m)) continue;
      const key = `${m.element}|${isNew(m.grade)}`;
      const lot = lots.get(key) ?? {
        element: m.element,
        isNew: isNew(m.grade),
        pieces: 0,
        bought: 0,
        entries: new Set<Entry>(),
      };
      lot.pieces += m.qty;
      if (placeOf(m.from) === 'outside') lot.bought += m.qty;
      lot.entries.add(entry);
      lots.set(key, lot);
    }
  }
  return [...lots.values()]
    .map((l) => ({ ...l, entries: [...l.entries] }))
    .sort((a, b) => b.pieces - a.pieces || byElementName(a.element, b.element) || (a.isNew ? -1 : 1));
}

/** A price that was given for an element, new or not. */
export interface GivenPrice {
  readonly element: ElementKey;
  readonly isNew: boolean;
  readonly each: Minor;
}

/**
 * Gives unpriced pieces their price: in every entry of the build that lacks it, and in the price book where it has none for
 * that condition. What has a price keeps it.
 */
export function priceLots(workbench: Workbench, given: readonly GivenPrice[]): Command {
  const by = new Map(given.map((g) => [`${g.element}|${g.isNew}`, g.each]));
  const touched = workbench.entries.flatMap((entry) => {
    let found = false;
    const movements = entry.movements.map((m) => {
      const each = lacksPrice(entry, m) ? by.get(`${m.element}|${isNew(m.grade)}`) : undefined;
      if (each === undefined) return m;
      found = true;
      return { ...m, worth: each };
    });
    return found ? [changed('entry', entry, { movements })] : [];
  });
  const book = new Map<ElementKey, Price>();
  for (const g of given) {
    const old = workbench.records.price.get(g.element);
    const price = book.get(g.element) ??
      old ?? { id: g.element, element: g.element, newPrice: null, usedPrice: null };
    const slot = g.isNew ? 'newPrice' : 'usedPrice';
    if (price[slot] === null) book.set(g.element, { ...price, [slot]: g.each });
  }
  const prices = [...book.values()].map((p) => written('price', workbench.records.price.get(p.id), p));
  const n = given.length;
  return { label: `price ${n} ${n === 1 ? 'kind' : 'kinds'}`, diff: joinDiffs(...touched, ...prices) };
}
