import { between, seededRandom, type Random } from '../../shared/random';
import { layCourses, relayCourses } from './courses';
import { firstLaying } from './first';
import type { Grid } from './grid';
import { gridOf } from './grid-of';
import { compareScores, Laying } from './laying';
import { Patches } from './patches';
import type { LayProblem } from './problem';

/** Courses that are laid anew: what a page waits for without being seen to. */
const STEPS = 60;
const MOST_POINTS = 20_000;
/** Patches that are laid anew, likewise. */
const PATCHES = 80;

/**
 * A laying to be shown while a better one is looked for: the quickest there is, the same every time. The problem must make
 * sense (`faultOf`).
 *
 * @example quickLaying(problem).score.unfilled // 0 where single studs can be had
 */
export function quickLaying(problem: LayProblem): Laying {
  const grid = gridOf(problem);
  const random = seededRandom(1);
  const inCourses = layCourses(grid);
  let best = firstLaying(grid, random, inCourses);
  if (inCourses) {
    const plain = firstLaying(grid, random);
    if (compareScores(plain.score, best.score, grid.preferMoney) < 0) best = plain;
    relayCourses(
      grid,
      best,
      random,
      Math.min(STEPS, Math.ceil(MOST_POINTS / Math.max(1, grid.points.length))),
    );
  }
  patchUp(grid, best, random);
  return best;
}

/** Lays patches anew, anywhere. */
function patchUp(grid: Grid, laying: Laying, random: Random): void {
  if (grid.cells === 0) return;
  const patches = new Patches(grid, random);
  for (let i = 0; i < PATCHES; i++) patches.relay(laying, between(random, 0, grid.cells - 1));
}
