import type { Random } from '../shared/random';
import type { Compiled } from './compile';
import type { Parcels } from './parcels';
import type { State } from './state';

/** Of each lot and seller the cheapest offer of his that serves it; -1 where he has none. */
export function cheapestOffers(c: Compiled): Int32Array {
  const cheapest = new Int32Array(c.lots * c.sellers).fill(-1);
  for (let lot = 0; lot < c.lots; lot++)
    for (const o of c.offersOfLot[lot]!) {
      const at = lot * c.sellers + c.offerSeller[o]!;
      if (cheapest[at]! < 0) cheapest[at] = o;
    }
  return cheapest;
}

/**
 * Divides two parcels anew: all that both could send goes to one of them, and then lot by lot to the other, those first
 * that it has to least disadvantage; where the two together cost least, it stops. Bands and least orders are full or
 * empty by many lots together, which moving them one at a time does not see.
 */
export class Sweep {
  private readonly cheapest: Int32Array;
  private readonly key: Float64Array;

  constructor(
    private readonly state: State,
    private readonly random: Random,
    private readonly parcels: Parcels,
  ) {
    this.cheapest = cheapestOffers(state.c);
    this.key = new Float64Array(state.c.lots);
  }

  /** Divides anew what two sellers have; the second may have nothing yet. */
  between(s: number, t: number): void {
    const { state } = this;
    const { c } = state;
    const lots: number[] = [];
    this.collect(s, t, lots);
    this.collect(t, s, lots);
    if (lots.length === 0) return;
    this.order(lots, s, t);
    const began = state.position;
    let [least, at] = [state.score, began];
    // All to the second, as far as there is room.
    for (const lot of lots) this.pass(lot, s, this.cheapest[lot * c.sellers + t]!);
    for (let i = 0; ; i++) {
      if (state.score < least - 1e-9) [least, at] = [state.score, state.position];
      if (i === lots.length) break;
      this.pass(lots[i]!, t, this.cheapest[lots[i]! * c.sellers + s]!);
    }
    state.rollBackTo(at);
  }

  private collect(from: number, other: number, lots: number[]): void {
    for (const lot of this.parcels.lotsOf(from))
      if (this.cheapest[lot * this.state.c.sellers + other]! >= 0 && !lots.includes(lot)) lots.push(lot);
  }

  private order(lots: number[], s: number, t: number): void {
    const { c } = this.state;
    const { random, key } = this;
    const [offS, offT] = [random() < 0.5 ? 0 : random(), random() < 0.5 ? 0 : random()];
    const byWeight = random() < 0.5;
    for (const lot of lots) {
      const [a, b] = [this.cheapest[lot * c.sellers + s]!, this.cheapest[lot * c.sellers + t]!];
      const more = c.offerPrice[a]! * (1 - offS) - c.offerPrice[b]! * (1 - offT);
      key[lot] = byWeight ? more / Math.max(0.01, c.grams[c.offerElement[a]!]!) : more / c.offerPrice[a]!;
    }
    lots.sort((x, y) => key[x]! - key[y]!);
  }

  /** What a lot has of a seller goes to an offer, as far as that has room. */
  private pass(lot: number, from: number, to: number): void {
    const { state } = this;
    for (const [source, n] of state.from[lot]!) {
      if (source < 0 || state.c.offerSeller[source] !== from) continue;
      const room = state.room(to);
      if (room <= 0) return;
      state.give(lot, source, -Math.min(n, room));
      state.give(lot, to, Math.min(n, room));
      return;
    }
  }
}
