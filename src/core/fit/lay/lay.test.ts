import { beforeAll, describe, expect, it } from 'vitest';
import { highs, solveExactly } from '@/workers/sourcing/exact';
import { seededRandom } from '../../shared/random';
import { layerOver, randomFloor, randomWalls, thickWalls } from '../../testing/laying';
import {
  compareScores,
  faultOf,
  gridOf,
  judgeLaying,
  layModel,
  Laying,
  LaySearch,
  quickLaying,
  weakPlaces,
  type Grid,
  type LayProblem,
  type LayScore,
} from './index';

let solver: Awaited<ReturnType<typeof highs>>;
beforeAll(async () => {
  solver = await highs();
});

const problems = (): LayProblem[] => [
  ...Array.from({ length: 25 }, (_, i) => randomWalls(i + 1, { length: 14, courses: 5 })),
  ...Array.from({ length: 15 }, (_, i) => thickWalls(i + 1, { length: 9, courses: 4 })),
  ...Array.from({ length: 25 }, (_, i) => randomFloor(i + 1, 10, 6)),
  ...Array.from({ length: 10 }, (_, i) => layerOver(i + 1, 8, 6)),
];
const piecesOf = (laying: Laying) => laying.plan({ proven: false, seconds: 0 }).pieces;
const solved = (grid: Grid, from: Laying): Laying => {
  const model = layModel(grid, from, null);
  const answer = solveExactly(solver, model.linearModel, { start: model.start, seconds: 30, gap: 0 });
  return Laying.of(grid, model.decode(answer.values!));
};

/** The best there is by trying everything, cell after cell. */
function tried(grid: Grid): LayScore {
  const laying = new Laying(grid);
  let best = laying.score;
  const go = (cell: number, empty: number): void => {
    // Places without a piece count before all else: what has more of them is no better, however it goes on.
    if (empty > best.unfilled) return;
    if (cell === grid.cells) {
      const score = laying.score;
      if (compareScores(score, best, grid.preferMoney) < 0) best = score;
      return;
    }
    if (laying.owner[cell]! >= 0) return go(cell + 1, empty);
    for (const p of grid.covering[cell]!) {
      if (!laying.fits(p)) continue;
      laying.lay(p);
      go(cell + 1, empty);
      laying.lift(p);
    }
    go(cell + 1, empty + 1);
  };
  go(0, 0);
  return best;
}

describe('a laying', () => {
  it('comes to what the rules alone say of it, at first and after every window', () => {
    for (const problem of problems()) {
      const grid = gridOf(problem);
      const search = new LaySearch(grid, seededRandom(7));
      for (let n = 0; n < 2; n++) {
        const judged = judgeLaying(problem, piecesOf(search.best));
        expect(judged).toEqual({ fault: null, ...search.bestScore });
        const window = search.window();
        if (!window) continue;
        const answer = solveExactly(solver, window.linearModel, { start: window.start, seconds: 5, gap: 0 });
        const before = search.bestScore;
        if (answer.values) search.take(window, answer.values);
        expect(compareScores(search.bestScore, before, grid.preferMoney)).toBeLessThanOrEqual(0);
      }
    }
  });

  it('is as weak and as empty, place by place, as the rules count', () => {
    for (const problem of problems()) {
      const scarce = { ...problem, parts: problem.parts.map((p) => ({ ...p, price: null })) } as LayProblem;
      for (const asked of [problem, scarce]) {
        const laying = quickLaying(asked);
        const { joints, empty } = weakPlaces(asked, piecesOf(laying));
        const judged = judgeLaying(asked, piecesOf(laying));
        expect([joints.length, empty.length]).toEqual([judged.joints, judged.unfilled]);
        expect(new Set(empty.map((e) => JSON.stringify(e))).size).toBeGreaterThan(empty.length / 2 - 1);
      }
    }
  });

  it('fills all places at once wherever pieces of one place can be bought', () => {
    for (const problem of problems()) {
      const { bestScore } = new LaySearch(gridOf(problem), seededRandom(1));
      expect(bestScore.unfilled).toBe(0);
    }
  });

  it('is as good as can be when the whole is solved: no other way of laying is better', () => {
    for (let seed = 1; seed <= 14; seed++) {
      const small = seed % 2 ? randomFloor(seed, 3, 3) : randomWalls(seed, { length: 4, courses: 2 });
      const grid = gridOf(small);
      if (grid.cells > 14) continue;
      const best = solved(grid, new LaySearch(grid, seededRandom(1)).best).score;
      const all = tried(grid);
      // Between layings of one price and so many joints the count of pieces is beyond the numbers where money comes first.
      const same = grid.preferMoney ? { ...all, pieces: best.pieces } : all;
      expect([seed, best]).toEqual([seed, same]);
    }
  });

  it('keeps to what there is: a part that is neither at hand nor for sale is never laid', () => {
    for (const problem of problems()) {
      const plan = new LaySearch(gridOf(problem), seededRandom(3)).best.plan({ proven: false, seconds: 0 });
      for (const [id, n] of Object.entries(plan.bought)) {
        const part = problem.parts.find((p) => p.id === id)!;
        expect(part.price).not.toBeNull();
        expect(n).toBeLessThanOrEqual(part.limit);
      }
    }
  });

  it('leaves empty what cannot be filled, and counts it', () => {
    const problem = randomWalls(2, { length: 8, courses: 3 });
    const bare = {
      ...problem,
      parts: problem.parts.map((p) => ({ ...p, stock: 0, price: null })),
    } as LayProblem;
    const grid = gridOf(bare);
    const search = new LaySearch(grid, seededRandom(1));
    expect(search.bestScore).toEqual({ unfilled: grid.cells, joints: 0, money: 0, pieces: 0 });
    expect(judgeLaying(bare, []).unfilled).toBe(grid.cells);
    expect(search.window()).toBeNull();
  });
});

describe('what the whole model proves', () => {
  it('is no more than what a plan of so many joints costs', () => {
    for (let seed = 1; seed <= 12; seed++) {
      const problem = {
        ...randomWalls(seed, { length: 10, courses: 4 }),
        prefer: 'joints' as const,
      } as LayProblem;
      const grid = gridOf(problem);
      const first = new LaySearch(grid, seededRandom(1)).best;
      const model = layModel(grid, first, null);
      const answer = solveExactly(solver, model.linearModel, { start: model.start, seconds: 20, gap: 0 });
      const best = Laying.of(grid, model.decode(answer.values!)).score;
      expect(answer.optimal).toBe(true);
      expect(model.isExact(best)).toBe(true);
      expect(model.leastMoney(answer.bound, best)).toBeLessThanOrEqual(best.money);
      expect(model.leastMoney(answer.bound, best)).toBeGreaterThan(best.money - 2);
    }
  });
});

describe('nonsense', () => {
  const walls = {
    kind: 'walls' as const,
    walls: [
      { id: 'quay', length: 8 },
      { id: 'slip', length: 5 },
    ],
    corners: [{ a: 'quay', aEnd: 'right' as const, b: 'slip', bEnd: 'left' as const }],
    courses: [{ colour: 'ash' }, { colour: 'ash' }],
    openings: [{ wall: 'quay', from: 2, width: 2, bottom: 0, courses: 2 }],
    parts: [{ id: 'b', colour: 'ash', length: 2, stock: 9, price: 3, limit: 9 }],
  };
  const opening = walls.openings[0]!;
  it.each<[string, LayProblem]>([
    ['an opening is in the wall moat', { ...walls, openings: [{ ...opening, wall: 'moat' }] }],
    ['reaches outside', { ...walls, openings: [{ ...opening, from: 7 }] }],
    ['reaches outside', { ...walls, openings: [{ ...opening, bottom: 1 }] }],
    ['a corner is of the wall moat', { ...walls, corners: [{ ...walls.corners[0]!, b: 'moat' }] }],
    ['meets itself', { ...walls, corners: [{ ...walls.corners[0]!, b: 'quay' }] }],
    [
      'the right end of quay meets two walls',
      { ...walls, corners: [...walls.corners, { ...walls.corners[0]!, bEnd: 'right' }] },
    ],
    [
      'an area of colour of quay from 7 reaches outside',
      {
        ...walls,
        areas: [{ wall: 'quay', from: 7, width: 2, bottom: 0, courses: 1, colour: 'ash' }],
      },
    ],
    [
      'slip is shorter than it is thick',
      { ...walls, walls: [walls.walls[0]!, { id: 'slip', length: 1 }], thick: 2 },
    ],
    ['two walls have the same name', { ...walls, walls: [walls.walls[0]!, walls.walls[0]!] }],
    ['two parts have the same name', { ...walls, parts: [walls.parts[0]!, walls.parts[0]!] }],
  ])('says where: %s', (says, problem) => expect(faultOf(problem)).toContain(says));

  it('is none where everything is in its place', () => {
    expect(faultOf(walls)).toBeNull();
    for (const problem of problems()) expect(faultOf(problem)).toBeNull();
  });
});

describe('the one who judges', () => {
  const floor = { ...randomFloor(4, 4, 4), keepOut: [], avoidCrosses: true } as Extract<
    LayProblem,
    { kind: 'floor' }
  >;
  const areas = [{ x: 0, y: 0, w: 4, d: 4, colours: ['ash'] }];
  const parts = [{ id: 't', colour: 'ash', w: 2, d: 2, stock: 9, price: null, limit: 0 }];
  const four = [0, 2].flatMap((x) => [0, 2].map((y) => ({ part: 't', x, y, turned: false })));
  const problem = { ...floor, areas, parts };

  it('counts a cross where four corners meet', () =>
    expect(judgeLaying(problem, four)).toEqual({ fault: null, unfilled: 0, joints: 1, money: 0, pieces: 4 }));

  it('sees pieces on one another, outside, in a strange colour, and more than there are', () => {
    const fault = (pieces: typeof four, of = problem) => judgeLaying(of, pieces).fault;
    expect(fault([...four, four[0]!])).toMatch(/on another/);
    expect(fault([{ ...four[0]!, x: 3 }])).toMatch(/where nothing may/);
    expect(fault(four, { ...problem, areas: [{ ...areas[0]!, colours: ['kelp'] }] })).toMatch(/colour/);
    expect(fault(four, { ...problem, parts: [{ ...parts[0]!, stock: 3 }] })).toMatch(/not for sale/);
  });
});
