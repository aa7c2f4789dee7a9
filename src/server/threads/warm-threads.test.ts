import { Worker } from 'node:worker_threads';
import { expect, it, vi } from 'vitest';
import { randomProblem } from '@/core/testing/sourcing';
import { solveRequest } from '../solve-sourcing';
import { FoundPlans } from './found-plans';
import { threadCount, warmThreads } from './solver-pool';

/** All threads that were started, and those of them that said that they have nothing to do. */
const started: Worker[] = [];
const atRest = new Set<Worker>();
const { on } = Worker.prototype;
vi.spyOn(Worker.prototype, 'on').mockImplementation(function (this: Worker, ...[event, listener]) {
  if (event === 'message') {
    started.push(this);
    on.call(this, 'message', () => void atRest.add(this));
  }
  return on.call(this, event, listener);
});
const bytes = (problem: object): Uint8Array =>
  new TextEncoder().encode(JSON.stringify({ problem, options: { seconds: 20 } }));

it('threads that break are waited for no longer', async () => {
  const waiting = warmThreads();
  expect(started).toHaveLength(2);
  for (const thread of started.splice(0)) {
    thread.emit('error', new Error('broken'));
    await thread.terminate();
  }
  await waiting;
  expect([atRest.size, threadCount()]).toEqual([0, 0]);
});

it('a solve that is stopped while threads become warm has not begun', async () => {
  const stopper = new AbortController();
  const solving = solveRequest(bytes(randomProblem(1, 5, 3)), { signal: stopper.signal });
  await vi.waitFor(() => expect(started).toHaveLength(2));
  stopper.abort();
  expect(await solving).toEqual({ ok: false, reason: { fault: 'stopped' } });
  expect(atRest.size).toBe(0);
});

it('a solve has two warm threads, which become so at once, and its time begins then', async () => {
  const told: number[] = [];
  const onProgress = (): number => told.push(atRest.size);
  const done = await solveRequest(bytes(randomProblem(2, 5, 3)), { onProgress });
  expect(done).toMatchObject({ ok: true, value: { status: 'optimal' } });
  // Those that were begun before, and no others.
  expect(new Set(told)).toEqual(new Set([2]));
  expect(started.filter((thread) => atRest.has(thread))).toHaveLength(2);
  await warmThreads();
});

it('is begun by what there is where nobody waits', async () => {
  const order: string[] = [];
  await solveRequest(
    bytes(randomProblem(3, 5, 3)),
    { onProgress: () => order.push('found') },
    new FoundPlans(),
    async () => void order.push('had threads'),
  );
  expect(order[0]).toBe('had threads');
  expect(order).toContain('found');
});
