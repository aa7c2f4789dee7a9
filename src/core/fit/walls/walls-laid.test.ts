import { describe, expect, it } from 'vitest';
import { changed, invertDiff, onPieces } from '../../ledger';
import { coursesOf, fitWorkbench, randomWallJob, wallJobOf, wallsOf } from '../../testing/fit';
import { did, doneAndBack, testSource } from '../../testing/workbench';
import { el } from '../../testing/world';
import type { WallJob } from '../../records';
import { judgeLaying, quickLaying } from '../lay';
import {
  courseLevels,
  jobState,
  keepWallJob,
  laidWalls,
  layWallAnew,
  plannedWalls,
  planWalls,
  wallsProblem,
} from '../index';

import { STOCK, laid, stated } from '../../testing/walls';

describe('walls as they are laid', () => {
  it('tell in which course a kind runs out, and what is bought of it', () => {
    const bench = fitWorkbench(['5 brick 1x4 ash'], ['brick 1x4 ash 8', 'brick 1x2 ash 6']);
    const job = wallJobOf({ walls: wallsOf(8), courses: coursesOf('ash', 'ash', 'ash', 'ash') });
    const { plan, ...s } = laid(bench, job);
    const walls = laidWalls(job, s, plan.pieces);
    const [end] = walls.ends;
    expect(end).toMatchObject({ element: el('brick 1x4', 'ash'), atHand: 5 });
    const fours = walls.pieces.filter((p) => p.along === 4);
    expect(end!.course).toBe(fours[5]!.course);
    expect(end!.bought).toBe(fours.length - 5);
    expect(fours.map((p) => p.bought)).toEqual(fours.map((_, i) => i >= 5));
  });

  it('mark each weak joint and each empty place', () => {
    const bench = fitWorkbench(['6 brick 1x4 ash']);
    const job = wallJobOf({ courses: coursesOf('ash', 'ash', 'ash') });
    const { plan, ...s } = laid(bench, job, 'as it lies');
    const walls = laidWalls(job, s, plan.pieces);
    expect(walls.empty).toHaveLength(12);
    expect(walls.joints).toHaveLength(plan.joints);
    expect(new Set(walls.joints.map((j) => `${j.course} ${j.border}`)).size).toBe(plan.joints);
  });

  it('are so tall as their courses are, in plates', () =>
    expect(courseLevels(wallJobOf({ courses: coursesOf('ash', 'ash plate', 'ash tile', 'ash') }))).toEqual([
      0, 3, 4, 5, 8,
    ]));
});

describe('what is at hand', () => {
  // Plates that also stand for bricks, hidden courses, and courses of plates: all want the same plates.
  const hungry = (seed: number): WallJob => ({
    ...randomWallJob(seed),
    plates: true,
    courses: coursesOf('any', 'ash', 'ash plate', 'any plate', seed % 2 ? 'kelp' : 'any'),
    openings: [],
    panels: [],
  });
  const bench = fitWorkbench([...STOCK, '4 plate 1x4 kelp', '7 plate 1x2 bark', '5 brick 1x2 bark']);

  it('is counted once, however many courses may take it', () => {
    for (let seed = 1; seed <= 30; seed++) {
      const made = wallsProblem(bench, hungry(seed), 'firm');
      if (!made.ok) continue;
      const counted = new Map<string, number>();
      for (const p of made.value.problem.parts) {
        const { element, each } = made.value.parts.get(p.id)!;
        counted.set(element, (counted.get(element) ?? 0) + p.stock * each);
      }
      for (const { element, supply } of made.value.parts.values())
        expect(counted.get(element)!).toBeLessThanOrEqual(supply.atHand);
    }
  });

  it('is all that is taken as it lies; what is drawn as bought is what the plan buys', () => {
    let laidOnce = 0;
    for (let seed = 1; seed <= 30; seed++)
      for (const way of ['firm', 'as it lies'] as const) {
        const job = hungry(seed);
        const made = wallsProblem(bench, job, way);
        if (!made.ok) continue;
        laidOnce++;
        const { pieces } = quickLaying(made.value.problem).plan({ proven: false, seconds: 0 });
        const { lots, work } = planWalls(bench, job, made.value, pieces, testSource(`${seed}${way}`));
        expect(work.problems).toEqual([]);
        const drawn = laidWalls(job, made.value, pieces).pieces.filter((p) => p.bought);
        const bought = new Set(drawn.map((p) => p.element));
        expect([seed, way, [...bought].sort()]).toEqual([
          seed,
          way,
          lots.flatMap((l) => (l.toBuy > 0 ? [l.element] : [])).sort(),
        ]);
        if (way === 'as it lies') expect(bought.size).toBe(0);
      }
    expect(laidOnce).toBeGreaterThan(50);
  });
});

describe('a laying that is planned', () => {
  const job = wallJobOf({ courses: coursesOf('ash', 'kelp', 'ash') });

  it('is one modification with an entry for each course, and is taken back whole', () => {
    const bench = fitWorkbench(STOCK);
    const { plan, ...s } = laid(bench, job);
    const { work, lots } = planWalls(bench, job, s, plan.pieces, testSource());
    expect(work.problems).toEqual([]);
    expect(work.modifications).toHaveLength(1);
    expect(work.entries.map((e) => e.note)).toEqual(['course 1 of 3', 'course 2 of 3', 'course 3 of 3']);
    const planned = work.entries.flatMap(onPieces).reduce((n, p) => n + p.qty, 0);
    expect(planned).toBe(plan.pieces.length);
    expect(lots.reduce((n, l) => n + l.qty, 0)).toBe(plan.pieces.length);
    expect(lots.every((l) => l.counted === l.qty && l.from.stock === l.qty)).toBe(true);
    doneAndBack(bench, work);
  });

  it('is kept to be built from, and laid anew as long as nothing of it was placed', () => {
    const bench = fitWorkbench(STOCK);
    did(bench, keepWallJob(bench, job));
    const { plan, ...s } = laid(bench, job);
    did(bench, planWalls(bench, job, s, plan.pieces, testSource()).work);
    const kept = bench.records.wallJob.get(job.id)!;
    expect(jobState(bench, kept)).toBe('planned');
    expect(plannedWalls(kept)).toEqual({ ...laidWalls(job, s, plan.pieces), ends: [] });
    // Its own plan has taken the pieces: laid anew it finds them again.
    expect(stated(bench, kept).problem.parts).not.toEqual(s.problem.parts);
    const before = bench.recordList();
    const anew = layWallAnew(bench, kept);
    doneAndBack(bench, anew);
    expect(bench.records.wallJob.get(job.id)!.planned).toBeNull();
    expect(bench.entries.filter((e) => e.state === 'planned')).toEqual([]);
    expect(stated(bench, job).problem.parts).toEqual(s.problem.parts);
    bench.apply(invertDiff(anew.diff));
    expect(bench.recordList()).toHaveLength(before.length);
    // Once a course stands, its entries stay where they are.
    const [first] = bench.entries.filter((e) => e.state === 'planned');
    did(bench, { label: '', diff: changed('entry', first!, { state: 'done' }) });
    expect(jobState(bench, kept)).toBe('begun');
    did(bench, layWallAnew(bench, kept));
    expect(bench.entries.filter((e) => e.state === 'planned').length).toBeGreaterThan(0);
  });

  it('costs what it showed, by the book or by the shape in another colour, and says what has no price', () => {
    const bench = fitWorkbench(['2 brick 1x4 ash'], ['brick 1x4 kelp 10', 'brick 1x2 ash 6']);
    const only = wallJobOf({ walls: wallsOf(8), courses: coursesOf('ash', 'ash') });
    const { plan, ...s } = laid(bench, only);
    const { work, lots, cost } = planWalls(bench, only, s, plan.pieces, testSource());
    const toBuy = lots.reduce((n, l) => n + l.toBuy, 0);
    const expected = lots.reduce((n, l) => n + l.toBuy * (l.each ?? 0), 0);
    expect(toBuy).toBeGreaterThan(0);
    expect(cost).toEqual({
      cost: expected,
      unpriced: lots.reduce((n, l) => n + (l.each === null ? l.toBuy : 0), 0),
    });
    did(bench, work);
    const booked = bench.entries.flatMap((e) => e.movements).reduce((n, m) => n + (m.worth ?? 0) * m.qty, 0);
    expect(booked).toBeGreaterThanOrEqual(expected);
  });
});

describe('behind what is seen', () => {
  const thick = wallJobOf({
    walls: wallsOf(12, 10),
    meet: 'row',
    thick: 2,
    courses: coursesOf('ash', 'ash', 'ash'),
  });
  const bench = fitWorkbench([
    '30 brick 1x4 bark',
    '30 brick 1x2 bark',
    '20 brick 1x1 bark',
    '40 brick 1x4 ash',
  ]);
  const coloursBy = (job: WallJob) => {
    const { parts, plan, problem } = laid(bench, job);
    expect(judgeLaying(problem, plan.pieces)).toMatchObject({ fault: null, unfilled: plan.unfilled });
    return plan.pieces.flatMap((p) =>
      'wall' in p ? [{ ...p, isBark: parts.get(p.part)!.element.includes('|bark') }] : [],
    );
  };

  it('any colour at hand may lie in the inner row of a thick wall, never where it is seen', () => {
    const pieces = coloursBy({ ...thick, anyInside: true });
    const bark = pieces.filter((p) => p.isBark);
    expect(bark.length).toBeGreaterThan(3);
    expect(bark.every((p) => p.row === 1)).toBe(true);
    // Where the walls meet, the inner row of one is the face of the other.
    const length = { north: 12, east: 10 } as Record<string, number>;
    const seen = bark.filter((p) => (p.wall === 'north' ? p.at + 1 > length.north! - 2 : p.at < 2));
    expect(seen).toEqual([]);
  });

  it('nothing else lies there where it was not said', () => {
    expect(coloursBy(thick).some((p) => p.isBark)).toBe(false);
    expect(coloursBy({ ...thick, thick: 1, anyInside: true }).some((p) => p.isBark)).toBe(false);
  });
});
