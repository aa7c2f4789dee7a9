import { receiveMessageOnPort } from 'node:worker_threads';
import { CutSearch } from '@/core/stickers/cutting';
import type { CutTask, FromThread, ToThread } from './messages';

/** Groups of no more pairs than this are solved at once: it takes a second or two. */
const SOON_PAIRS = 1_000_000;
/** Parts that are solved anew before the groups as a whole: what is told until then is good already. */
const FIRST_STEPS = 20;
/** The clock is read, and the port, once in so many questions whether the time is over. */
const LOOK_EVERY = 64;

/** Cuts what is asked, and says each better way as it comes. */
export function cut(task: CutTask): void {
  const { port, problem, seed, seconds, began, iterations } = task;
  const tell = (message: FromThread) => port.postMessage(message);
  const elapsed = () => (Date.now() - began) / 1000;
  let [stopped, asked] = [false, 0];
  const isOver = (): boolean => {
    if (stopped || asked++ % LOOK_EVERY > 0) return stopped;
    const got = receiveMessageOnPort(port) as { message: ToThread } | undefined;
    stopped = got?.message.say === 'stop' || elapsed() > seconds - 0.02;
    return stopped;
  };
  const search = new CutSearch(problem, seed);
  let told = '';
  const tellBest = () => {
    const now = JSON.stringify([search.score, search.proven]);
    if (now !== told) tell({ say: 'cut', plan: search.plan(elapsed()) });
    told = now;
  };
  tellBest();
  search.restart();
  tellBest();
  const steps = iterations > 0 ? iterations : Infinity;
  let done = 0;
  const improve = (until: number) => {
    for (; done < until && !search.proven && !isOver(); done++) {
      search.improveOnce(isOver);
      tellBest();
    }
  };
  while (!isOver() && search.solveNext(isOver, SOON_PAIRS)) tellBest();
  improve(Math.min(steps, FIRST_STEPS));
  while (!isOver() && search.solveNext(isOver)) tellBest();
  improve(steps);
  tellBest();
  tell({ say: 'done' });
}
