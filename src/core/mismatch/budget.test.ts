import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { budgetCurve, type Choice } from './budget';

describe('what money buys', () => {
  const choicesArb = fc.array(
    fc.record({ cost: fc.integer({ min: 0, max: 60 }), value: fc.integer({ min: 1, max: 90 }) }),
    { maxLength: 9 },
  );
  const bruteForce = (choices: readonly Choice[], budget: number): number => {
    let best = 0;
    for (let set = 0; set < 1 << choices.length; set++) {
      const chosen = choices.filter((_, i) => (set >> i) & 1);
      const cost = chosen.reduce((s, c) => s + c.cost, 0);
      if (cost <= budget)
        best = Math.max(
          best,
          chosen.reduce((s, c) => s + c.value, 0),
        );
    }
    return best;
  };

  it('is the best there is, for every budget', () =>
    fc.assert(
      fc.property(choicesArb, fc.integer({ min: 0, max: 400 }), (choices, budget) => {
        const { best } = budgetCurve(choices);
        const chosen = best(budget);
        expect(chosen.reduce((s, i) => s + choices[i]!.cost, 0)).toBeLessThanOrEqual(budget);
        expect(chosen.reduce((s, i) => s + choices[i]!.value, 0)).toBe(bruteForce(choices, budget));
        expect(new Set(chosen).size).toBe(chosen.length);
      }),
      { numRuns: 300 },
    ));

  it('the curve rises, each step is bought by its cost and by no less', () =>
    fc.assert(
      fc.property(choicesArb, (choices) => {
        const { steps, best } = budgetCurve(choices);
        const worth = (budget: number) => best(budget).reduce((s, i) => s + choices[i]!.value, 0);
        steps.forEach((step, k) => {
          expect(worth(step.cost)).toBe(step.value);
          if (k > 0) {
            expect(step.value).toBeGreaterThan(steps[k - 1]!.value);
            expect(worth(step.cost - 1)).toBeLessThan(step.value);
          }
        });
        expect(steps.at(-1)!.value).toBe(choices.reduce((s, c) => s + c.value, 0));
      }),
    ));

  it('a cost that is no whole number is a mistake', () =>
    expect(() => budgetCurve([{ cost: 1.5, value: 1 }])).toThrow(/1.5/));
});
