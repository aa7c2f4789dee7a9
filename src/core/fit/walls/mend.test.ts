import { describe, expect, it } from 'vitest';
import { randomWalls } from '../../testing/laying';
import { judgeLaying, quickLaying, weakPlaces } from '../lay';
import { coursesOf, fitWorkbench, wallJobOf, wallsOf } from '../../testing/fit';
import { did, doneAndBack, testSource } from '../../testing/workbench';
import { el } from '../../testing/world';
import {
  keepWallJob,
  layWallAnew,
  mendJoint,
  planMend,
  planWalls,
  standingWalls,
  wallsProblem,
} from '../index';
import type { WallsProblem } from '../lay/problem';

const parts = [1, 2, 3, 4].map((length) => ({
  id: `1x${length}`,
  colour: 'ash',
  length,
  stock: 9,
  price: 3,
  limit: 9,
}));
const wall = (more: Partial<WallsProblem> = {}): WallsProblem => ({
  kind: 'walls',
  walls: [{ id: 'w', length: 8 }],
  corners: [],
  courses: [{ colour: 'ash' }, { colour: 'ash' }],
  openings: [],
  parts,
  ...more,
});
const row = (course: number, ...lengths: number[]) => {
  let at = 0;
  return lengths.map((n) => {
    const piece = { part: `1x${n}`, wall: 'w', course, at };
    at += n;
    return piece;
  });
};

describe('a joint over a joint in a wall that stands', () => {
  it('is mended by one longer piece for two short ones side by side', () => {
    const problem = wall();
    const pieces = [...row(0, 4, 4), ...row(1, 2, 2, 2, 2)];
    expect(weakPlaces(problem, pieces).joints).toEqual([{ wall: 'w', course: 0, border: 4 }]);
    const mend = mendJoint(problem, pieces, { wall: 'w', course: 0, border: 4 });
    expect(mend).toEqual({
      out: [pieces[3], pieces[4]],
      laid: [{ part: '1x4', wall: 'w', course: 1, at: 2 }],
      money: 0,
    });
  });

  it('takes what is at hand before it buys, and says what it costs where it must', () => {
    const scarce = parts.map((p) => ({ ...p, stock: p.length === 4 ? 2 : 9 }));
    const pieces = [...row(0, 4, 4), ...row(1, 2, 2, 2, 2)];
    const mend = mendJoint(wall({ parts: scarce }), pieces, { wall: 'w', course: 0, border: 4 });
    expect(mend?.money).toBe(0);
    const only = parts
      .filter((p) => p.length !== 1 && p.length !== 3)
      .map((p) => ({ ...p, stock: p.length === 4 ? 2 : 9 }));
    expect(mendJoint(wall({ parts: only }), pieces, { wall: 'w', course: 0, border: 4 })?.money).toBe(3);
  });

  it('is not mended where no part would do', () => {
    const pieces = [...row(0, 4, 4), ...row(1, 4, 4)];
    const only = parts.filter((p) => p.length === 4);
    expect(mendJoint(wall({ parts: only }), pieces, { wall: 'w', course: 0, border: 4 })).toBeNull();
  });

  it('leaves fewer joints, keeps to the rules and to what there is, in walls of all kinds', () => {
    let mended = 0;
    for (let seed = 1; seed <= 60; seed++) {
      const random = randomWalls(seed, { length: 12, courses: 4 });
      if (random.kind !== 'walls') continue;
      // Laid of short pieces alone it has joints; what mends it may be any.
      const short = {
        ...random,
        parts: random.parts.map((p) =>
          p.length > 2 ? { ...p, stock: 0, price: null } : { ...p, limit: 500, price: p.price ?? 5 },
        ),
      };
      const laying = quickLaying(short);
      const { pieces } = laying.plan({ proven: false, seconds: 0 });
      const able = { ...short, parts: random.parts.map((p) => ({ ...p, limit: 500, price: p.price ?? 5 })) };
      for (const j of weakPlaces(able, pieces).joints.slice(0, 3)) {
        if (!('wall' in j)) continue;
        const mend = mendJoint(able, pieces, j);
        if (!mend) continue;
        mended++;
        const after = [...pieces.filter((p) => !mend.out.includes(p)), ...mend.laid];
        const judged = judgeLaying(able, after);
        expect([seed, judged.fault, judged.unfilled]).toEqual([seed, null, laying.score.unfilled]);
        expect(judged.joints).toBeLessThan(judgeLaying(able, pieces).joints);
        expect(judged.money - judgeLaying(able, pieces).money).toBeLessThanOrEqual(mend.money);
      }
    }
    expect(mended).toBeGreaterThan(20);
  });
});

describe('walls that were planned', () => {
  it('are mended by a swap of their own, and then lie as they are mended', () => {
    const bench = fitWorkbench(['6 brick 1x4 ash', '9 brick 1x2 ash']);
    const job = wallJobOf({ walls: wallsOf(8), courses: coursesOf('ash', 'ash') });
    did(bench, keepWallJob(bench, job));
    const first = wallsProblem(bench, job, 'firm');
    if (!first.ok) throw new Error('no walls');
    const partOf = (n: number) =>
      [...first.value.parts].find(([, p]) => p.element === el(`brick 1x${n}`, 'ash'))![0];
    const row = (course: number, ...lengths: number[]) => {
      let at = 0;
      return lengths.map((n) => {
        const piece = { part: partOf(n), wall: 'north', course, at };
        at += n;
        return piece;
      });
    };
    const weak = [...row(0, 4, 4), ...row(1, 2, 2, 2, 2)];
    did(bench, planWalls(bench, job, first.value, weak, testSource('a')).work);
    const planned = bench.records.wallJob.get(job.id)!;
    const stated = wallsProblem(bench, planned, 'firm');
    if (!stated.ok) throw new Error('no walls');
    const standing = standingWalls(planned, stated.value)!;
    const [joint] = planned.planned!.joints;
    const mend = mendJoint(standing.problem, standing.pieces, joint!)!;
    const work = planMend(bench, planned, stated.value, mend, testSource('b'));
    expect(work.problems).toEqual([]);
    expect(work.entries).toMatchObject([{ kind: 'swap', why: 'weak', state: 'planned' }]);
    const before = bench.planned.figures({ of: 'build' }).onModel;
    doneAndBack(bench, work);
    const mended = bench.records.wallJob.get(job.id)!;
    expect(mended.planned!.joints).toEqual([]);
    expect(mended.planned!.pieces.filter((p) => p.course === 1).map((p) => [p.at, p.along])).toEqual([
      [0, 2],
      [2, 4],
      [6, 2],
    ]);
    expect(bench.planned.figures({ of: 'build' }).onModel).toBe(before - 1);
    // Laid anew, the swap goes with the walls.
    did(bench, layWallAnew(bench, mended));
    expect(bench.modifications).toEqual([]);
    expect(bench.entries.filter((e) => e.state === 'planned')).toEqual([]);
  });
});
