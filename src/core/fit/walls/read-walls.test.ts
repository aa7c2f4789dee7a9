import { describe, expect, it } from 'vitest';
import { PALETTE } from '../../colour';
import { coursesOf, fitWorkbench, randomWallJob, wallJobOf, wallsOf } from '../../testing/fit';
import { doneAndBack, testSource, zoneId, did } from '../../testing/workbench';
import {
  deleteWallJob,
  keepWallJob,
  newWallJob,
  printCourses,
  printWalls,
  readCourses,
  readWalls,
} from '../index';

const courses = (text: string) => {
  const read = readCourses(text, PALETTE);
  return read.ok ? read.value.map((c) => `${c.colour ?? 'any'} ${c.family}`) : read.reason;
};

describe('courses as they are typed', () => {
  it.each<[string, string[]]>([
    ['slate, 2 ash, kelp plate', ['slate brick', 'ash brick', 'ash brick', 'kelp plate']],
    ['any; 2 ash tiles', ['any brick', 'ash tile', 'ash tile']],
    ['3  ash  masonry brick', ['ash masonry brick', 'ash masonry brick', 'ash masonry brick']],
    ['hidden plate\nash', ['any plate', 'ash brick']],
  ])('%s', (text, read) => {
    expect(courses(text)).toEqual(read);
  });

  it('know everyday words', () => {
    const read = readCourses('2 dark grey', PALETTE);
    const named = read.ok ? PALETTE.filter((c) => c.id === read.value[0]!.colour) : [];
    expect(named.map((c) => c.family)).toEqual(['grey']);
  });

  it.each([
    ['2 masonry bricks', 'colour'],
    ['0 ash', 'number'],
    ['2 frobnicate', 'colour'],
    ['81 ash', 'too many'],
    [' , ', 'empty'],
  ])('say what is wrong: %s', (text, why) => expect(courses(text)).toMatchObject({ why }));

  it('take what a workspace calls its colours first', () => {
    const read = readCourses('old grey', PALETTE, (words) => (words === 'old grey' ? PALETTE[3]!.id : null));
    expect(read).toEqual({ ok: true, value: [{ colour: PALETTE[3]!.id, family: 'brick' }] });
  });

  it('are read back as they are printed', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const job = randomWallJob(seed);
      expect(readCourses(printCourses(job.courses), PALETTE)).toEqual({ ok: true, value: job.courses });
      expect(readWalls(printWalls(job.walls), job.walls)).toEqual({ ok: true, value: job.walls });
    }
    expect(printCourses(coursesOf('ash', 'ash', 'any', 'kelp plate'))).toBe('2 ash, any, kelp plate');
  });
});

describe('walls as they are typed', () => {
  const read = (text: string, before = wallJobOf().walls) => {
    const walls = readWalls(text, before);
    return walls.ok ? walls.value : walls.reason;
  };

  it('have a name and studs; a number alone is a wall too', () =>
    expect(read('quay wall 18, 11', [])).toMatchObject([
      { id: 'w1', name: 'quay wall', length: 18, left: 'free' },
      { id: 'w2', name: 'wall 2', length: 11 },
    ]));

  it('stay the walls they were by name, else by place, so that openings stay in them', () => {
    const before = wallsOf(8, 9).map((w) => ({ ...w, right: 'toothed in' as const }));
    expect(read('east 12, north 8', before)).toMatchObject([
      { id: 'east', length: 12, right: 'toothed in' },
      { id: 'north', length: 8 },
    ]);
    expect(read('front 7', before)).toMatchObject([{ id: 'north', name: 'front', right: 'toothed in' }]);
  });

  it.each([
    ['quay', 'number'],
    ['quay 0', 'length'],
    ['quay 401', 'length'],
    ['', 'empty'],
  ])('say what is wrong: "%s"', (text, why) => expect(read(text)).toMatchObject({ why }));
});

describe('walls that are kept', () => {
  it('begin in the colour that the zone has most of, are changed, deleted, and taken back', () => {
    const bench = fitWorkbench([]);
    const job = newWallJob(bench, zoneId('Wall'), testSource());
    expect(job.courses[0]).toEqual({ colour: 'chalk', family: 'brick' });
    did(bench, keepWallJob(bench, job));
    const two = wallJobOf({ ...job, walls: wallsOf(8, 8) });
    const door = { wall: 'east', name: 'door', width: 2, bottom: 0, courses: 3, from: null, count: 1 };
    doneAndBack(bench, keepWallJob(bench, { ...two, openings: [door] }));
    // The wall of the door goes, and the door with it.
    did(bench, keepWallJob(bench, { ...two, openings: [door] }));
    did(bench, keepWallJob(bench, { ...two, walls: wallsOf(8), openings: [door] }));
    const kept = bench.records.wallJob.get(job.id)!;
    expect(kept.openings).toEqual([]);
    doneAndBack(bench, deleteWallJob(kept));
    expect(bench.records.wallJob.size).toBe(0);
  });
});
