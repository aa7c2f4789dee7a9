import { describe, expect, it } from 'vitest';
import { randomCut } from '../../testing/cutting';
import { bestByTrying } from '../../testing/best-cut';
import { CutSearch } from './cut-search';
import { groupsOf } from './groups';
import { firstFit } from './first-fit';
import { comesApart, judgeCut } from './judge';
import { cutPlanSchema, type CutPlan, type CutProblem } from './problem';
import { addScores, compareCuts, scoreOf } from './shared-out';

const LAB: [number, number, number] = [40, 50, 30];
const NEVER = () => false;

function solved(problem: CutProblem): CutPlan {
  const search = new CutSearch(problem, 1);
  while (search.solveNext(NEVER));
  return search.plan(0);
}

/** What a plan of a problem says of itself, held against the rules. */
function expectRight(problem: CutProblem, plan: CutPlan): void {
  expect(cutPlanSchema.parse(plan)).toBeTruthy();
  const judged = judgeCut(problem, plan);
  expect(judged.fault).toBe(null);
  expect(judged.unmet).toBe(plan.unmet.reduce((n, u) => n + u.count, 0));
  expect(judged.fieldsOpened).toBe(plan.fieldsOpened);
  expect(judged.deltaE).toBeCloseTo(plan.deltaE, 4);
}

describe('strips from left-over fields', () => {
  it('come out as the best of all ways that there are, tried one by one', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const [kinds, count] = seed % 2 ? [3, 1] : [2, 2];
      const size = { colours: 1, fields: 2, kinds, count, whole: true };
      const problem = randomCut(seed, seed > 28 ? { ...size, oneField: 0.7 } : size);
      const plan = solved(problem);
      expect(plan.proven).toBe(true);
      expectRight(problem, plan);
      const best = bestByTrying(problem);
      expect([seed, plan.unmet.reduce((n, u) => n + u.count, 0), plan.fieldsOpened]).toEqual([
        seed,
        best.unmet,
        best.opened,
      ]);
      expect(plan.deltaE).toBeCloseTo(best.deltaE, 4);
      expect([seed, plan.kept ? plan.kept.w * plan.kept.h : 0]).toEqual([seed, expect.closeTo(best.kept, 3)]);
    }
  });

  it('are never worse than first fit by size, before anything is proven', () => {
    for (let seed = 1; seed <= 12; seed++) {
      const problem = randomCut(seed, { colours: 1, fields: 6, kinds: 14, count: 4 });
      const search = new CutSearch(problem, seed);
      search.restart();
      for (let i = 0; i < 12; i++) search.improveOnce(NEVER);
      const { groups } = groupsOf(problem);
      const byHand = addScores(groups.map((g) => scoreOf(g, firstFit(g))));
      const never = search.score.unmet - byHand.unmet;
      expect(
        compareCuts(search.score, { ...byHand, unmet: byHand.unmet + Math.max(0, never) }),
      ).toBeLessThanOrEqual(0);
      expectRight(problem, search.plan(0));
    }
  });

  it('that must line up come from one field, in every way of planning', () => {
    for (let seed = 300; seed < 312; seed++) {
      const problem = randomCut(seed, { colours: 1, fields: 5, kinds: 8, count: 4, oneField: 0.5 });
      const search = new CutSearch(problem, seed);
      expectRight(problem, search.plan(0));
      search.restart();
      for (let i = 0; i < 12; i++) search.improveOnce(NEVER);
      expectRight(problem, search.plan(0));
    }
    const two: CutProblem = {
      ...{ kerf: 0, margin: 0, tolerance: 3 },
      fields: ['a', 'b'].map((id) => ({ id, w: 30, h: 10, lab: LAB })),
      strips: [{ id: 'hull', w: 10, l: 20, count: 2, lab: LAB }],
    };
    expect(solved(two).unmet).toEqual([]);
    const lined = { ...two, strips: two.strips.map((s) => ({ ...s, oneField: true })) };
    expect(solved(lined)).toMatchObject({
      fieldsOpened: 1,
      unmet: [{ strip: 'hull', count: 1, why: 'one field' }],
    });
    const torn = { placed: solved(two).placed };
    expect(judgeCut(lined, torn).fault).toMatch('more than one field');
  });

  it('make the same plan for the same seed and steps', () => {
    const problem = randomCut(3, { colours: 1, fields: 5, kinds: 16, count: 5 });
    const plan = () => {
      const search = new CutSearch(problem, 9);
      for (let i = 0; i < 8; i++) search.improveOnce(NEVER);
      return search.plan(0);
    };
    expect(plan()).toEqual(plan());
  });

  it('come to the same however fields and strips are named, ordered or turned', () => {
    for (let seed = 100; seed < 120; seed++) {
      const problem = randomCut(seed, { colours: 2, fields: 4, kinds: 5, count: 2 });
      const other: CutProblem = {
        ...problem,
        fields: problem.fields.map((f) => ({ ...f, w: f.h, h: f.w, id: `x${f.id}` })).reverse(),
        strips: problem.strips.map((s) => ({ ...s, w: s.l, l: s.w })).reverse(),
      };
      const [a, b] = [problem, other].map((p) => {
        const search = new CutSearch(p, 1);
        while (search.solveNext(NEVER));
        expectRight(p, search.plan(0));
        return search.score;
      });
      expect(a).toEqual(b);
    }
  });

  it('lose nothing by a finer blade, a thinner margin or a wider tolerance', () => {
    for (let seed = 200; seed < 215; seed++) {
      const problem = {
        ...randomCut(seed, { colours: 2, fields: 3, kinds: 4, count: 3 }),
        kerf: 0.3,
        margin: 0.5,
      };
      const unmet = (p: CutProblem) => solved(p).unmet.reduce((n, u) => n + u.count, 0);
      const now = unmet(problem);
      expect(unmet({ ...problem, kerf: 0 })).toBeLessThanOrEqual(now);
      expect(unmet({ ...problem, margin: 0 })).toBeLessThanOrEqual(now);
      expect(unmet({ ...problem, tolerance: problem.tolerance + 4 })).toBeLessThanOrEqual(now);
    }
  });
});

describe('what cannot be cut', () => {
  const base = { kerf: 0.2, margin: 0.5, tolerance: 3 };
  const field = (id: string, w: number, h: number, lab = LAB) => ({ id, w, h, lab });
  const strip = (id: string, w: number, l: number, count = 1, lab = LAB) => ({ id, w, l, count, lab });

  it('says why: the colour, the length, or the room', () => {
    const plan = solved({
      ...base,
      fields: [field('a', 41, 5.4), field('b', 30, 5)],
      strips: [
        strip('blue', 3, 10, 1, [30, 5, -40]),
        strip('long', 3, 60),
        strip('side', 2, 40, 3),
        strip('none', 2, 40, 0),
      ],
    });
    expect(plan.unmet).toEqual([
      { strip: 'blue', count: 1, why: 'no colour' },
      { strip: 'long', count: 1, why: 'too large' },
      { strip: 'side', count: 1, why: 'no room' },
    ]);
    expect(plan.proven).toBe(true);
  });

  it('keeps a border and a blade apart, to the tenth of a millimetre', () => {
    const two = (h: number) =>
      solved({ ...base, fields: [field('a', 41, h)], strips: [strip('s', 2, 40, 2)] }).unmet.length;
    // 0.5 + 2 + 0.2 + 2 + 0.5
    expect(two(5.2)).toBe(0);
    expect(two(5.1)).toBe(1);
  });

  it('keeps in one piece what it can, and gives the nearest colour before that', () => {
    const plan = solved({
      ...base,
      fields: [field('far', 80, 40, [40, 50, 33]), field('near', 50, 20, [40, 50, 31])],
      strips: [strip('s', 3, 30, 2)],
    });
    expect(plan.placed.every((p) => p.field === 'near')).toBe(true);
    // Both at the lower edge, one over the other: 20 - 1 - 2 * 3 - 2 * 0.2 high; or beside them, 49 - 30 - 0.2 wide.
    expect(plan.kept!.w * plan.kept!.h).toBeCloseTo(49 * 12.6);
  });

  it('plans nothing of nothing', () => {
    expect(solved({ ...base, fields: [], strips: [] })).toMatchObject({
      placed: [],
      unmet: [],
      proven: true,
    });
    const tiny = solved({ ...base, fields: [field('a', 0.8, 0.8)], strips: [strip('s', 1, 1)] });
    expect(tiny.unmet).toEqual([{ strip: 's', count: 1, why: 'too large' }]);
  });
});

describe('the checker', () => {
  const at = (x0: number, y0: number, x1: number, y1: number) => ({ x0, y0, x1, y1 });

  it('knows the pinwheel, which no straight cut gets apart, and a gap that is thinner than the blade', () => {
    const pinwheel = [at(0, 0, 2, 1), at(2, 0, 3, 2), at(1, 2, 3, 3), at(0, 1, 1, 3)];
    expect(comesApart(pinwheel, 0)).toBe(false);
    expect(comesApart(pinwheel.slice(1), 0)).toBe(true);
    expect(comesApart([at(0, 0, 4, 1), at(0, 1.1, 4, 2)], 0.1)).toBe(true);
    expect(comesApart([at(0, 0, 4, 1), at(0, 1.1, 4, 2)], 0.2)).toBe(false);
  });

  it('finds each fault of a plan that is bent', () => {
    const problem: CutProblem = {
      kerf: 0.2,
      margin: 0.5,
      tolerance: 2,
      fields: [
        { id: 'f', w: 40, h: 20, lab: LAB },
        { id: 'other', w: 40, h: 20, lab: [90, 0, 0] },
      ],
      strips: [{ id: 's', w: 3, l: 20, count: 2, lab: LAB }],
    };
    const s = { strip: 's', field: 'f', x: 0.5, y: 0.5, along: true };
    const faultOf = (...placed: (typeof s)[]) => judgeCut(problem, { placed }).fault;
    expect(faultOf(s)).toBe(null);
    expect(faultOf({ ...s, x: 0.4 })).toContain('margin');
    expect(faultOf({ ...s, y: 10, along: false })).toContain('margin');
    expect(faultOf(s, { ...s, y: 3.6 })).toContain('edge to edge');
    expect(faultOf(s, { ...s, y: 3.7 })).toBe(null);
    expect(faultOf({ ...s, field: 'other' })).toContain('colour');
    expect(faultOf({ ...s, field: 'none' })).toContain('no none');
    expect(faultOf(s, { ...s, y: 4 }, { ...s, y: 8 })).toContain('too many');
    const kept = { field: 'f', x: 0.5, y: 3.6, w: 39, h: 15 };
    expect(judgeCut(problem, { placed: [s], kept }).fault).toContain('edge to edge');
    expect(judgeCut(problem, { placed: [s], kept: { ...kept, y: 3.7 } }).fault).toBe(null);
  });
});
