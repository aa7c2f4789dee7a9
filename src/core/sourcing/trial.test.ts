import { describe, expect, it } from 'vitest';
import { seededRandom } from '../shared/random';
import { faultsIn, randomProblem } from '../testing/sourcing';
import { compile } from './compile';
import { Search } from './search';
import { scoreOf } from './state';
import { Trial } from './trial';

describe('choices of boxes', () => {
  const problem = { ...randomProblem(8, 20, 10), maxSellers: null };
  const c = compile(problem);

  it('are tried one after another; the winner is at least as good as any that was begun', () => {
    const choices = [Int32Array.of(0, 0), Int32Array.of(1, 0), Int32Array.of(0, 1)];
    const begun: { copies: Int32Array; search: Search }[] = [];
    const trial = new Trial(choices, (copies) => {
      const search = new Search(c, seededRandom(begun.length), [], copies);
      begun.push({ copies, search });
      return search;
    });
    let last: Search | undefined;
    for (let n = 0; n < 400; n++) last = trial.work(n / 400);
    expect(begun.map((b) => b.copies)).toEqual(choices);
    for (const { search, copies } of begun) {
      expect([...search.best.copies]).toEqual([...copies]);
      expect(scoreOf(last!.best)).toBeLessThanOrEqual(scoreOf(search.best) + 1e-6);
    }
    expect(faultsIn(c, problem, last!.best)).toEqual([]);
  });

  it('a trial that is begun late still has something to work on', () => {
    const trial = new Trial([Int32Array.of(0, 0)], (copies) => new Search(c, seededRandom(2), [], copies));
    expect(trial.work(0.99).best.cost).toBeGreaterThan(0);
  });
});
