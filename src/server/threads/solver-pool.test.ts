import { setTimeout as aMoment } from 'node:timers/promises';
import { Worker } from 'node:worker_threads';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { randomProblem } from '@/core/testing/sourcing';
import { solveSourcing } from '../solve-sourcing';
import { readyThreads, threadCount } from './solver-pool';

const REST_MS = 15_000;
const terminate = vi.spyOn(Worker.prototype, 'terminate');
/** The threads that said of themselves that they have nothing to do, in order. */
const atRest: Worker[] = [];
const { on } = Worker.prototype;
vi.spyOn(Worker.prototype, 'on').mockImplementation(function (this: Worker, ...[event, listener]) {
  if (event === 'message') on.call(this, 'message', () => void atRest.push(this));
  return on.call(this, event, listener);
});

beforeEach(() => {
  atRest.length = 0;
  terminate.mockClear();
});
afterEach(() => vi.useRealTimers());

it('threads become warm one after another', async () => {
  readyThreads();
  readyThreads();
  const counts: number[] = [threadCount()];
  while (atRest.length < 2) {
    const had = atRest.length;
    await vi.waitFor(() => expect(atRest.length).toBeGreaterThan(had), { timeout: 60_000, interval: 5 });
    counts.push(threadCount());
  }
  expect(new Set(atRest).size).toBe(2);
  expect(counts).toEqual([1, 2, 2]);
});

it('one that has worked a little stays warm, and one that keeps much memory is begun anew', async () => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
  const until = (times: number) => vi.waitFor(() => expect(atRest.length).toBe(times), { timeout: 60_000 });
  /** One thread reads the problem, and one solves it. */
  const solve = async (seed: number, becomeWarm = 0) => {
    const had = atRest.length;
    expect((await solveSourcing(randomProblem(seed, 5, 3), { seconds: 20 })).status).toBe('optimal');
    await until(had + 2 + becomeWarm);
    // That a thread has nothing more to do comes another way than what it found.
    await aMoment(200);
  };
  // A third one becomes warm after the first task.
  await solve(1, 1);
  expect(threadCount()).toBe(3);
  await vi.advanceTimersByTimeAsync(2 * REST_MS);
  expect(terminate).not.toHaveBeenCalled();
  const [worked] = atRest;
  worked!.emit('message', { bytes: 1e9 });
  await solve(2);
  await vi.advanceTimersByTimeAsync(2 * REST_MS);
  expect(terminate.mock.contexts).toEqual([worked]);
});
