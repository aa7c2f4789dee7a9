import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { between, seededRandom } from '../shared/random';
import { faultsOf, randomProblem } from '../testing/sourcing';
import { cheapestEach, fewestSellers } from './by-hand';
import { boughtFor, compile, postageOf, type Compiled } from './compile';
import { planOf, savedFrom } from './plan';
import type { Problem, ProblemId, ProblemOffer } from './problem';
import { reachableNeed } from './reachable';
import { fillLots, noRules } from './repair';
import { State } from './state';

const offer = (element: string, price: number, more: Partial<ProblemOffer> = {}): ProblemOffer => ({
  element,
  price,
  stock: 100,
  minQty: 1,
  multiple: 1,
  ...more,
});
const flat = (pence: number) => [{ maxGrams: 10_000, pence }];

/** Two lots, three sellers: the cheapest of each are two parcels, and one seller has both for a little more. */
const TWO_LOTS: Problem = {
  schema: 'makeup/1',
  name: 'two lots',
  elements: ['a', 'b'].map((id) => ({ id, part: id, colour: 'ash', grams: 2 })),
  lots: ['a', 'b'].map((id) => ({ id: `lot ${id}`, qty: 10, accept: [id] })),
  sellers: [
    { id: 'has a', minOrder: 0, postage: flat(200), offers: [offer('a', 5)] },
    { id: 'has b', minOrder: 0, postage: flat(200), offers: [offer('b', 5)] },
    { id: 'has both', minOrder: 0, postage: flat(200), offers: [offer('a', 8), offer('b', 8)] },
  ],
  donors: [],
  maxSellers: null,
};

const scored = (c: Compiled, problem: Problem, state: State) =>
  planOf(c, problem, state.save(), {
    status: 'bestSoFar',
    floor: 0,
    byHand: { cheapestEach: 0, fewestSellers: 0 },
  });

/** Gives pieces here and there, as a search would, within what the offers and donors hold. */
function giveAtRandom(state: State, seed: number, times: number): void {
  const { c } = state;
  const random = seededRandom(seed);
  for (let i = 0; i < times; i++) {
    const lot = between(random, 0, c.lots - 1);
    const held = state.from[lot]!.rows();
    if (held.length > 0 && random() < 0.35) {
      const [source, n] = held[between(random, 0, held.length - 1)]!;
      state.give(lot, source, -between(random, 1, n));
      continue;
    }
    const d = between(random, 0, c.donorPrice.length - 1);
    if (random() < 0.1 && state.copies[d]! < c.donorMax[d]!) state.setCopies(d, 1);
    const spare = c.accepts[lot]!.find((e) => state.donorThere[e]! > state.donorTaken[e]!);
    const offers = c.offersOfLot[lot]!;
    const o = offers.length > 0 ? offers[between(random, 0, offers.length - 1)]! : -1;
    const open = state.open[lot]!;
    if (open === 0) continue;
    if (spare !== undefined && random() < 0.5) state.give(lot, -1 - spare, 1);
    else if (o >= 0) state.give(lot, o, Math.min(between(random, 1, open), c.offerCap[o]! - state.used[o]!));
  }
}

const pictureOf = (s: State) => ({
  unmet: s.unmet,
  parcels: s.parcels,
  used: [...s.used],
  active: [...s.active],
  copies: [...s.copies],
  there: [...s.donorThere],
  taken: [...s.donorTaken],
  open: [...s.open],
  value: [...s.value],
  from: s.from.map((held) => held.rows().sort((a, b) => a[0] - b[0])),
});

describe('a plan while it is searched', () => {
  it('costs what its parcels cost, whatever was given and taken back', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 9999 }), (seed) => {
        const problem = { ...randomProblem(seed, 10, 6), maxSellers: null };
        const c = compile(problem);
        const state = new State(c);
        giveAtRandom(state, seed, 80);
        // The checker adds every parcel up again from the problem's own text.
        expect(faultsOf(problem, scored(c, problem, state))).toEqual([]);
        expect(state.unmet).toBe(state.open.reduce((a, b) => a + b, 0));
      }),
    ));

  it('rolls back to the mark, and comes back from what was put away', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 9999 }), (seed) => {
        const c = compile({ ...randomProblem(seed, 10, 6), maxSellers: null });
        const state = new State(c);
        giveAtRandom(state, seed, 40);
        const [before, saved] = [pictureOf(state), state.save()];
        state.mark();
        giveAtRandom(state, seed + 1, 40);
        state.rollBack();
        expect(pictureOf(state)).toEqual(before);
        expect(state.cost).toBeCloseTo(saved.cost, 6);
        giveAtRandom(state, seed + 2, 40);
        state.load(saved);
        expect(pictureOf(state)).toEqual(before);
        expect(state.cost).toBeCloseTo(saved.cost, 6);
      }),
    ));

  it('tells beforehand what more pieces would cost', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 9999 }), (seed) => {
        const c = compile({ ...randomProblem(seed, 8, 5), maxSellers: null });
        const state = new State(c);
        giveAtRandom(state, seed, 30);
        const lot = state.open.findIndex((n) => n > 0);
        const o = lot < 0 ? undefined : c.offersOfLot[lot]!.find((x) => state.used[x]! < c.offerCap[x]!);
        if (o === undefined) return;
        const [told, before] = [state.marginal(o, 1, 0), state.cost];
        state.give(lot, o, 1);
        expect(state.cost - before).toBeCloseTo(told, 6);
      }),
    ));
});

describe('what is sold', () => {
  it('is bought in the least order and in whole multiples', () => {
    expect([0, 1, 5, 6, 11].map((n) => boughtFor(n, 5, 5))).toEqual([0, 5, 5, 10, 15]);
    expect([1, 3, 4].map((n) => boughtFor(n, 3, 1))).toEqual([3, 3, 4]);
  });

  it('is posted in the first band that holds it, the edge included', () => {
    const c = compile({
      ...TWO_LOTS,
      sellers: [
        {
          id: 's',
          minOrder: 0,
          postage: [
            { maxGrams: 100, pence: 150 },
            { maxGrams: 500, pence: 320 },
          ],
          offers: [offer('a', 1)],
        },
      ],
    });
    expect([0, 100, 100.1, 500, 501].map((g) => postageOf(c, 0, g))).toEqual([150, 150, 320, 320, Infinity]);
  });

  it('is left out when nothing wants it, its stock is below its least order, or a like offer beats it', () => {
    const base = TWO_LOTS.sellers[0]!;
    const offersLeft = (offers: ProblemOffer[], accept: string[][]) => {
      const c = compile({
        ...TWO_LOTS,
        lots: accept.map((a, i) => ({ id: `l${i}`, qty: 10, accept: a })),
        sellers: [{ ...base, offers }],
      });
      return Array.from(c.offerElement, (e, i) => [TWO_LOTS.elements[e]!.id, c.offerCap[i]]);
    };
    expect(offersLeft([offer('a', 5), offer('b', 5)], [['a']])).toEqual([['a', 100]]);
    expect(offersLeft([offer('a', 5, { stock: 4, minQty: 5 })], [['a']])).toEqual([]);
    expect(offersLeft([offer('a', 5, { stock: 14, multiple: 5 })], [['a']])).toEqual([['a', 10]]);
    expect(offersLeft([offer('a', 5), offer('b', 6)], [['a', 'b']])).toEqual([['a', 100]]);
    // A second lot takes only b: then b is needed after all.
    expect(offersLeft([offer('a', 5), offer('b', 6)], [['a', 'b'], ['b']])).toHaveLength(2);
    // Too few of the cheaper to cover the lot: the dearer stays.
    expect(offersLeft([offer('a', 5, { stock: 4 }), offer('b', 6)], [['a', 'b']])).toHaveLength(2);
  });
});

describe('plans made by hand', () => {
  it('the cheapest of each pays two parcels, the fewest sellers pays one', () => {
    const c = compile(TWO_LOTS);
    expect(cheapestEach(c)).toMatchObject({ cost: 10 * 5 + 200 + 10 * 5 + 200, parcels: 2, unmet: 0 });
    expect(fewestSellers(c)).toMatchObject({ cost: 20 * 8 + 200, parcels: 1, unmet: 0 });
  });

  it('the fewest sellers fills up from the next when the first runs out', () => {
    const sellers = TWO_LOTS.sellers.map((s) =>
      s.id === 'has both' ? { ...s, offers: s.offers.map((o) => ({ ...o, stock: 8 })) } : s,
    );
    expect(fewestSellers(compile({ ...TWO_LOTS, sellers }))).toMatchObject({ parcels: 3, unmet: 0 });
    const two = fewestSellers(compile({ ...TWO_LOTS, sellers, maxSellers: 2 }));
    expect(two).toMatchObject({ parcels: 2, unmet: 2 });
  });

  it('a short parcel is paid up to the least order', () => {
    const sellers = TWO_LOTS.sellers.slice(2).map((s) => ({ ...s, minOrder: 500 }));
    expect(cheapestEach(compile({ ...TWO_LOTS, sellers }))).toMatchObject({ cost: 500 + 200 });
  });
});

describe('filling what is open', () => {
  const filled = (problem: Problem, shut: ProblemId[] = []) => {
    const state = new State(compile(problem));
    const rules = noRules(state);
    problem.sellers.forEach((s, i) => (rules.shut[i] = shut.includes(s.id) ? 1 : 0));
    fillLots(state, [0, 1], rules, seededRandom(1));
    return state;
  };

  it('counts the postage of a new parcel, so the second lot joins a parcel that is open', () => {
    const state = filled(TWO_LOTS, ['has a']);
    expect(state).toMatchObject({ parcels: 1, cost: 360, unmet: 0 });
  });

  it('buys nothing of a seller who is shut, and opens no more parcels than allowed', () => {
    expect(filled(TWO_LOTS, ['has both', 'has b'])).toMatchObject({ parcels: 1, unmet: 10 });
    expect(filled({ ...TWO_LOTS, maxSellers: 1 }, ['has both'])).toMatchObject({ parcels: 1, unmet: 10 });
  });

  it('takes pieces of a box that is there before it pays for any', () => {
    const problem = {
      ...TWO_LOTS,
      donors: [{ id: 'box', price: 90, maxCopies: 1, yields: [{ element: 'a', qty: 7 }] }],
    };
    const state = new State(compile(problem));
    state.setCopies(0, 1);
    fillLots(state, [0], noRules(state), seededRandom(1));
    expect(state).toMatchObject({ cost: 90 + 3 * 5 + 200, unmet: 10 });
    expect(state.donorTaken[0]).toBe(7);
  });
});

describe('what is available at all', () => {
  /** The largest flow again, a piece at a time, without a line of the other. */
  function mostPieces(problem: Problem): number {
    const left = new Map<ProblemId, number>();
    const add = (e: ProblemId, n: number) => left.set(e, (left.get(e) ?? 0) + n);
    for (const s of problem.sellers)
      for (const o of s.offers) {
        const whole = Math.floor(o.stock / o.multiple) * o.multiple;
        if (whole >= o.minQty) add(o.element, whole);
      }
    for (const d of problem.donors) for (const y of d.yields) add(y.element, y.qty * d.maxCopies);
    const holders = new Map<ProblemId, ProblemId[]>();
    const accept = new Map(problem.lots.map((l) => [l.id, l.accept]));
    const serve = (lot: ProblemId, seen: Set<ProblemId>): boolean =>
      (accept.get(lot) ?? []).some((e) => {
        if (seen.has(e)) return false;
        seen.add(e);
        const held = holders.get(e) ?? [];
        holders.set(e, held);
        if (held.length < (left.get(e) ?? 0)) return held.push(lot) > 0;
        const mover = held.findIndex((other) => other !== lot && serve(other, seen));
        if (mover < 0) return false;
        held[mover] = lot;
        return true;
      });
    let met = 0;
    for (const l of problem.lots) for (let n = 0; n < l.qty; n++) if (serve(l.id, new Set())) met++;
    return met;
  }

  it('is the largest flow of elements to lots, and no lot gets more than it needs', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 9999 }), (seed) => {
        const base = randomProblem(seed, 10, 2);
        // Substitutes everywhere, so that lots contend.
        const random = seededRandom(seed);
        const problem: Problem = {
          ...base,
          lots: base.lots.map((l) => ({
            ...l,
            accept: [...new Set([...l.accept, `e${between(random, 0, 9)}`])],
          })),
        };
        const c = compile(problem);
        const had = reachableNeed(c);
        had.forEach((n, l) => expect(n).toBeLessThanOrEqual(c.need[l]!));
        expect(had.reduce((a, b) => a + b, 0)).toBe(mostPieces(problem));
      }),
    ));
});

describe('a plan given as bought quantities', () => {
  it('serves again at least what it served, at no more', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 9999 }), (seed) => {
        const problem = { ...randomProblem(seed, 10, 6), maxSellers: null };
        const c = compile(problem);
        const state = fewestSellers(c);
        const shares = (lot: number, element: number) =>
          state.from[lot]!.rows().reduce((n, [o, q]) => (c.offerElement[o] === element ? n + q : n), 0);
        const bought = (o: number) => boughtFor(state.used[o]!, c.offerMin[o]!, c.offerMultiple[o]!);
        const again = savedFrom(c, bought, new Int32Array(c.donorPrice.length), shares);
        expect(again.unmet).toBeLessThanOrEqual(state.unmet);
        expect(again.cost).toBeLessThanOrEqual(state.cost + 1e-6);
      }),
    ));
});
