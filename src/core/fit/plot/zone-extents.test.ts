import { describe, expect, it } from 'vitest';
import { measureSize } from '../../inspection';
import { did, doneAndBack, makeWorkbench, testSource, zoneId } from '../../testing/workbench';
import { coursesOf, randomWallJob, wallJobOf, wallsOf } from '../../testing/fit';
import type { WallJob } from '../../records';
import type { Workbench } from '../../workbench';
import { quickLaying } from '../lay';
import { courseLevels, keepWallJob, planWalls, wallsProblem } from '../index';
import { around, moved } from './block';
import { whatSticksOut } from './sticks-out';
import { stretchOf, wallRuns, wallsBlock } from './wall-runs';
import { keepZonePlace, plannedSize, storeySizes, zoneExtents } from './zone-extents';

const bench = () => makeWorkbench({ zones: { Wall: ['1 brick 1x2 chalk'], Roof: ['1 brick 1x2 chalk'] } });
const block = { x: 2, y: 3, width: 20, depth: 10, bottom: 0, height: 30 };
const planned = (workbench: Workbench, job: WallJob): WallJob => {
  did(workbench, keepWallJob(workbench, job));
  const stated = wallsProblem(workbench, job, 'firm');
  if (!stated.ok) throw new Error('these walls stand');
  const { pieces } = quickLaying(stated.value.problem).plan({ proven: false, seconds: 0 });
  did(workbench, planWalls(workbench, job, stated.value, pieces, testSource()).work);
  return workbench.records.wallJob.get(job.id)!;
};

describe('where zones lie', () => {
  it('is kept, changed, forgotten, and taken back', () => {
    const b = bench();
    doneAndBack(b, keepZonePlace(b, zoneId('Wall'), block));
    doneAndBack(b, keepZonePlace(b, zoneId('Wall'), { ...block, x: -1 }));
    expect(zoneExtents(b).find((z) => z.name === 'Wall')!.block).toEqual({ ...block, x: -1 });
    doneAndBack(b, keepZonePlace(b, zoneId('Wall'), null));
    expect(zoneExtents(b).every((z) => z.block === null)).toBe(true);
  });

  it('adds planned walls to the size by itself, and only planned ones', () => {
    const b = bench();
    did(b, measureSize(b, 'built', { length: 22, width: 8, height: 5 }));
    did(b, keepZonePlace(b, zoneId('Wall'), block));
    expect(plannedSize(b)).toEqual({ length: 22, width: 10, height: 10 });
    const job = wallJobOf({
      walls: wallsOf(26, 14),
      meet: 'row',
      courses: coursesOf(...Array<string>(11).fill('ash')),
    });
    did(b, keepWallJob(b, job));
    expect(plannedSize(b)!.length).toBe(22);
    planned(b, job);
    expect(plannedSize(b)).toEqual({ length: 26, width: 14, height: 11 });
    expect(zoneExtents(b).find((z) => z.name === 'Wall')!.block).toEqual({
      ...block,
      width: 26,
      depth: 14,
      height: 33,
    });
  });

  it('adds no distance to walls of a zone whose place nobody said', () => {
    const b = bench();
    did(b, keepZonePlace(b, zoneId('Roof'), { ...block, x: 20, y: 0, width: 10, depth: 10 }));
    planned(b, wallJobOf({ walls: wallsOf(26), courses: coursesOf('ash') }));
    expect(plannedSize(b)).toEqual({ length: 26, width: 10, height: 10 });
  });

  it('goes by what was measured where nothing else is known', () => {
    const b = bench();
    expect(plannedSize(b)).toBeNull();
    did(b, measureSize(b, 'found', { length: 22, width: 8, height: 5 }));
    expect(plannedSize(b)).toEqual({ length: 22, width: 8, height: 5 });
  });

  it('tells storeys apart by the line that zones begin at', () => {
    const b = bench();
    did(b, keepZonePlace(b, zoneId('Wall'), block));
    did(b, keepZonePlace(b, zoneId('Roof'), { ...block, x: 0, bottom: 31, height: 12 }));
    expect(storeySizes(b, [2, 30])).toEqual([
      { from: 0, zones: ['Wall'], block },
      { from: 30, zones: ['Roof'], block: { ...block, x: 0, bottom: 31, height: 12 } },
    ]);
  });
});

describe('walls in space', () => {
  it('a room of four closes where it began, and covers as much as it is long', () => {
    const room = wallJobOf({ walls: wallsOf(12, 8, 12, 8), meet: 'room' });
    const runs = wallRuns(room);
    const last = runs.at(-1)!;
    expect([last.x + last.dx * last.length, last.y + last.dy * last.length]).toEqual([0, 0]);
    expect(wallsBlock(room)).toEqual({ x: 0, y: 0, width: 12, depth: 8, bottom: 0, height: 12 });
  });

  it('a last course that hangs over makes them larger on the outside', () => {
    const row = wallJobOf({ walls: wallsOf(12, 8), meet: 'row', courses: coursesOf('ash', 'ash slope 45') });
    expect(wallsBlock(row)).toEqual({ x: 0, y: -1, width: 13, depth: 9, bottom: 0, height: 6 });
  });

  it('every piece lies inside the block of its walls, over random jobs', () => {
    let pieces = 0;
    for (let seed = 1; seed <= 25; seed++) {
      const b = bench();
      const job = planned(b, { ...randomWallJob(seed), openings: [] });
      const whole = wallsBlock(job);
      expect(whole.height).toBe(courseLevels(job).at(-1));
      const runs = new Map(wallRuns(job).map((r) => [r.wall, r]));
      for (const p of job.planned?.pieces ?? []) {
        const s = stretchOf(runs.get(p.wall)!, p.at, p.along, job.thick);
        // Teeth reach a stud into the wall that stands.
        const inside = {
          ...moved(whole, { x: -2, y: -2, bottom: 0 }),
          width: whole.width + 4,
          depth: whole.depth + 4,
        };
        expect(around([inside, { ...s, bottom: 0, height: 1 }])).toEqual(inside);
        pieces++;
      }
    }
    expect(pieces).toBeGreaterThan(500);
  });
});

describe('what sticks out of a plot', () => {
  const plot = { width: 24, depth: 24, front: 4 };
  it('is told by zone and side, and only where a place was said', () => {
    const b = bench();
    expect(whatSticksOut(b, plot)).toEqual([]);
    did(b, keepZonePlace(b, zoneId('Wall'), { ...block, x: 6, y: 3, width: 20, depth: 22 }));
    did(b, keepZonePlace(b, zoneId('Roof'), { ...block, x: 0, y: 4, width: 24, depth: 20 }));
    expect(whatSticksOut(b, plot)).toEqual([
      { zone: zoneId('Wall'), name: 'Wall', left: 0, right: 2, front: 1, back: 1, lots: [] },
    ]);
    expect(whatSticksOut(b, { ...plot, width: 0 })).toEqual([]);
  });

  it('names the parts of planned walls that would have to move', () => {
    const b = bench();
    did(b, keepZonePlace(b, zoneId('Wall'), { ...block, x: 0, y: 4, width: 10, depth: 10 }));
    const job = planned(b, wallJobOf({ walls: wallsOf(30), courses: coursesOf('ash', 'ash') }));
    const [out] = whatSticksOut(b, plot);
    expect(out).toMatchObject({ right: 6, left: 0, front: 0, back: 0 });
    const beyond = job.planned!.pieces.filter((p) => p.at + p.along > 24);
    expect(out!.lots.reduce((s, l) => s + l.qty, 0)).toBe(beyond.length);
    expect(new Set(out!.lots.map((l) => l.element))).toEqual(new Set(beyond.map((p) => p.element)));
  });
});
