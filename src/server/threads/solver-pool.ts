import os from 'node:os';
import { MessageChannel, Worker } from 'node:worker_threads';
import { PROBLEM } from '@/core/shared/bounds';
import type { AnyTask, AtRest, FromThread, ToThread } from '@/workers/sourcing/messages';
import { threadFile } from './run-once';
import { WaitingLine } from './waiting-line';

/** At most as many threads as there are cores; two wait warm, since starting one and compiling its code takes time. */
export const MOST_THREADS = Math.max(1, os.availableParallelism());
const WARM = Math.min(2, MOST_THREADS);
/**
 * One more waits once there was a task: a solver that overran is ended with its thread, and whoever comes next is not to
 * wait for a new one.
 */
const SPARE = 1;
/** Threads that keep so much memory and then rest so long are ended and begun anew: a solver gives none of it back. */
const HEAVY_BYTES = 128 * 1024 * 1024;
const REST_MS = 15_000;

interface Pool {
  readonly idle: Worker[];
  readonly heavy: Set<Worker>;
  /** Threads that are becoming warm. */
  readonly warming: Set<Worker>;
  /** Who waits for warm threads: looked at again whenever one has become so. */
  readonly waiting: Set<() => void>;
  wasAsked: boolean;
  busy: number;
  resting?: NodeJS.Timeout | undefined;
  readonly line: WaitingLine;
}

/** Kept by the process: what starts with the server and what answers requests are bundled apart. */
const kept = globalThis as { evarnSolvers?: Pool };
const pool: Pool = (kept.evarnSolvers ??= {
  idle: [],
  heavy: new Set(),
  warming: new Set(),
  waiting: new Set(),
  wasAsked: false,
  busy: 0,
  line: new WaitingLine(Math.max(1, Math.floor(MOST_THREADS / 2)), PROBLEM.waiting),
});

/** Where solves wait for one another: each may use two threads. */
export const solverLine = pool.line;

/** How many threads there are, at work and waiting. */
export const threadCount = (): number => pool.idle.length + pool.busy;

function start(): Worker {
  const thread = new Worker(threadFile('sourcing'), {
    execArgv: [],
    resourceLimits: { maxOldGenerationSizeMb: PROBLEM.heapMb },
  });
  // A waiting thread keeps no process alive, and one that breaks is simply not there any more.
  thread.unref();
  thread.on('message', ({ bytes }: AtRest) => {
    if (bytes > HEAVY_BYTES) pool.heavy.add(thread);
    becameWarm(thread);
  });
  thread.on('error', () => forget(thread));
  thread.on('exit', () => forget(thread));
  return thread;
}

function forget(thread: Worker): void {
  const at = pool.idle.indexOf(thread);
  if (at >= 0) pool.idle.splice(at, 1);
  pool.heavy.delete(thread);
  if (pool.warming.delete(thread)) tellWaiting();
}

function tellWaiting(): void {
  for (const look of [...pool.waiting]) look();
}

/**
 * Starts what threads are wanting, so that they are warm when somebody asks. One after another: each has its code compiled
 * by others for as long as it takes itself, and pages are to be drawn meanwhile.
 */
export function readyThreads(): void {
  const wanted = WARM + (pool.wasAsked ? SPARE : 0) - pool.busy;
  if (pool.warming.size === 0 && pool.idle.length < wanted) warmOne();
}

function warmOne(): void {
  const thread = start();
  pool.warming.add(thread);
  pool.idle.push(thread);
}

function becameWarm(thread: Worker): void {
  if (!pool.warming.delete(thread)) return;
  tellWaiting();
  readyThreads();
}

/** How long is waited for warm threads: on a machine that is too busy for that, cold ones begin. */
const WARM_WITHIN_MS = 6_000;

/**
 * Waits until there are the warm threads that a solve is to have, or the signal is aborted. Two seconds of threads whose code
 * has still to be compiled end a tenth above what they end at else: a server that has just started is waited for, and the
 * time of a solve begins then. What is wanting becomes warm at once, not one after another.
 */
export function warmThreads(signal?: AbortSignal, withinMs = WARM_WITHIN_MS): Promise<void> {
  const areWarm = () => pool.idle.length - pool.warming.size >= WARM;
  return new Promise((done) => {
    const end = () => {
      pool.waiting.delete(look);
      clearTimeout(timer);
      signal?.removeEventListener('abort', end);
      done();
    };
    // Where none is becoming warm any more they broke: that is told by who gives them a task.
    const look = () => {
      if (areWarm() || pool.warming.size === 0 || signal?.aborted) end();
    };
    const timer = setTimeout(end, withinMs);
    pool.waiting.add(look);
    signal?.addEventListener('abort', end);
    if (!areWarm()) while (pool.idle.length < WARM) warmOne();
    look();
  });
}

function rest(): void {
  clearTimeout(pool.resting);
  if (pool.busy > 0) return;
  pool.resting = setTimeout(() => {
    for (const thread of [...pool.idle])
      if (pool.heavy.has(thread)) {
        forget(thread);
        void thread.terminate();
      }
    readyThreads();
  }, REST_MS);
  pool.resting.unref();
}

/** A thread that waits. One that is becoming warm would hear of a task later than a new one. */
function takeIdle(): Worker | undefined {
  const at = pool.idle.findIndex((thread) => !pool.warming.has(thread));
  return at < 0 ? undefined : pool.idle.splice(at, 1)[0];
}

/** A task in a thread. */
export interface Job {
  say(message: ToThread): void;
  hear(listener: (message: FromThread) => void): void;
  /** Gives the thread back when it is `done`, and ends it when it is not: a solver cannot be called off from outside. */
  end(done: boolean): void;
}

type Unposted<T> = T extends unknown ? Omit<T, 'port'> : never;

/** Puts a task to a thread that waits, or to a new one. A thread that breaks says it is done: the others go on. */
export function startJob(task: Unposted<AnyTask>): Job {
  const thread = takeIdle() ?? start();
  pool.busy++;
  pool.wasAsked = true;
  clearTimeout(pool.resting);
  const { port1, port2 } = new MessageChannel();
  let listener: (message: FromThread) => void = () => {};
  let [broken, ended] = [false, false];
  const onBroken = () => {
    broken = true;
    listener({ say: 'done' });
  };
  thread.ref();
  thread.once('error', onBroken);
  thread.once('exit', onBroken);
  port1.on('message', (message: FromThread) => listener(message));
  thread.postMessage({ ...task, port: port2 }, [port2]);
  return {
    say: (message) => port1.postMessage(message),
    hear: (to) => (listener = to),
    end(done) {
      if (ended) return;
      ended = true;
      port1.close();
      thread.off('error', onBroken);
      thread.off('exit', onBroken);
      pool.busy--;
      if (done && !broken) {
        thread.unref();
        pool.idle.push(thread);
      } else void thread.terminate();
      readyThreads();
      rest();
    },
  };
}
