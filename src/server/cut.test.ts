import { describe, expect, it } from 'vitest';
import { judgeCut, type CutPlan } from '@/core/stickers/cutting';
import { randomCut } from '@/core/testing/cutting';
import { cutRequest } from './cut';

const unmetOf = (p: CutPlan) => p.unmet.reduce((n, u) => n + u.count, 0);

/** Longer than a test may take: it passes where the word to stop is heard. */
const STOPPED = 3600;

describe('cutting in a thread', () => {
  it('proves a small problem, and tells only what is better', async () => {
    const problem = randomCut(31, { colours: 2, fields: 4, kinds: 6, count: 2 });
    const told: CutPlan[] = [];
    const done = await cutRequest(problem, { seconds: 30 }, { onProgress: (p) => told.push(p) });
    if (!done.ok) throw new Error('not cut');
    expect(done.value.proven).toBe(true);
    expect(judgeCut(problem, done.value)).toMatchObject({ fault: null, unmet: unmetOf(done.value) });
    for (let i = 1; i < told.length; i++)
      expect(unmetOf(told[i]!)).toBeLessThanOrEqual(unmetOf(told[i - 1]!));
  });

  it('ends with the best so far when it is stopped, or its time is over', async () => {
    const problem = randomCut(32, { colours: 1, fields: 20, kinds: 24, count: 4 });
    const stopper = new AbortController();
    const done = await cutRequest(
      problem,
      { seconds: STOPPED },
      { signal: stopper.signal, onProgress: () => stopper.abort() },
    );
    if (!done.ok) throw new Error('not cut');
    expect(done.value.placed.length).toBeGreaterThan(0);
    expect(judgeCut(problem, done.value).fault).toBe(null);
    const short = await cutRequest(problem, { seconds: 0.3 });
    expect(short.ok && judgeCut(problem, short.value).fault).toBe(null);
  });

  it('makes the same plan every time for so many steps', async () => {
    const problem = randomCut(33, { colours: 1, fields: 8, kinds: 14, count: 3 });
    const plan = async () => {
      const done = await cutRequest(problem, { iterations: 6, seed: 4, seconds: 120 });
      if (!done.ok) throw new Error('not cut');
      return { ...done.value, seconds: 0 };
    };
    expect(await plan()).toEqual(await plan());
  });
});
