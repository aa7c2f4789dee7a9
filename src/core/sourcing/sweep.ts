import type { Random } from '../shared/random';
import type { Compiled } from './compile';
import type { Parcels } from './parcels';
import type { State } from './state';

/** Of each lot the cheapest offer of a seller that serves it, into `into`; -1 where he has none. */
export function cheapestOffers(c: Compiled, seller: number, into: Int32Array): void {
  into.fill(-1);
  for (const o of c.offersOfSeller[seller]!)
    for (const lot of c.acceptedBy[c.offerElement[o]!]!) {
      const known = into[lot]!;
      if (known < 0 || c.offerPrice[o]! < c.offerPrice[known]!) into[lot] = o;
    }
}

/**
 * Divides two parcels anew: all that both could send goes to one of them, and then lot by lot to the other, those first
 * that it has to least disadvantage; where the two together cost least, it stops. Bands and least orders are full or
 * empty by many lots together, which moving them one at a time does not see.
 */
export class Sweep {
  /** Scratch: of each lot the cheapest offer of the one seller, and of the other. */
  private readonly ofOne: Int32Array;
  private readonly ofOther: Int32Array;
  private readonly key: Float64Array;

  constructor(
    private readonly state: State,
    private readonly random: Random,
    private readonly parcels: Parcels,
  ) {
    this.ofOne = new Int32Array(state.c.lots);
    this.ofOther = new Int32Array(state.c.lots);
    this.key = new Float64Array(state.c.lots);
  }

  /** Divides anew what two sellers have; the second may have nothing yet. */
  between(s: number, t: number): void {
    const { state } = this;
    cheapestOffers(state.c, s, this.ofOne);
    cheapestOffers(state.c, t, this.ofOther);
    const both = [...this.parcels.lotsOf(s), ...this.parcels.lotsOf(t)];
    const lots = [...new Set(both)].filter((lot) => this.ofOne[lot]! >= 0 && this.ofOther[lot]! >= 0);
    if (lots.length === 0) return;
    this.order(lots);
    const began = state.position;
    let [least, at] = [state.score, began];
    // All to the second, as far as there is room.
    for (const lot of lots) this.pass(lot, s, this.ofOther[lot]!);
    for (let i = 0; ; i++) {
      if (state.score < least - 1e-9) [least, at] = [state.score, state.position];
      if (i === lots.length) break;
      this.pass(lots[i]!, t, this.ofOne[lots[i]!]!);
    }
    state.rollBackTo(at);
  }

  private order(lots: number[]): void {
    const { c } = this.state;
    const { random, key } = this;
    const [offS, offT] = [random() < 0.5 ? 0 : random(), random() < 0.5 ? 0 : random()];
    const byWeight = random() < 0.5;
    for (const lot of lots) {
      const [a, b] = [this.ofOne[lot]!, this.ofOther[lot]!];
      const more = c.offerPrice[a]! * (1 - offS) - c.offerPrice[b]! * (1 - offT);
      key[lot] = byWeight ? more / Math.max(0.01, c.grams[c.offerElement[a]!]!) : more / c.offerPrice[a]!;
    }
    lots.sort((x, y) => key[x]! - key[y]!);
  }

  /** What a lot has of a seller goes to an offer, as far as that has room. */
  private pass(lot: number, from: number, to: number): void {
    const { state } = this;
    const held = state.from[lot]!;
    for (let i = 0; i < held.size; i++) {
      const [source, n] = [held.sourceAt(i), held.piecesAt(i)];
      if (source < 0 || state.c.offerSeller[source] !== from) continue;
      const room = state.room(to);
      if (room <= 0) return;
      state.give(lot, source, -Math.min(n, room));
      state.give(lot, to, Math.min(n, room));
      return;
    }
  }
}
