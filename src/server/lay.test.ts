import { describe, expect, it } from 'vitest';
import { compareScores, judgeLaying, layPlanSchema, type LayPlan } from '@/core/fit/lay';
import { randomFloor, randomWalls } from '@/core/testing/laying';
import { layRequest, type LayProgress } from './lay';

const scoreOf = (p: LayPlan) => ({ ...p, pieces: p.pieces.length });

/** Longer than a test may take: it passes where the word to stop is heard. */
const STOPPED = 3600;

describe('laying in threads', () => {
  it('gives a plan that is right by the rules, and says so when it is the best', async () => {
    for (const problem of [randomWalls(3, { length: 10, courses: 4 }), randomFloor(3, 8, 6)]) {
      const progress: LayProgress[] = [];
      const done = await layRequest(problem, { seconds: 20 }, { onProgress: (p) => progress.push(p) });
      if (!done.ok) throw new Error('not laid');
      expect(layPlanSchema.parse(done.value)).toBeTruthy();
      const { pieces, unfilled, joints, money } = done.value;
      expect(judgeLaying(problem, pieces)).toEqual({
        fault: null,
        unfilled,
        joints,
        money,
        pieces: pieces.length,
      });
      expect(done.value.proven).toBe(true);
      expect(done.value.floor?.money).toBe(money);
      // Each that was told is better than the one before.
      for (let i = 1; i < progress.length; i++)
        expect(compareScores(progress[i]!, progress[i - 1]!, problem.prefer === 'money')).toBeLessThanOrEqual(
          0,
        );
    }
  });

  it('ends in its time with the best so far, and when it is stopped', async () => {
    const large = randomFloor(5, 40, 30);
    const stopper = new AbortController();
    const going = layRequest(
      large,
      { seconds: STOPPED },
      {
        signal: stopper.signal,
        onProgress: () => stopper.abort(),
      },
    );
    const done = await going;
    if (!done.ok) throw new Error('not laid');
    expect(done.value.proven).toBe(false);
    expect(judgeLaying(large, done.value.pieces)).toMatchObject({
      fault: null,
      unfilled: done.value.unfilled,
    });
  });

  it('makes the same plan every time for so many steps', async () => {
    const problem = randomFloor(9, 12, 8);
    const plans = await Promise.all(
      [1, 2].map(async () => {
        const done = await layRequest(problem, { iterations: 12, seed: 4, seconds: 120 });
        if (!done.ok) throw new Error('not laid');
        return { ...scoreOf(done.value), list: done.value.pieces, seconds: 0 };
      }),
    );
    expect(plans[0]).toEqual(plans[1]);
  });
});
