import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { highs, solveExactly } from '@/workers/sourcing/exact';
import type { PoolModel } from '../records';
import { elementKey } from '../parts';
import { asId, type ColourId, type PartId, type PoolModelId } from '../shared/ids';
import { el } from '../testing/world';
import { coverModel, mainColours, mustsIn, type Cover, type CoverBox, type CoverModel } from './cover';

let solver: Awaited<ReturnType<typeof highs>>;
beforeAll(async () => {
  solver = await highs();
});

const COLOURS = ['ash', 'bark', 'chalk'] as ColourId[];
const [brick, tile] = ['brick 1x2', 'tile 2x2'] as [PartId, PartId];
const box = (
  code: string,
  price: number,
  lots: [PartId, ColourId, number][],
  more: Partial<CoverBox> = {},
): CoverBox => ({
  code,
  name: code,
  price,
  owned: 0,
  most: 3,
  lots: lots.map(([p, c, qty]) => ({ element: elementKey(p, c), qty })),
  ...more,
});
const model = (name: string, musts: PoolModel['musts'], more: Partial<CoverModel> = {}): CoverModel => ({
  id: asId<PoolModelId>(name),
  name,
  musts,
  colours: [],
  shares: false,
  ...more,
});
const solved = (boxes: readonly CoverBox[], models: readonly CoverModel[]): Cover => {
  const { linearModel, decode } = coverModel(boxes, models);
  const answer = solveExactly(solver, linearModel, { start: null, seconds: 20, gap: 0 });
  return decode(answer.values!);
};

/** The least by trying everything: every number of copies, every choice of colours. */
function tried(boxes: readonly CoverBox[], models: readonly CoverModel[]): { cost: number; short: number } {
  let best = { cost: Infinity, short: Infinity };
  const choices = models.map((m) => {
    const list = mainColours(m, boxes);
    return list.length > 0 ? list : [null];
  });
  const colours = (i: number, chosen: (ColourId | null)[]): (ColourId | null)[][] =>
    i === models.length ? [chosen] : choices[i]!.flatMap((c) => colours(i + 1, [...chosen, c]));
  const counts = (i: number, chosen: number[]): number[][] =>
    i === boxes.length
      ? [chosen]
      : Array.from({ length: boxes[i]!.most + 1 }, (_, n) => n).flatMap((n) => counts(i + 1, [...chosen, n]));
  for (const chosen of colours(0, [])) {
    const alone = chosen.filter((c, i) => c !== null && !models[i]!.shares);
    if (new Set(alone).size < alone.length) continue;
    const want = new Map<string, number>();
    models.forEach((m, i) => {
      for (const { element, qty } of mustsIn(m, chosen[i]!))
        want.set(element, (want.get(element) ?? 0) + qty);
    });
    for (const copies of counts(0, [])) {
      let short = 0;
      for (const [element, qty] of want) {
        const had = boxes.reduce(
          (s, b, i) =>
            s + (copies[i]! + b.owned) * b.lots.reduce((n, l) => n + (l.element === element ? l.qty : 0), 0),
          0,
        );
        short += Math.max(0, qty - had);
      }
      const cost = boxes.reduce((s, b, i) => s + b.price * copies[i]!, 0);
      if (short < best.short || (short === best.short && cost < best.cost)) best = { cost, short };
    }
  }
  return best;
}

describe('fewest boxes for several models', () => {
  it('gives two models colours of their own, and buys what both need', () => {
    const boxes = [
      box('A', 900, [
        [brick, COLOURS[0]!, 10],
        [brick, COLOURS[1]!, 10],
      ]),
      box('B', 500, [[brick, COLOURS[0]!, 10]]),
    ];
    const two = [
      model('Hut', [{ part: brick, colour: null, qty: 8 }]),
      model('Shed', [{ part: brick, colour: null, qty: 8 }]),
    ];
    const cover = solved(boxes, two);
    expect(cover).toMatchObject({ cost: 900, copies: [{ code: 'A', copies: 1 }], short: [] });
    expect(new Set(cover.models.map((m) => m.colour)).size).toBe(2);
    // Sharing a colour, two of the cheaper box are dearer than one of the other.
    const shared = solved(
      boxes,
      two.map((m) => ({ ...m, shares: true })),
    );
    expect(shared.cost).toBe(900);
    expect(
      solved(
        [boxes[1]!],
        two.map((m) => ({ ...m, shares: true })),
      ).cost,
    ).toBe(1000);
  });

  it('buys nothing where the boxes that are owned do, and tells what is left over', () => {
    const boxes = [box('A', 900, [[brick, COLOURS[0]!, 10]], { owned: 2 })];
    const cover = solved(boxes, [model('Hut', [{ part: brick, colour: COLOURS[0]!, qty: 15 }])]);
    expect(cover).toMatchObject({ cost: 0, copies: [], short: [], left: 5 });
  });

  it('tells what no box gives, and still covers the rest', () => {
    const boxes = [box('A', 900, [[brick, COLOURS[0]!, 10]])];
    const cover = solved(boxes, [
      model('Hut', [
        { part: brick, colour: COLOURS[0]!, qty: 5 },
        { part: tile, colour: COLOURS[1]!, qty: 2 },
      ]),
    ]);
    expect(cover).toMatchObject({ cost: 900, short: [{ element: el('tile 2x2', 'bark'), qty: 2 }] });
  });

  it('lacks as little, and costs as little, as the best of all choices', () => {
    const lots = fc.array(
      fc.tuple(fc.constantFrom(brick, tile), fc.constantFrom(...COLOURS), fc.integer({ min: 1, max: 9 })),
      { minLength: 1, maxLength: 4 },
    );
    const boxes = fc.array(
      fc.tuple(fc.integer({ min: 100, max: 900 }), lots, fc.integer({ min: 0, max: 1 })),
      {
        minLength: 1,
        maxLength: 3,
      },
    );
    const musts = fc.array(
      fc.record({
        part: fc.constantFrom(brick, tile),
        colour: fc.constantFrom<ColourId | null>(null, ...COLOURS),
        qty: fc.integer({ min: 1, max: 12 }),
      }),
      { minLength: 1, maxLength: 3 },
    );
    fc.assert(
      fc.property(
        boxes,
        fc.array(fc.tuple(musts, fc.boolean()), { minLength: 1, maxLength: 2 }),
        (bs, ms) => {
          const pool = bs.map(([price, l, owned], i) => box(`B${i}`, price, l, { owned, most: 2 }));
          const models = ms.map(([m, shares], i) => model(`M${i}`, m, { shares }));
          // With fewer colours than models that need one of their own there is no answer at all.
          const best = tried(pool, models);
          fc.pre(best.short < Infinity);
          const cover = solved(pool, models);
          expect(cover.short.reduce((s, x) => s + x.qty, 0)).toBe(best.short);
          expect(cover.cost).toBe(best.cost);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('a box for hardly anything', () => {
  const wants = (qty: number) => model('m', [{ part: brick, colour: COLOURS[0]!, qty }]);
  const large = box('Large', 3000, [[brick, COLOURS[0]!, 40]]);
  const at = (pence: number, qty: number): Cover => {
    const { linearModel, decode } = coverModel([large], [wants(qty)], () => pence);
    return decode(solveExactly(solver, linearModel, { start: null, seconds: 20, gap: 0 }).values!);
  };

  it('is not bought: what it would give is told as lacking', () =>
    expect(at(100, 2)).toMatchObject({ cost: 0, copies: [], short: [{ qty: 2 }] }));

  it('is bought where it gives its pieces for less than they are worth', () =>
    expect(at(100, 31)).toMatchObject({ cost: 3000, copies: [{ code: 'Large', copies: 1 }], short: [] }));

  it('is bought for anything where nothing is said of what a piece is worth', () =>
    expect(solved([large], [wants(1)])).toMatchObject({ cost: 3000, short: [] }));
});
