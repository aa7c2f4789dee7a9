import { Prices } from '../mismatch';
import { isBoundToBoxes } from '../pool';
import type { ElementKey } from '../parts';
import { elementKey, partOf, splitElementKey } from '../parts';
import type { ColourId } from '../shared/ids';
import type { Minor } from '../shared/money';
import { withAtHand } from '../stock';
import type { Workbench } from '../workbench';

/** What there is of an element for a laying, and what one more costs. */
export interface Supply {
  readonly atHand: number;
  /** Of those: what is only roughly known. */
  readonly roughly: number;
  /** Null = it cannot be bought: the build is bound to its boxes. */
  readonly price: Minor | null;
  /** True where nobody knows a price, and `price` is a guess to weigh parts by, not to be told. */
  readonly guessed: boolean;
}

/** More of one element than any wall takes. */
export const PLENTY = 10_000;
/** A guess at the price of one stud of a part, where the price book knows nothing at all. */
const GUESS_PER_STUD = 4;

/** Looks up what there is of elements for a build, in the order of its sources, as things stand. */
export type Supplies = (element: ElementKey) => Supply;

/** Pieces that would be at hand besides what is: those of a box that is not bought yet. */
export type Besides = ReadonlyMap<ElementKey, number>;

/**
 * Asks for what is at hand of the elements a job may use, before any of it is taken.
 *
 * @example suppliesFor(workbench, elements)(brick1x4) // { atHand: 6, roughly: 0, price: 8, guessed: false }
 */
export function suppliesFor(
  workbench: Workbench,
  elements: Iterable<ElementKey>,
  besides: Besides = new Map(),
): Supplies {
  const prices = new Prices(workbench);
  const bound = isBoundToBoxes(workbench.records, workbench.build);
  const known = withAtHand(workbench, (atHand) => {
    const found = new Map<ElementKey, { atHand: number; roughly: number }>();
    for (const e of elements) found.set(e, { atHand: atHand.count(e), roughly: atHand.countRoughly(e) });
    return found;
  });
  return (element) => {
    const { atHand: there, roughly } = known.get(element) ?? { atHand: 0, roughly: 0 };
    const atHand = there + (besides.get(element) ?? 0);
    const price = prices.of(element);
    const guess = GUESS_PER_STUD * studsOf(element);
    return { atHand, roughly, price: bound ? null : (price?.each ?? guess), guessed: !price };
  };
}

/** Studs of a part's footprint. */
function studsOf(element: ElementKey): number {
  const [w, d] = partOf(splitElementKey(element).part).size;
  return w * d;
}

/** The elements of a part in all colours of the palette, or in one. */
export const inColours = (
  part: Parameters<typeof elementKey>[0],
  colour: ColourId | null,
  workbench: Workbench,
): ElementKey[] =>
  (colour === null ? workbench.palette.map((c) => c.id) : [colour]).map((c) => elementKey(part, c));
