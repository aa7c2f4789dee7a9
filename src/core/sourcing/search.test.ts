import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../shared/random';
import { faultsIn, randomProblem } from '../testing/sourcing';
import { anneal } from './anneal';
import { cheapestEach, fewestSellers } from './by-hand';
import { compile } from './compile';
import { filledAtOnce, filledByAdded } from './first-plans';
import { Parcels } from './parcels';
import type { Problem } from './problem';
import { reachableNeed } from './reachable';
import { noRules } from './repair';
import { Search } from './search';
import { scoreOf } from './state';

const seeds = fc.integer({ min: 1, max: 9999 });
const total = (list: Iterable<number>) => [...list].reduce((a, b) => a + b, 0);

const unlimited = (seed: number, lots = 14, sellers = 8): Problem => ({
  ...randomProblem(seed, lots, sellers),
  maxSellers: null,
});

describe('plans to begin with', () => {
  it('are lawful, and a limit of parcels is kept by every one of them', () =>
    fc.assert(
      fc.property(seeds, (seed) => {
        const problem = randomProblem(seed, 12, 8);
        const c = compile(problem);
        const begin = { c, random: seededRandom(seed), donors: null };
        for (const state of [filledAtOnce(begin, true), filledAtOnce(begin, false), filledByAdded(begin)]) {
          expect(faultsIn(c, problem, state.save())).toEqual([]);
          expect(state.parcels).toBeLessThanOrEqual(problem.maxSellers ?? Infinity);
        }
      }),
    ));

  it('leave nothing open that is available where lots do not contend', () =>
    fc.assert(
      fc.property(seeds, (seed) => {
        const base = unlimited(seed);
        // A piece of everything in stock, one by one: then first come is first served and nobody is in the way.
        const problem: Problem = {
          ...base,
          donors: [],
          lots: base.lots.map((l) => ({ ...l, accept: l.accept.slice(0, 1) })),
          sellers: base.sellers.map((s) => ({
            ...s,
            offers: s.offers.map((o) => ({ ...o, minQty: 1, multiple: 1 })),
          })),
        };
        const c = compile(problem);
        const open = total(c.need) - total(reachableNeed(c));
        const begin = { c, random: seededRandom(seed), donors: null };
        for (const state of [filledAtOnce(begin, true), filledByAdded(begin)]) expect(state.unmet).toBe(open);
      }),
    ));

  it('take of the boxes they are given before they pay for a piece', () => {
    const c = compile({
      ...unlimited(3, 6, 4),
      donors: [
        {
          id: 'all',
          price: 50,
          maxCopies: 1,
          yields: unlimited(3, 6, 4).elements.map((e) => ({ element: e.id, qty: 99 })),
        },
      ],
    });
    const state = filledAtOnce({ c, random: seededRandom(1), donors: Int32Array.of(1) }, true);
    expect(state).toMatchObject({ cost: 50, parcels: 0, unmet: 0 });
  });
});

describe('parcels of a plan', () => {
  const filled = (seed: number) => {
    const problem = unlimited(seed);
    const c = compile(problem);
    const random = seededRandom(seed);
    const state = filledAtOnce({ c, random, donors: null }, false);
    return { problem, c, random, state, parcels: new Parcels(state, random, noRules(state)) };
  };

  it('are those that something is bought of, each with the lots it supplies', () =>
    fc.assert(
      fc.property(seeds, (seed) => {
        const { c, state, parcels } = filled(seed);
        const supplied = new Map<number, Set<number>>();
        state.from.forEach((sources, lot) => {
          for (const [o] of sources.rows())
            if (o >= 0)
              supplied.set(c.offerSeller[o]!, (supplied.get(c.offerSeller[o]!) ?? new Set()).add(lot));
        });
        expect(parcels.openSellers()).toEqual([...supplied.keys()].sort((a, b) => a - b));
        for (const [seller, lots] of supplied)
          expect(parcels.lotsOf(seller).sort((a, b) => a - b)).toEqual([...lots].sort((a, b) => a - b));
      }),
    ));

  it('are in the lightest band that holds them', () =>
    fc.assert(
      fc.property(seeds, (seed) => {
        const { c, state, parcels } = filled(seed);
        for (const s of parcels.openSellers()) {
          const band = parcels.bandOf(s);
          expect(state.grams[s]!).toBeLessThanOrEqual(c.bandGrams[s]![band]! + 1e-6);
          if (band > 0) expect(state.grams[s]!).toBeGreaterThan(c.bandGrams[s]![band - 1]!);
        }
      }),
    ));

  it('get light enough when lots are taken back, and no more are taken than must be', () =>
    fc.assert(
      fc.property(seeds, (seed) => {
        const { c, state, parcels } = filled(seed);
        const [seller] = parcels.openSellers();
        if (seller === undefined) return;
        const keep = parcels.lotsOf(seller)[0]!;
        const limit = state.grams[seller]! / 2;
        const before = new Set(parcels.lotsOf(seller));
        const shed = parcels.shedTo(seller, limit, keep);
        expect(shed).not.toContain(keep);
        expect(shed.every((lot) => before.has(lot))).toBe(true);
        const left = parcels.lotsOf(seller);
        expect(left).toEqual(expect.arrayContaining([...before].filter((lot) => !shed.includes(lot))));
        // Light enough, unless the one that stays is too heavy by itself.
        expect(state.grams[seller]! <= limit + 1e-6 || left.length === 1).toBe(true);
        for (const lot of shed) expect(state.open[lot]).toBeGreaterThan(0);
        expect(c.need[keep]).toBeGreaterThan(0);
      }),
    ));

  it('stay lawful through chains, and a chain can be undone whole', () =>
    fc.assert(
      fc.property(seeds, (seed) => {
        const { problem, c, state, parcels } = filled(seed);
        for (let n = 0; n < 6; n++) {
          const saved = state.save();
          state.mark();
          parcels.chain();
          expect(faultsIn(c, problem, state.save())).toEqual([]);
          if (n % 2 === 0) continue;
          state.rollBack();
          expect(state.cost).toBeCloseTo(saved.cost, 6);
          expect(state.unmet).toBe(saved.unmet);
        }
      }),
      { numRuns: 40 },
    ));
});

describe('a search', () => {
  it('keeps every limit at every temperature, and its best only gets better', () =>
    fc.assert(
      fc.property(seeds, (seed) => {
        const problem = randomProblem(seed, 12, 8);
        const c = compile(problem);
        const search = new Search(c, seededRandom(seed), [cheapestEach(c), fewestSellers(c)]);
        let best = scoreOf(search.best);
        for (let i = 0; i < 60; i++) {
          search.step(i % 3 === 0 ? 400 : 1);
          expect(scoreOf(search.best)).toBeLessThanOrEqual(best + 1e-6);
          best = scoreOf(search.best);
        }
        expect(faultsIn(c, problem, search.best)).toEqual([]);
        expect(faultsIn(c, problem, search.state.save())).toEqual([]);
        expect(search.state.score).toBeGreaterThanOrEqual(best - 1e-6);
      }),
      { numRuns: 60 },
    ));

  it('takes up a better plan from elsewhere and leaves a worse one', () => {
    const c = compile(unlimited(12, 40, 20));
    const [good, poor] = [1, 2].map((n) => new Search(c, seededRandom(n))) as [Search, Search];
    for (let i = 0; i < 300; i++) anneal(good, i / 300);
    const before = scoreOf(poor.best);
    expect(scoreOf(good.best)).toBeLessThan(before);
    expect(good.adopt(poor.best)).toBe(false);
    expect(poor.adopt(good.best)).toBe(true);
    expect(scoreOf(poor.best)).toBeCloseTo(scoreOf(good.best), 6);
    expect(poor.state.score).toBeCloseTo(scoreOf(good.best), 6);
  });

  it('that keeps its boxes buys no others, and one that does not may', () => {
    const problem: Problem = {
      ...unlimited(5, 12, 6),
      donors: [
        {
          id: 'gift',
          price: 1,
          maxCopies: 1,
          yields: unlimited(5, 12, 6).elements.map((e) => ({ element: e.id, qty: 40 })),
        },
      ],
    };
    const c = compile(problem);
    const [kept, free] = [Int32Array.of(0), null].map(
      (donors) => new Search(c, seededRandom(4), [], donors),
    ) as [Search, Search];
    for (let i = 0; i < 200; i++) {
      anneal(kept, i / 200);
      anneal(free, i / 200);
    }
    expect([...kept.best.copies]).toEqual([0]);
    expect([...free.best.copies]).toEqual([1]);
    expect(free.best.cost).toBe(1);
  });
});
