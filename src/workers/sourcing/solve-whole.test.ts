import { receiveMessageOnPort, MessageChannel } from 'node:worker_threads';
import { expect, it, vi } from 'vitest';
import { buyingProblem } from '@/core/testing/buying-problems';
import { chooserOf } from './choose';
import { highs } from './exact';
import { Job } from './job';
import type { FromThread } from './messages';
import { solveWhole } from './solve-whole';

/** A job of one thread, and what it has told. */
function jobOf(structure: Parameters<typeof buyingProblem>[0], seconds: number) {
  const request = Buffer.from(JSON.stringify({ problem: buyingProblem(structure, 'medium', 31) }));
  const bytes = new SharedArrayBuffer(request.length);
  new Uint8Array(bytes).set(request);
  const { port1, port2 } = new MessageChannel();
  const asked = { bytes, key: structure, port: port1 };
  const job = new Job({ ...asked, role: 'whole', seconds, began: Date.now(), seed: 1, iterations: 0 });
  const told = (): FromThread[] => {
    const messages: FromThread[] = [];
    for (let m = receiveMessageOnPort(port2); m; m = receiveMessageOnPort(port2))
      messages.push((m as { message: FromThread }).message);
    port2.close();
    return messages;
  };
  return { job, told };
}

/** What it told, and how often the floor of its own went on; the model alone may take longer than it has on a slow machine. */
async function solved(seconds: number) {
  const { job, told } = jobOf('many boxes', seconds);
  job.solver.choose = chooserOf(await highs(), job);
  const step = vi.spyOn(job.solver, 'boundStep');
  await solveWhole(job);
  return { solver: job.solver, messages: told(), steps: step.mock.calls.length };
}

it('what the whole model has not proven in its share of the time a floor of its own goes on with', async () => {
  let run = await solved(3);
  for (let seconds = 9; run.steps === 0 && seconds < 30; seconds *= 3) run = await solved(seconds);
  const { solver, messages, steps } = run;
  expect(solver.leavesLeast).toBe(true);
  expect(messages.some((m) => m.say === 'proven')).toBe(false);
  expect(steps).toBeGreaterThan(0);
  const floors = messages.flatMap((m) => (m.say === 'floor' ? [m.floor] : []));
  expect(floors).toEqual([...floors].sort((a, b) => a - b));
  expect(floors.at(-1)).toBeGreaterThan(0);
  expect(floors.at(-1)).toBeLessThanOrEqual(solver.best.cost);
});
