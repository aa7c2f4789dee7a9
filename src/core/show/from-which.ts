import { originIn, originKey, placeOf, type Books, type Origin } from '../ledger';
import type { PartMarkName } from '../records';
import type { ElementKey } from '../parts';
import type { EntryId } from '../shared/ids';
import type { Minor } from '../shared/money';
import type { Workbench } from '../workbench';

/** What came from one origin: pieces, what they are worth, and how many of them have no known worth. */
export interface OriginShare {
  readonly origin: Origin;
  readonly pieces: number;
  readonly worth: Minor;
  readonly unpriced: number;
  /** Of all pieces that came, 0 to 1. */
  readonly share: number;
}

/** Pieces that are not as they were sold: of another maker, printed at home, cut, painted. */
export interface NotGenuine {
  readonly mark: PartMarkName;
  readonly element: ElementKey;
  readonly qty: number;
  readonly entries: readonly EntryId[];
}

/**
 * Where the pieces of a build came from: its boxes one by one, spares, own parts, old sets by their names, bought; most first. A
 * piece's worth is what it was booked at, else what the price book says.
 */
export function originShares(workbench: Workbench, books: Books): OriginShare[] {
  const sums = new Map<string, { origin: Origin; pieces: number; worth: Minor; unpriced: number }>();
  for (const entry of books.entries)
    for (const m of entry.movements) {
      const origin = placeOf(m.to) === 'model' ? originIn(entry, m) : undefined;
      if (!origin) continue;
      const sum = sums.get(originKey(origin)) ?? { origin, pieces: 0, worth: 0, unpriced: 0 };
      sums.set(originKey(origin), sum);
      sum.pieces += m.qty;
      const each = m.worth ?? workbench.priceOf(m.element, m.grade);
      if (each === null) sum.unpriced += m.qty;
      else sum.worth += each * m.qty;
    }
  const all = [...sums.values()].reduce((n, s) => n + s.pieces, 0);
  return [...sums.values()]
    .map((s) => ({ ...s, share: all > 0 ? s.pieces / all : 0 }))
    .sort((a, b) => b.pieces - a.pieces);
}

/** What is not genuine in the books, by how and kind. */
export function notGenuine(workbench: Workbench, books: Books): NotGenuine[] {
  const sums = new Map<string, NotGenuine>();
  for (const { entry: id, mark, build } of workbench.records.partMark.values()) {
    const entry = workbench.records.entry.get(id);
    if (!entry || build !== workbench.build || !books.has(id)) continue;
    for (const m of entry.movements) {
      if (placeOf(m.to) !== 'model' || placeOf(m.from) === 'model') continue;
      const key = `${mark} ${m.element}`;
      const old = sums.get(key);
      sums.set(key, {
        ...{ mark, element: m.element },
        qty: (old?.qty ?? 0) + m.qty,
        entries: [...(old?.entries ?? []), id],
      });
    }
  }
  return [...sums.values()].sort((a, b) => b.qty - a.qty);
}
