import type { ElementKey } from '../parts';
import type { Minor } from '../shared/money';
import { donorAccount, holdsPieces, sparesAccount, type AccountKey, placeOf } from '../places';
import type { BalanceRow } from './balances';
import type { Books, Scope } from './books';
import type { Figure, Figures } from './figures';
import type { Grade } from '../places';
import type { Entry, Price } from '../records';

/** What a piece is worth in a condition: minor units, or null when the price book does not say. */
export type PriceOf = (element: ElementKey, grade: Grade) => Minor | null;

/**
 * Looks prices up in the price book: the new price for new pieces, the used one for all others, and whichever there
 * is when only one is known.
 */
export function priceLookup(prices: Iterable<Price>): PriceOf {
  const book = new Map<ElementKey, Price>();
  for (const p of prices) book.set(p.element, p);
  return (element, grade) => {
    const price = book.get(element);
    if (!price) return null;
    return grade === 'new' ? (price.newPrice ?? price.usedPrice) : (price.usedPrice ?? price.newPrice);
  };
}

/** What a build, zone, phase or modification comes to. Pieces and minor units. */
export interface Tally {
  readonly figures: Figures;
  /** Worth of the spares still at hand, at the price book; for a build only, 0 elsewhere. */
  readonly sparesWorth: Minor;
  /** Spares that the price book has no price for. */
  readonly sparesUnpriced: number;
  /** What lies in the build's boxes that are broken up, unused; for a build only. */
  readonly inBoxes: { readonly pieces: number; readonly worth: Minor; readonly unpriced: number };
}

const NOTHING_IN_BOXES = { pieces: 0, worth: 0, unpriced: 0 };

/** The tally of a scope, in the books' view. */
export function takeTally(books: Books, scope: Scope, priceOf: PriceOf): Tally {
  const figures = books.figures(scope);
  if (scope.of !== 'build') return { figures, sparesWorth: 0, sparesUnpriced: 0, inBoxes: NOTHING_IN_BOXES };
  const spares = sparesAccount(books.context.build);
  const worthAt = (rows: Iterable<BalanceRow>) => worthOf(rows, (row) => priceOf(row.element, row.grade));
  const { worth, unpriced } = worthAt(books.balances.rows((a) => a === spares));
  return { figures, sparesWorth: worth, sparesUnpriced: unpriced, inBoxes: inBoxes(books, worthAt) };
}

/** What the build's own boxes still hold: another build's box is not this one's left-over. */
function inBoxes(books: Books, worthAt: (rows: Iterable<BalanceRow>) => { worth: Minor; unpriced: number }) {
  const { copies, build } = books.context;
  const own = new Set<AccountKey>(
    [...copies.values()].flatMap((c) => (c.build === build ? [donorAccount(c.id)] : [])),
  );
  const rows = [...books.balances.rows((a) => own.has(a))].filter((r) => r.qty > 0);
  return { pieces: rows.reduce((s, r) => s + r.qty, 0), ...worthAt(rows) };
}

/**
 * What some lots come to, in minor units, and how many of their pieces have no known price: a sum is shown with both,
 * so that it never passes for the whole.
 * `worthOf([{ qty: 3, worth: 12 }, { qty: 2, worth: null }], (l) => l.worth)` = `{ worth: 36, unpriced: 2 }`.
 */
export function worthOf<Lot extends { readonly qty: number }>(
  lots: Iterable<Lot>,
  priceOf: (lot: Lot) => Minor | null,
): { worth: Minor; unpriced: number } {
  let worth = 0;
  let unpriced = 0;
  for (const lot of lots) {
    const price = priceOf(lot);
    if (price === null) unpriced += lot.qty;
    else worth += price * lot.qty;
  }
  return { worth, unpriced };
}

/** Money out of pocket in full, worth of what went in, and the same less what came back to hand. */
export function costsOf(figures: Figures): { outOfPocket: Minor; worth: Minor; worthLessBack: Minor } {
  return {
    outOfPocket: figures.outOfPocket,
    worth: figures.worthIn,
    worthLessBack: figures.worthIn - figures.worthBack,
  };
}

/** Money spent on everything, with the boxes that a build began from. */
export interface AllIn {
  readonly cost: Minor;
  /** What was paid for the boxes that it began from; in the cost. */
  readonly boxes: Minor;
  /** Pieces that were bought without a known price, and boxes whose price nobody knows: neither is in the cost. */
  readonly unpriced: number;
  readonly unpricedBoxes: number;
}

/**
 * What a build cost all in: out of pocket for the work, and the boxes it began from. A box that is broken up for it is out of
 * pocket already; a gift costs nothing.
 */
export function allIn(books: Books, figures: Figures = books.figures({ of: 'build' })): AllIn {
  const { copies, build } = books.context;
  const began = [...copies.values()].filter((c) => c.build === build && c.role === 'base');
  const boxes = began.reduce((s, c) => s + (c.price ?? 0), 0);
  return {
    cost: figures.outOfPocket + boxes,
    boxes,
    unpriced: figures.boughtUnpriced,
    unpricedBoxes: began.filter((c) => c.price === null).length,
  };
}

/** An entry and how much of a figure comes from it. */
export interface Behind {
  readonly entry: Entry;
  readonly amount: number;
}

/** The entries a figure was made from: their amounts add up to it exactly. */
export function entriesBehind(books: Books, scope: Scope, figure: Figure): Behind[] {
  return books
    .entriesOf(scope)
    .map((entry) => ({ entry, amount: books.partOf(entry, scope)[figure] }))
    .filter((b) => b.amount !== 0);
}

/** One element that plans call for and that is not at hand. */
export interface Need {
  readonly element: ElementKey;
  readonly grade: Grade;
  readonly qty: number;
  /** Where a plan would overdraw, or "outside" for pieces planned to be bought. */
  readonly from: AccountKey;
}

/** What planned entries would overdraw from real places, and what they plan to buy. Takes the books as planned. */
export function needList(books: Books): Need[] {
  const need = new Map<string, Need>();
  const call = (n: Need) => {
    const key = `${n.from}|${n.grade}|${n.element}`;
    need.set(key, { ...n, qty: n.qty + (need.get(key)?.qty ?? 0) });
  };
  for (const row of books.balances.rows(holdsPieces))
    if (row.qty < 0) call({ element: row.element, grade: row.grade, qty: -row.qty, from: row.account });
  for (const entry of books.entries)
    if (entry.state === 'planned')
      for (const m of entry.movements)
        if (placeOf(m.from) === 'outside' && placeOf(m.to) === 'model')
          call({ element: m.element, grade: m.grade, qty: m.qty, from: m.from });
  return [...need.values()];
}
