import { describe, expect, it } from 'vitest';
import { between, pick, seededRandom } from '../shared/random';
import {
  did,
  doneAndBack,
  logLines,
  makeWorkbench,
  TEST_BUILD,
  testSource,
  withBox,
  zoneId,
} from '../testing/workbench';
import { el } from '../testing/world';
import { addModification, givePrices, logLine, readLine, unpricedThings, type Workbench } from './index';

const ash = el('brick 1x2', 'ash');
const slate = el('brick 1x2', 'slate');

const logged = (bench: Workbench, ...lines: string[]): Workbench => logLines(bench, lines);

const yard = (...lines: string[]): Workbench => {
  const bench = makeWorkbench({
    zones: { Wall: ['9 brick 1x2 slate', '4 tile 1x2 ash'] },
    stock: ['3 brick 1x2 ash'],
    prices: ['tile 1x2 ash 12'],
  });
  did(bench, addModification(bench, 'Front', zoneId('Wall'), testSource('m')));
  return logged(bench, ...lines);
};
const figures = (bench: Workbench) => bench.built.figures({ of: 'build' });

describe('what has no price', () => {
  it('is every piece that a sum leaves out, by element and whether it is new, the most first', () => {
    const bench = yard(
      '-4 brick 1x2 slate',
      '+3 brick 1x2 ash from own parts',
      '+5 brick 1x2 ash bought',
      '+1 brick 1x2 ash bought 0.07',
      '-1 tile 1x2 ash',
    );
    expect(
      unpricedThings(bench).map((l) => (l.of === 'lot' ? { ...l, entries: l.entries.length } : l)),
    ).toEqual([
      { of: 'lot', id: `new ${ash}`, element: ash, isNew: true, pieces: 5, bought: 5, entries: 1 },
      { of: 'lot', id: `used ${slate}`, element: slate, isNew: false, pieces: 4, bought: 0, entries: 1 },
      { of: 'lot', id: `used ${ash}`, element: ash, isNew: false, pieces: 3, bought: 0, entries: 1 },
    ]);
  });

  it('is every box of which nobody knows what was paid, before all pieces', () => {
    const bench = withBox(yard('-1 brick 1x2 slate'), 'Lock house', { [ash]: 3 }, TEST_BUILD, null);
    withBox(bench, 'A gift', { [ash]: 3 }, TEST_BUILD, 0);
    expect(unpricedThings(bench)).toMatchObject([
      { of: 'box', box: { setName: 'Lock house' } },
      { of: 'lot', element: slate, pieces: 1 },
    ]);
  });

  it('is nothing that moved, was binned, or came out of the box', () => {
    const bench = yard('-2 brick 1x2 slate to bin', '>3 brick 1x2 slate : wall to whole');
    expect(unpricedThings(bench)).toEqual([]);
  });
});

describe('giving prices', () => {
  it('puts them into the entries that lack one and into the book, and undo takes them out', () => {
    const bench = yard(
      '+5 brick 1x2 ash bought',
      '+3 brick 1x2 ash from own parts',
      '+1 brick 1x2 ash bought 0.07',
    );
    expect(figures(bench)).toMatchObject({ outOfPocket: 7, boughtUnpriced: 5, unpriced: 8 });
    doneAndBack(
      bench,
      givePrices(bench, [
        { id: `new ${ash}`, price: 10 },
        { id: `used ${ash}`, price: 4 },
      ]),
    );
    expect(figures(bench)).toMatchObject({
      outOfPocket: 57,
      boughtUnpriced: 0,
      unpriced: 0,
      worthIn: 5 * 10 + 3 * 4 + 7,
    });
    expect(bench.records.price.get(ash)).toMatchObject({ newPrice: 10, usedPrice: 4 });
    expect(unpricedThings(bench)).toEqual([]);
  });

  it('puts it into the box, whose pieces are paid with it then, and undo takes it out', () => {
    const bench = withBox(yard(), 'Lock house', { [ash]: 3, [slate]: 2 }, TEST_BUILD, null);
    expect(figures(bench)).toMatchObject({ outOfPocket: 0, boughtUnpriced: 5, sharedUnpriced: 5 });
    const [box] = unpricedThings(bench);
    doneAndBack(bench, givePrices(bench, [{ id: box!.id, price: 800 }]));
    expect(figures(bench)).toMatchObject({
      outOfPocket: 800,
      boughtUnpriced: 0,
      sharedCost: 800,
      sharedUnpriced: 0,
    });
    expect(unpricedThings(bench)).toEqual([]);
  });

  it('leaves a price that stands in the book, and gives what was paid to the entry', () => {
    const bench = yard('+2 tile 1x2 ash bought');
    did(bench, givePrices(bench, [{ id: `new ${el('tile 1x2', 'ash')}`, price: 30 }]));
    expect(figures(bench).outOfPocket).toBe(60);
    expect(bench.records.price.get(el('tile 1x2', 'ash'))?.newPrice).toBe(12);
  });

  it('leaves no sum with something unpriced once every kind has a price, whatever was logged', () => {
    const random = seededRandom(12);
    for (let n = 0; n < 40; n++) {
      const bench = withBox(yard(), 'Lock house', { [slate]: 6 }, TEST_BUILD, n % 3 === 0 ? 70 : null);
      for (let i = 0; i < 8; i++) {
        const qty = between(random, 1, 3);
        const line = pick(random, [
          `-${qty} brick 1x2 slate`,
          `+${qty} brick 1x2 ash bought`,
          `+${qty} plate 2x4 bark`,
          `+${qty} plate 2x4 bark buy`,
          `~${qty} brick 1x2 slate > chalk`,
          `-${qty} tile 1x2 ash / +1 tile 1x4 ash`,
          `+${qty} brick 1x2 slate from lock house`,
        ]);
        const reading = readLine(bench, line, {
          modification: bench.modifications[0]!,
          planned: random() < 0.3,
        });
        if (reading.ready) did(bench, logLine(bench, reading, line, testSource(`${n}-${i}`)));
      }
      const lots = unpricedThings(bench);
      did(
        bench,
        givePrices(
          bench,
          lots.map(({ id }) => ({ id, price: between(random, 0, 50) })),
        ),
      );
      expect(unpricedThings(bench)).toEqual([]);
      const f = bench.planned.figures({ of: 'build' });
      expect([f.unpriced, f.boughtUnpriced, f.backUnpriced, f.sharedUnpriced]).toEqual([0, 0, 0, 0]);
    }
  });
});
