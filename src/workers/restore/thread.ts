import { parentPort, workerData } from 'node:worker_threads';
import { prepare, type RestoreTask } from './prepare';

/** Makes one backup ready and ends. Whoever started this thread ends it when it takes too long or too much. */
void prepare(workerData as RestoreTask, (progress) => parentPort?.postMessage({ progress })).then((fault) =>
  parentPort?.postMessage({ fault: fault ?? null }),
);
