import { between, type Random } from '../shared/random';
import type { Parcels } from './parcels';
import { fillLots, type RepairRules } from './repair';
import type { State } from './state';

/** Moves of one lot, or of two: on to another parcel that is open, in the place of another lot, or for another lot's pieces. */
export class Passing {
  constructor(
    private readonly state: State,
    private readonly random: Random,
    private readonly parcels: Parcels,
  ) {}

  /** An offer of a lot in another open parcel with room, the cheaper the likelier; -1 where a few tries find none. */
  private elsewhere(lot: number, from: number): number {
    const { state, random } = this;
    const { c } = state;
    const offers = c.offersOfLot[lot]!;
    for (let tries = 0; tries < 6; tries++) {
      const o = offers[Math.floor(random() * random() * offers.length)]!;
      if (o !== from && state.active[c.offerSeller[o]!]! > 0 && state.room(o) > 0) return o;
    }
    return -1;
  }

  /** A source that serves a lot now, at random; null where there is none. */
  private sourceOf(lot: number): number | null {
    const sources = this.state.from[lot]!;
    const at = Math.floor(this.random() * sources.size);
    return at < sources.size ? sources.sourceAt(at) : null;
  }

  /** A lot at random, an offer that serves it, with its pieces, and another that could; null where a box serves it. */
  private wayElsewhere(): { lot: number; from: number; to: number; had: number } | null {
    const lot = between(this.random, 0, this.state.c.lots - 1);
    const from = this.sourceOf(lot) ?? -1;
    const to = from < 0 ? -1 : this.elsewhere(lot, from);
    return to < 0 ? null : { lot, from, to, had: this.state.from[lot]!.get(from) };
  }

  /** Some pieces of a lot go to another parcel that is open, whether or not that is cheaper there at once. */
  relocate(): void {
    const { state, random } = this;
    const way = this.wayElsewhere();
    if (!way) return;
    const { lot, from, to, had } = way;
    const wanted = random() < 0.25 ? between(random, 1, had) : had;
    state.give(lot, from, -wanted);
    state.give(lot, to, Math.min(wanted, state.room(to)));
    if (state.open[lot]! > 0) state.give(lot, from, Math.min(state.open[lot]!, state.room(from)));
  }

  /** A lot takes pieces over that another has, out of a box or of an offer that has no more; the other looks elsewhere. */
  takeOver(rules: RepairRules): void {
    const { state, random } = this;
    const { c } = state;
    const lot = between(random, 0, c.lots - 1);
    const accepts = c.accepts[lot]!;
    const e = accepts[between(random, 0, accepts.length - 1)]!;
    const rivals = c.acceptedBy[e]!;
    const other = rivals[between(random, 0, rivals.length - 1)]!;
    if (other === lot) return;
    const sources = state.from[other]!;
    for (let i = 0; i < sources.size; i++) {
      const [source, held] = [sources.sourceAt(i), sources.piecesAt(i)];
      if ((source < 0 ? -1 - source : c.offerElement[source]) !== e) continue;
      const own = this.sourceOf(lot);
      if (own === null || own === source) return;
      const n = Math.min(held, state.from[lot]!.get(own));
      state.give(other, source, -n);
      state.give(lot, own, -n);
      state.give(lot, source, n);
      return fillLots(state, [other], rules, random);
    }
  }

  /** Two lots change places between two parcels: what neither could do alone where a band or a least order is full. */
  exchange(rules: RepairRules): void {
    const { state, random } = this;
    const { c } = state;
    const way = this.wayElsewhere();
    if (!way) return;
    const { lot, from, to, had } = way;
    const [s, t] = [c.offerSeller[from]!, c.offerSeller[to]!];
    const back = this.parcels.lotsOf(t);
    const other = back[between(random, 0, back.length - 1)];
    if (other === undefined || other === lot) return;
    const home = c.offersOfLot[other]!.find((o) => c.offerSeller[o] === s && state.room(o) > 0);
    if (home === undefined || s === t) return;
    state.give(lot, from, -had);
    this.parcels.takeLotBack(other, t);
    state.give(lot, to, Math.min(had, state.room(to)));
    state.give(other, home, Math.min(state.open[other]!, state.room(home)));
    if (state.open[lot]! > 0 || state.open[other]! > 0) fillLots(state, [lot, other], rules, random);
  }
}
