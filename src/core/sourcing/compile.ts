import { assert } from '../shared/assert';
import type { Problem, ProblemId } from './problem';

/** A source of pieces: a seller's offer of one element. Indices into the arrays of a `Compiled`. */
export interface Compiled {
  readonly lots: number;
  readonly sellers: number;
  readonly elements: number;
  readonly need: Int32Array;
  /** Elements each lot accepts. */
  readonly accepts: readonly (readonly number[])[];
  /** Lots that accept each element. */
  readonly acceptedBy: readonly (readonly number[])[];
  readonly grams: Float64Array;
  readonly offers: number;
  readonly offerSeller: Int32Array;
  readonly offerElement: Int32Array;
  readonly offerPrice: Int32Array;
  readonly offerMin: Int32Array;
  readonly offerMultiple: Int32Array;
  /** Most pieces that may be bought: the stock, in whole multiples. */
  readonly offerCap: Int32Array;
  readonly offersOfSeller: readonly Int32Array[];
  /** Offers that can serve each lot, cheapest first. */
  readonly offersOfLot: readonly Int32Array[];
  readonly minOrder: Int32Array;
  readonly bandGrams: readonly Float64Array[];
  readonly bandPence: readonly Int32Array[];
  /** The heaviest parcel each seller can send, in grams. */
  readonly maxGrams: Float64Array;
  /** 1 where a seller's offers together may weigh more than that, so that every piece must be held against it. */
  readonly weighs: Uint8Array;
  /** Least postage of each seller. */
  readonly firstPence: Int32Array;
  readonly donorPrice: Int32Array;
  readonly donorMax: Int32Array;
  readonly donorYields: readonly (readonly (readonly [element: number, qty: number])[])[];
  readonly maxSellers: number;
}

/** Pieces that must be bought for `used` of them to be had: the least order, in whole multiples. 0 for none. */
export function boughtFor(used: number, min: number, multiple: number): number {
  if (used <= 0) return 0;
  const wanted = used > min ? used : min;
  return multiple === 1 ? wanted : Math.ceil(wanted / multiple) * multiple;
}

/** What each of `n` pieces of an offer comes to where no more are wanted of it: what packs leave over is paid too. */
export function priceOfNeed(c: Compiled, offer: number, n: number): number {
  const [min, multiple] = [c.offerMin[offer]!, c.offerMultiple[offer]!];
  const price = c.offerPrice[offer]!;
  return n >= min && multiple === 1 ? price : (price * boughtFor(n, min, multiple)) / n;
}

/**
 * Turns a problem into arrays, leaving out what can serve no lot and what is dominated: another offer of the same seller
 * that is no dearer and no heavier, serves all the same lots, is sold as freely and has stock for all their need.
 */
export function compile(problem: Problem): Compiled {
  const elementIndex = new Map(problem.elements.map((e, i) => [e.id, i]));
  const index = (id: ProblemId): number => {
    const i = elementIndex.get(id);
    assert(i !== undefined, 'an element is listed', id);
    return i;
  };
  const accepts = problem.lots.map((l) => [...new Set(l.accept.map(index))]);
  const acceptedBy: number[][] = problem.elements.map(() => []);
  accepts.forEach((es, lot) => es.forEach((e) => acceptedBy[e]!.push(lot)));
  const need = Int32Array.from(problem.lots, (l) => l.qty);
  const grams = Float64Array.from(problem.elements, (e) => e.grams);
  const heaviest = Float64Array.from(problem.sellers, (s) => Math.max(...s.postage.map((b) => b.maxGrams)));
  const kept: OfferRow[] = [];
  problem.sellers.forEach((s, seller) => {
    const rows = s.offers.flatMap((o) => {
      const element = elementIndex.get(o.element);
      if (element === undefined || acceptedBy[element]!.length === 0) return [];
      const multiple = Math.max(1, o.multiple);
      // What the last postage band does not hold cannot be sent, however much there is.
      const sent = grams[element]! > 0 ? Math.floor((heaviest[seller]! + 1e-9) / grams[element]!) : o.stock;
      const cap = Math.floor(Math.min(o.stock, sent) / multiple) * multiple;
      const min = Math.ceil(Math.max(1, o.minQty) / multiple) * multiple;
      return cap < min ? [] : [{ seller, element, price: o.price, min, multiple, cap }];
    });
    kept.push(...withoutDominated(rows, grams, need, accepts, acceptedBy));
  });
  const offersOfSeller: number[][] = problem.sellers.map(() => []);
  const byElement: number[][] = problem.elements.map(() => []);
  kept.forEach((o, i) => {
    offersOfSeller[o.seller]!.push(i);
    byElement[o.element]!.push(i);
  });
  // Sorted as numbers, price before index: prices are below a billion and indices below a million.
  const offersOfLot = accepts.map((es) => {
    const keys = new Float64Array(es.reduce((n, e) => n + byElement[e]!.length, 0));
    let at = 0;
    for (const e of es) for (const o of byElement[e]!) keys[at++] = kept[o]!.price * 1e6 + o;
    keys.sort();
    const offers = new Int32Array(at);
    for (let i = 0; i < at; i++) offers[i] = keys[i]! % 1e6;
    return offers;
  });
  // Loops, since filling typed arrays through iterators takes longer than all the rest.
  const column = (of: (o: OfferRow) => number): Int32Array => {
    const values = new Int32Array(kept.length);
    for (let i = 0; i < kept.length; i++) values[i] = of(kept[i]!);
    return values;
  };
  return {
    lots: problem.lots.length,
    sellers: problem.sellers.length,
    elements: problem.elements.length,
    need,
    accepts,
    acceptedBy,
    grams,
    offers: kept.length,
    offerSeller: column((o) => o.seller),
    offerElement: column((o) => o.element),
    offerPrice: column((o) => o.price),
    offerMin: column((o) => o.min),
    offerMultiple: column((o) => o.multiple),
    offerCap: column((o) => o.cap),
    offersOfSeller: offersOfSeller.map((o) => Int32Array.from(o)),
    offersOfLot,
    minOrder: Int32Array.from(problem.sellers, (s) => s.minOrder),
    bandGrams: problem.sellers.map((s) => Float64Array.from(s.postage, (b) => b.maxGrams)),
    bandPence: problem.sellers.map((s) => Int32Array.from(s.postage, (b) => b.pence)),
    maxGrams: heaviest,
    weighs: weighing(problem.sellers.length, kept, grams, need, acceptedBy, heaviest),
    firstPence: Int32Array.from(problem.sellers, (s) => Math.min(...s.postage.map((b) => b.pence))),
    donorPrice: Int32Array.from(problem.donors, (d) => d.price),
    donorMax: Int32Array.from(problem.donors, (d) => d.maxCopies),
    donorYields: problem.donors.map((d) =>
      d.yields.flatMap(({ element, qty }) => {
        const e = elementIndex.get(element);
        return e !== undefined && acceptedBy[e]!.length > 0 ? [[e, qty] as const] : [];
      }),
    ),
    maxSellers: problem.maxSellers ?? problem.sellers.length,
  };
}

interface OfferRow {
  readonly seller: number;
  readonly element: number;
  readonly price: number;
  readonly min: number;
  readonly multiple: number;
  readonly cap: number;
}

const MOST_COMPARED = 60;

/** For each seller, whether all that can pay to be bought of him may be too heavy for one parcel. */
function weighing(
  sellers: number,
  offers: readonly OfferRow[],
  grams: Float64Array,
  need: Int32Array,
  acceptedBy: readonly (readonly number[])[],
  heaviest: Float64Array,
): Uint8Array {
  const weight = new Float64Array(sellers);
  for (const o of offers) {
    const wanted = acceptedBy[o.element]!.reduce((sum, l) => sum + need[l]!, 0);
    weight[o.seller]! += Math.min(o.cap, boughtFor(wanted, o.min, o.multiple)) * grams[o.element]!;
  }
  return Uint8Array.from(weight, (w, s) => (w > heaviest[s]! ? 1 : 0));
}

/** One seller's offers without those that another of his makes needless. */
function withoutDominated(
  rows: readonly OfferRow[],
  grams: Float64Array,
  need: Int32Array,
  accepts: readonly (readonly number[])[],
  acceptedBy: readonly (readonly number[])[],
): OfferRow[] {
  // Only elements that a lot takes in one another's place can make each other needless.
  // Where very many lots take an element, comparing costs more than the comparison saves.
  const choice = (e: number) =>
    acceptedBy[e]!.length <= MOST_COMPARED && acceptedBy[e]!.some((l) => accepts[l]!.length > 1);
  const rivalled = rows.filter((r) => choice(r.element));
  if (rivalled.length < 2) return [...rows];
  const byLot = new Map<number, OfferRow[]>();
  for (const r of rivalled)
    for (const lot of acceptedBy[r.element]!) {
      const list = byLot.get(lot);
      if (list) list.push(r);
      else byLot.set(lot, [r]);
    }
  const covers = (b: OfferRow) => acceptedBy[b.element]!.reduce((sum, l) => sum + need[l]!, 0);
  return rows.filter((a) => {
    if (!choice(a.element)) return true;
    const rivals = byLot.get(acceptedBy[a.element]![0]!) ?? [];
    return !rivals.some(
      (b) =>
        b !== a &&
        (b.price < a.price || (b.price === a.price && b.element < a.element)) &&
        grams[b.element]! <= grams[a.element]! &&
        b.min <= a.min &&
        b.multiple === 1 &&
        b.cap >= covers(b) &&
        acceptedBy[b.element]!.length <= MOST_COMPARED &&
        acceptedBy[a.element]!.every((l) => acceptedBy[b.element]!.includes(l)),
    );
  });
}

/** Postage of a parcel; Infinity when no band holds it. */
export function postageOf(c: Compiled, seller: number, grams: number): number {
  const [max, pence] = [c.bandGrams[seller]!, c.bandPence[seller]!];
  for (let b = 0; b < max.length; b++) if (grams <= max[b]! + 1e-9) return pence[b]!;
  return Infinity;
}
