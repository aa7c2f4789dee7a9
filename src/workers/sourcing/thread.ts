import { createHash } from 'node:crypto';
import { parentPort, receiveMessageOnPort } from 'node:worker_threads';
import type { Problem } from '@/core/sourcing';
import { cheapestEach } from '@/core/sourcing/by-hand';
import type { Compiled } from '@/core/sourcing/compile';
import { modelOf } from '@/core/sourcing/milp';
import { partModel } from '@/core/sourcing/part-model';
import { reachableNeed } from '@/core/sourcing/reachable';
import { Solver } from '@/core/sourcing/solver';
import { planOf } from '@/core/sourcing/plan';
import { scoreOf, type Saved } from '@/core/sourcing/state';
import { seededRandom } from '@/core/shared/random';
import { highs, solveExactly } from './exact';
import { cut } from './cut';
import { lay } from './lay';
import type { AnyTask, FromThread, LinearModelTask, ReadTask, Task, ToThread } from './messages';
import { problemOf, requestFault } from './read-request';
import { floorFor, isLarge, searchShare } from './roles';
import { warmUp } from './warm-up';

/** One task: its clock, what other threads found meanwhile, and what was told last. */
class Job {
  readonly solver: Solver;
  stopped = false;
  private told = Infinity;
  private toldFloor = 0;
  private sentBound = -Infinity;
  /** The best plan from elsewhere that has not been taken up. */
  private waiting: Saved | null = null;
  readonly compiled: Compiled;
  private readonly problem: Problem;

  constructor(readonly task: Task) {
    const { compiled, problem } = problemOf(task);
    [this.compiled, this.problem] = [compiled, problem];
    this.tellFirst();
    const { seed, seconds, role } = task;
    const floor = floorFor(role, compiled.offers, seconds);
    // By steps nothing is timed, so that they come out alike everywhere.
    const isTimed = role !== 'steps';
    this.solver = new Solver(compiled, {
      seed,
      trialDonors: role === 'trial',
      boundSteps: isTimed ? floor.steps : Math.min(600, Math.ceil(task.iterations / 10)),
      boundTime: isTimed ? { now: () => performance.now() / 1000, seconds: floor.seconds } : undefined,
    });
    this.tellBest();
  }

  /** A plan at once: should the time be over before the search has begun, there is one to give. */
  private tellFirst(): void {
    if (this.task.role === 'floor') return;
    const first = cheapestEach(this.compiled).save();
    const byHand = { cheapestEach: Math.round(first.cost), fewestSellers: Math.round(first.cost) };
    const plan = planOf(this.compiled, this.problem, first, { status: 'bestSoFar', floor: 0, byHand });
    this.tell({ say: 'better', saved: first, plan, whole: false });
  }

  tell(message: FromThread): void {
    this.task.port.postMessage(message);
  }

  get elapsed(): number {
    return (Date.now() - this.task.began) / 1000;
  }

  get left(): number {
    return this.task.seconds - this.elapsed;
  }

  get over(): boolean {
    return this.stopped || this.left <= 0;
  }

  /** Reads what came in: plans from elsewhere, which wait to be taken up, or the word to stop. */
  hear(): void {
    for (;;) {
      const got = receiveMessageOnPort(this.task.port) as { message: ToThread } | undefined;
      if (!got) return;
      const { message } = got;
      if (message.say === 'stop') this.stopped = true;
      if (message.say !== 'adopt') continue;
      if (!this.waiting || scoreOf(message.saved) < scoreOf(this.waiting)) this.waiting = message.saved;
    }
  }

  /** Reads what came in, and goes on from a plan from elsewhere that is better. */
  listen(): void {
    this.hear();
    if (this.waiting && this.solver.adopt(this.waiting)) this.told = scoreOf(this.solver.best);
    this.waiting = null;
  }

  tellBest(): void {
    const { best } = this.solver;
    // A plan that leaves more unmet than it might has a floor of its own, which goes with it.
    const ownFloor = this.solver.leavesLeast ? 0 : this.solver.floor;
    if (scoreOf(best) < this.told - 1e-9 || ownFloor > this.toldFloor) {
      this.told = scoreOf(best);
      this.toldFloor = ownFloor;
      const plan = this.solver.plan(this.problem, 'bestSoFar');
      this.tell({ say: 'better', saved: best, plan, whole: this.solver.leavesLeast });
    }
    if (this.solver.leavesLeast) this.sendBound(this.solver.floor);
  }

  sendBound(floor: number): void {
    if (!Number.isFinite(floor) || floor <= this.sentBound) return;
    this.sentBound = floor;
    this.tell({ say: 'floor', floor });
  }
}

/**
 * Searches until some of the time is over. A plan from elsewhere is taken up after it: two searches that follow one another
 * about find what one finds.
 */
function searchUntil(job: Job, until: number, began = 0): void {
  let next = 0;
  while (!job.over && job.elapsed < until) {
    job.solver.work((job.elapsed - began) / (until - began));
    if (job.elapsed < next) continue;
    next = job.elapsed + 0.04;
    job.hear();
    job.tellBest();
  }
  job.tellBest();
  job.listen();
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
 * The first round of a search in seconds, each twice as long as the one before; how much of each is searched; and for how
 * much time none is begun any more.
 */
const ROUND = { seconds: 2, search: 0.4, least: 0.5 };

/**
 * Searches anew, and solves around what is best, again and again: a search that has cooled down leaves its place no more,
 * and the next one seldom comes to rest in the same. So more time is not worse than less.
 */
async function searchInRounds(job: Job): Promise<void> {
  const { seconds } = job.task;
  for (let length = ROUND.seconds; ; length *= 2) {
    const began = job.elapsed;
    // What would be left for another round is too little for one: it belongs to this.
    const until = seconds - (began + length) < length ? seconds : began + length;
    searchUntil(job, began + ROUND.search * (until - began), began);
    await solveAround(job, until);
    // A search that has no time to cool down only leaves the best place.
    if (job.over || job.left < ROUND.least) return;
  }
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
  else if (isLarge(job.compiled.offers)) {
    searchUntil(job, searchShare(job.compiled.offers, task.seconds) * task.seconds);
    if (!job.over) await solveParts(job);
  } else await searchInRounds(job);
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
void highs().then(() => asked || warmUp());
