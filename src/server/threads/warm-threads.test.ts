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
/** Of each task that was put to a thread, whether that had said so by then, and how many had, of how many. */
const tasks: { readonly warm: boolean; readonly threads: readonly [atRest: number, of: number] }[] = [];
const { postMessage } = Worker.prototype;
vi.spyOn(Worker.prototype, 'postMessage').mockImplementation(function (this: Worker, ...sent) {
  tasks.push({ warm: atRest.has(this), threads: [atRest.size, started.length] });
  postMessage.apply(this, sent);
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
  // However long that takes where much else runs: a person waits for six seconds at most.
  const had = (signal?: AbortSignal) => warmThreads(signal, 100_000);
  const done = await solveRequest(bytes(randomProblem(2, 5, 3)), {}, new FoundPlans(), had);
  expect(done).toMatchObject({ ok: true, value: { status: 'optimal' } });
  // Those that were begun before, and no others: one more becomes warm once one of them has done its task.
  expect(tasks[0]).toEqual({ warm: true, threads: [2, 2] });
  expect(tasks.every(({ warm }) => warm)).toBe(true);
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
