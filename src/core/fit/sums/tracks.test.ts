import { describe, expect, it } from 'vitest';
import { between, pick, seededRandom } from '../../shared/random';
import { coursesOf, wallJobOf } from '../../testing/fit';
import { did, doneAndBack, makeWorkbench, testSource } from '../../testing/workbench';
import { keepWallJob } from '../index';
import { sweptBy } from './railway';
import { deleteTrack, keepTrack, longestPast, newTrack, trackClearance } from './tracks';

const bench = makeWorkbench({ zones: { Wall: ['1 brick 1x2 chalk'] } });
const tram = { ...newTrack(bench, testSource()), distance: 4 };

describe('a track past a wall', () => {
  it('is kept with what was tried, deleted, and taken back', () => {
    const tried = [{ length: 200, cutBack: 1, note: 'with its steps' }];
    doneAndBack(bench, keepTrack(bench, { ...tram, tried }));
    expect(bench.records.track.get(tram.id)!.tried).toEqual(tried);
    doneAndBack(bench, deleteTrack(bench.records.track.get(tram.id)!));
  });

  it('cuts back only the courses as high as the vehicle, with room to spare', () => {
    // 240 mm on a radius of 320: 32.2 mm inside and 4 to spare want 5 studs.
    const passes = trackClearance(bench, { ...tram, from: 20, to: 50 })!;
    expect(passes.needed).toBe(5);
    expect(passes.courses.map((c) => c.back)).toEqual([0, 1, 1, 1, 1, 1]);
    expect(passes.courses.map((c) => c.from)).toEqual([0, 9.6, 19.2, 9.6 * 3, 9.6 * 4, 48]);
    const tall = trackClearance(bench, { ...tram, from: 40, to: 400 })!;
    expect(tall.courses.map((c) => c.back).slice(0, 5)).toEqual([0, 0, 0, 1, 1]);
    expect(trackClearance(bench, { ...tram, distance: 5 })!.courses.every((c) => c.back === 0)).toBe(true);
  });

  it('takes the courses of a wall that is stated, bricks and plates alike', () => {
    const job = wallJobOf({ courses: coursesOf('ash', 'ash plate', 'ash tile', 'ash') });
    did(bench, keepWallJob(bench, job));
    const { courses } = trackClearance(bench, { ...tram, wall: job.id, from: 14, to: 15, room: 0.5 })!;
    expect(courses.map((c) => c.to)).toEqual([9.6, 12.8, 16, 25.6].map((n) => expect.closeTo(n, 5)));
    expect(courses.map((c) => c.back)).toEqual([0, 0, 1, 0]);
  });

  it('cannot be where the vehicle does not stand on the curve', () => {
    expect(trackClearance(bench, { ...tram, radius: 60 })).toBeUndefined();
  });

  it('knows the longest vehicle that passes: a little longer does not, over random curves', () => {
    const random = seededRandom(8);
    let found = 0;
    for (let i = 0; i < 200; i++) {
      const track = {
        ...tram,
        length: between(random, 100, 400),
        pivots: between(random, 30, 100),
        width: between(random, 24, 60),
        radius: between(random, 250, 900),
        side: pick(random, ['inside', 'outside'] as const),
        distance: between(random, 3, 9),
      };
      const longest = longestPast(track);
      const beside = (length: number) => {
        const pivots = (length * track.pivots) / track.length;
        const s = sweptBy({ length, pivots, width: track.width }, track.radius);
        return s ? (track.side === 'inside' ? s.inside : s.outside) : Infinity;
      };
      const free = track.distance * 8 - track.room;
      if (longest === null) expect(beside(1) > free || beside(20_000) <= free).toBe(true);
      else {
        expect(beside(Math.max(1, longest))).toBeLessThanOrEqual(free);
        expect(beside(longest + 2)).toBeGreaterThan(free);
        found++;
      }
    }
    expect(found).toBeGreaterThan(80);
    expect(longestPast({ ...tram, radius: null })).toBeNull();
  });
});
