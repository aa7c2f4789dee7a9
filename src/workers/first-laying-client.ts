import { wrap } from 'comlink';
import type { LayPlan, LayProblem } from '@/core/fit/lay';
import type { FirstLayingWorker } from './first-laying.worker';

/** Makes the first laying in a worker of its own, which ends with it or when it is no longer wanted. */
export async function firstLayingInWorker(problem: LayProblem, signal: AbortSignal): Promise<LayPlan | null> {
  const worker = new Worker(new URL('./first-laying.worker.ts', import.meta.url), { type: 'module' });
  const gone = new Promise<null>((done) => signal.addEventListener('abort', () => done(null)));
  try {
    return await Promise.race([wrap<FirstLayingWorker>(worker).lay(problem), gone]);
  } finally {
    worker.terminate();
  }
}
