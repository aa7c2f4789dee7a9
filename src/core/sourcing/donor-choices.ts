import type { Compiled } from './compile';
import type { Steering } from './branching';
import { Reach, reachableNeed, totalOf } from './reachable';
import type { Saved } from './state';

/** How many are tried. */
const MOST_CHOICES = 8;
/** Combinations of copies that are looked at, and how much dearer than none a box may be, as a share of the plan. */
const MOST_COMBINATIONS = 64;
const SLACK = 0.03;

/**
 * Choices of donors worth a trial: combinations of copies whose cost, less what their pieces are worth at the floor's
 * prices, is small beside the plan; the most promising first. What only boxes have is in all of them: a choice without it
 * never comes to a plan that counts, however cheap.
 *
 * @param reachable  of each lot what can be had at all
 */
export function donorChoices(
  c: Compiled,
  floor: Steering,
  best: Saved,
  reachable: Int32Array,
): readonly Int32Array[] {
  const costs = c.donorPrice.length === 0 ? [] : Array.from(c.donorPrice, (_, d) => floor.donorCosts(d));
  const costOf = (copies: Int32Array): number => copies.reduce((sum, n, d) => sum + costs[d]![n]!, 0);
  const complete = completing(c, costs, reachable);
  const known = new Map<string, Int32Array>();
  for (const combination of combinations(costs, SLACK * best.cost)) {
    const copies = complete(combination);
    known.set(copies.join(), copies);
  }
  const sorted = [...known.values()].sort((a, b) => costOf(a) - costOf(b));
  const whole = totalOf(reachable);
  const meetsAll = (copies: Int32Array): boolean => new Reach({ ...c, donorMax: copies }).total >= whole;
  const choices: Int32Array[] = [];
  for (const copies of sorted) {
    if (choices.length === MOST_CHOICES) break;
    if (meetsAll(copies)) choices.push(copies);
  }
  return choices.length > 0 ? choices : sorted.slice(0, MOST_CHOICES);
}

/** The cheapest combinations of copies, no box dearer than the slack. */
function combinations(costs: readonly (readonly number[])[], slack: number): Int32Array[] {
  let choices: { copies: number[]; cost: number }[] = [{ copies: [], cost: 0 }];
  for (const of of costs)
    choices = of
      .flatMap((more, n) =>
        more <= slack || n === 0
          ? choices.map(({ copies, cost }) => ({ copies: [...copies, n], cost: cost + more }))
          : [],
      )
      .sort((a, b) => a.cost - b.cost)
      .slice(0, MOST_COMBINATIONS);
  return choices.map((x) => Int32Array.from(x.copies));
}

/** Adds to a combination the boxes, the cheapest first, that have what no seller has of a lot. */
function completing(
  c: Compiled,
  costs: readonly (readonly number[])[],
  reachable: Int32Array,
): (copies: Int32Array) => Int32Array {
  const fromSellers = reachableNeed({ ...c, donorMax: new Int32Array(c.donorMax.length) });
  const lacking = Array.from(reachable, (n, lot) => ({ lot, lacks: n - fromSellers[lot]! }))
    .filter(({ lacks }) => lacks > 0)
    .map(({ lot, lacks }) => ({ lacks, boxes: boxesFor(c, lot) }));
  return (combination) => {
    const copies = combination.slice();
    for (const { lacks, boxes } of lacking) {
      const more = (d: number): number => costs[d]![copies[d]! + 1]! - costs[d]![copies[d]!]!;
      for (;;) {
        const there = boxes.reduce((sum, { box, qty }) => sum + qty * copies[box]!, 0);
        const open = boxes.filter(({ box }) => copies[box]! < c.donorMax[box]!);
        if (there >= lacks || open.length === 0) break;
        const cheapest = open.reduce((a, b) => (more(b.box) / b.qty < more(a.box) / a.qty ? b : a));
        copies[cheapest.box]!++;
      }
    }
    return copies;
  };
}

/** The boxes that have pieces for a lot, and how many in a copy. */
function boxesFor(c: Compiled, lot: number): { readonly box: number; readonly qty: number }[] {
  return c.donorYields.flatMap((yields, box) => {
    const qty = yields.reduce((sum, [e, n]) => (c.accepts[lot]!.includes(e) ? sum + n : sum), 0);
    return qty > 0 ? [{ box, qty }] : [];
  });
}
