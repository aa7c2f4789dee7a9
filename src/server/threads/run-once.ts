import path from 'node:path';
import { Worker } from 'node:worker_threads';

/** How a thread ended that was to give one answer. */
export type Ran<T> =
  | { readonly ended: 'answer'; readonly value: T }
  | { readonly ended: 'memory' | 'time' | 'broken' | 'stopped' };

export interface ThreadLimits {
  readonly seconds: number;
  readonly heapMb: number;
  readonly signal?: AbortSignal | undefined;
  /** Called with what the thread says before its answer: messages with a `progress`. */
  readonly onProgress?: (progress: unknown) => void;
}

/** Where the threads' code lies, bundled by scripts/lib/threads.mjs. */
export const threadFile = (name: string): string =>
  path.join(/* turbopackIgnore: true */ process.cwd(), '.workers', `${name}.mjs`);

/**
 * Runs work on foreign data in a thread of its own, with bounds of memory and time; at a bound the thread is ended and
 * its memory is the system's again. The server itself goes on answering.
 */
export function runOnce<T>(name: string, data: unknown, limits: ThreadLimits): Promise<Ran<T>> {
  return new Promise((done) => {
    const thread = new Worker(threadFile(name), {
      workerData: data,
      execArgv: [],
      resourceLimits: { maxOldGenerationSizeMb: limits.heapMb, maxYoungGenerationSizeMb: 64 },
    });
    const end = (ran: Ran<T>) => {
      clearTimeout(timer);
      limits.signal?.removeEventListener('abort', stop);
      thread.removeAllListeners();
      thread.on('error', () => {});
      void thread.terminate().then(() => done(ran));
    };
    const stop = () => end({ ended: 'stopped' });
    const timer = setTimeout(() => end({ ended: 'time' }), limits.seconds * 1000);
    limits.signal?.addEventListener('abort', stop);
    thread.on('message', (value: T | { progress: unknown }) => {
      if (typeof value === 'object' && value && 'progress' in value) limits.onProgress?.(value.progress);
      else end({ ended: 'answer', value: value as T });
    });
    thread.on('error', (error: NodeJS.ErrnoException) => {
      const memory = error.code === 'ERR_WORKER_OUT_OF_MEMORY';
      if (!memory) console.error(`thread ${name}:`, error);
      end({ ended: memory ? 'memory' : 'broken' });
    });
    thread.on('exit', () => end({ ended: 'broken' }));
    if (limits.signal?.aborted) stop();
  });
}
