import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import type { PoolModel } from '../records';
import type { ColourId, PartId, PoolModelId } from '../shared/ids';
import { asId } from '../shared/ids';
import { el } from '../testing/world';
import { did, doneAndBack, makeWorkbench, TEST_BUILD, testSource } from '../testing/workbench';
import {
  addPoolModel,
  builtOf,
  placeAfter,
  poolModelsOf,
  shareInOrder,
  shiftPoolModel,
  withSections,
  type PoolBox,
} from './index';

const [brick, tile] = ['brick 1x2', 'tile 2x2'] as [PartId, PartId];
const [ash, bark] = ['ash', 'bark'] as [ColourId, ColourId];
const boxes: PoolBox[] = [
  {
    ...{ code: 'T', name: 'Tram', copies: 2 },
    lots: [
      { element: el('brick 1x2', 'ash'), qty: 10 },
      { element: el('brick 1x2', 'bark'), qty: 6 },
      { element: el('tile 2x2', 'ash'), qty: 3 },
    ],
  },
];
const model = (name: string, musts: PoolModel['musts'], more: Partial<PoolModel> = {}): PoolModel => ({
  ...{ id: asId<PoolModelId>(name), build: TEST_BUILD, name, musts, colours: [], shares: false },
  ...{ place: 0, colour: null, sectionOf: null, isBuilt: false },
  ...more,
});
const must = (part: PartId, colour: ColourId | null, qty: number) => ({ part, colour, qty });

describe('models one after another from the same boxes', () => {
  it('take what is scarce in their order, and say what decides and what is left', () => {
    const front = model('front', [must(brick, ash, 14), must(tile, ash, 2)]);
    const sides = model('sides', [must(brick, ash, 8), must(tile, ash, 4)]);
    const [a, b] = shareInOrder(boxes, [front, sides]);
    expect(a).toMatchObject({
      ...{ got: 16, short: [], times: 1, left: 22 },
      decides: { element: el('brick 1x2', 'ash'), has: 20, wants: 14 },
      tight: [{ element: el('brick 1x2', 'ash'), has: 6, wants: 8 }],
    });
    expect(b).toMatchObject({
      ...{ got: 10, times: 0, tight: [] },
      short: [{ element: el('brick 1x2', 'ash'), qty: 2 }],
    });
    const [first] = shareInOrder(boxes, [sides, front]);
    expect(first).toMatchObject({ got: 12, short: [], times: 1 });
  });

  it('wait for their main colour, and say how often each would do', () => {
    const [hut] = shareInOrder(boxes, [model('hut', [must(brick, null, 5), must(tile, ash, 1)])]);
    expect(hut).toMatchObject({ undecided: 5, got: 1 });
    expect(hut!.colours.map((c) => [c.colour, c.times])).toEqual([
      ['ash', 4],
      ['bark', 2],
    ]);
    const [only] = shareInOrder(boxes, [
      model('hut', [must(brick, null, 5)], { colours: [bark], colour: bark }),
    ]);
    expect(only).toMatchObject({ undecided: 0, got: 5, colour: 'bark' });
    expect(only!.colours.map((c) => c.colour)).toEqual(['bark']);
  });

  it('are taken with their sections where a cover is looked for, and have one colour', () => {
    const hut = model('hut', [must(brick, null, 5)], { colour: bark });
    const back = model('back', [must(brick, null, 2)], { sectionOf: hut.id, isBuilt: true });
    const lost = model('lost', [must(tile, ash, 1)], { sectionOf: asId<PoolModelId>('gone') });
    const shares = shareInOrder(boxes, [hut, back, lost]);
    expect(shares[1]).toMatchObject({ colour: 'bark', got: 2, colours: [] });
    expect(withSections([hut, back, lost]).map((m) => [m.name, m.musts.length])).toEqual([
      ['hut', 2],
      ['lost', 1],
    ]);
    expect(builtOf(shares)).toEqual({ built: 2, all: 8 });
  });

  it('never take more than there is, and lose nothing', () => {
    const musts = fc.array(
      fc.record({
        part: fc.constantFrom(brick, tile),
        colour: fc.constantFrom<ColourId | null>(ash, bark, null),
        qty: fc.integer({ min: 1, max: 12 }),
      }),
      { maxLength: 4 },
    );
    fc.assert(
      fc.property(fc.array(fc.tuple(musts, fc.constantFrom(null, ash, bark)), { maxLength: 5 }), (list) => {
        const models = list.map(([m, colour], i) => model(`m${i}`, m, { colour }));
        let left = 38;
        for (const s of shareInOrder(boxes, models)) {
          const [wants, short] = [s.wants, s.short].map((l) => l.reduce((n, w) => n + w.qty, 0));
          expect(s.got + short!).toBe(wants);
          expect(s.got + short! + s.undecided).toBe(s.model.musts.reduce((n, m) => n + m.qty, 0));
          expect(s.left).toBe(left - s.got);
          left = s.left;
          // What could be built at least once lacks nothing.
          expect(s.short.length === 0).toBe(s.times === null || s.times >= 1);
        }
      }),
    );
  });

  it('are put in another order, and back', () => {
    const b = makeWorkbench({ zones: { Wall: ['2 brick 1x2 ash'] } });
    const source = testSource('m');
    for (const name of ['one', 'two', 'three'])
      did(
        b,
        addPoolModel(b.build, name, [], source, name === 'one' ? {} : { place: placeAfter(poolModelsOf(b)) }),
      );
    const names = () => poolModelsOf(b).map((m) => m.name);
    expect(names()).toEqual(['one', 'two', 'three']);
    const [one, , three] = poolModelsOf(b);
    doneAndBack(b, shiftPoolModel(poolModelsOf(b), three!, -1));
    expect(names()).toEqual(['one', 'three', 'two']);
    expect(shiftPoolModel(poolModelsOf(b), one!, -1).diff.changed).toEqual([]);
    did(b, shiftPoolModel(poolModelsOf(b), poolModelsOf(b)[0]!, 1));
    expect(names()).toEqual(['three', 'one', 'two']);
  });
});
