import { expose } from 'comlink';
import { quickLaying, type LayPlan, type LayProblem } from '@/core/fit/lay';

/** Makes the first laying of large walls and floors away from the page. */
const api = {
  lay: (problem: LayProblem): LayPlan => quickLaying(problem).plan({ proven: false, seconds: 0 }),
};

export type FirstLayingWorker = typeof api;
expose(api);
