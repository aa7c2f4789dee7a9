import { describe, expect, it } from 'vitest';
import { bindToBoxes } from '../../pool';
import { changed, invertDiff, onPieces } from '../../ledger';
import { coursesOf, fitWorkbench, randomWallJob, wallJobOf, wallsOf } from '../../testing/fit';
import { asId, type ColourId } from '../../shared/ids';
import { did, doneAndBack, TEST_BUILD, testSource } from '../../testing/workbench';
import { el } from '../../testing/world';
import type { WallJob } from '../../records';
import { faultOf, judgeLaying, quickLaying } from '../lay';
import {
  courseLevels,
  coursesTaken,
  jobState,
  keepWallJob,
  laidWalls,
  layWallAnew,
  piecesLaid,
  placeOpenings,
  plannedWalls,
  planWalls,
  wallsProblem,
  type Way,
} from '../index';
import type { Workbench } from '../../workbench';

const STOCK = [1, 2, 3, 4, 6].flatMap((n) => [
  `${20 - n} brick 1x${n} ash`,
  `${10 - n} brick 1x${n} kelp`,
  `6 plate 1x${n} ash`,
]);

function stated(bench: Workbench, job: WallJob, way: Way = 'firm') {
  const made = wallsProblem(bench, job, way);
  if (!made.ok) throw new Error(JSON.stringify(made.reason));
  return made.value;
}
const laid = (bench: Workbench, job: WallJob, way: Way = 'firm') => {
  const s = stated(bench, job, way);
  return { ...s, plan: quickLaying(s.problem).plan({ proven: false, seconds: 0 }) };
};
const opening = (more: Partial<WallJob['openings'][number]>): WallJob['openings'][number] => ({
  wall: 'north',
  name: 'window',
  width: 2,
  bottom: 1,
  courses: 2,
  from: null,
  count: 1,
  ...more,
});
const placesOf = (job: WallJob) => {
  const placed = placeOpenings(job);
  return placed.ok ? placed.value.map((p) => p.from) : placed.reason.fault;
};

describe('openings', () => {
  it.each<[number, number, number, number[] | string]>([
    [10, 2, 2, [2, 6]],
    [22, 4, 3, [3, 9, 15]],
    [11, 2, 2, [2, 6]],
    [5, 3, 1, [1]],
    [12, 4, 3, 'no room'],
    [6, 2, 2, 'no room'],
  ])('in a wall of %i, of %i studs, %i of them, stand evenly', (length, width, count, from) =>
    expect(placesOf(wallJobOf({ walls: wallsOf(length), openings: [opening({ width, count })] }))).toEqual(
      from,
    ),
  );

  it('leave the door where it was put, and go where most room is left; one above another is no matter', () => {
    const door = opening({ name: 'door', width: 4, bottom: 0, courses: 4, from: 2 });
    const job = wallJobOf({ walls: wallsOf(20), openings: [door, opening({ count: 2 })] });
    expect(placesOf(job)).toEqual([2, 9, 14]);
    const above = wallJobOf({
      courses: coursesOf('ash', 'ash', 'ash', 'ash', 'ash'),
      openings: [opening({ from: 3 }), opening({ from: 3, bottom: 3 })],
    });
    expect(placesOf(above)).toEqual([3, 3]);
  });

  it('take as many courses as their part is tall', () => {
    const { courses } = wallJobOf({ courses: coursesOf('ash', 'ash plate', 'ash plate', 'ash', 'ash') });
    expect(coursesTaken({ courses }, 0, 6)).toBe(4);
    expect(coursesTaken({ courses }, 1, 2)).toBe(2);
    expect(coursesTaken({ courses }, 3, 6)).toBe(2);
    expect(coursesTaken({ courses }, 4, 18)).toBe(1);
    expect(coursesTaken({ courses }, 9, 6)).toBe(1);
  });

  it('say where they cannot stand', () => {
    const say = (...openings: WallJob['openings']) => placesOf(wallJobOf({ openings: [...openings] }));
    expect(say(opening({ from: 11 }))).toBe('outside');
    expect(say(opening({ bottom: 3 }))).toBe('too high');
    expect(say(opening({ from: 3 }), opening({ from: 4, name: 'door' }))).toBe('overlap');
    expect(say(opening({ wall: 'moat' }))).toBe('outside');
  });
});

describe('walls as they are stated', () => {
  it('make sense and are laid by the rules, whatever was asked for', () => {
    const bench = fitWorkbench(STOCK);
    let asked = 0;
    for (let seed = 1; seed <= 60; seed++) {
      const made = wallsProblem(bench, randomWallJob(seed), seed % 2 ? 'firm' : 'as it lies');
      if (!made.ok) continue;
      asked++;
      const { problem } = made.value;
      expect([seed, faultOf(problem)]).toEqual([seed, null]);
      const laying = quickLaying(problem);
      const { pieces } = laying.plan({ proven: false, seconds: 0 });
      expect([seed, judgeLaying(problem, pieces)]).toEqual([seed, { fault: null, ...laying.score }]);
    }
    expect(asked).toBeGreaterThan(50);
  });

  it('take only what is at hand as it lies, and buy the rest where they are to be firm', () => {
    const bench = fitWorkbench(['3 brick 1x4 ash']);
    const job = wallJobOf();
    const lies = laid(bench, job, 'as it lies').plan;
    expect(lies).toMatchObject({ unfilled: 48 - 12, money: 0, bought: {} });
    const firm = laid(bench, job).plan;
    expect(firm.unfilled).toBe(0);
    expect(firm.money).toBeGreaterThan(0);
    expect(laid(did(bench, bindToBoxes(bench.records, TEST_BUILD, true)), job).plan.unfilled).toBe(48);
  });

  it('put three plates where a brick lacks, and never count a plate twice', () => {
    const bench = fitWorkbench(['7 plate 1x4 ash']);
    const job = wallJobOf({ walls: wallsOf(4), courses: coursesOf('ash', 'ash', 'ash'), plates: true });
    const lies = laid(bench, job, 'as it lies');
    expect(lies.plan).toMatchObject({ unfilled: 4, money: 0 });
    const drawn = laidWalls(job, lies, lies.plan.pieces).pieces;
    expect(drawn.map((p) => [p.element, p.plates])).toEqual([
      [el('plate 1x4', 'ash'), true],
      [el('plate 1x4', 'ash'), true],
    ]);
    expect(piecesLaid(lies, lies.plan.pieces)).toBe(6);
    const without = laid(bench, { ...job, plates: false }, 'as it lies').plan;
    expect(without.unfilled).toBe(12);
    // A course of plates has the plates: none of them stands in for a brick.
    const both = { ...job, courses: coursesOf('ash', 'ash plate') };
    const { plan, parts } = laid(bench, both, 'as it lies');
    expect(plan.pieces.every((p) => parts.get(p.part)!.each === 1)).toBe(true);
    expect(plan.unfilled).toBe(4);
  });

  it('fill what nobody sees with any colour at hand that nothing seen needs', () => {
    const bench = fitWorkbench(['2 brick 1x4 bark', '4 brick 1x4 ash', '1 brick 1x4 kelp']);
    const job = wallJobOf({ courses: coursesOf('any', 'ash') });
    const { plan, parts } = laid(bench, job, 'as it lies');
    const hidden = plan.pieces.filter((p) => 'course' in p && p.course === 0);
    expect(hidden.map((p) => parts.get(p.part)!.element).sort()).toEqual(
      [el('brick 1x4', 'bark'), el('brick 1x4', 'bark'), el('brick 1x4', 'kelp')].sort(),
    );
    // The cheapest colour is bought: which one it is does not matter.
    const poor = laid(
      fitWorkbench([], ['brick 1x4 ash 9', 'brick 1x4 bark 5']),
      wallJobOf({ courses: coursesOf('any') }),
    );
    expect(poor.plan.money).toBe(15);
  });

  it('are toothed into a wall that stands: a stud more in every other course', () => {
    const bench = fitWorkbench(STOCK);
    const walls = wallsOf(8).map((w) => ({ ...w, right: 'toothed in' as const }));
    const job = wallJobOf({ walls });
    const { plan } = laid(bench, job);
    const studs = (course: number) =>
      plan.pieces
        .filter((p) => 'course' in p && p.course === course)
        .reduce((s, p) => s + Number(/1x(\d+)/.exec(p.part)![1]), 0);
    expect([0, 1, 2, 3].map(studs)).toEqual([9, 8, 9, 8]);
  });

  it('turn their corners in stones of a colour of their own', () => {
    const bench = fitWorkbench([...STOCK, '20 brick 1x1 bark', '20 brick 1x2 bark']);
    const job = wallJobOf({ walls: wallsOf(8, 8), meet: 'row', corners: asId<ColourId>('bark') });
    const { plan, parts } = laid(bench, job);
    expect(plan.unfilled).toBe(0);
    const bark = plan.pieces.filter((p) => parts.get(p.part)!.element.includes('|bark'));
    // Each course has two studs on one wall and the corner's own on the other: three places, one of them shared by both.
    const ends = bark.map((p) => ('wall' in p ? `${p.wall} ${p.course} ${p.at}` : ''));
    expect(bark.length).toBeGreaterThanOrEqual(4);
    for (const e of ends) expect(e).toMatch(/^north \d [67]$|^east \d [01]$/);
  });

  it.each<[string, Partial<WallJob>, object]>([
    ['a room of two walls', { walls: wallsOf(8, 8), meet: 'room' }, { fault: 'room of two' }],
    [
      'a wall too short to turn',
      { walls: wallsOf(8, 3), meet: 'row', thick: 2 },
      { fault: 'thin', wall: 'east' },
    ],
    [
      'a panel beyond the end',
      {
        panels: [{ wall: 'north', from: 11, width: 3, bottom: 0, courses: 1, colour: null, family: 'brick' }],
      },
      { fault: 'panel', wall: 'north' },
    ],
  ])('say what is wrong: %s', (_, more, reason) =>
    expect(wallsProblem(fitWorkbench([]), wallJobOf(more), 'firm')).toEqual({ ok: false, reason }),
  );
});

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
