import { scoreOf, type Compiled } from '@/core/sourcing';
import { ChoiceCost } from '@/core/sourcing/choice-cost';
import { GLANCE, LOOK } from '@/core/sourcing/choice-plans';
import { everyChoice } from '@/core/sourcing/every-choice';
import { modelOf } from '@/core/sourcing/milp';
import { divide } from './divide';
import { highs, solveExactly } from './exact';
import type { Job } from './job';

/** How often a lot of a seller is looked at for choices, for each second there is, and in all: a tenth of the time. */
const LOOKS = { second: 8_000_000, most: 150_000_000 };

/** How often is searched from each choice before any is solved, in what share of the time, and seconds for dividing each. */
const SEARCH = { times: 4, share: 0.4, divide: 0.3 };

/** Searches from each choice for some moments: near enough where the time is short, and what their models begin with. */
async function searchFrom(job: Job, choices: readonly (readonly number[])[]): Promise<void> {
  const { solver: own } = job;
  const isOver = () => job.over || job.elapsed > SEARCH.share * job.task.seconds;
  const glance = (sellers: readonly number[]) =>
    isOver() ? Number.MAX_VALUE : scoreOf(own.searchFrom(sellers, GLANCE));
  const likely = choices
    .map((sellers) => ({ sellers, score: glance(sellers) }))
    .sort((a, b) => a.score - b.score);
  job.tellBest();
  for (let time = 0; time < SEARCH.times; time++)
    for (const { sellers } of likely) {
      if (isOver()) return;
      const plan = own.searchFrom(sellers, LOOK);
      job.tellBest();
      await divide(job, plan, SEARCH.divide);
    }
}

/** The model of some sellers alone where so many pieces may be lacking; of it nothing costs less than `bound`. */
async function solveChoice(
  job: Job,
  sellers: readonly number[],
  lacking: number,
): Promise<{ readonly found: boolean; readonly bound: number }> {
  const { solver: own } = job;
  const model = modelOf(own.c, sellers, own.c.need, { lacking });
  const take = (values: Float64Array): void => {
    own.adoptExactly(model.decode(values));
    job.tellBest();
  };
  const answer = solveExactly(await highs(), model.linearModel, {
    start: own.best.unmet <= lacking ? model.encode(own.best) : null,
    seconds: job.left,
    gap: 0,
    quick: true,
    onBetter: take,
    // What cannot be better than the best need not be solved to its end.
    onBound: (bound) => {
      job.hear();
      return job.over || (own.best.unmet <= lacking && bound >= own.best.cost - 0.5);
    },
  });
  if (answer.values) take(answer.values);
  return { found: answer.values !== null, bound: answer.infeasible ? Infinity : answer.bound };
}

/** Choices that lack no more than so many pieces, those that seem cheapest first; null where they are not few. */
function choices(c: Compiled, lacking: number, looks: number): readonly (readonly number[])[] | null {
  const cost = new ChoiceCost(c);
  const rank = (of: readonly number[]) => ({ of, pence: cost.of(of) });
  const all = everyChoice(c, lacking, looks)?.map(rank);
  return all?.sort((a, b) => a.pence - b.pence).map(({ of }) => of) ?? null;
}

/**
 * Where so few parcels are allowed that only a handful of choices of sellers have enough, each is solved by itself: small
 * models, and together they are all there is. So it is proven what must be lacking, and what the rest costs. False where
 * choices are many, or the time was over before.
 */
export async function solveChoices(job: Job): Promise<boolean> {
  const { solver: own } = job;
  const { c } = own;
  if (c.maxSellers >= c.sellers) return false;
  const looks = Math.min(LOOKS.most, LOOKS.second * job.task.seconds);
  for (;;) {
    const { unmet } = own.best;
    const all = choices(c, unmet, looks);
    if (!all) return false;
    await searchFrom(job, all);
    if (own.best.unmet < unmet) continue;
    if (unmet > 0 && !(await isLeast(job, unmet, looks))) {
      // One was found that leaves fewer: it is begun anew from there.
      if (own.best.unmet < unmet) continue;
      return false;
    }
    let floor = Infinity;
    for (const sellers of all) {
      floor = Math.min(floor, (await solveChoice(job, sellers, unmet)).bound);
      if (job.over) return false;
    }
    // A floor of these choices is one of all plans.
    job.sendBound(Math.ceil(floor - 1e-6));
    if (floor < own.best.cost - 0.5) return false;
    job.tellProven();
    return true;
  }
}

/** Whether no plan leaves fewer pieces unmet; false too where one was found that does. */
async function isLeast(job: Job, unmet: number, looks: number): Promise<boolean> {
  const fewer = choices(job.compiled, unmet - 1, looks);
  for (const sellers of fewer ?? []) {
    const { found, bound } = await solveChoice(job, sellers, unmet - 1);
    if (found || bound < Infinity) return false;
  }
  return fewer !== null;
}
