import { receiveMessageOnPort } from 'node:worker_threads';
import { compareScores, gridOf, layModel, LaySearch, type Grid, type LayScore } from '@/core/fit/lay';
import { seededRandom } from '@/core/shared/random';
import { highs, solveExactly } from './exact';
import type { FromThread, LayTask, ToThread } from './messages';

/** The largest model that is given to the solver whole: beyond it windows get further. */
const WHOLE_PLACEMENTS = 12_000;
/** How long one window may take, in seconds; and in branches, where the same plan is wanted every time. */
const WINDOW_SECONDS = 1;
const WINDOW_NODES = 200;

/** One laying at work in a thread. */
class LayJob {
  private stopped = false;
  private told: LayScore | null = null;
  readonly grid: Grid;
  readonly search: LaySearch;

  constructor(private readonly task: LayTask) {
    this.grid = gridOf(task.problem);
    this.search = new LaySearch(this.grid, seededRandom(task.seed));
    this.tellBest();
  }

  get left(): number {
    return this.task.seconds - (Date.now() - this.task.began) / 1000;
  }

  get over(): boolean {
    return this.stopped || this.left <= 0.02;
  }

  tell(message: FromThread): void {
    this.task.port.postMessage(message);
  }

  tellBest(): void {
    const { best, bestScore } = this.search;
    if (this.told && compareScores(bestScore, this.told, this.grid.preferMoney) >= 0) return;
    this.told = bestScore;
    this.tell({
      say: 'laid',
      laid: [...best.laid],
      score: bestScore,
      plan: best.plan({ proven: false, seconds: (Date.now() - this.task.began) / 1000 }),
    });
  }

  listen(): void {
    for (;;) {
      const got = receiveMessageOnPort(this.task.port) as { message: ToThread } | undefined;
      if (!got) return;
      if (got.message.say === 'stop') this.stopped = true;
      if (got.message.say === 'adopt laid' && this.search.adopt(got.message.laid))
        this.told = this.search.bestScore;
    }
  }
}

/** Windows one after another, until the time is over or there were so many. */
async function improve(job: LayJob, steps: number): Promise<void> {
  const solver = await highs();
  for (let n = 0; n < steps && !job.over; n++) {
    job.listen();
    if (job.search.patch()) job.tellBest();
    const window = job.search.window();
    if (!window) continue;
    const byNodes = Number.isFinite(steps);
    const answer = solveExactly(solver, window.linearModel, {
      start: window.start,
      seconds: byNodes ? Math.max(1, job.left) : Math.min(WINDOW_SECONDS, job.left),
      gap: 0,
      ...(byNodes ? { nodes: WINDOW_NODES } : {}),
    });
    if (answer.values && job.search.take(window, answer.values)) job.tellBest();
  }
}

/** The whole at once: what is found on the way is told, and what is proven at the end. */
async function solveWhole(job: LayJob): Promise<void> {
  const solver = await highs();
  const { grid, search } = job;
  const model = layModel(grid, search.best, null);
  const take = (values: ArrayLike<number>): void => {
    if (search.adopt(model.decode(values))) job.tellBest();
  };
  const answer = solveExactly(solver, model.linearModel, {
    start: model.start,
    seconds: job.left,
    gap: 0,
    onBetter: take,
    onBound: (bound) => {
      job.listen();
      tellFloor(bound);
      return job.over;
    },
  });
  if (answer.values) take(answer.values);
  tellFloor(answer.bound);
  if (answer.optimal && model.isExact(search.bestScore)) job.tell({ say: 'proven' });

  function tellFloor(bound: number): void {
    const { unfilled, joints } = search.bestScore;
    const money = model.leastMoney(bound, search.bestScore);
    if (money !== null && money > 0) job.tell({ say: 'least money', unfilled, joints, money });
  }
}

/** Lays what is asked, and says each better laying as it comes. */
export async function lay(task: LayTask): Promise<void> {
  const job = new LayJob(task);
  const steps = task.iterations > 0 ? task.iterations : Infinity;
  if (task.way === 'whole' && job.grid.placements.length <= WHOLE_PLACEMENTS) await solveWhole(job);
  else await improve(job, steps);
  job.tell({ say: 'done' });
}
