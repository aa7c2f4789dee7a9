import { describe, expect, it } from 'vitest';
import { buyingProblem, STRUCTURE_NAMES } from '../testing/buying-problems';
import { randomProblem } from '../testing/sourcing';
import { inStock, market, type MadeMarket } from '../testing/made-market';
import { compile } from './compile';
import { forcedBy, narrowed } from './forced';
import { LowerBound } from './lower-bound';
import type { Problem } from './problem';
import { reachableNeed } from './reachable';
import { nothingSettled, OPENED, SHUT } from './settled';
import { Solver } from './solver';

const box = (id: string, maxCopies: number, yields: Readonly<Record<string, number>>) => ({
  id,
  price: 1000,
  maxCopies,
  yields: Object.entries(yields),
});

const problem = (
  lots: readonly (readonly [qty: number, ...accept: string[]])[],
  sellers: MadeMarket['sellers'],
  boxes: MadeMarket['boxes'] = [],
): Problem =>
  market({
    lots: lots.map(([qty, ...accept], i) => [`lot ${i}`, qty, accept] as const),
    sellers,
    boxes,
    elements: ['a', 'b', 'c'],
  });

function forced(p: Problem): { sellers: unknown[]; copies: number[] } {
  const c = compile(p);
  const { sellers, leastCopies } = forcedBy(c, reachableNeed(c));
  return {
    sellers: p.sellers.filter((_, s) => sellers[s] === OPENED).map((s) => s.id),
    copies: [...leastCopies],
  };
}

describe('what every plan has', () => {
  it('is the seller without whom a lot lacks a piece, and no other', () => {
    const p = problem(
      [[10, 'a']],
      [inStock('most', { a: 8 }), inStock('few', { a: 3 }), inStock('some', { a: 6 })],
    );
    expect(forced(p).sellers).toEqual(['most']);
  });

  it('is nobody where all others together have enough', () => {
    const p = problem(
      [[9, 'a']],
      [inStock('most', { a: 8 }), inStock('few', { a: 3 }), inStock('some', { a: 6 })],
    );
    expect(forced(p).sellers).toEqual([]);
  });

  it('is as many copies of a box as bring what sellers lack, packs of three by the whole', () => {
    const p = problem([[12, 'a']], [inStock('few', { a: 5 })], [box('threes', 4, { a: 3 })]);
    expect(forced(p)).toEqual({ sellers: [], copies: [3] });
  });

  it('is all there is, where even that is too little', () => {
    const p = problem([[50, 'a']], [inStock('few', { a: 5 })], [box('threes', 4, { a: 3 })]);
    expect(forced(p)).toEqual({ sellers: ['few'], copies: [4] });
  });

  it('counts all elements that a lot takes', () => {
    const p = problem([[10, 'a', 'b']], [inStock('both', { a: 4, b: 4 }), inStock('one', { b: 5 })]);
    expect(forced(p).sellers).toEqual(['both', 'one']);
  });

  it('is who has what lots compete for: whichever of them goes without, the others need it', () => {
    const p = problem(
      [
        [5, 'a'],
        [5, 'a', 'b'],
      ],
      [inStock('has a', { a: 5 }), inStock('has b', { b: 2 }), inStock('has none', { c: 9 })],
    );
    expect(forced(p).sellers).toEqual(['has a', 'has b']);
  });

  it('is as many copies as lots need that only a box has, though there is too little for them all', () => {
    const p = problem(
      [
        [12, 'a'],
        [4, 'a', 'b'],
      ],
      [inStock('has b', { b: 9 })],
      [box('single', 3, { a: 1 }), box('of c', 2, { c: 8 })],
    );
    expect(forced(p)).toEqual({ sellers: ['has b'], copies: [3, 0] });
  });

  it('is nothing where fewer parcels are allowed than that would take', () => {
    const p = problem(
      [
        [5, 'a'],
        [5, 'b'],
      ],
      [inStock('has a', { a: 5 }), inStock('has b', { b: 5 })],
      [box('of c', 2, { c: 1 })],
    );
    expect(forced({ ...p, maxSellers: 2 }).sellers).toEqual(['has a', 'has b']);
    expect(forced({ ...p, maxSellers: 1 })).toEqual({ sellers: [], copies: [0] });
  });

  const met = (p: Problem): number => reachableNeed(compile(p)).reduce((sum, n) => sum + n, 0);

  /** Little of everything, so that lots compete for it. */
  const short = (seed: number): Problem => {
    const p = randomProblem(seed, 10, 5);
    const sellers = p.sellers.map((s) => ({
      ...s,
      offers: s.offers.map((o) => ({ ...o, stock: Math.ceil(o.stock / 12), minQty: 1, multiple: 1 })),
    }));
    return { ...p, maxSellers: null, sellers };
  };
  const all = [...Array(40).keys()];

  it.each(all)('is exactly what is missed where it is taken away, random %i', (seed) => {
    const p = short(seed);
    const told = forced(p);
    const without = p.sellers.filter(
      (s) => met({ ...p, sellers: p.sellers.filter((o) => o !== s) }) < met(p),
    );
    expect(told.sellers).toEqual(without.map((s) => s.id));
    p.donors.forEach((d, i) => {
      const enough = [...Array(d.maxCopies + 1).keys()].find((maxCopies) => {
        const donors = p.donors.map((o) => (o === d ? { ...d, maxCopies } : o));
        return met({ ...p, donors }) === met(p);
      });
      expect(told.copies[i]).toBe(enough);
    });
  });

  it('was tried where some are forced and some are not, with lots that go short', () => {
    const told = all.map((seed) => ({ p: short(seed), ...forced(short(seed)) }));
    expect(told.some(({ p, sellers }) => sellers.length > 0 && sellers.length < p.sellers.length)).toBe(true);
    expect(told.some(({ p, copies }) => copies.some((n, d) => n > 0 && n < p.donors[d]!.maxCopies))).toBe(
      true,
    );
    expect(told.some(({ p }) => met(p) < p.lots.reduce((sum, l) => sum + l.qty, 0))).toBe(true);
  });

  it.each(STRUCTURE_NAMES)('is in a plan that meets all that can be met: %s', (name) => {
    const c = compile({ ...buyingProblem(name, 'small', 21), maxSellers: null });
    const settled = forcedBy(c, reachableNeed(c));
    const solver = new Solver(c, { seed: 2, trialDonors: false, boundSteps: 40 });
    for (let i = 0; i < 120; i++) solver.work(i / 120);
    if (!solver.leavesLeast) return;
    const used = new Set(solver.best.from.flatMap((rows) => rows.map(([o]) => c.offerSeller[o])));
    settled.sellers.forEach((as, s) => as === OPENED && expect(used).toContain(s));
    settled.leastCopies.forEach((n, d) => expect(solver.best.copies[d]).toBeGreaterThanOrEqual(n));
  });

  it('brings a floor at once that prices would have to rise to step by step', () => {
    const p = problem([[9, 'a']], [], [box('threes', 4, { a: 3 })]);
    const c = compile(p);
    const need = reachableNeed(c);
    const [without, known] = [new LowerBound(c, need), new LowerBound(c, need, forcedBy(c, need))];
    without.step(3000);
    known.step(3000);
    expect(known.best).toBeGreaterThanOrEqual(without.best);
    expect(known.best).toBe(3000);
  });

  it('brings one for what lots share, too, of which there is too little for all', () => {
    const p = problem(
      [
        [9, 'a'],
        [4, 'a', 'b'],
      ],
      [],
      [box('single', 3, { a: 1 })],
    );
    const c = compile(p);
    const need = reachableNeed(c);
    const floor = new LowerBound(c, need, forcedBy(c, need));
    floor.step(3000);
    expect(floor.best).toBe(3000);
  });
});

describe('what follows from what is settled', () => {
  const shut = (p: Problem, ...ids: string[]) => {
    const c = compile(p);
    const settled = nothingSettled(c);
    p.sellers.forEach((s, i) => (settled.sellers[i] = ids.includes(String(s.id)) ? SHUT : 0));
    return narrowed(c, reachableNeed(c), settled);
  };
  const p = problem(
    [
      [5, 'a'],
      [5, 'b'],
    ],
    [inStock('a 5', { a: 5 }), inStock('a 4', { a: 4 }), inStock('a 3', { a: 3 }), inStock('b', { b: 9 })],
  );

  it('is that whoever is left to send it is open', () => {
    expect([...shut(p)!.sellers]).toEqual([0, 0, 0, OPENED]);
    expect([...shut(p, 'a 5')!.sellers]).toEqual([SHUT, OPENED, OPENED, OPENED]);
  });

  it('is nothing where those who are left have too little', () => {
    expect(shut(p, 'a 5', 'a 4')).toBeNull();
    expect(shut(p, 'b')).toBeNull();
  });

  it('is that nobody else is open once no more parcels are allowed', () => {
    expect([...shut({ ...p, maxSellers: 3 }, 'a 5')!.sellers]).toEqual([SHUT, OPENED, OPENED, OPENED]);
    expect(shut({ ...p, maxSellers: 2 }, 'a 5')).toBeNull();
    expect(shut({ ...p, maxSellers: 1 })).toBeNull();
  });

  it('is nothing where so few parcels cannot bring what is lacking, whoever sends them', () => {
    const many = problem(
      [[9, 'a']],
      ['1', '2', '3', '4'].map((id) => inStock(id, { a: 3 })),
    );
    expect(shut({ ...many, maxSellers: 3 }, '4')).not.toBeNull();
    expect(shut({ ...many, maxSellers: 2 })).toBeNull();
  });

  it.each([...Array(40).keys()])(
    'is what all choices of sellers have that meet as much, random %i',
    (seed) => {
      const made = randomProblem(seed, 8, 5);
      const limited = { ...made, maxSellers: 1 + (seed % 4) };
      const c = compile(limited);
      const need = reachableNeed(c);
      const total = need.reduce((sum, n) => sum + n, 0);
      const spare = seed % 3 === 0 ? 0 : Math.floor(total / 4);
      const settled = nothingSettled(c, spare);
      settled.sellers[seed % 5] = seed % 2 === 0 ? SHUT : OPENED;
      const lawful = [...Array(32).keys()].filter((set) => {
        const has = (s: number) => (set & (1 << s)) !== 0;
        const count = [0, 1, 2, 3, 4].filter(has).length;
        if (
          count > limited.maxSellers ||
          settled.sellers.some((as, s) => as !== 0 && (as === OPENED) !== has(s))
        )
          return false;
        const met = reachableNeed(compile({ ...limited, sellers: limited.sellers.filter((_, s) => has(s)) }));
        return met.reduce((sum, n) => sum + n, 0) >= total - spare;
      });
      const next = narrowed(c, need, settled);
      if (next === null) return expect(lawful).toEqual([]);
      next.sellers.forEach((as, s) => {
        if (as === OPENED) expect(lawful.every((set) => set & (1 << s))).toBe(true);
        if (as === SHUT) expect(lawful.every((set) => !(set & (1 << s)))).toBe(true);
      });
      // What is told is not less than what each of them is missed for.
      if (limited.maxSellers === 4 && lawful.length > 0)
        for (let s = 0; s < 5; s++)
          if (lawful.every((set) => set & (1 << s))) expect(next.sellers[s]).toBe(OPENED);
    },
  );
});
