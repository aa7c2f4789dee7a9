import { seededRandom } from '../../shared/random';
import { layCourses, relayCourses } from './courses';
import { firstLaying } from './first';
import { gridOf } from './grid';
import { compareScores, Laying } from './laying';
import type { LaidPiece, LayProblem } from './problem';

/** Courses that are laid anew: what a page waits for without being seen to. */
const STEPS = 60;
const MOST_POINTS = 20_000;

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
  return best;
}

/** A plan's pieces on the grid of their problem; what is none of its placements is left out. */
export function layingOf(problem: LayProblem, pieces: readonly LaidPiece[]): Laying {
  const grid = gridOf(problem);
  const byPiece = new Map(grid.placements.map((p, i) => [keyOf(p.piece), i]));
  return Laying.of(
    grid,
    pieces.flatMap((p) => byPiece.get(keyOf(p)) ?? []),
  );
}

const keyOf = (p: LaidPiece): string =>
  'wall' in p
    ? `${p.part}|${p.wall}|${p.course}|${p.at}|${p.row ?? 0}|${p.across ?? false}`
    : `${p.part}|${p.x}|${p.y}|${p.turned}`;
