import { createHash } from 'node:crypto';
import { parentPort } from 'node:worker_threads';
import type { Problem } from '@/core/sourcing';
import type { Beginnings, Share } from '@/core/sourcing/beginnings';
import { modelOf } from '@/core/sourcing/milp';
import { partModel } from '@/core/sourcing/part-model';
import { reachableNeed } from '@/core/sourcing/reachable';
import { seededRandom } from '@/core/shared/random';
import { Coolings } from './coolings';
import { divide, wanderAndDivide } from './divide';
import { highs, solveExactly } from './exact';
import { cut } from './cut';
import { lay } from './lay';
import { Job } from './job';
import type { AnyTask, FromThread, LinearModelTask, ReadTask, Task } from './messages';
import { requestFault } from './read-request';
import { isLarge, searchShare, stepsOfCooling } from './roles';
import { warmUp } from './warm-up';

/**
 * Searches until some of the time is over. A plan from elsewhere is taken up after it: two searches that follow one another
 * about find what one finds.
 */
function searchUntil(job: Job, until: number, began = 0): void {
  const isFull = job.solver.parcels >= job.compiled.maxSellers;
  const coolings = new Coolings(stepsOfCooling(job.compiled.offers, isFull));
  let next = 0;
  while (!job.over && job.elapsed < until) {
    job.solver.work(coolings.fractionAt((job.elapsed - began) / (until - began)));
    if (job.elapsed < next) continue;
    next = job.elapsed + 0.04;
    job.hear();
    job.tellBest();
  }
  job.tellBest();
}

/** Solves parts of the best plan exactly, one after another, until the time is over. */
async function solveParts(job: Job): Promise<void> {
  const solver = await highs();
  const random = seededRandom(job.task.seed + 1);
  const { solver: own } = job;
  for (let n = 0; !job.over && job.left > 0.3; n++) {
    job.listen();
    const size = { open: 5 + (n % 3), closed: 3 + (n % 4) };
    const part = partModel(own.c, own.best, own.promising(50), size, random);
    if (!part?.start) return searchUntil(job, job.task.seconds);
    const answer = solveExactly(solver, part.model.linearModel, {
      start: part.start,
      seconds: Math.min(1.5, job.left - 0.08),
      gap: 1e-4,
    });
    if (answer.values) own.adoptExactly(part.whole(part.model.decode(answer.values)));
    // A little search from the new place: cheap, and it finds what the part could not see.
    for (let i = 0; i < 8; i++) own.work(0.97);
    job.tellBest();
  }
}

/** Sellers beside those in use that a model around the best plan has at first, and how many more each time. */
const AROUND = { first: 4, more: 4 };
/** The least time that such a model is worth, in seconds. */
const AROUND_LEAST = 0.25;
/** Share of the time that it has before the whole is solved. */
const AROUND_SHARE = 0.3;

/**
 * Solves the model of the sellers in use and of a few promising ones, boxes free: small enough to be solved nearly to the
 * end, and what it leaves out seldom matters. Then of a few more, and so forth.
 */
async function solveAround(job: Job, until: number): Promise<void> {
  const solver = await highs();
  const { solver: own } = job;
  // It overruns: what it is given ends a little before the time does.
  const left = () => Math.min(job.left, until - job.elapsed) - 0.12;
  for (let more = AROUND.first; !job.over && left() > AROUND_LEAST; more += AROUND.more) {
    job.listen();
    const sellers = own.promising(own.parcels + more).filter((s) => own.c.offersOfSeller[s]!.length > 0);
    const model = modelOf(own.c, sellers, own.met);
    const take = (values: Float64Array): void => {
      own.adoptExactly(model.decode(values));
      job.tellBest();
    };
    const answer = solveExactly(solver, model.linearModel, {
      start: model.encode(own.best),
      seconds: left(),
      gap: 1e-4,
      effort: 0.1,
      onBetter: take,
      onBound: () => {
        job.listen();
        return job.over;
      },
    });
    if (answer.values) take(answer.values);
    if (sellers.length >= own.c.sellers) return;
    for (let i = 0; i < 8; i++) own.work(0.97);
    job.tellBest();
  }
}

/**
 * The first round of a search in seconds, each twice as long as the one before; how much of each is searched, and in how
 * many coolings; how much of what is left is solved around the best plan; and for how much time no round is begun any more.
 */
const ROUND = { seconds: 2, search: 0.55, coolings: 3, around: 0.6, least: 0.5 };
/** Share of the time in which choices of sellers to begin from are looked at, at most; and of a large problem. */
const LOOK_SHARE = 0.35;
const LOOK_SHARE_OF_LARGE = 0.25;
/** Share of the time that what a search has found is divided anew in, at most. */
const DIVIDE_SHARE = 0.2;
/** What is dearer than the best plan by more than this is seldom better when it is divided anew. */
const WORTH_DIVIDING = 1.03;

/** Cools down once and divides what that has come to. Several of them find more than one that takes as long. */
async function coolAndDivide(job: Job, length: number): Promise<void> {
  const began = job.elapsed;
  searchUntil(job, began + (ROUND.search / ROUND.coolings) * length, began);
  const { best, present } = job.solver;
  if (present.unmet <= best.unmet && present.cost < best.cost * WORTH_DIVIDING)
    await divide(job, present, DIVIDE_SHARE * length);
}

const ALONE: Share = { of: 1, at: 0 };

/** Looks at the choices of sellers that this thread may begin from, until enough time is over. */
function lookAtBeginnings(job: Job, share: Share, most: number): Beginnings {
  const beginnings = job.solver.beginnings(share);
  while (!job.over && job.elapsed < most * job.task.seconds && beginnings.look()) job.hear();
  return beginnings;
}

/**
 * Searches anew, and solves around what is best, again and again: a search that has cooled down leaves its place no more,
 * and the next one seldom comes to rest in the same. So more time is not worse than less.
 */
async function searchInRounds(job: Job): Promise<void> {
  const { seconds, role, seed } = job.task;
  const share = role === 'around' ? { of: 2, at: seed & 1 } : ALONE;
  const beginnings = lookAtBeginnings(job, share, LOOK_SHARE);
  for (let length = ROUND.seconds; ; length *= 2) {
    const began = job.elapsed;
    // What would be left for another round is too little for one: it belongs to this.
    const until = seconds - (began + length) < length ? seconds : began + length;
    for (let n = 0; n < ROUND.coolings && !job.over; n++) {
      beginnings.begin();
      await coolAndDivide(job, until - began);
    }
    job.listen();
    await solveAround(job, job.elapsed + ROUND.around * (until - job.elapsed));
    await wanderAndDivide(job, until);
    // A search that has no time to cool down only leaves the best place.
    if (job.over || job.left < ROUND.least) return;
  }
}

/** Share of the time after the search in which a large plan is warmed up and divided; then parts of it are solved exactly. */
const WANDER_SHARE = 0.6;

async function searchLarge(job: Job): Promise<void> {
  const { seconds } = job.task;
  const until = searchShare(job.compiled.offers, seconds) * seconds;
  const beginnings = lookAtBeginnings(job, ALONE, LOOK_SHARE_OF_LARGE);
  // Where there are none to begin from the search is one.
  for (let left = Math.max(1, beginnings.left); left > 0 && !job.over; left--) {
    beginnings.begin();
    const began = job.elapsed;
    searchUntil(job, began + (until - began) / left, began);
  }
  await divide(job, job.solver.best, DIVIDE_SHARE * seconds);
  job.listen();
  await wanderAndDivide(job, job.elapsed + WANDER_SHARE * job.left);
  if (!job.over) await solveParts(job);
}

/** Solves the whole linear model: right for small and middling problems, and it proves a floor. */
async function solveWhole(job: Job): Promise<void> {
  const solver = await highs();
  const { c } = job.solver;
  // A moment of search first, and of the sellers it uses: what the solver begins with is then worth having.
  const wait = c.offers < 500 ? 0.05 : Math.min(0.8, job.task.seconds * 0.1);
  const until = job.elapsed + wait;
  while (!job.over && job.elapsed < until) job.solver.work(1 - (until - job.elapsed) / wait);
  job.tellBest();
  job.listen();
  if (c.offers >= 500) await solveAround(job, AROUND_SHARE * job.task.seconds);
  const sellers = Array.from({ length: c.sellers }, (_, s) => s).filter(
    (s) => c.offersOfSeller[s]!.length > 0,
  );
  // Where weights or parcels forbid that all is met, what the best plan meets is what is asked for, and no floor of all.
  const whole = job.solver.leavesLeast;
  const model = modelOf(c, sellers, whole ? reachableNeed(c) : job.solver.met);
  const take = (values: Float64Array): void => {
    job.solver.adoptExactly(model.decode(values));
    job.tellBest();
  };
  const answer = solveExactly(solver, model.linearModel, {
    start: model.encode(job.solver.best),
    seconds: job.left,
    gap: 0,
    onBetter: take,
    onBound: (bound) => {
      if (whole) job.sendBound(Math.ceil(bound - 1e-6));
      return job.over;
    },
  });
  if (answer.values) take(answer.values);
  if (whole) job.sendBound(Math.ceil(answer.bound - 1e-6));
  if (whole && answer.optimal) job.tell({ say: 'proven' });
}

/** Steps of the floor alone, towards whatever the others have found. */
function proveBound(job: Job): void {
  let next = 0;
  while (!job.over) {
    const floor = job.solver.boundStep();
    if (job.solver.leavesLeast) job.sendBound(floor);
    if (job.elapsed < next) continue;
    next = job.elapsed + 0.04;
    job.listen();
  }
}

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

async function solve(task: Task): Promise<void> {
  const job = new Job(task);
  if (task.role === 'whole') await solveWhole(job);
  else if (task.role === 'steps') searchBySteps(job);
  else if (task.role === 'trial') searchUntil(job, task.seconds);
  else if (task.role === 'floor') proveBound(job);
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

let asked = false;
parentPort?.on('message', (task: AnyTask) => {
  asked = true;
  if (task.role === 'read') read(task);
  else if (task.role === 'lay') void lay(task);
  else if (task.role === 'cut') cut(task);
  else void (task.role === 'linear model' ? solveLinearModel(task) : solve(task));
});
// Whoever waits already is served first.
void highs().then((solver) => asked || warmUp(solver));
