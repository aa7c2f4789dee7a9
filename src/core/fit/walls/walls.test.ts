import { describe, expect, it } from 'vitest';
import { bindToBoxes } from '../../pool';
import { coursesOf, fitWorkbench, randomWallJob, wallJobOf, wallsOf } from '../../testing/fit';
import { asId, type ColourId } from '../../shared/ids';
import { did, TEST_BUILD } from '../../testing/workbench';
import { el } from '../../testing/world';
import type { WallJob } from '../../records';
import { faultOf, judgeLaying, quickLaying } from '../lay';
import { coursesTaken, laidWalls, piecesLaid, placeOpenings, wallsProblem } from '../index';
import { laid, STOCK } from '../../testing/walls';

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
