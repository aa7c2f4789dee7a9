import { describe, expect, it } from 'vitest';
import { between, seededRandom } from '../../shared/random';
import { layerOver, randomFloor, randomWalls, thickWalls } from '../../testing/laying';
import { firstLaying } from './first';
import { gridOf } from './grid-of';
import { compareScores, Laying } from './laying';
import { Patches } from './patches';
import type { LayProblem } from './problem';
import { quickLaying } from './quick';

const problemOf = (seed: number): LayProblem =>
  [
    () => randomWalls(seed, { length: 16, courses: 6 }),
    () => randomFloor(seed, 14, 9),
    () => thickWalls(seed, { length: 12, courses: 4 }),
    () => layerOver(seed, 12, 8),
  ][seed % 4]!();

describe('patches', () => {
  it('never make a laying worse, and leave every piece where it can lie, over walls and floors of all kinds', () => {
    let better = 0;
    for (let seed = 1; seed <= 24; seed++) {
      const grid = gridOf(problemOf(seed));
      const random = seededRandom(seed);
      const laying = firstLaying(grid, random);
      const patches = new Patches(grid, random);
      let before = laying.score;
      for (let i = 0; i < 120; i++) {
        patches.relay(laying, between(random, 0, grid.cells - 1));
        if (i % 10 > 0) continue;
        const now = laying.score;
        expect(compareScores(now, before, grid.preferMoney)).toBeLessThanOrEqual(0);
        if (compareScores(now, before, grid.preferMoney) < 0) better++;
        before = now;
      }
      // Laid anew from its pieces it is the same: no two cover a cell, no more are used than there are.
      const again = new Laying(grid);
      for (const p of laying.laid) {
        expect(again.fits(p)).toBe(true);
        again.lay(p);
      }
      expect(again.score).toEqual(laying.score);
    }
    expect(better).toBeGreaterThan(50);
  });

  it('count a joint where the points say that no piece spans it', () => {
    for (let seed = 1; seed <= 12; seed++) {
      const grid = gridOf(problemOf(seed));
      const laying = firstLaying(grid, seededRandom(seed));
      grid.points.forEach((p, i) => {
        const isCovered = p.cells.every((c) => laying.owner[c]! >= 0);
        const isSpanned = p.spans.some((s) => laying.laid.has(s));
        expect(laying.hasJoint(i)).toBe(isCovered && !isSpanned);
      });
    }
  });

  it('make the first drawing of a floor markedly firmer than cell after cell does', () => {
    let [plain, quick] = [0, 0];
    for (let seed = 1; seed <= 10; seed++) {
      const problem = randomFloor(seed, 20, 12);
      plain += firstLaying(gridOf(problem), seededRandom(1)).score.joints;
      quick += quickLaying(problem).score.joints;
    }
    expect(plain).toBeGreaterThan(40);
    expect(quick).toBeLessThan(plain / 2);
  });
});
