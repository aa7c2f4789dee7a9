import { assert } from '../shared/assert';
import type { Minor } from '../shared/money';

/** Something that costs money and puts so much right. */
export interface Choice {
  readonly cost: Minor;
  /** How much it puts right, > 0. */
  readonly value: number;
}

/** What the best spending of a budget puts right: a step of the curve. */
export interface CurveStep {
  /** Least money that buys it. */
  readonly cost: Minor;
  readonly value: number;
}

/** All budgets at once: a step wherever more money puts more right, and which choices make it. */
export interface BudgetCurve {
  readonly steps: readonly CurveStep[];
  /** The choices of the best set for a budget, as indices, ascending. */
  readonly best: (budget: Minor) => number[];
}

/** Cells of the table below which it is made; a bit each is kept to find the choices again. */
const MOST_CELLS = 1.2e9;

/**
 * The best set of choices for every budget, exactly: the 0/1 knapsack by dynamic programming over whole minor units
 * (Bellman 1957; Kellerer, Pferschy and Pisinger, Knapsack Problems, 2.3). Free choices are always in. Costs that share
 * a divisor are divided by it first. Of sets that put the same right, the cheaper is taken.
 *
 * Asserts whole costs >= 0 and values > 0, and that the table is of a size that can be made: choices × total cost.
 */
export function budgetCurve(choices: readonly Choice[]): BudgetCurve {
  choices.forEach((c) =>
    assert(
      Number.isSafeInteger(c.cost) && c.cost >= 0 && c.value > 0,
      'a choice has a cost and puts something right',
      c,
    ),
  );
  const free = choices.flatMap((c, i) => (c.cost === 0 ? [i] : []));
  const paid = choices.flatMap((c, i) => (c.cost > 0 ? [i] : []));
  const unit = paid.reduce((g, i) => gcd(g, choices[i]!.cost), 0) || 1;
  const all = paid.reduce((s, i) => s + choices[i]!.cost / unit, 0);
  assert(paid.length * (all + 1) <= MOST_CELLS, 'a budget table can be made', { choices: paid.length, all });
  const value = new Float64Array(all + 1);
  const words = (all >> 5) + 1;
  const taken = new Int32Array(paid.length * words);
  let reach = 0;
  paid.forEach((i, row) => {
    const { cost, value: worth } = choices[i]!;
    const c = cost / unit;
    const base = row * words;
    // Money beyond what all choices so far cost buys no more of them.
    const most = Math.min(all, reach + c);
    for (let b = reach + 1; b <= most; b++) value[b] = value[reach]!;
    reach = most;
    for (let b = most; b >= c; b--) {
      const withIt = value[b - c]! + worth;
      if (withIt <= value[b]! + 1e-12) continue;
      value[b] = withIt;
      taken[base + (b >> 5)]! |= 1 << (b & 31);
    }
  });
  const gratis = free.reduce((s, i) => s + choices[i]!.value, 0);
  const steps: CurveStep[] = [{ cost: 0, value: gratis }];
  for (let b = 1; b <= all; b++)
    if (value[b]! > value[b - 1]! + 1e-9) steps.push({ cost: b * unit, value: gratis + value[b]! });
  const best = (budget: Minor): number[] => {
    let b = Math.max(0, Math.min(all, Math.floor(budget / unit)));
    while (b > 0 && value[b - 1]! >= value[b]! - 1e-12) b--;
    const chosen = [...free];
    for (let row = paid.length - 1; row >= 0; row--) {
      if (!((taken[row * words + (b >> 5)]! >>> (b & 31)) & 1)) continue;
      chosen.push(paid[row]!);
      b -= choices[paid[row]!]!.cost / unit;
    }
    return chosen.sort((x, y) => x - y);
  };
  return { steps, best };
}

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));
