import type { Workbench } from '../workbench';
import { placeOf, type Grade } from '../ledger';
import { withAtHand, type AtHand } from '../stock';
import { splitElementKey, type ElementKey } from '../parts';
import type { Minor } from '../shared/money';
import { availability, type Availability, type Made, type Register } from './register';
import type { Mismatch } from './mismatches';

/** What putting a mismatch right takes. */
export interface Fix {
  readonly mismatch: Mismatch;
  /** Where the right pieces would come from. */
  readonly fromSpares: number;
  readonly fromBoxes: number;
  readonly fromStock: number;
  /** Own and uncounted, where that much is roughly known. */
  readonly roughly: number;
  readonly toBuy: number;
  /** Price of one bought piece; estimated where the price book knows the shape in other colours only. */
  readonly each: Minor | null;
  readonly estimated: boolean;
  /** What must be bought, in all. Null = nobody knows a price. */
  readonly cost: Minor | null;
  readonly made: Made;
  readonly availability: Availability;
  /** False = it has to be bought and was never made. */
  readonly canBeHad: boolean;
  /** Pieces that planned entries take off already. */
  readonly planned: number;
  /** Share of all that shows and is not planned for, 0 to 1. */
  readonly share: number;
}

/** Prices of a shape in other colours stand for one that is not known: their median. */
export class Prices {
  constructor(private readonly workbench: Workbench) {}

  /** The price of one new piece, and whether it is an estimate; null when nobody knows. */
  of(element: ElementKey): { each: Minor; estimated: boolean } | null {
    const known = this.workbench.priceOf(element, 'new' as Grade);
    if (known !== null) return { each: known, estimated: false };
    const like = pricesByPart(this.workbench.records.price).get(splitElementKey(element).part);
    const each = like?.[like.length >> 1];
    return each === undefined ? null : { each, estimated: true };
  }
}

type PriceBook = Workbench['records']['price'];
const byPart = new WeakMap<PriceBook, ReadonlyMap<string, readonly Minor[]>>();

/** New prices of each part in whatever colour, the lowest first: a book of thousands is sorted out once. */
function pricesByPart(book: PriceBook): ReadonlyMap<string, readonly Minor[]> {
  const known = byPart.get(book);
  if (known) return known;
  const sorted = new Map<string, Minor[]>();
  for (const p of book.values()) {
    if (p.newPrice === null) continue;
    const { part } = splitElementKey(p.element);
    const held = sorted.get(part);
    if (held) held.push(p.newPrice);
    else sorted.set(part, [p.newPrice]);
  }
  for (const list of sorted.values()) list.sort((a, b) => a - b);
  byPart.set(book, sorted);
  return sorted;
}

/** Works out each mismatch's fix. Pieces at hand go to what shows most first. */
export function fixesFor(
  workbench: Workbench,
  mismatches: readonly Mismatch[],
  register: Register,
  year: number,
): Fix[] {
  return withAtHand(workbench, (atHand) => fixesWith(atHand, workbench, mismatches, register, year));
}

function fixesWith(
  atHand: AtHand,
  workbench: Workbench,
  mismatches: readonly Mismatch[],
  register: Register,
  year: number,
): Fix[] {
  const prices = new Prices(workbench);
  const planned = plannedOff(workbench);
  const counts = (s: Mismatch) => !s.left && (planned.get(s.id) ?? 0) < s.qty;
  const all = mismatches.reduce((sum, s) => sum + (counts(s) ? s.shows : 0), 0);
  return mismatches.map((mismatch) => {
    const done = Math.min(mismatch.qty, planned.get(mismatch.id) ?? 0);
    const taken = atHand.take(mismatch.to, mismatch.left ? 0 : mismatch.qty - done, mismatch.zone);
    const price = prices.of(mismatch.to);
    const made = register.look(mismatch.to);
    const can = availability(made, year);
    if (can !== 'never') atHand.buy(mismatch.to, taken.short, mismatch.zone);
    return {
      mismatch,
      fromSpares: taken.fromSpares,
      fromBoxes: taken.fromBoxes,
      fromStock: taken.fromStock,
      roughly: taken.roughly,
      toBuy: taken.short,
      each: price?.each ?? null,
      estimated: price?.estimated ?? false,
      cost: taken.short === 0 ? 0 : price ? price.each * taken.short : null,
      made,
      availability: can,
      canBeHad: can !== 'never' || taken.short === 0,
      planned: done,
      share: all > 0 && counts(mismatch) ? mismatch.shows / all : 0,
    };
  });
}

/** Pieces that planned entries take off the model, by `zone|element`. */
function plannedOff(workbench: Workbench): Map<string, number> {
  const sums = new Map<string, number>();
  for (const e of workbench.planned.entries) {
    if (e.state !== 'planned' || e.kind === 'move') continue;
    for (const m of e.movements) {
      if (placeOf(m.from) !== 'model') continue;
      const key = `${m.from.slice('model:'.length)}|${m.element}`;
      sums.set(key, (sums.get(key) ?? 0) + m.qty);
    }
  }
  return sums;
}

/** Fixes that can be chosen: not planned, not left as they are, to be had, with a known cost. */
export const isOpen = (f: Fix): boolean =>
  !f.mismatch.left && f.planned < f.mismatch.qty && f.canBeHad && f.cost !== null;
