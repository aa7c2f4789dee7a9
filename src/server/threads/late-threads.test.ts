import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { compile } from '@/core/sourcing';
import { handPlans, byHandOf } from '@/core/sourcing/by-hand';
import { planOf } from '@/core/sourcing/plan';
import { randomFloor } from '@/core/testing/laying';
import { randomProblem } from '@/core/testing/sourcing';
import type { FromThread } from '@/workers/sourcing/messages';
import { layRequest } from '../lay';
import { Solve } from './solve';

/** Threads that a busy machine has not let begin: they say what the test has them say. */
const threads: ((message: FromThread) => void)[] = [];
vi.mock(import('./solver-pool'), async (original) => ({
  ...(await original()),
  MOST_THREADS: 2,
  startJob: () => ({
    say: () => {},
    hear: (listener: (message: FromThread) => void) => void threads.push(listener),
    end: () => {},
  }),
}));

beforeEach(() => {
  threads.length = 0;
  vi.useFakeTimers();
});
afterEach(() => vi.useRealTimers());

/** Whether some work has ended by now. */
async function hasEnded(work: Promise<unknown>): Promise<boolean> {
  let ended = false;
  void work.then(() => (ended = true));
  await vi.advanceTimersByTimeAsync(0);
  return ended;
}

const asked = { bytes: new SharedArrayBuffer(0), key: 'late' };
const solve = () => new Solve(asked, 900, { seconds: 2 }, Date.now(), {});

function firstPlan() {
  const problem = randomProblem(3, 12, 6);
  const c = compile(problem);
  const hand = handPlans(c);
  const saved = hand.each.save();
  const told = { status: 'bestSoFar', floor: 0, byHand: byHandOf(hand) } as const;
  return { say: 'better', saved, plan: planOf(c, problem, saved, told), whole: false } as const;
}

it('a plan that no thread had found in its time is waited for, and what it comes to is told', async () => {
  const going = solve().run(undefined);
  await vi.advanceTimersByTimeAsync(20_000);
  expect(await hasEnded(going)).toBe(false);
  const first = firstPlan();
  threads[1]!(first);
  expect(await hasEnded(going)).toBe(true);
  expect(await going).toMatchObject({ status: 'bestSoFar', cost: first.plan.cost });
  expect(first.plan.cost).toBeGreaterThan(0);
});

it('threads that all break, or never begin, have given up: that is no plan of nothing for nothing', async () => {
  const broken = solve().run(undefined);
  threads.forEach((tell) => tell({ say: 'done' }));
  expect(await broken).toMatchObject({ status: 'gaveUp', buys: [] });
  const silent = solve().run(undefined);
  await vi.advanceTimersByTimeAsync(200_000);
  expect(await silent).toMatchObject({ status: 'gaveUp' });
});

it('a laying is waited for likewise; one that was stopped before is none', async () => {
  const floor = randomFloor(3, 8, 6);
  const late = layRequest(floor, { seconds: 2 });
  await vi.advanceTimersByTimeAsync(20_000);
  expect(await hasEnded(late)).toBe(false);
  const plan = { pieces: [], unfilled: 48, joints: 0, money: 0, bought: {}, proven: false, seconds: 0 };
  threads[0]!({ say: 'laid', laid: [], score: { unfilled: 48, joints: 0, money: 0, pieces: 0 }, plan });
  await vi.advanceTimersByTimeAsync(1000);
  expect(await late).toMatchObject({ ok: true, value: { unfilled: 48 } });
  const stopped = layRequest(floor, { seconds: 2 }, { signal: AbortSignal.abort() });
  await vi.advanceTimersByTimeAsync(1000);
  expect(await stopped).toEqual({ ok: false, reason: { fault: 'stopped' } });
});
