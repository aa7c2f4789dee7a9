import type { Entry } from '../ledger';
import { byElementName, type ElementKey } from '../parts';
import { conditionOf, ENTRY_KINDS, placeOf, type Grade } from '../places';
import type { Copy, Movement } from '../records';
import type { Workbench } from './workbench';

/** Pieces of a build that no sum of money counts, of one element, new or not. */
export interface UnpricedLot {
  readonly of: 'lot';
  readonly id: string;
  readonly element: ElementKey;
  readonly isNew: boolean;
  /** All of them, and how many of those were bought or are to be: for these the price is what was paid. */
  readonly pieces: number;
  readonly bought: number;
  readonly entries: readonly Entry[];
}

/** What was done with a sticker for money that is not known. */
export interface UnpricedSticker {
  readonly of: 'sticker';
  readonly id: string;
  /** The first part that bears it. */
  readonly element: ElementKey;
  readonly entries: readonly [Entry];
}

/** A box of which nobody knows what was paid for it. */
export interface UnpricedBox {
  readonly of: 'box';
  readonly id: string;
  readonly box: Copy;
}

export type Unpriced = UnpricedBox | UnpricedLot | UnpricedSticker;

const isNew = (grade: Grade): boolean => conditionOf(grade) === 'new';

/** What a movement is priced with, where a sum of money leaves it out; null where none does. */
export function unpricedId(entry: Entry, m: Movement): string | null {
  if (m.worth !== null || ENTRY_KINDS[entry.kind].regrades) return null;
  if (ENTRY_KINDS[entry.kind].stays) return `sticker ${entry.id}`;
  const [from, to] = [placeOf(m.from), placeOf(m.to)];
  // What came out of the box, or only moved, costs nothing by itself.
  if (from === 'shipped' || (from === 'model' && to === 'model')) return null;
  const counts = to === 'model' || entry.kind === 'order' || (from === 'model' && to !== 'gone');
  return counts ? `${isNew(m.grade) ? 'new' : 'used'} ${m.element}` : null;
}

/** The id of a box among what has no price. */
export const unpricedBoxId = (box: Pick<Copy, 'id'>): string => `box ${box.id}`;

/**
 * All of a build that a sum of money leaves out: boxes, then elements, most pieces first, then what was done with stickers; each with
 * the entries it is in. What has to be priced until no sum says that it leaves something out.
 *
 * @example unpricedThings(workbench) // [{ of: 'lot', element: 'brick 1x2|ash', isNew: true, pieces: 5, bought: 5, … }]
 */
export function unpricedThings(workbench: Workbench): Unpriced[] {
  const lots = new Map<string, UnpricedLot & { entries: Entry[] }>();
  const stickers = new Map<string, UnpricedSticker>();
  for (const entry of workbench.entries) {
    if (entry.whatIf !== null && entry.whatIf !== workbench.whatIf) continue;
    for (const m of entry.movements) {
      const id = unpricedId(entry, m);
      if (id === null) continue;
      const { element } = m;
      if (ENTRY_KINDS[entry.kind].stays) stickers.set(id, { of: 'sticker', id, element, entries: [entry] });
      else lots.set(id, withMovement(lots.get(id), id, entry, m));
    }
  }
  return [
    ...boxesOf(workbench),
    ...[...lots.values()].sort(
      (a, b) => b.pieces - a.pieces || byElementName(a.element, b.element) || (a.isNew ? -1 : 1),
    ),
    ...stickers.values(),
  ];
}

const boxesOf = ({ records, build }: Workbench): UnpricedBox[] =>
  [...records.copy.values()]
    .filter((box) => box.build === build && box.price === null)
    .map((box) => ({ of: 'box', id: unpricedBoxId(box), box }));

function withMovement(
  lot: (UnpricedLot & { entries: Entry[] }) | undefined,
  id: string,
  entry: Entry,
  m: Movement,
): UnpricedLot & { entries: Entry[] } {
  const of = { of: 'lot', id, element: m.element, isNew: isNew(m.grade) } as const;
  const was = lot ?? { ...of, pieces: 0, bought: 0, entries: [] };
  if (was.entries.at(-1) !== entry) was.entries.push(entry);
  const bought = placeOf(m.from) === 'outside' ? m.qty : 0;
  return { ...was, pieces: was.pieces + m.qty, bought: was.bought + bought };
}
