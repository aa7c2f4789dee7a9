import type { Random } from '../shared/random';
import type { State } from './state';

/** What a repair may not use, and what it may take as paid. */
export interface RepairRules {
  /** Sellers that are shut for this repair. */
  readonly shut: Uint8Array;
  /** Parcel costs taken as paid already, by seller: how a closed seller is tried. 0 = none. */
  readonly sunk: Float64Array;
  /** Chance of taking the second best source instead of the best. */
  readonly blink: number;
}

/**
 * Fills a lot's open pieces one source after another, each time the one with the least cost for each piece that it can
 * give. Pieces out of donors that are there cost nothing. What no source has stays open.
 */
export function fillLot(state: State, lot: number, rules: RepairRules, random: Random): void {
  const { c } = state;
  takeFromDonors(state, lot);
  const offers = c.offersOfLot[lot]!;
  while (state.open[lot]! > 0) {
    const open = state.open[lot]!;
    let [best, bestN, bestCost] = [-1, 0, Infinity];
    for (let i = 0; i < offers.length; i++) {
      const o = offers[i]!;
      // Cheapest first: no later offer can beat a source that costs less than its bare price.
      if (c.offerPrice[o]! >= bestCost) break;
      const s = c.offerSeller[o]!;
      if (rules.shut[s]) continue;
      if (state.active[s] === 0 && state.parcels >= c.maxSellers) continue;
      const room = state.room(o);
      if (room <= 0) continue;
      const n = room < open ? room : open;
      // A closed parcel costs its postage at least: most are told dearer by that alone.
      if (state.active[s] === 0 && rules.sunk[s] === 0 && c.offerPrice[o]! + c.firstPence[s]! / n >= bestCost)
        continue;
      const each = state.marginal(o, n, rules.sunk[s]!) / n;
      const multiple = c.offerMultiple[o]!;
      // Sold in packs: whole packs alone may cost less a piece than all that is open, of which the last is begun.
      const whole = multiple > 1 && n % multiple > 0 ? n - (n % multiple) : 0;
      const eachWhole = whole > 0 ? state.marginal(o, whole, rules.sunk[s]!) / whole : Infinity;
      const least = eachWhole < each ? eachWhole : each;
      if (least >= bestCost) continue;
      if (rules.blink > 0 && random() < rules.blink) continue;
      [best, bestN, bestCost] = [o, eachWhole < each ? whole : n, least];
    }
    if (best < 0 || bestCost === Infinity) return;
    state.give(lot, best, bestN);
  }
}

export function takeFromDonors(state: State, lot: number): void {
  for (const e of state.c.accepts[lot]!) {
    if (state.open[lot]! <= 0) return;
    const n = Math.min(state.open[lot]!, state.donorThere[e]! - state.donorTaken[e]!);
    if (n > 0) state.give(lot, -1 - e, n);
  }
}

/** Fills some lots, in the order given. */
export function fillLots(state: State, lots: readonly number[], rules: RepairRules, random: Random): void {
  for (const lot of lots) fillLot(state, lot, rules, random);
}

export const noRules = (state: State): RepairRules => ({
  shut: new Uint8Array(state.c.sellers),
  sunk: new Float64Array(state.c.sellers),
  blink: 0,
});
