import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { takeTally } from '../ledger';
import { allDone, ash, greened, kelp, wallAndRoof } from '../testing/wall-and-roof';
import { modAtRandom, randomSet } from '../testing/mods';
import { did, doneAndBack, planned, testSource, withBox } from '../testing/workbench';
import {
  AS_IT_IS,
  cameWent,
  changeStage,
  deleteStage,
  growthOf,
  laidOver,
  nameStage,
  sizeAt,
  stageAt,
  stagesOf,
  standingOf,
  standsAt,
  unpackedAt,
} from './index';

const [bench, done] = [wallAndRoof, allDone];
const green = (qty = 4) => greened(bench(), qty);

describe('what stands', () => {
  it('adds up, whatever was put on and taken off again', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const b = modAtRandom(randomSet(seed), seed);
      for (const z of b.zones) {
        const s = standingOf(b.planned.figures({ of: 'zone', zone: z.id }));
        expect(s.kept + s.changed + s.fresh).toBe(s.onModel);
        expect(Math.min(s.kept, s.changed, s.fresh)).toBeGreaterThanOrEqual(0);
      }
    }
    expect(standingOf(green().planned.figures({ of: 'build' }))).toEqual({
      onModel: 26,
      kept: 22,
      changed: 4,
      fresh: 0,
    });
  });
});

describe('stages', () => {
  it('are named, changed and deleted, in their order', () => {
    const b = bench();
    doneAndBack(b, nameStage(b, { name: 'as shipped', no: 0 }, testSource('s')));
    doneAndBack(b, nameStage(b, { name: 'dressed', no: 3 }, testSource('t')));
    expect(stagesOf(b).map((s) => s.name)).toEqual(['as shipped', 'dressed']);
    doneAndBack(b, changeStage(stagesOf(b)[0]!, { position: 9, note: 'in the box' }));
    expect(stagesOf(b).map((s) => s.name)).toEqual(['dressed', 'as shipped']);
    doneAndBack(b, deleteStage(stagesOf(b)[0]!));
    expect(stagesOf(b)).toHaveLength(1);
  });

  it('show the books as far as they had come', () => {
    const b = done(green());
    const [first, last] = [stageAt(b, unpackedAt(b)), stageAt(b, standsAt(b))];
    expect(first.tally.figures).toMatchObject({ onModel: 26, recoloured: 0 });
    expect(last.tally.figures).toEqual(takeTally(b.built, { of: 'build' }, b.priceOf).figures);
    expect(last.colours).toEqual([
      { colour: 'ash', pieces: 16 },
      { colour: 'rust', pieces: 6 },
      { colour: 'kelp', pieces: 4 },
    ]);
    expect(last.zones).toMatchObject([
      { name: 'Whole model' },
      { name: 'Wall', changed: 4, kept: 16 },
      { name: 'Roof' },
    ]);
    expect(cameWent(b, first.books, last.books)).toEqual({
      came: [{ element: kelp, qty: 4 }],
      went: [{ element: ash, qty: 4 }],
    });
    expect(stageAt(green(), 'planned').tally.figures.recoloured).toBe(4);
  });

  it('what came less what went is the change of the model, between any two moments', () => {
    for (let seed = 1; seed <= 20; seed++) {
      const b = modAtRandom(randomSet(seed), seed);
      const [from, to] = [stageAt(b, 0), stageAt(b, 'planned')];
      const { came, went } = cameWent(b, from.books, to.books);
      const sum = (l: readonly { qty: number }[]) => l.reduce((n, x) => n + x.qty, 0);
      expect(sum(came) - sum(went)).toBe(to.tally.figures.onModel - from.tally.figures.onModel);
      expect(to.colours.reduce((n, c) => n + c.pieces, 0)).toBe(to.tally.figures.onModel);
    }
  });

  it('have the size that was said of them, and what stands has the size that was measured', () => {
    const b = bench();
    did(b, nameStage(b, { name: 'a', no: 0, size: { length: 4, width: 3, height: 2 } }, testSource('s')));
    expect(sizeAt(b, stagesOf(b)[0]!)).toEqual({ length: 4, width: 3, height: 2 });
    expect(sizeAt(b, null)).toBe(null);
  });
});

describe('growing line by line', () => {
  it('ends where the tally is, and has a point for each line that tells', () => {
    for (let seed = 1; seed <= 15; seed++) {
      const b = modAtRandom(randomSet(seed), seed);
      const points = growthOf(b, true);
      const f = takeTally(b.planned, { of: 'build' }, b.priceOf).figures;
      const { onModel, net, outOfPocket, boughtUnpriced: unpriced } = f;
      expect(points.at(-1)).toMatchObject({ onModel, net, outOfPocket, unpriced });
      expect(points.length).toBeLessThanOrEqual(b.entries.length);
      expect(growthOf(b, false)).toHaveLength(1);
    }
    // Postage is paid with the order that bears it, as in the tally.
    const posted = planned(withBox(bench(), 'Tram', { [kelp]: 9 }, undefined, 500), testSource('t'), {
      on: [{ element: kelp, qty: 3 }],
      source: 'donor',
    });
    const last = growthOf(posted, true).at(-1)!;
    expect(last.outOfPocket).toBe(posted.planned.figures({ of: 'build' }).outOfPocket);
    expect(last.outOfPocket).toBeGreaterThan(0);
    // So are the pieces of a box of unknown price.
    const unknown = withBox(posted, 'Tub', { [kelp]: 7 }, undefined, null);
    const { boughtUnpriced } = unknown.planned.figures({ of: 'build' });
    expect([growthOf(unknown, true).at(-1)!.unpriced, boughtUnpriced]).toEqual([7, 7]);
    const b = green();
    const own = growthOf(b, true, new Set([b.modifications[0]!.id]));
    expect(own).toMatchObject([{ onModel: 0, net: 0 }]);
  });
});

describe('a photo laid over another', () => {
  it('has its two marks over the other two, whatever they are', () => {
    const share = fc.double({ min: 0, max: 1, noNaN: true });
    const mark = fc.record({ x: share, y: share });
    fc.assert(
      fc.property(mark, mark, mark, mark, (p, q, r, s) => {
        const [w, h] = [800, 600];
        const far = (a: typeof p, b: typeof p) => Math.hypot(a.x - b.x, a.y - b.y) > 0.05;
        fc.pre(far(p, q) && far(r, s));
        const [a, b, c, d, e, f] = laidOver([p, q], [r, s], w, h);
        const at = (m: typeof p) => [a * m.x * w + c * m.y * h + e, b * m.x * w + d * m.y * h + f];
        for (const [from, to] of [
          [p, r],
          [q, s],
        ] as const) {
          expect(at(from)[0]).toBeCloseTo(to.x * w, 4);
          expect(at(from)[1]).toBeCloseTo(to.y * h, 4);
        }
        // It is turned and scaled, and never slanted.
        expect([d, c]).toEqual([a, -b]);
      }),
    );
  });

  it('stays as it is while there are not two marks on both', () => {
    const one = { x: 0.2, y: 0.3 };
    expect(laidOver([one], [one, { x: 0.9, y: 0.9 }], 10, 10)).toEqual(AS_IT_IS);
    expect(laidOver([one, one], [one, { x: 0.9, y: 0.9 }], 10, 10)).toEqual(AS_IT_IS);
  });
});
