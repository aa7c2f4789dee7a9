import { describe, expect, it } from 'vitest';
import { splitElementKey } from '../../parts';
import { asId, type ColourId } from '../../shared/ids';
import { between, pick, seededRandom } from '../../shared/random';
import { coursesOf, fitWorkbench, randomWallJob, wallJobOf, wallsOf } from '../../testing/fit';
import { judgeLaying, quickLaying } from '../lay';
import { placeOpenings, wallsProblem } from '../index';
import { faceStones } from './faces';
import { overhangOf } from './overhang';

const masonry = (share: number) => [{ family: 'masonry brick', share }];
const laid = (job: ReturnType<typeof wallJobOf>) => {
  const stated = wallsProblem(fitWorkbench([]), job, 'firm');
  if (!stated.ok) return stated.reason;
  const plan = quickLaying(stated.value.problem).plan({ proven: false, seconds: 0 });
  const parts = plan.pieces.map((p) => splitElementKey(stated.value.parts.get(p.part)!.element).part);
  return { plan, parts };
};

describe('faces as a share', () => {
  it('take their share of the studs in places of their own, the same each time', () => {
    const job = wallJobOf({ walls: wallsOf(20), faces: masonry(10) });
    const stones = faceStones(job, []);
    expect(stones).toHaveLength(4);
    expect(stones.every((s) => s.along === 2 && s.at >= 1 && s.at + 2 <= 19)).toBe(true);
    expect(faceStones(job, [])).toEqual(stones);
    expect(faceStones({ ...job, faces: [] }, [])).toEqual([]);
  });

  it('are laid there, and leave no place unfilled', () => {
    const made = laid(wallJobOf({ walls: wallsOf(20), faces: masonry(20) }));
    if ('fault' in made) throw new Error('these walls stand');
    expect(made.parts.filter((p) => p === 'masonry brick 1x2')).toHaveLength(8);
    expect(made.plan.unfilled).toBe(0);
    expect(made.plan.joints).toBe(0);
  });

  it('keep off openings, areas, hidden courses and one another, over random walls', () => {
    const random = seededRandom(31);
    let n = 0;
    for (let seed = 1; seed <= 60; seed++) {
      const job = {
        ...randomWallJob(seed),
        faces: [
          ...masonry(between(random, 5, 60)),
          { family: pick(random, ['round brick', 'log brick']), share: between(random, 5, 40) },
        ],
      };
      const placed = placeOpenings(job);
      if (!placed.ok) continue;
      const seen = new Set<string>();
      for (const s of faceStones(job, placed.value)) {
        const course = job.courses[s.course]!;
        expect(course.colour).not.toBeNull();
        expect(course.family).toBe('brick');
        for (let i = 0; i < s.along; i++) {
          const at = s.at + i;
          const covers = (o: {
            wall: string;
            from: number;
            width: number;
            bottom: number;
            courses: number;
          }) =>
            o.wall === s.wall &&
            at >= o.from &&
            at < o.from + o.width &&
            s.course >= o.bottom &&
            s.course < o.bottom + o.courses;
          expect([...placed.value, ...job.panels].some(covers)).toBe(false);
          expect(seen.has(`${s.wall} ${s.course} ${at}`)).toBe(false);
          seen.add(`${s.wall} ${s.course} ${at}`);
          n++;
        }
      }
    }
    expect(n).toBeGreaterThan(500);
  });

  it('leave corners to their own stones', () => {
    const job = wallJobOf({
      walls: wallsOf(12, 12),
      meet: 'row',
      corners: asId<ColourId>('kelp'),
      faces: masonry(60),
    });
    const made = laid(job);
    if ('fault' in made) throw new Error('these walls stand');
    expect(made.plan.unfilled).toBe(0);
  });
});

describe('a last course that stands out', () => {
  it('is of slopes two studs deep over a wall of one, and leaves corners open', () => {
    const job = wallJobOf({ walls: wallsOf(12, 8), meet: 'row', courses: coursesOf('ash', 'kelp slope 45') });
    expect(overhangOf(job)).toEqual({ family: 'slope 45', studs: 1, openCorners: 1 });
    const made = laid(job);
    if ('fault' in made) throw new Error('these walls stand');
    expect(made.plan.unfilled).toBe(0);
    expect(made.parts.filter((p) => p.startsWith('slope 45 2x')).length).toBeGreaterThan(2);
    expect(overhangOf({ ...job, thick: 2 })).toBeNull();
    expect(overhangOf({ ...job, meet: 'room' })!.openCorners).toBe(2);
    expect(overhangOf(wallJobOf())).toBeNull();
  });

  it('may be of arches, which stand on their ends beside what is open below them', () => {
    const window = { name: 'window', width: 4, bottom: 1, courses: 2, count: 1 };
    const job = wallJobOf({
      walls: wallsOf(14),
      courses: coursesOf('ash', 'ash', 'ash', 'kelp arch'),
      openings: [{ ...window, wall: 'north', from: 5 }],
    });
    const stated = wallsProblem(fitWorkbench([]), job, 'firm');
    if (!stated.ok) throw new Error('these walls stand');
    const { pieces, unfilled } = quickLaying(stated.value.problem).plan({ proven: false, seconds: 0 });
    expect(judgeLaying(stated.value.problem, pieces).fault).toBeNull();
    expect(unfilled).toBe(0);
    const over = pieces.flatMap((p) => ('wall' in p && p.course === 3 ? [p] : []));
    const parts = new Map(stated.value.problem.parts.map((p) => [p.id, p]));
    const feet = over.flatMap((p) => [p.at, p.at + parts.get(p.part)!.length - 1]);
    expect(feet.some((f) => f >= 5 && f < 9)).toBe(false);
    const onAir = pieces.map((p) => ('wall' in p && p.course === 3 ? { ...p, at: p.at + 5 } : p));
    expect(judgeLaying(stated.value.problem, onAir).fault).not.toBeNull();
  });

  it('carries nothing: below others it is refused, and the course is named', () => {
    const courses = coursesOf('ash', 'kelp inverted slope 45', 'ash');
    expect(laid(wallJobOf({ courses }))).toEqual({
      fault: 'not last',
      course: 2,
      family: 'inverted slope 45',
    });
  });
});
