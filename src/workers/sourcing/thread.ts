import { createHash } from 'node:crypto';
import { parentPort } from 'node:worker_threads';
import type { Problem } from '@/core/sourcing';
import { chooserOf } from './choose';
import { highs, solveExactly } from './exact';
import { cut } from './cut';
import { lay } from './lay';
import { Job } from './job';
import type { AnyTask, AtRest, FromThread, LinearModelTask, ReadTask, Role, Task } from './messages';
import { proveFloor } from './prove-floor';
import { requestFault } from './read-request';
import { isLarge } from './roles';
import { searchLarge } from './search-large';
import { searchInRounds } from './search-rounds';
import { searchUntil } from './search-until';
import { solveChoices } from './solve-choices';
import { solveWhole } from './solve-whole';
import { warmUp } from './warm-up';

/** Searches for a number of steps: the same plan for the same seed and number, as long as the time lasts. */
function searchBySteps(job: Job): void {
  const { iterations } = job.task;
  let next = 0;
  for (let i = 0; i < iterations && !job.over && !job.solver.isProven; i++) {
    job.solver.work(i / iterations);
    if (job.elapsed < next) continue;
    next = job.elapsed + 0.04;
    job.listen();
    job.tellBest();
  }
  job.tellBest();
  if (job.solver.isProven) job.tell({ say: 'proven' });
}

/** Who works on a floor that is told. A search wants prices to be steered by, and has them sooner without. */
const CHOOSE: readonly Role[] = ['whole', 'trial', 'floor'];

/** One thread of each solve looks whether there are only few choices of sellers, while the other one searches. */
const mayHaveFew = ({ role, seed }: Task): boolean =>
  CHOOSE.includes(role) || (role === 'around' && seed % 2 === 0);

async function solve(task: Task): Promise<void> {
  const job = new Job(task);
  if (CHOOSE.includes(task.role)) job.solver.choose = chooserOf(await highs(), job);
  if (mayHaveFew(task) && (await solveChoices(job))) job.tellBest();
  else if (task.role === 'whole') await solveWhole(job);
  else if (task.role === 'steps') searchBySteps(job);
  else if (task.role === 'trial') searchUntil(job, task.seconds);
  else if (task.role === 'floor') proveFloor(job, task.seconds);
  else if (isLarge(job.compiled.offers)) await searchLarge(job);
  else await searchInRounds(job);
  job.tell({ say: 'done' });
}

async function solveLinearModel({ linearModel, seconds, port }: LinearModelTask): Promise<void> {
  const answer = solveExactly(await highs(), linearModel, { start: null, seconds, gap: 0 });
  const tell = (message: FromThread) => port.postMessage(message);
  tell({ say: 'values', values: answer.values, optimal: answer.optimal });
  tell({ say: 'done' });
}

function read(task: ReadTask): void {
  const tell = (message: FromThread) => task.port.postMessage(message);
  const read = requestFault(task);
  if ('problem' in read)
    tell({
      say: 'read',
      fault: null,
      offers: offersIn(read.problem),
      options: read.options,
      print: printOf(read.problem),
    });
  else tell({ say: 'read', fault: read });
  tell({ say: 'done' });
}

const printOf = (problem: Problem): string =>
  createHash('sha256').update(JSON.stringify(problem)).digest('hex');

const offersIn = (problem: Problem): number => problem.sellers.reduce((n, s) => n + s.offers.length, 0);

async function perform(task: AnyTask): Promise<void> {
  if (task.role === 'read') read(task);
  else if (task.role === 'lay') await lay(task);
  else if (task.role === 'cut') cut(task);
  else await (task.role === 'linear model' ? solveLinearModel(task) : solve(task));
}

function tellAtRest(): void {
  const { heapTotal, external } = process.memoryUsage();
  parentPort?.postMessage({ bytes: heapTotal + external } satisfies AtRest);
}

let asked = false;
parentPort?.on('message', (task: AnyTask) => {
  asked = true;
  void perform(task).finally(tellAtRest);
});
// Whoever waits already is served first.
void highs().then((solver) => {
  if (asked) return;
  warmUp(solver);
  tellAtRest();
});
