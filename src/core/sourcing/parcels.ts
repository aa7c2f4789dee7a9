import { between, type Random } from '../shared/random';
import { fillLots, type RepairRules } from './repair';
import type { State } from './state';

/** How long an ejection chain gets. */
const DEPTH = 4;
/** What having a piece of a lot that nobody open has counts for, in pence, when prices are compared. */
export const OPEN_LOT = 1000;

/** Parcels of a plan that is being searched: what is in them, and passing it on from one to another. */
export class Parcels {
  /** Scratch: the last list that each lot was put in, and how many lists there were. */
  private readonly listed: Float64Array;
  private lists = 0;

  constructor(
    private readonly state: State,
    private readonly random: Random,
    /** Whose `shut` marks sellers that may not be used; a chain marks its own while it runs. */
    private readonly rules: RepairRules,
  ) {
    this.listed = new Float64Array(state.c.lots);
  }

  /** Lots that a seller supplies. */
  lotsOf(seller: number): number[] {
    const { state, listed } = this;
    const { c, used } = state;
    const lots: number[] = [];
    const now = ++this.lists;
    const offers = c.offersOfSeller[seller]!;
    for (let i = 0; i < offers.length; i++) {
      const o = offers[i]!;
      if (used[o] === 0) continue;
      const serves = c.acceptedBy[c.offerElement[o]!]!;
      for (let k = 0; k < serves.length; k++) {
        const lot = serves[k]!;
        if (listed[lot] === now || !state.from[lot]!.has(o)) continue;
        listed[lot] = now;
        lots.push(lot);
      }
    }
    return lots;
  }

  openSellers(): number[] {
    const found: number[] = [];
    for (let s = 0; s < this.state.c.sellers; s++) if (this.state.active[s]! > 0) found.push(s);
    return found;
  }

  takeLotBack(lot: number, seller: number): void {
    const held = this.state.from[lot]!;
    for (let i = 0; i < held.size;) {
      const source = held.sourceAt(i);
      if (source >= 0 && this.state.c.offerSeller[source] === seller)
        this.state.give(lot, source, -held.piecesAt(i));
      else i++;
    }
  }

  bandOf(seller: number): number {
    const grams = this.state.grams[seller]!;
    const bands = this.state.c.bandGrams[seller]!;
    for (let b = 0; b < bands.length; b++) if (grams <= bands[b]! + 1e-9) return b;
    return bands.length;
  }

  /** Takes lots back from a parcel, those first that cost least elsewhere for their weight, until it is within a limit. */
  shedTo(seller: number, limit: number, except: number): number[] {
    const given = this.lotsOf(seller)
      .filter((lot) => lot !== except)
      .map((lot) => ({ lot, loss: this.lossOf(lot, seller) * (0.5 + this.random()) }))
      .sort((x, y) => x.loss - y.loss);
    const lots: number[] = [];
    for (const { lot } of given) {
      if (this.state.grams[seller]! <= limit + 1e-9) break;
      this.takeLotBack(lot, seller);
      lots.push(lot);
    }
    return lots;
  }

  /**
   * An ejection chain (Glover 1996): a lot goes to another parcel that is open, what that makes the parcel too heavy for
   * its band goes on to a third, and so forth. It finds the exchanges that filling lot by lot cannot see.
   */
  chain(): void {
    const { state, random } = this;
    const { c } = state;
    const first = between(random, 0, c.lots - 1);
    const sources = state.from[first]!.rows().flatMap(([o]) => (o >= 0 ? [o] : []));
    if (sources.length === 0) return;
    const from = c.offerSeller[sources[between(random, 0, sources.length - 1)]!]!;
    const shut = [from];
    this.rules.shut[from] = 1;
    this.takeLotBack(first, from);
    let moving = [first];
    for (let depth = 0; depth < DEPTH && moving.length > 0; depth++) {
      const ejected: number[] = [];
      for (const lot of moving) {
        const to = this.otherParcel(lot);
        if (to < 0) {
          fillLots(state, [lot], this.rules, random);
          continue;
        }
        const s = c.offerSeller[to]!;
        const band = this.bandOf(s);
        state.give(lot, to, Math.min(state.open[lot]!, state.room(to)));
        if (this.bandOf(s) > band) {
          ejected.push(...this.shedTo(s, c.bandGrams[s]![band]!, lot));
          this.rules.shut[s] = 1;
          shut.push(s);
        }
        if (state.open[lot]! > 0) fillLots(state, [lot], this.rules, random);
      }
      moving = ejected;
    }
    if (moving.length > 0) fillLots(state, moving, this.rules, random);
    for (const s of shut) this.rules.shut[s] = 0;
  }

  /** An offer of a lot in a parcel that is open, the cheaper the likelier; -1 when there is none. */
  private otherParcel(lot: number): number {
    const { state, random } = this;
    const { c } = state;
    let last = -1;
    for (const o of c.offersOfLot[lot]!) {
      const s = c.offerSeller[o]!;
      if (this.rules.shut[s] || state.active[s] === 0 || state.room(o) <= 0) continue;
      last = o;
      if (random() < (state.value[s]! < c.minOrder[s]! ? 0.85 : 0.5)) return o;
    }
    return last;
  }

  /** What a gram of a lot would cost more, about, at the cheapest other parcel that is open. */
  private lossOf(lot: number, seller: number): number {
    const { state } = this;
    const { c } = state;
    let [own, grams] = [0, 0.01];
    const held = state.from[lot]!;
    for (let i = 0; i < held.size; i++) {
      const source = held.sourceAt(i);
      if (source < 0 || c.offerSeller[source] !== seller) continue;
      own = state.value[seller]! < c.minOrder[seller]! ? 0 : c.offerPrice[source]!;
      grams = Math.max(0.01, c.grams[c.offerElement[source]!]!);
    }
    const offers = c.offersOfLot[lot]!;
    for (let i = 0; i < offers.length; i++) {
      const o = offers[i]!;
      const s = c.offerSeller[o]!;
      if (s === seller || state.active[s] === 0 || state.used[o]! >= c.offerCap[o]!) continue;
      return (c.offerPrice[o]! - own) / grams;
    }
    return OPEN_LOT / grams;
  }
}
