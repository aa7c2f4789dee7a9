import { describe, expect, it } from 'vitest';
import { highs, solveExactly } from '@/workers/sourcing/exact';
import { between, seededRandom } from '../shared/random';
import { randomProblem } from '../testing/sourcing';
import { choiceModel, LotSupply } from './choice-model';
import { compile, type Compiled } from './compile';
import { reachableNeed } from './reachable';
import { nothingSettled, OPENED, SHUT, type Settled } from './settled';

const solver = await highs();

/** Every number of copies of each box. */
function* boxChoices(c: Compiled, d = 0): Generator<number[]> {
  if (d === c.donorMax.length) return yield [];
  for (const rest of boxChoices(c, d + 1)) for (let n = 0; n <= c.donorMax[d]!; n++) yield [n, ...rest];
}

/** The cheapest choice there is, by trying all. */
function cheapest(c: Compiled, supply: LotSupply, costs: Float64Array, boxes: number[][], settled: Settled) {
  let least = Infinity;
  for (const copies of boxChoices(c)) {
    if (copies.some((n, d) => n < settled.leastCopies[d]! || n > settled.mostCopies[d]!)) continue;
    for (let set = 0; set < 1 << c.sellers; set++) {
      const chosen = Array.from({ length: c.sellers }, (_, s) => s).filter((s) => set & (1 << s));
      if (chosen.length > c.maxSellers) continue;
      if (settled.sellers.some((as, s) => as !== 0 && chosen.includes(s) !== (as === OPENED))) continue;
      let lacks = 0;
      for (let lot = 0; lot < c.lots; lot++) {
        let left = supply.need[lot]!;
        for (const s of chosen) left -= supply.ofSeller(lot, s);
        copies.forEach((n, d) => (left -= supply.ofBox(lot, d, n)));
        lacks += Math.max(0, left);
      }
      if (lacks > settled.spare) continue;
      const cost =
        chosen.reduce((n, s) => n + costs[s]!, 0) + copies.reduce((n, k, d) => n + boxes[d]![k]!, 0);
      least = Math.min(least, cost);
    }
  }
  return least;
}

describe('a choice of sellers and boxes', () => {
  it.each([...Array(30).keys()])('is the cheapest that has enough of every lot (%i)', (seed) => {
    const random = seededRandom(seed + 1);
    const c = compile({
      ...randomProblem(seed, 6, 6),
      maxSellers: seed % 3 === 0 ? null : between(random, 1, 4),
    });
    const supply = new LotSupply(c, reachableNeed(c));
    const settled = nothingSettled(c, seed % 2 === 0 ? 0 : between(random, 1, 8));
    if (seed % 5 === 0) settled.sellers[0] = SHUT;
    if (seed % 5 === 1) settled.sellers[1] = OPENED;
    const sellerCost = Float64Array.from({ length: c.sellers }, () => between(random, -200, 400));
    const boxCost = Array.from(c.donorMax, (most) =>
      Array.from({ length: most + 1 }, (_, n) => (n === 0 ? 0 : between(random, -100, 300))),
    );
    const lots = Array.from({ length: c.lots }, (_, lot) => lot);
    const model = choiceModel(c, supply, { settled, sellerCost, boxCost, lots });
    const answer = solveExactly(solver, model.linearModel, { start: null, seconds: 20, gap: 0 });
    const least = cheapest(c, supply, sellerCost, boxCost, settled);
    if (least === Infinity) return expect(answer.values).toBeNull();
    expect(answer.bound).toBeCloseTo(least, 4);
    const { sellers, copies } = model.decode(answer.values!);
    const cost =
      sellers.reduce((n, s) => n + sellerCost[s]!, 0) + copies.reduce((n, k, d) => n + boxCost[d]![k]!, 0);
    expect(cost).toBeCloseTo(least, 4);
    expect(sellers.length).toBeLessThanOrEqual(c.maxSellers);
  });

  it('asks for nothing of lots that are not named', () => {
    const c = compile(randomProblem(3, 6, 4));
    const supply = new LotSupply(c, reachableNeed(c));
    const terms = {
      settled: nothingSettled(c),
      sellerCost: new Float64Array(c.sellers).fill(5),
      boxCost: Array.from(c.donorMax, (most) => Array.from({ length: most + 1 }, (_, n) => 7 * n)),
      lots: [],
    };
    const answer = solveExactly(solver, choiceModel(c, supply, terms).linearModel, {
      start: null,
      seconds: 5,
      gap: 0,
    });
    expect(answer.bound).toBeCloseTo(0, 6);
  });
});
