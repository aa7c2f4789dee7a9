import { worthOf, type Grade, type PriceOf } from '../ledger';
import { splitElementKey, type ElementKey } from '../parts';
import type { ColourId, PartId } from '../shared/ids';
import type { Minor } from '../shared/money';

interface Lot {
  readonly element: ElementKey;
  readonly grade: Grade;
  readonly qty: number;
}

/** What one has of a colour. */
export interface ColourStock {
  readonly colour: ColourId;
  readonly pieces: number;
  readonly kinds: number;
  readonly worth: Minor;
  /** Pieces that the price book has no price for. */
  readonly unpriced: number;
}

/** Own parts by colour, most pieces first: what one could build much of. */
export function stockByColour(rows: readonly Lot[], priceOf: PriceOf): ColourStock[] {
  const byColour = new Map<ColourId, Lot[]>();
  for (const row of rows) {
    if (row.qty <= 0) continue;
    const { colour } = splitElementKey(row.element);
    const lots = byColour.get(colour);
    if (lots) lots.push(row);
    else byColour.set(colour, [row]);
  }
  return [...byColour]
    .map(([colour, lots]): ColourStock => ({
      colour,
      pieces: lots.reduce((s, l) => s + l.qty, 0),
      kinds: new Set(lots.map((l) => l.element)).size,
      ...worthOf(lots, (l) => priceOf(l.element, l.grade)),
    }))
    .sort((a, b) => b.pieces - a.pieces || (a.colour < b.colour ? -1 : 1));
}

/** An element that one has, and how hard it would be to come by again. */
export interface RareLot {
  readonly element: ElementKey;
  readonly qty: number;
  /** Colours that its part was ever made in; null = no list knows the part. */
  readonly colours: number | null;
  /** Boxes of the catalogue that hold it; 0 = none. */
  readonly boxes: number;
}

/**
 * Elements by how rare they are: those that come in the fewest boxes first, then those whose part was made in the fewest
 * colours. Unknown counts as common, since nothing says that it is rare.
 *
 * @param coloursOf  in how many colours a part was made, null where no list knows it
 * @param boxesOf  in how many boxes an element lies
 */
export function rarestLots(
  rows: readonly Lot[],
  coloursOf: (part: PartId) => number | null,
  boxesOf: (element: ElementKey) => number,
): RareLot[] {
  const sums = new Map<ElementKey, number>();
  for (const r of rows) if (r.qty > 0) sums.set(r.element, (sums.get(r.element) ?? 0) + r.qty);
  const rank = (r: RareLot) => Math.min(r.boxes || Infinity, r.colours ?? Infinity);
  return [...sums]
    .map(([element, qty]): RareLot => ({
      element,
      qty,
      colours: coloursOf(splitElementKey(element).part),
      boxes: boxesOf(element),
    }))
    .sort(
      (a, b) =>
        rank(a) - rank(b) ||
        (a.colours ?? Infinity) - (b.colours ?? Infinity) ||
        b.qty - a.qty ||
        (a.element < b.element ? -1 : 1),
    );
}
