import { describe, expect, it } from 'vitest';
import { el } from '../testing/world';
import type { WallJob } from '../records';
import { asId, type ModificationId } from '../shared/ids';
import { makeWorkbench, testSource, zoneId } from '../testing/workbench';
import { newWallJob } from '../fit';
import type { Stripe } from '../stickers';
import { labelSize, stripeGuide, wallGuides } from './guides';

const PLACED = { plates: false, row: 0, bought: false } as const;

/** A wall of two courses of bricks, laid: 4 + 2 studs, then 2 + 4; one piece lies in the inner row. */
function laidWall(): WallJob {
  const b = makeWorkbench({ zones: { Wall: ['6 brick 2x4 ash'] } });
  const job = newWallJob(b, zoneId('Wall'), testSource('w'));
  const matter = { colour: null, family: 'brick' };
  const wall = 'front';
  const [four, two] = [el('brick 1x4', 'ash'), el('brick 1x2', 'kelp')];
  return {
    ...job,
    walls: [{ id: wall, name: 'Front', length: 6, left: 'free', right: 'free' }],
    courses: [matter, matter],
    planned: {
      modification: asId<ModificationId>('m'),
      pieces: [
        { ...PLACED, element: four, wall, course: 0, at: 0, along: 4 },
        { ...PLACED, element: two, wall, course: 0, at: 4, along: 2 },
        { ...PLACED, element: two, wall, course: 1, at: 0, along: 2 },
        { ...PLACED, element: four, wall, course: 1, at: 2, along: 4 },
        { ...PLACED, element: four, wall, course: 1, at: 2, along: 4, row: 1 },
      ],
      joints: [],
      empty: [],
    },
  };
}

describe('a wall as a guide', () => {
  it('has every piece of the outer row where it lies, in millimetres, and covers its face', () => {
    const [guide] = wallGuides(laidWall());
    expect(guide).toMatchObject({ says: 'Front, 6 studs, 2 courses', w: 48 });
    expect(guide!.h).toBeCloseTo(19.2, 9);
    expect(guide!.rects.map((r) => [r.x, r.w, r.colour, r.label])).toEqual([
      [0, 32, 'ash', '4'],
      [32, 16, 'kelp', '2'],
      [0, 16, 'kelp', '2'],
      [16, 32, 'ash', '4'],
    ]);
    // The first course lies at the bottom.
    expect(guide!.rects.map((r) => Math.round(r.y * 10) / 10)).toEqual([9.6, 9.6, 0, 0]);
    expect(guide!.rects.reduce((s, r) => s + r.w * r.h, 0)).toBeCloseTo(guide!.w * guide!.h, 6);
  });

  it('is none while the wall is only stated', () => {
    expect(wallGuides({ ...laidWall(), planned: null })).toEqual([]);
  });
});

describe('a stripe as a guide', () => {
  const stripe: Stripe = {
    ...{ id: 's', name: 'Red line', colour: asId('rust'), w: 2, l: 60, count: 2, across: true },
    elements: [el('tile 1x4', 'ash'), el('tile 1x4', 'ash')],
  };
  it('lies in the middle of the parts it crosses', () => {
    const guide = stripeGuide(stripe)!;
    expect([guide.w, guide.h]).toEqual([64, 8]);
    const [a, b, line] = guide.rects;
    expect([a!.colour, b!.colour, line!.colour]).toEqual([null, null, 'rust']);
    expect([a!.x, a!.w, b!.x, b!.w]).toEqual([0, 32, 32, 32]);
    expect(line).toMatchObject({ x: 2, y: 3, w: 60, h: 2 });
  });
  it('is none on no parts', () => expect(stripeGuide({ ...stripe, elements: [] })).toBeNull());
});

it('labels what has room, and nothing else', () => {
  const rect = { x: 0, y: 0, w: 16, h: 9.6, colour: null };
  expect(labelSize({ ...rect, label: '2' })).toBe(4);
  expect(labelSize({ ...rect, w: 2, label: '1234' })).toBe(0);
  expect(labelSize({ ...rect, label: '' })).toBe(0);
});
