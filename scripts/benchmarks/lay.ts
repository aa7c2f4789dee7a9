import {
  compareScores,
  gridOf,
  layModel,
  Laying,
  LaySearch,
  type LayProblem,
  type LayScore,
} from '@/core/fit/lay';
import { seededRandom } from '@/core/shared/random';
import { randomFloor, randomWalls } from '@/core/testing/laying';
import { layRequest } from '@/server/lay';
import { highs, solveExactly } from '@/workers/sourcing/exact';

const SECONDS = [1, 2, 10, 60] as const;

const PROBLEMS: readonly (readonly [string, LayProblem])[] = [
  ['walls, small', randomWalls(101, { length: 14, courses: 6 })],
  ['walls, middling', randomWalls(107, { length: 40, courses: 9 })],
  ['floor, small', randomFloor(3, 14, 8)],
  ['floor, middling', randomFloor(4, 24, 14)],
];

const words = (s: LayScore): string =>
  `${s.unfilled} empty, ${s.joints} joints, £${(s.money / 100).toFixed(2)}, ${s.pieces} pieces`;

/** Each problem in its threads at so many seconds, beside the whole programme given to the solver at once. */
export async function measureLaying(): Promise<void> {
  console.log('\nlaying walls and floors');
  const solver = await highs();
  for (const [name, problem] of PROBLEMS) {
    const grid = gridOf(problem);
    console.log(`  ${name}: ${grid.cells} places, ${grid.placements.length} ways to lay a piece`);
    for (const seconds of SECONDS) {
      const done = await layRequest(problem, { seconds });
      if (!done.ok) continue;
      const { unfilled, joints, money, pieces, proven } = done.value;
      const score = { unfilled, joints, money, pieces: pieces.length };
      console.log(
        `    ${seconds} s: ${words(score)}${proven ? ', proven' : ''}, in ${done.value.seconds.toFixed(1)} s`,
      );
    }
    const model = layModel(grid, new Laying(grid), null);
    const began = performance.now();
    const answer = solveExactly(solver, model.linearModel, { start: model.start, seconds: 60, gap: 0 });
    const whole = answer.values ? Laying.of(grid, model.decode(answer.values)).score : new Laying(grid).score;
    const took = ((performance.now() - began) / 1000).toFixed(1);
    console.log(`    the whole at once: ${words(whole)}${answer.optimal ? ', proven' : ''}, in ${took} s`);
    const times: number[] = [];
    for (let i = 0; i < 9; i++) {
      const start = performance.now();
      const search = new LaySearch(gridOf(problem), seededRandom(i));
      times.push(performance.now() - start);
      if (compareScores(search.bestScore, whole, grid.preferMoney) < 0)
        console.log('    better than the whole');
    }
    console.log(`    a first drawing: ${times.sort((a, b) => a - b)[4]!.toFixed(0)} ms`);
  }
}
