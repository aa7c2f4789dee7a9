import { between, type Random } from '../shared/random';
import { changeBoxes } from './change-boxes';
import { ClosedSellers } from './closed-sellers';
import { priceOfNeed, type Compiled } from './compile';
import { filledAtOnce, filledByAdded, filledForMost } from './first-plans';
import { Parcels } from './parcels';
import { Passing } from './passing';
import { meetMore } from './meet-more';
import { mixFor, type Mix } from './mix';
import { fillLots, type RepairRules } from './repair';
import { Sweep } from './sweep';
import { scoreOf, State, type Saved } from './state';

/** Share of the moves that divide two parcels anew. */
const SWEEPS = 0.1;
/** Of those that put one lot elsewhere, the share that takes pieces from another lot, and that passes a lot on. */
const TAKE_OVER = 0.12;
const PASS_ON = 0.7;
/** Share of the others that are ejection chains. */
const CHAINS = 0.3;
/** Share of the closings that close two at once. */
const PAIRS = 0.25;

/**
 * Large-neighbourhood search over plans (Shaw 1998; simulated annealing after Kirkpatrick, Gelatt and Vecchi 1983):
 * close, open or exchange sellers, free one or two sellers' lots or a few lots, buy a donor more or fewer, then fill what
 * is open by least marginal cost. In between lots go from parcel to parcel, one by one or many at once (`Sweep`). The same seed and number of steps give the same plan.
 */
export class Search {
  readonly state: State;
  best: Saved;
  /** Where parcels are limited: plans from other choices of sellers, from which it may be begun as well, the best first. */
  readonly beginnings: readonly Saved[];
  private readonly shut: Uint8Array;
  private readonly sunk: Float64Array;
  private readonly parcels: Parcels;
  private readonly closed: ClosedSellers;
  private readonly passing: Passing;
  private readonly sweep: Sweep;
  private readonly mix: Mix;

  constructor(
    readonly c: Compiled,
    readonly random: Random,
    /** Plans to begin with besides those it makes. */
    byHand: readonly State[] = [],
    /** Donor copies to begin with, and to keep; null = none, and they are part of the search. */
    private readonly donors: Int32Array | null = null,
    /** A plan to go on from; null = it makes its own to begin with. */
    from: Saved | null = null,
  ) {
    const { first, others } = from ? { first: loaded(c, from), others: [] } : this.firstOf(byHand);
    this.mix = mixFor(c);
    this.state = first;
    this.beginnings = others.map((state) => state.save());
    this.best = first.save();
    this.shut = new Uint8Array(c.sellers);
    this.sunk = new Float64Array(c.sellers);
    this.closed = new ClosedSellers(this.state, random, this.shut);
    this.parcels = new Parcels(this.state, random, { shut: this.shut, sunk: this.sunk, blink: 0 });
    this.passing = new Passing(this.state, random, this.parcels);
    this.sweep = new Sweep(this.state, random, this.parcels);
  }

  /** The best of the plans to begin with, and where parcels are limited those from other sellers. */
  private firstOf(byHand: readonly State[]): { first: State; others: readonly State[] } {
    const { c, random, donors } = this;
    const begin = { c, random, donors };
    const own = [filledAtOnce(begin, true), filledByAdded(begin)];
    const starts = donors ? own : [...byHand, ...own, filledAtOnce(begin, false)];
    const forMost = c.maxSellers < c.sellers && !donors ? filledForMost(begin) : [];
    starts.push(...forMost.slice(0, 1));
    const first = [new State(c), ...starts].reduce((a, b) => (b.score < a.score ? b : a));
    // What can be met is met from the start: what a search has, it never gives up.
    if (first.unmet > 0 && !donors) meetMore(first);
    return { first, others: forMost };
  }

  /** Tells which closed sellers are worth trying, by their reduced costs: below zero is promising. */
  steer(reduced: Float64Array): void {
    this.closed.steer(reduced);
  }

  /** Puts a plan found elsewhere in the place of the present one, when it is better than the best. */
  adopt(saved: Saved): boolean {
    // A cost that is not told or cannot be is not less than anything.
    if (!(scoreOf(saved) < scoreOf(this.best))) return false;
    this.state.load(saved);
    this.best = this.state.save();
    return true;
  }

  /** Goes on from another plan, better or not. */
  goOnFrom(saved: Saved): void {
    this.state.load(saved);
    if (scoreOf(saved) < scoreOf(this.best)) this.best = saved;
  }

  /** Goes on from the best plan. */
  returnToBest(): void {
    this.state.load(this.best);
  }

  /** One step at a temperature in pence. */
  step(temperature: number): void {
    const { state, random } = this;
    const before = state.score;
    state.mark();
    this.move();
    const after = state.score;
    const worse = after - before;
    if (worse <= 0 || random() < Math.exp(-worse / Math.max(1e-9, temperature))) {
      if (after < scoreOf(this.best) - 1e-9) {
        this.best = state.save();
      }
      state.mark();
    } else {
      state.rollBack();
    }
  }

  /** Two parcels are divided anew between each other. */
  private divide(): void {
    const open = this.parcels.openSellers();
    if (open.length < 2) return this.freeSome();
    const s = open[between(this.random, 0, open.length - 1)]!;
    const t = open[between(this.random, 0, open.length - 1)]!;
    if (s !== t) this.sweep.between(s, t);
  }

  private move(): void {
    if (this.random() < SWEEPS) return this.divide();
    if (this.random() < this.mix.relocations) {
      const r = this.random();
      if (r < TAKE_OVER) return this.passing.takeOver(this.rules());
      return r < TAKE_OVER + PASS_ON ? this.passing.relocate() : this.passing.exchange(this.rules());
    }
    if (this.random() < CHAINS) return this.parcels.chain();
    const r = this.random();
    // With as many parcels as are allowed none is opened but in the place of another.
    const isFull = this.state.parcels >= this.c.maxSellers;
    const { boxes } = this.mix;
    if (r < 0.12) this.freeSome();
    else if (r < 0.3) this.freeRelated();
    else if (r < 0.42) this.shed();
    else if (r < 0.54) this.close(isFull);
    else if (r < 0.7) isFull ? this.close(true) : this.openOne();
    else if (r < 0.9 - boxes) this.close(true);
    else if (r < 1 - boxes || this.donors || this.c.donorPrice.length === 0) this.freeSellers();
    else this.refill(changeBoxes(this.state, this.random));
  }

  private rules(): RepairRules {
    return { shut: this.shut, sunk: this.sunk, blink: this.random() < 0.3 ? 0.08 : 0 };
  }

  /** Fills the lots that are open, in one of three orders. */
  private refill(lots: number[]): void {
    const { state, c } = this;
    const r = this.random();
    if (r < 0.4) shuffle(lots, this.random);
    else if (r < 0.75) lots.sort((a, b) => c.offersOfLot[a]!.length - c.offersOfLot[b]!.length);
    else lots.sort((a, b) => state.open[b]! - state.open[a]!);
    fillLots(state, lots, this.rules(), this.random);
  }

  /** Takes pieces of a seller back from the lots that have them; only those pieces are open then. */
  private takeBack(seller: number): number[] {
    const lots = this.parcels.lotsOf(seller);
    for (const lot of lots) this.parcels.takeLotBack(lot, seller);
    return lots;
  }

  private freeSome(): void {
    const { state, c, random } = this;
    const count = between(random, 2, Math.max(3, Math.min(24, c.lots >> 3)));
    const lots = new Set<number>();
    for (let i = 0; i < count; i++) lots.add(between(random, 0, c.lots - 1));
    for (const lot of lots) state.freeLot(lot);
    this.refill([...lots]);
  }

  /** Frees a few lots that one parcel serves or could serve: what they can exchange is his. */
  private freeRelated(): void {
    const { state, c, random } = this;
    const open = this.parcels.openSellers();
    if (open.length === 0) return this.freeSome();
    const offers = c.offersOfSeller[open[between(random, 0, open.length - 1)]!]!;
    const lots = new Set<number>();
    for (let i = between(random, 2, 12); i > 0; i--) {
      const serves = c.acceptedBy[c.offerElement[offers[between(random, 0, offers.length - 1)]!]!]!;
      lots.add(serves[between(random, 0, serves.length - 1)]!);
    }
    for (const lot of lots) state.freeLot(lot);
    this.refill([...lots]);
  }

  /** Makes a parcel light enough for a cheaper postage band: what saves least for its weight goes to others. */
  private shed(): void {
    const { state, c, random } = this;
    const heavy = this.parcels.openSellers().filter((s) => state.grams[s]! > c.bandGrams[s]![0]!);
    if (heavy.length === 0) return this.freeRelated();
    const a = heavy[between(random, 0, heavy.length - 1)]!;
    const band = this.parcels.bandOf(a);
    const lots = this.parcels.shedTo(a, c.bandGrams[a]![random() < 0.8 ? band - 1 : 0]!, -1);
    this.shut[a] = 1;
    this.refill(lots);
    this.shut[a] = 0;
  }

  private freeSellers(): void {
    const open = this.parcels.openSellers();
    if (open.length === 0) return;
    const lots = new Set<number>();
    for (let i = between(this.random, 1, 2); i > 0; i--)
      for (const lot of this.parcels.lotsOf(open[between(this.random, 0, open.length - 1)]!)) lots.add(lot);
    for (const lot of lots) this.state.freeLot(lot);
    this.refill([...lots]);
  }

  /** Closes a seller, small parcels more often; with `exchange`, another is opened for it. */
  private close(exchange: boolean): void {
    const open = this.parcels.openSellers();
    if (open.length === 0) return;
    const pick = () => open[between(this.random, 0, open.length - 1)]!;
    const [one, two] = [pick(), pick()];
    const a = this.state.value[two]! < this.state.value[one]! ? two : one;
    const lots = this.takeBack(a);
    const also = open.length > 2 && this.random() < PAIRS ? pick() : a;
    if (also !== a) lots.push(...this.takeBack(also));
    this.shut[a] = 1;
    this.shut[also] = 1;
    const other = exchange ? this.closed.pick() : -1;
    if (other >= 0) this.openWith(other, lots);
    else this.refill(lots);
    this.shut[a] = 0;
    this.shut[also] = 0;
  }

  private openOne(): void {
    const other = this.closed.pick();
    if (other >= 0) this.openWith(other, []);
  }

  /**
   * Tries a seller as though his parcel were paid: lots that he serves cheaper, or up to so much dearer this time, come to him,
   * and others with them.
   */
  private openWith(seller: number, more: readonly number[]): void {
    const { c, state, random } = this;
    const lots = new Set(more);
    const dearer = this.mix.dearer > 0 ? 1 + this.mix.dearer * random() : 1;
    for (const o of c.offersOfSeller[seller]!) {
      for (const lot of c.acceptedBy[c.offerElement[o]!]!) {
        if (lots.has(lot)) continue;
        if (dearer * this.state.dearest(lot) > priceOfNeed(c, o, c.need[lot]!) && random() < 0.9) {
          state.freeLot(lot);
          lots.add(lot);
        }
      }
    }
    const first = c.bandPence[seller]![0] ?? 0;
    this.sunk[seller] = first + (random() < 0.5 ? c.minOrder[seller]! : 0);
    this.refill([...lots]);
    this.sunk[seller] = 0;
  }
}

function shuffle(list: number[], random: Random): void {
  for (let i = list.length - 1; i > 0; i--) {
    const j = between(random, 0, i);
    [list[i], list[j]] = [list[j]!, list[i]!];
  }
}

function loaded(c: Compiled, saved: Saved): State {
  const state = new State(c);
  state.load(saved);
  return state;
}
