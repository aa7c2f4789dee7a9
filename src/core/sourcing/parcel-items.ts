import type { Compiled } from './compile';
import type { OfferLots } from './seller-shape';

/** Pieces of one offer that are bought together: figures for all of them, of which a parcel may hold a part. */
export interface Item {
  readonly profit: number;
  readonly grams: number;
  /** What is paid for them, in pence. */
  readonly value: number;
  /** Profit for each gram. */
  readonly rate: number;
  readonly lots: readonly number[];
  readonly pieces: readonly number[];
}

/** What an offer is looked at with: what is wanted, what a piece is worth to each lot, and the share of prices that the least order pays. */
export interface Terms {
  readonly c: Compiled;
  readonly need: Int32Array;
  readonly worth: Float64Array;
  readonly share: number;
}

/**
 * Adds what is worth buying of an offer, dearest lots first, in the packs it is sold in: whole packs for one lot go together;
 * a pack that serves several lots, or is more than all want, is an item of its own; the first is the least that is sold. Each
 * next item is worth no more a piece than the one before, so a parcel may take them as a fractional knapsack does.
 */
export function addItems(terms: Terms, { offer, lots }: OfferLots, items: Item[]): void {
  const { c, need, worth } = terms;
  if (lots.length === 1) {
    const lot = lots[0]!;
    const first = sizeOf(c, offer, need[lot]!, c.offerCap[offer]!, true);
    const served = Math.min(first, need[lot]!);
    if (!addItem(terms, offer, first, served * worth[lot]!, lots, [served], items)) return;
    const rest = need[lot]! - served;
    const more = rest > 0 ? sizeOf(c, offer, rest, c.offerCap[offer]! - first, false) : 0;
    if (more > 0) addItem(terms, offer, more, rest * worth[lot]!, lots, [rest], items);
    return;
  }
  const queue = new LotQueue(need, lots, worth);
  for (let left = c.offerCap[offer]!, isFirst = true; left > 0 && queue.next > 0; isFirst = false) {
    const size = sizeOf(c, offer, queue.next, left, isFirst);
    const { lots: served, pieces, sum } = queue.take(size);
    if (!addItem(terms, offer, size, sum, served, pieces, items)) return;
    left -= size;
  }
}

/** How many are bought next: whole packs of what the next lot wants, at least one, and first the least that is sold. */
function sizeOf(c: Compiled, offer: number, wanted: number, left: number, isFirst: boolean): number {
  const multiple = c.offerMultiple[offer]!;
  const whole = multiple === 1 ? wanted : Math.floor(wanted / multiple) * multiple;
  return Math.min(left, Math.max(isFirst ? c.offerMin[offer]! : multiple, whole));
}

/** Adds pieces that are worth `sum` to their lots; false where they are not worth their price. */
function addItem(
  { c, share }: Terms,
  offer: number,
  size: number,
  sum: number,
  lots: readonly number[],
  pieces: readonly number[],
  items: Item[],
): boolean {
  const price = c.offerPrice[offer]!;
  const profit = sum - (1 - share) * price * size;
  if (profit <= 0) return false;
  const grams = c.grams[c.offerElement[offer]!]! * size;
  items.push({
    profit,
    grams,
    value: price * size,
    rate: grams > 0 ? profit / grams : Infinity,
    lots,
    pieces,
  });
  return true;
}

/** Lots that wait for pieces, the one that pays most first. */
class LotQueue {
  private at = 0;
  /** Pieces that the next lot still wants. */
  next = 0;

  constructor(
    private readonly need: Int32Array,
    private readonly lots: number[],
    private readonly worth: Float64Array,
  ) {
    sortByWorth(lots, worth);
    this.next = this.wantedAt(0);
  }

  private wantedAt(at: number): number {
    while (at < this.lots.length && this.need[this.lots[at]!] === 0) at++;
    this.at = at;
    return at < this.lots.length ? this.need[this.lots[at]!]! : 0;
  }

  /** Gives pieces out, and says to which lots and what they are worth there; some may be left over. */
  take(size: number): { lots: number[]; pieces: number[]; sum: number } {
    const [lots, pieces]: [number[], number[]] = [[], []];
    let sum = 0;
    for (let left = size; left > 0 && this.next > 0;) {
      const lot = this.lots[this.at]!;
      const n = Math.min(left, this.next);
      lots.push(lot);
      pieces.push(n);
      sum += n * this.worth[lot]!;
      left -= n;
      this.next -= n;
      if (this.next === 0) this.next = this.wantedAt(this.at + 1);
    }
    return { lots, pieces, sum };
  }
}

/** Puts the lots of an offer in order where they lie: from step to step hardly any changes its place. */
function sortByWorth(lots: number[], worth: Float64Array): void {
  for (let i = 1; i < lots.length; i++) {
    const lot = lots[i]!;
    let j = i;
    for (; j > 0 && worth[lots[j - 1]!]! < worth[lot]!; j--) lots[j] = lots[j - 1]!;
    lots[j] = lot;
  }
}
