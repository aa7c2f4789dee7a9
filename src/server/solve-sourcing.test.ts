import { describe, expect, it } from 'vitest';
import { planSchema, type Problem } from '@/core/sourcing';
import { PROBLEM } from '@/core/shared/bounds';
import { buyingProblem } from '@/core/testing/buying-problems';
import { faultsOf, randomProblem } from '@/core/testing/sourcing';
import { solveSourcing, solveRequest } from './solve-sourcing';
import { FoundPlans } from './threads/found-plans';
import { MOST_THREADS, threadCount } from './threads/solver-pool';

const bytes = (value: unknown) => new TextEncoder().encode(JSON.stringify(value));

/** How often the event loop turned while some work went on: hardly ever, where the work keeps it from turning. */
async function beatsDuring(work: Promise<unknown>): Promise<number> {
  let beats = 0;
  const timer = setInterval(() => beats++, 10);
  await work;
  clearInterval(timer);
  return beats;
}

/** Hundreds of elements in a tangle of overlapping lots. */
function tangle(): Problem {
  const elements = Array.from({ length: 400 }, (_, i) => ({ id: `e${i}`, part: 'p', colour: 'c', grams: 1 }));
  return {
    schema: 'makeup/1',
    name: 'tangle',
    elements,
    lots: Array.from({ length: 1500 }, (_, i) => ({
      id: `l${i}`,
      qty: 3,
      accept: [...new Set(Array.from({ length: 40 }, (__, k) => `e${(i * 7 + k * 11) % 400}`))],
    })),
    sellers: Array.from({ length: 20 }, (_, s) => ({
      id: `s${s}`,
      minOrder: 0,
      postage: [{ maxGrams: 1e6, pence: 200 }],
      offers: elements.map(({ id }, i) => ({
        element: id,
        price: 1 + ((i * (s + 3)) % 29),
        stock: 2,
        minQty: 1,
        multiple: 1,
      })),
    })),
    donors: [],
    maxSellers: null,
  };
}

describe('solving keeps nobody else waiting', () => {
  it('steps without number are refused before anything is worked out', async () => {
    const wish = { problem: randomProblem(1, 20, 10), options: { iterations: 10_000_000 } };
    expect(await solveRequest(bytes(wish))).toEqual({
      ok: false,
      reason: { refused: 'shape', where: 'options.iterations', says: expect.any(String) },
    });
  });

  it('as many steps as are allowed run beside the server, within their time, and can be stopped', async () => {
    const problem = randomProblem(2, 120, 60);
    const stopper = new AbortController();
    const options = { iterations: PROBLEM.iterations, seconds: 60 };
    const work = solveSourcing(problem, options, { signal: stopper.signal });
    setTimeout(() => stopper.abort(), 1200);
    expect(await beatsDuring(work)).toBeGreaterThan(20);
    expect(faultsOf(problem, await work)).toEqual([]);
  });

  it('the same seed and number of steps give the same plan', async () => {
    const problem = randomProblem(3, 30, 12);
    const plans = [1, 2].map(() => solveSourcing(problem, { iterations: 80, seed: 5 }));
    const [one, two] = await Promise.all(plans);
    expect(one).toEqual(two);
  });

  it('a problem that is asked again goes on from what it had: never worse, with less time too', async () => {
    const problem = randomProblem(11, 160, 60);
    const ask = async (wish: Problem, options: object, known: FoundPlans) => {
      const done = await solveRequest(bytes({ problem: wish, options }), {}, known);
      if (!done.ok) throw new Error(JSON.stringify(done.reason));
      return done.value;
    };
    const known = new FoundPlans();
    const long = await ask(problem, { seconds: 2.5, seed: 3 }, known);
    const costs: number[] = [];
    const short = { seconds: 0.2, seed: 7 };
    const listener = { onProgress: ({ cost }: { cost: number }) => void costs.push(cost) };
    const again = await solveRequest(bytes({ problem, options: short }), listener, known);
    expect(again).toMatchObject({ ok: true });
    if (!again.ok) return;
    expect(again.value.cost).toBeLessThanOrEqual(long.cost);
    expect(again.value.floor).toBeGreaterThanOrEqual(long.floor);
    // What was found is told at once.
    expect(costs[0]).toBe(long.cost);
    expect(faultsOf(problem, again.value)).toEqual([]);
    // Another problem begins afresh, and steps by number come out as if nothing had been asked.
    const dearer = {
      ...problem,
      sellers: problem.sellers.map((s) => ({
        ...s,
        offers: s.offers.map((o) => ({ ...o, price: o.price + 1 })),
      })),
    };
    expect(faultsOf(dearer, await ask(dearer, short, known))).toEqual([]);
    const steps = { iterations: 40, seed: 5 };
    expect(await ask(problem, steps, known)).toEqual(await ask(problem, steps, new FoundPlans()));
  });

  it('what was proven is known to be when it is asked again, however little time there is', async () => {
    const request = (seconds: number) => bytes({ problem: randomProblem(4, 12, 6), options: { seconds } });
    const known = new FoundPlans();
    const first = await solveRequest(request(20), {}, known);
    expect(first).toMatchObject({ ok: true, value: { status: 'optimal' } });
    const again = await solveRequest(request(0.1), {}, known);
    expect(again).toEqual(first);
  });

  it('lots in a tangle end in their time with a lawful plan', async () => {
    const problem = tangle();
    const plan = await solveSourcing(problem, { seconds: 1.5 });
    expect(planSchema.safeParse(plan).success).toBe(true);
    expect(plan.buys.length).toBeGreaterThan(0);
  });

  it('a tangle beyond the bound is refused with how large it is', async () => {
    const large = tangle();
    const lots = large.lots.flatMap((l) => [l, { ...l, id: `${l.id} again` }, { ...l, id: `${l.id} more` }]);
    const accept = large.elements.map((e) => e.id);
    const problem = { ...large, lots: lots.map((l) => ({ ...l, accept })) };
    expect(await solveRequest(bytes({ problem }))).toMatchObject({
      ok: false,
      reason: { fault: 'too entangled', pairs: expect.any(Number) },
    });
  });

  it.each([
    ['nonsense', 'not json'],
    [JSON.stringify({}), 'shape'],
  ])('%s: %s', async (text, refused) =>
    expect(await solveRequest(new TextEncoder().encode(text))).toMatchObject({ reason: { refused } }),
  );
});

describe('a long solve', () => {
  it('goes on from the whole short one that it begins with: time and plan only ever go one way', async () => {
    const problem = buyingProblem('steep postage', 'medium', 21);
    const told: { seconds: number; cost: number; unmet: number; floor: number }[] = [];
    const plan = await solveSourcing(problem, { seconds: 10 }, { onProgress: (p) => told.push({ ...p }) });
    expect(faultsOf(problem, plan)).toEqual([]);
    // The first ends after a fifth of it: what is told comes from both.
    expect(told.some((p) => p.seconds < 2)).toBe(true);
    expect(told.some((p) => p.seconds > 3)).toBe(true);
    told.slice(1).forEach((p, i) => {
      const before = told[i]!;
      expect(p.seconds).toBeGreaterThanOrEqual(before.seconds);
      expect(p.unmet < before.unmet || p.cost <= before.cost).toBe(true);
      expect(p.floor).toBeGreaterThanOrEqual(p.unmet < before.unmet ? 0 : Math.min(before.floor, p.cost));
    });
    expect(plan.cost).toBe(told.at(-1)!.cost);
  });
});

describe('many at once', () => {
  it('wait for one another, are told their place, and never take more threads than there are cores', async () => {
    const places: number[] = [];
    let most = 0;
    const listener = setInterval(() => (most = Math.max(most, threadCount())), 5);
    const abreast = Math.max(1, Math.floor(MOST_THREADS / 2));
    const jobs = Array.from({ length: abreast + 2 }, (_, i) =>
      solveSourcing(randomProblem(i + 1, 30, 15), { seconds: 0.5 }, { onPlace: (p) => places.push(p) }),
    );
    for (const [i, plan] of (await Promise.all(jobs)).entries())
      expect(faultsOf(randomProblem(i + 1, 30, 15), plan)).toEqual([]);
    clearInterval(listener);
    expect(places.slice(0, 2)).toEqual([1, 2]);
    expect(places).toContain(1);
    expect(most).toBeLessThanOrEqual(MOST_THREADS + 1);
  });

  it('who leaves the line is not solved, and those behind move up', async () => {
    const first = solveSourcing(randomProblem(1, 60, 30), { seconds: 1 });
    const fill = Array.from({ length: Math.max(0, Math.floor(MOST_THREADS / 2) - 1) }, () =>
      solveSourcing(randomProblem(1, 60, 30), { seconds: 1 }),
    );
    const stopper = new AbortController();
    const places: number[] = [];
    const second = solveRequest(bytes({ problem: randomProblem(2, 9, 5) }), { signal: stopper.signal });
    const third = solveSourcing(randomProblem(3, 9, 5), { seconds: 0.3 }, { onPlace: (p) => places.push(p) });
    stopper.abort();
    expect(await second).toEqual({ ok: false, reason: { fault: 'stopped' } });
    await Promise.all([first, third, ...fill]);
    // Each place that it was told is nearer to its turn than the one before.
    expect(places).toEqual(places.toSorted((a, b) => b - a));
    expect([places.length > 1, places.at(-1)]).toEqual([true, 1]);
  });
});
