import { describe, expect, it } from 'vitest';
import { allIn, donorAccount, overdrafts } from '../ledger';
import type { ElementKey } from '../parts';
import { asId, type CopyId } from '../shared/ids';
import { between, seededRandom } from '../shared/random';
import { doneAndBack, makeWorkbench, TEST_BUILD, testSource, withBox, zoneId } from '../testing/workbench';
import { el } from '../testing/world';
import { inBoxes, leftCount, logLeft, type Workbench } from './index';

const ash = el('brick 1x2', 'ash');
const slate = el('brick 1x2', 'slate');
const tile = el('tile 1x2', 'ash');

const yard = (): Workbench => {
  const bench = makeWorkbench({ zones: { Wall: [] }, prices: ['brick 1x2 ash 9'] });
  withBox(bench, 'Night tram', { [ash]: 8, [slate]: 5 }, TEST_BUILD, 2000);
  return withBox(bench, 'Lock house', { [ash]: 3, [tile]: 4 }, TEST_BUILD, null);
};
const left = (lots: Record<string, number>) => new Map(Object.entries(lots)) as Map<ElementKey, number>;

describe('counting what is left', () => {
  it('tells what the boxes hold together', () =>
    expect(inBoxes(yard())).toEqual([
      { element: ash, there: 11 },
      { element: slate, there: 5 },
      { element: tile, there: 4 },
    ]));

  it('makes the model the boxes less what is left: what is not counted is used, or with the switch still there', () => {
    const bench = yard();
    const counted = left({ [ash]: 2, [tile]: 4 });
    expect(leftCount(bench, counted, false)).toEqual({ held: 20, left: 6, used: 14, tooMany: [] });
    expect(leftCount(bench, counted, true)).toEqual({ held: 20, left: 11, used: 9, tooMany: [] });
  });

  it('says of which more is counted than there is', () =>
    expect(leftCount(yard(), left({ [tile]: 5, [el('arch 1x4', 'ash')]: 1 }), false).tooMany).toEqual([
      { element: tile, counted: 5, there: 4 },
      { element: el('arch 1x4', 'ash'), counted: 1, there: 0 },
    ]));

  it('logs it as one modification that can be undone, from the boxes in their order', () => {
    const bench = yard();
    doneAndBack(bench, logLeft(bench, left({ [ash]: 2, [tile]: 4 }), false, zoneId('Wall'), testSource('l')));
    const [modification] = bench.modifications;
    expect(bench.built.figures({ of: 'modification', modification: modification!.id })).toMatchObject({
      in: 14,
      fromDonor: 14,
      // Nine of ash have a price; what has none is not nothing.
      worthIn: 9 * 6,
      unpriced: 5,
    });
    const box = (name: string) => bench.built.balances.total(donorAccount(asId<CopyId>(`box ${name}`)));
    expect([box('Lock house'), box('Night tram')]).toEqual([4, 2]);
  });

  it('leaves in the boxes exactly what was counted, whatever that was', () => {
    const random = seededRandom(3);
    for (let n = 0; n < 60; n++) {
      const bench = yard();
      const counted = new Map(
        inBoxes(bench).flatMap((h): [ElementKey, number][] =>
          random() < 0.7 ? [[h.element, between(random, 0, h.there)]] : [],
        ),
      );
      const rest = random() < 0.5;
      const said = leftCount(bench, counted, rest);
      doneAndBack(bench, logLeft(bench, counted, rest, zoneId('Wall'), testSource(`l${n}`)));
      const still = inBoxes(bench);
      expect(still.reduce((s, h) => s + h.there, 0)).toBe(said.left);
      for (const [element, qty] of counted)
        expect(still.find((h) => h.element === element)?.there ?? 0).toBe(qty);
      expect(bench.built.figures({ of: 'build' }).onModel).toBe(said.used);
      expect(overdrafts(bench.built.balances)).toEqual([]);
    }
  });
});

describe('what a build costs all in', () => {
  it('is out of pocket, boxes broken up for it among that, and the boxes it began from', () => {
    const bench = yard();
    // The test's own copy was £10; of the two boxes broken up for it one has a price: no piece of the other does.
    expect(allIn(bench.built)).toEqual({ cost: 3000, boxes: 1000, unpriced: 7, unpricedBoxes: 0 });
  });
});
