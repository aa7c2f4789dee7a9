import { describe, expect, it } from 'vitest';
import { floorJobOf, fitWorkbench } from '../../testing/fit';
import { asId, type ColourId } from '../../shared/ids';
import { did, doneAndBack, testSource } from '../../testing/workbench';
import type { FloorJob } from '../../records';
import { faultOf, judgeLaying, quickLaying } from '../lay';
import {
  deleteFloorJob,
  floorProblem,
  jobState,
  keepFloorJob,
  laidFloor,
  layFloorAnew,
  planFloor,
  type FloorPiece,
  type LaidFloor,
  type Way,
  mirroredFloor,
} from '../index';
import { patternSlabs } from './patterns';
import type { Workbench } from '../../workbench';

const STOCK = ['ash', 'kelp', 'bark'].flatMap((c) => [
  `40 tile 1x1 ${c}`,
  `40 tile 1x2 ${c}`,
  `30 tile 2x2 ${c}`,
  `20 tile 1x4 ${c}`,
  `20 plate 2x4 ${c}`,
  `20 plate 1x2 ${c}`,
  `20 plate 2x3 ${c}`,
]);
const colour = (c: string) => asId<ColourId>(c);

function laid(
  bench: Workbench,
  job: FloorJob,
  under: readonly FloorPiece[] = [],
  way: Way = 'firm',
  layer = 0,
) {
  const made = floorProblem(bench, job, way, under);
  if (!made.ok) throw new Error(JSON.stringify(made.reason));
  const laying = quickLaying(made.value.problem);
  const { pieces } = laying.plan({ proven: false, seconds: 0 });
  expect(faultOf(made.value.problem)).toBeNull();
  expect(judgeLaying(made.value.problem, pieces)).toEqual({ fault: null, ...laying.score });
  return { stated: made.value, plan: pieces, floor: laidFloor(job, made.value, pieces, layer) };
}

/** By place: which piece lies there. Fails where two do, or one lies outside. */
function cover(floor: LaidFloor, job: FloorJob): number[][] {
  const rows = Array.from({ length: job.depth }, () => Array.from({ length: job.width }, () => -1));
  floor.pieces.forEach((p, i) => {
    for (let y = p.y; y < p.y + p.d; y++)
      for (let x = p.x; x < p.x + p.w; x++) {
        expect(rows[y]?.[x]).toBe(-1);
        rows[y]![x] = i;
      }
  });
  return rows;
}

describe('patterns', () => {
  const field = { x: 1, y: 1, w: 8, d: 4 };
  it('lie in rows, in rows moved by half, and in turned bundles', () => {
    expect(patternSlabs('grid', field, { w: 2, d: 2 }, [])).toHaveLength(8);
    const bond = patternSlabs('running bond', field, { w: 4, d: 1 }, []);
    expect(bond.filter((s) => s.y === 1).map((s) => s.x)).toEqual([1, 5]);
    expect(bond.filter((s) => s.y === 2).map((s) => s.x)).toEqual([3]);
    const weave = patternSlabs('basket weave', field, { w: 2, d: 1 }, []);
    expect(weave).toHaveLength(16);
    expect(weave.filter((s) => s.x === 1 && s.y === 1)).toEqual([{ x: 1, y: 1, w: 2, d: 1 }]);
    expect(weave.filter((s) => s.x === 3 && s.y === 1)).toEqual([{ x: 3, y: 1, w: 1, d: 2 }]);
  });

  it('leave out what would lie on what is kept free', () =>
    expect(patternSlabs('grid', field, { w: 2, d: 2 }, [{ x: 2, y: 2, w: 2, d: 1 }])).toHaveLength(6));
});

describe('a floor', () => {
  const bench = fitWorkbench(STOCK);

  it.each<[string, Partial<FloorJob>]>([
    ['plain', {}],
    [
      'with a kerb and a post',
      { kerb: { colour: colour('bark'), width: 1 }, keepOut: [{ name: 'post', x: 4, y: 3, w: 1, d: 1 }] },
    ],
    ['in a grid', { pattern: 'grid', slab: { w: 2, d: 2 } }],
    ['in running bond', { pattern: 'running bond', slab: { w: 4, d: 1 } }],
    [
      'in basket weave',
      { pattern: 'basket weave', slab: { w: 2, d: 1 }, kerb: { colour: colour('kelp'), width: 2 } },
    ],
    ['of plates', { family: 'plate' }],
    [
      'mixed',
      {
        colours: [
          { colour: colour('ash'), share: 2 },
          { colour: colour('kelp'), share: 1 },
        ],
      },
    ],
  ])('%s covers each place once, keeps free what is kept free, and its kerb in its colour', (_, more) => {
    const job = floorJobOf(more);
    const { floor } = laid(bench, job);
    const rows = cover(floor, job);
    const k = job.kerb?.width ?? 0;
    for (let y = 0; y < job.depth; y++)
      for (let x = 0; x < job.width; x++) {
        const kept = job.keepOut.some((o) => x >= o.x && x < o.x + o.w && y >= o.y && y < o.y + o.d);
        expect([x, y, rows[y]![x]! >= 0]).toEqual([x, y, !kept]);
        if (kept) continue;
        const edge = k > 0 && (x < k || y < k || x >= job.width - k || y >= job.depth - k);
        const element = floor.pieces[rows[y]![x]!]!.element;
        const allowed = edge ? [job.kerb!.colour] : job.colours.map((c) => c.colour);
        expect(allowed.some((c) => element.endsWith(`|${c}`))).toBe(true);
      }
    expect(floor.empty).toEqual([]);
  });

  it('has its colours by their shares, within a piece or two, and takes what is at hand first', () => {
    const mixed = floorJobOf({
      width: 20,
      colours: [
        { colour: colour('ash'), share: 3 },
        { colour: colour('kelp'), share: 1 },
      ],
    });
    const { shares } = laid(bench, mixed).floor;
    expect(shares.get(colour('ash'))! / 160).toBeCloseTo(0.75, 1);
    expect([...shares.values()].reduce((s, n) => s + n, 0)).toBe(160);
    const lies = laid(bench, mixed, [], 'as it lies').floor;
    expect(lies.pieces.some((p) => p.bought)).toBe(false);
    // Where one colour is not at hand, the other stands in for a few pieces of it only.
    const poor = fitWorkbench(STOCK.filter((s) => !s.endsWith('kelp')));
    const bought = laid(poor, mixed).floor;
    expect(bought.pieces.filter((p) => p.element.endsWith('kelp')).every((p) => p.bought)).toBe(true);
    expect(bought.shares.get(colour('kelp'))!).toBeGreaterThan(20);
    expect(laid(poor, mixed).floor).toEqual(bought);
  });

  it('of two layers crosses the seams of the one below', () => {
    const job = floorJobOf({ family: 'plate', layers: 2, pattern: 'free' });
    const below = laid(bench, job).floor.pieces;
    const { stated, floor } = laid(bench, job, below);
    const over = laid(bench, job).floor;
    const seams = (f: LaidFloor) => {
      const [a, b] = [cover({ ...f, pieces: below }, job), cover(f, job)];
      let n = 0;
      for (let y = 0; y < job.depth; y++)
        for (let x = 0; x + 1 < job.width; x++)
          if (a[y]![x] !== a[y]![x + 1] && b[y]![x] !== b[y]![x + 1]) n++;
      for (let y = 0; y + 1 < job.depth; y++)
        for (let x = 0; x < job.width; x++) if (a[y]![x] !== a[y + 1]![x] && b[y]![x] !== b[y + 1]![x]) n++;
      return n;
    };
    expect(floor.joints).toHaveLength(seams(floor));
    expect(seams(floor)).toBeLessThan(seams(over));
    expect(stated.problem.under).toHaveLength(below.length);
  });

  it.each<[string, Partial<FloorJob>]>([
    ['of two layers', { family: 'plate', layers: 2, pattern: 'free' }],
    ['with a kerb of its only colour', { kerb: { colour: colour('ash'), width: 1 } }],
    [
      'with a kerb of one of its colours',
      {
        kerb: { colour: colour('kelp'), width: 1 },
        colours: [
          { colour: colour('ash'), share: 1 },
          { colour: colour('kelp'), share: 1 },
        ],
      },
    ],
  ])(
    '%s counts what is at hand once: as it lies it buys nothing, and what is drawn as bought is bought',
    (_, more) => {
      const scarce = fitWorkbench([
        '6 plate 2x4 ash',
        '9 plate 1x2 ash',
        '20 tile 1x2 ash',
        '9 tile 2x2 ash',
        '12 tile 1x2 kelp',
      ]);
      const job = floorJobOf(more);
      for (const way of ['as it lies', 'firm'] as const) {
        const first = laid(scarce, job, [], way).floor;
        const layers = job.layers > 1 ? [first, laid(scarce, job, first.pieces, way, 1).floor] : [first];
        const { lots } = planFloor(scarce, job, layers, testSource(way));
        const toBuy = new Map(lots.flatMap((l) => (l.toBuy > 0 ? [[l.element, l.toBuy] as const] : [])));
        const drawn = new Map<string, number>();
        for (const p of layers.flatMap((l) => l.pieces))
          if (p.bought) drawn.set(p.element, (drawn.get(p.element) ?? 0) + 1);
        expect([way, drawn]).toEqual([way, toBuy]);
        if (way === 'as it lies') expect(toBuy.size).toBe(0);
      }
    },
  );

  it.each<[string, Partial<FloorJob>, object]>([
    [
      'a post outside',
      { keepOut: [{ name: 'post', x: 11, y: 0, w: 2, d: 1 }] },
      { fault: 'keep out', name: 'post' },
    ],
    [
      'two things on one place',
      {
        keepOut: [
          { name: 'post', x: 1, y: 1, w: 2, d: 1 },
          { name: 'lamp', x: 2, y: 1, w: 1, d: 1 },
        ],
      },
      { fault: 'keep out twice', name: 'lamp' },
    ],
    ['nothing but kerb', { kerb: { colour: colour('ash'), width: 4 } }, { fault: 'kerb' }],
    ['a slab that is none', { pattern: 'grid', slab: { w: 3, d: 3 } }, { fault: 'slab', w: 3, d: 3 }],
    ['of what no floor is made of', { family: 'gull' }, { fault: 'family' }],
  ])('says what is wrong: %s', (_, more, reason) =>
    expect(floorProblem(bench, floorJobOf(more), 'firm')).toEqual({ ok: false, reason }),
  );

  it('is planned by one command, kept as it lies, laid anew, and deleted', () => {
    const own = fitWorkbench(STOCK);
    const job = floorJobOf({ keepOut: [{ name: 'post', x: 4, y: 3, w: 1, d: 1 }] });
    did(own, keepFloorJob(own, job));
    const { floor } = laid(own, job);
    const { work, lots, cost } = planFloor(own, job, [floor], testSource());
    expect(lots.reduce((s, l) => s + l.qty, 0)).toBe(floor.pieces.length);
    const toPay = lots.reduce((s, l) => s + l.toBuy * (l.each ?? 0), 0);
    const unpriced = lots.reduce((s, l) => s + (l.each === null ? l.toBuy : 0), 0);
    expect(cost).toEqual({ cost: toPay, unpriced });
    expect(floor.pieces.filter((p) => p.bought)).toHaveLength(lots.reduce((s, l) => s + l.toBuy, 0));
    doneAndBack(own, work);
    const kept = own.records.floorJob.get(job.id)!;
    expect(kept.planned).toMatchObject({ pieces: floor.pieces, empty: [] });
    expect(jobState(own, kept)).toBe('planned');
    doneAndBack(own, layFloorAnew(own, kept));
    expect(own.modifications).toEqual([]);
    doneAndBack(own, deleteFloorJob(own.records.floorJob.get(job.id)!));
  });
});

describe('a floor in a mirror', () => {
  it('keeps the same places free on the other side, and twice is what it was', () => {
    const job = floorJobOf({ keepOut: [{ name: 'lamp', x: 1, y: 2, w: 3, d: 1 }] });
    const other = { ...mirroredFloor(job), id: job.id, planned: null };
    expect(other.keepOut).toEqual([{ name: 'lamp', x: 8, y: 2, w: 3, d: 1 }]);
    expect({ ...mirroredFloor(other), id: job.id, planned: null }).toEqual(job);
  });
});
