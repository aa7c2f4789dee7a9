import path from 'node:path';
import { MessageChannel, Worker } from 'node:worker_threads';
import type { FromThread, ProgrammeTask, Task, ToThread } from '@/workers/make-up/messages';

const FILE = path.join(/* turbopackIgnore: true */ process.cwd(), '.workers', 'make-up.mjs');
/** Threads that wait for work: starting one and compiling its code takes half a second. */
const SPARE = 2;

/** Kept by the process: what starts with the server and what answers requests are bundled apart. */
const kept = globalThis as { evarnThreads?: Worker[] };
const idle = (kept.evarnThreads ??= []);

function start(): Worker {
  const thread = new Worker(FILE, { execArgv: [] });
  // A waiting thread keeps no process alive, and one that breaks is simply not there any more.
  thread.unref();
  thread.on('error', () => forget(thread));
  thread.on('exit', () => forget(thread));
  return thread;
}

function forget(thread: Worker): void {
  const at = idle.indexOf(thread);
  if (at >= 0) idle.splice(at, 1);
}

/** Starts what threads are wanting, so that they are warm when somebody asks. */
export function readyThreads(): void {
  while (idle.length < SPARE) idle.push(start());
}

/** A task in a thread. */
export interface Job {
  say(message: ToThread): void;
  hear(listener: (message: FromThread) => void): void;
  /** Gives the thread back when it is `done`, and ends it when it is not: a solver cannot be called off from outside. */
  end(done: boolean): void;
}

/** Puts a task to a thread that waits, or to a new one. A thread that breaks says it is done: the others go on. */
export function startJob(task: Omit<Task, 'port'> | Omit<ProgrammeTask, 'port'>): Job {
  const thread = idle.shift() ?? start();
  const { port1, port2 } = new MessageChannel();
  let listener: (message: FromThread) => void = () => {};
  let broken = false;
  const onBroken = () => {
    broken = true;
    listener({ say: 'done' });
  };
  thread.ref();
  thread.once('error', onBroken);
  port1.on('message', (message: FromThread) => listener(message));
  thread.postMessage({ ...task, port: port2 }, [port2]);
  return {
    say: (message) => port1.postMessage(message),
    hear: (to) => (listener = to),
    end(done) {
      port1.close();
      thread.off('error', onBroken);
      if (done && !broken) {
        thread.unref();
        idle.push(thread);
      } else void thread.terminate();
      readyThreads();
    },
  };
}

/** Solves a programme in a thread. Values are null when none were found in the time. */
export function solveProgramme(
  programme: ProgrammeTask['programme'],
  seconds: number,
): Promise<{ values: Float64Array | null; optimal: boolean }> {
  return new Promise((finish) => {
    const job = startJob({ role: 'programme', programme, seconds });
    let answer: { values: Float64Array | null; optimal: boolean } = { values: null, optimal: false };
    const end = (done: boolean) => {
      clearTimeout(timer);
      job.end(done);
      finish(answer);
    };
    // It may overrun its time by seconds: then it is ended with its thread.
    const timer = setTimeout(() => end(false), seconds * 1000 + 2000);
    job.hear((message) => {
      if (message.say === 'values') answer = message;
      if (message.say === 'done') end(true);
    });
  });
}
