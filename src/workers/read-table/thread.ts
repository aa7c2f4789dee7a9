import { parentPort, workerData } from 'node:worker_threads';
import { readBytes } from './read-bytes';

/** Reads one table and ends. Whoever started this thread ends it when it takes too long or too much. */
void readBytes(workerData as Uint8Array).then((answer) => parentPort?.postMessage(answer));
