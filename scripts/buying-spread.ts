import { compile, type BuyingPlan, type Problem } from '../src/core/sourcing';
import { modelOf } from '../src/core/sourcing/milp';
import { reachableNeed } from '../src/core/sourcing/reachable';
import { State } from '../src/core/sourcing/state';
import { buyingProblem, SIZES, STRUCTURE_NAMES, type SizeName } from '../src/core/testing/buying-problems';
import { faultsOf } from '../src/core/testing/sourcing';
import { solveLinearModel } from '../src/server/solve-linear-model';
import { solveSourcing } from '../src/server/solve-sourcing';
import { realNeeds } from '../src/server/testing/real-needs';
import { openDatabase } from '../src/data/database';

/**
 * `npm run buying-spread -- SIZE SECONDS [SEED …]`: buying plans of problems of every structure, from seeds that nobody
 * has looked at; with `needs:FOLDER` in place of a size, of what the builds of a workspace need: what Evarn finds in the time, the solver alone on the whole programme in the same time, and both ways
 * that people do it by hand, beside the best of all of them and of a longer run. Threads are bundled first.
 */
const [sizeName = 'medium', seconds = '2', ...seeds] = process.argv.slice(2);
const folder = sizeName.startsWith('needs:') ? sizeName.slice('needs:'.length) : null;
if ((folder === null && !Object.hasOwn(SIZES, sizeName)) || !(Number(seconds) > 0)) {
  console.error(
    'Say a size (small, medium, large) or needs:FOLDER, seconds, and seeds: npm run buying-spread -- medium 2 7 8',
  );
  process.exit(2);
}
/** Problems out of one workspace. */
const MOST_NEEDS = 12;
/** The longer run that tells how far there is to go. */
const LONGER = 5;

interface Row {
  readonly over: number;
  readonly gap: number;
  readonly unmet: number;
  /** How far the longer run is over the best known: more time should not be worse. */
  readonly longer: number;
}

const unmetOf = (plan: BuyingPlan): number => plan.unmet.reduce((s, u) => s + u.qty, 0);
const percent = (n: number): string => `${n.toFixed(2)} %`;

/** The solver alone: cost in pence, or undefined where it found no plan in the time. */
async function solverAlone(
  problem: Problem,
  time: number,
): Promise<{ cost: number; unmet: number } | undefined> {
  const c = compile(problem);
  const sellers = c.offersOfSeller.flatMap((o, s) => (o.length > 0 ? [s] : []));
  const model = modelOf(c, sellers, reachableNeed(c));
  const { values } = await solveLinearModel(model.linearModel, time);
  if (!values) return undefined;
  const state = new State(c);
  state.load(model.decode(values));
  return { cost: state.cost, unmet: state.unmet };
}

async function measure(problem: Problem): Promise<Row> {
  const time = Number(seconds);
  const plan = await solveSourcing(problem, { seconds: time });
  const faults = faultsOf(problem, plan);
  if (faults.length > 0) throw new Error(`${problem.name}: ${faults.join('; ')}`);
  const alone = await solverAlone(problem, time);
  const longer = await solveSourcing(problem, { seconds: LONGER * time, seed: 2 });
  const unmet = Math.min(unmetOf(plan), unmetOf(longer));
  const costs = [plan, longer].filter((p) => unmetOf(p) === unmet).map((p) => p.cost);
  if (alone?.unmet === unmet) costs.push(alone.cost);
  const best = Math.min(...costs);
  const over = (cost: number) => 100 * (cost / best - 1);
  // What leaves more unmet costs less for that alone.
  const told = (p: { cost: number; unmet: number }): string =>
    p.unmet > unmet ? `${p.unmet - unmet} more unmet` : percent(over(p.cost));
  const row = {
    over: over(plan.cost),
    gap: 100 * (1 - plan.floor / best),
    unmet: unmetOf(plan) - unmet,
    longer: over(longer.cost),
  };
  console.log(
    [
      problem.name.padEnd(36),
      `best ${best} p`.padEnd(15),
      `Evarn ${percent(row.over)}, floor ${percent(row.gap)} below${row.unmet > 0 ? `, ${row.unmet} more unmet` : ''}`.padEnd(
        44,
      ),
      `in ${LONGER * time} s ${percent(row.longer)}`.padEnd(16),
      `solver alone ${alone ? told(alone) : 'none'}`.padEnd(28),
      `cheapest each ${percent(over(plan.byHand.cheapestEach))}, fewest sellers ${percent(over(plan.byHand.fewestSellers))}`,
    ].join(' '),
  );
  return row;
}

const sorted = (rows: readonly Row[], of: (r: Row) => number): number[] => rows.map(of).sort((a, b) => a - b);
const spread = (values: readonly number[]): string =>
  `median ${percent(values[values.length >> 1] ?? 0)}, worst ${percent(values.at(-1) ?? 0)}`;

async function problemsOf(seed: number): Promise<Problem[]> {
  if (folder === null) return STRUCTURE_NAMES.map((name) => buyingProblem(name, sizeName as SizeName, seed));
  const handle = openDatabase(folder, new Date());
  try {
    return await realNeeds(handle, seed, MOST_NEEDS);
  } finally {
    handle.sqlite.close();
  }
}

/** A server's threads wait with their code compiled; those of this command have to be brought so far first. */
for (const name of STRUCTURE_NAMES.slice(0, 3))
  await solveSourcing(buyingProblem(name, 'medium', 0), { seconds: 3 });
const rows: Row[] = [];
for (const seed of seeds.length > 0 ? seeds.map(Number) : [1])
  for (const problem of await problemsOf(seed)) rows.push(await measure(problem));
console.log(
  `\n${rows.length} ${folder === null ? sizeName : 'real'} problems, ${seconds} s: over the best known ${spread(sorted(rows, (r) => r.over))}; ` +
    `in ${LONGER} times the time ${spread(sorted(rows, (r) => r.longer))}; floor below it ${spread(sorted(rows, (r) => r.gap))}; ${rows.filter((r) => r.unmet > 0).length} leave unmet what can be had`,
);
process.exit(0);
