import { describe, expect, it } from 'vitest';
import { between, seededRandom } from '../shared/random';
import { buyingProblem, STRUCTURE_NAMES } from '../testing/buying-problems';
import { compile, type Compiled } from './compile';
import { filledAtOnce } from './first-plans';
import { Parcels } from './parcels';
import type { Problem } from './problem';
import { noRules } from './repair';
import { State } from './state';
import { cheapestOffers, Sweep } from './sweep';

function sweepOver(state: State, seed: number): Sweep {
  const random = seededRandom(seed);
  return new Sweep(state, random, new Parcels(state, random, noRules(state)));
}

const HEAVY_LOTS = 12;

/** Twelve lots of ten grams each that both sellers have at one price; up to a hundred grams go for less. */
const TWO_BANDS: Problem = {
  schema: 'makeup/1',
  name: 'two bands',
  elements: Array.from({ length: HEAVY_LOTS }, (_, i) => ({ id: `e${i}`, part: i, colour: 0, grams: 10 })),
  lots: Array.from({ length: HEAVY_LOTS }, (_, i) => ({ id: i, qty: 1, accept: [`e${i}`] })),
  sellers: ['one', 'other'].map((id) => ({
    id,
    minOrder: 0,
    postage: [
      { maxGrams: 100, pence: 200 },
      { maxGrams: 1000, pence: 500 },
    ],
    offers: Array.from({ length: HEAVY_LOTS }, (_, i) => ({
      element: `e${i}`,
      price: 10,
      stock: 5,
      minQty: 1,
      multiple: 1,
    })),
  })),
  donors: [],
  maxSellers: null,
};

/** Of each lot the cheapest offer of a seller. */
function cheapest(c: Compiled, seller: number): Int32Array {
  const offers = new Int32Array(c.lots);
  cheapestOffers(c, seller, offers);
  return offers;
}

describe('the cheapest offers of a seller', () => {
  it('are of each lot the one that costs least, and none where he has nothing', () => {
    const c = compile(buyingProblem('many acceptable', 'small', 3));
    for (let s = 0; s < c.sellers; s++)
      cheapest(c, s).forEach((found, lot) => {
        const offers = [...c.offersOfLot[lot]!].filter((o) => c.offerSeller[o] === s);
        if (offers.length === 0) expect(found).toBe(-1);
        else expect(c.offerPrice[found]).toBe(Math.min(...offers.map((o) => c.offerPrice[o]!)));
      });
  });
});

describe('dividing two parcels anew', () => {
  it('makes both light enough where no lot alone would', () => {
    const c = compile(TWO_BANDS);
    const state = new State(c);
    const offers = [cheapest(c, 0), cheapest(c, 1)];
    // Eleven of one seller and one of the other: the first is too heavy by one lot, and by two were one more his.
    for (let lot = 0; lot < HEAVY_LOTS; lot++) state.give(lot, offers[lot === 0 ? 1 : 0]![lot]!, 1);
    expect(state.cost).toBe(120 + 500 + 200);
    state.mark();
    sweepOver(state, 1).between(0, 1);
    expect(state.cost).toBe(120 + 200 + 200);
  });

  it('puts all into one parcel where that is cheapest', () => {
    const light = { ...TWO_BANDS, elements: TWO_BANDS.elements.map((e) => ({ ...e, grams: 1 })) };
    const c = compile(light);
    const state = new State(c);
    const offers = [cheapest(c, 0), cheapest(c, 1)];
    for (let lot = 0; lot < HEAVY_LOTS; lot++) state.give(lot, offers[lot % 2]![lot]!, 1);
    state.mark();
    sweepOver(state, 1).between(0, 1);
    expect(state.parcels).toBe(1);
    expect(state.cost).toBe(120 + 200);
  });

  it.each(STRUCTURE_NAMES)('never costs more, and leaves nothing unmet that was met: %s', (name) => {
    const c = compile(buyingProblem(name, 'small', 11));
    const random = seededRandom(11);
    const state = filledAtOnce({ c, random, donors: null }, true);
    const sweep = sweepOver(state, 5);
    const first = state.score;
    for (let i = 0; i < 200; i++) {
      const [s, t] = [between(random, 0, c.sellers - 1), between(random, 0, c.sellers - 1)];
      if (s === t) continue;
      state.mark();
      const before = state.score;
      sweep.between(s, t);
      expect(state.score).toBeLessThanOrEqual(before);
      if (state.parcels > c.maxSellers) state.rollBack();
    }
    expect(state.score).toBeLessThanOrEqual(first);
    const again = new State(c);
    again.load(state.save());
    expect(again.cost).toBeCloseTo(state.cost, 6);
    expect(again.unmet).toBe(state.unmet);
  });
});
