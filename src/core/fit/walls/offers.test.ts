import { describe, expect, it } from 'vitest';
import { coursesOf, fitWorkbench, randomWallJob, wallJobOf, wallsOf } from '../../testing/fit';
import { quickLaying } from '../lay';
import { mirroredWalls, wallOffers, wallsProblem } from '../index';

describe('what else would do', () => {
  const job = wallJobOf({ walls: wallsOf(8), courses: coursesOf('ash', 'ash', 'kelp') });

  it('is nothing where nothing has to be bought', () => {
    const rich = fitWorkbench(['9 brick 1x4 ash', '9 brick 1x2 ash', '9 brick 1x4 kelp', '9 brick 1x2 kelp']);
    expect(wallOffers(rich, job)).toEqual([]);
  });

  it('is three plates for a brick, or another colour of which enough is at hand: each as firm and cheaper', () => {
    const bench = fitWorkbench([
      '12 plate 1x4 ash',
      '12 plate 1x2 ash',
      '6 brick 1x4 bark',
      '6 brick 1x2 bark',
    ]);
    const offers = wallOffers(bench, job);
    expect(offers.map((o) => o.offer)).toContain('plates');
    const bark = offers.find((o) => o.offer === 'colour' && o.to === 'bark' && o.from === 'ash');
    expect(bark).toMatchObject({ courses: 2 });
    const costOf = (of: typeof job) => {
      const stated = wallsProblem(bench, of, 'firm');
      return stated.ok ? quickLaying(stated.value.problem).score : null;
    };
    const now = costOf(job)!;
    for (const o of offers) {
      const then = costOf(o.job)!;
      expect(o.saves).toBe(now.money - then.money);
      expect(o.costs).toBe(then.money);
      expect(then.joints).toBeLessThanOrEqual(now.joints);
      expect(o.saves).toBeGreaterThan(0);
    }
    expect(offers.map((o) => o.saves)).toEqual(offers.map((o) => o.saves).sort((a, b) => b - a));
  });

  it('says where a saving rests on a part that nobody knows a price of', () => {
    const lots = ['12 plate 1x4 ash', '12 plate 1x2 ash'];
    const priced = wallOffers(fitWorkbench(lots), { ...job, courses: coursesOf('ash', 'ash', 'ash') });
    expect(priced.map((o) => o.guessed)).toEqual([false]);
    const bare = wallOffers(fitWorkbench(lots, []), { ...job, courses: coursesOf('ash', 'ash', 'ash') });
    expect(bare.map((o) => o.guessed)).toEqual([true]);
  });

  it('offers no colour of which hardly anything is at hand', () => {
    const bench = fitWorkbench(['1 brick 1x4 bark']);
    expect(wallOffers(bench, job).filter((o) => o.offer === 'colour')).toEqual([]);
  });
});

describe('walls in a mirror', () => {
  it('twice are what they were', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const job = randomWallJob(seed);
      const { id, planned } = job;
      expect(mirroredWalls({ ...mirroredWalls(job), id, planned })).toEqual(
        (({ id: _, planned: __, ...rest }) => rest)(job),
      );
    }
  });

  it('take the same pieces, with their openings on the other side', () => {
    const bench = fitWorkbench(['40 brick 1x4 ash', '40 brick 1x2 ash', '40 brick 1x1 ash']);
    const door = { wall: 'north', name: 'door', width: 2, bottom: 0, courses: 3, from: 1, count: 1 };
    const job = wallJobOf({ walls: wallsOf(12, 8), meet: 'row', openings: [door] });
    const mirrored = { ...job, ...mirroredWalls(job) };
    expect(mirrored.walls.map((w) => w.id)).toEqual(['east', 'north']);
    expect(mirrored.openings[0]).toMatchObject({ wall: 'north', from: 9 });
    const studs = [job, mirrored].map((j) => {
      const stated = wallsProblem(bench, j, 'firm');
      if (!stated.ok) throw new Error('no walls');
      const laying = quickLaying(stated.value.problem);
      expect(laying.score.unfilled).toBe(0);
      return laying.grid.cells;
    });
    expect(studs[0]).toBe(studs[1]);
  });
});
