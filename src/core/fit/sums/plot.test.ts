import { describe, expect, it } from 'vitest';
import { doneAndBack, makeWorkbench } from '../../testing/workbench';
import { baseplatesFor, keepPlot, onPlot, plotOf, readStoreys, storeySteps, streetOf } from './plot';

const bench = makeWorkbench({ zones: { Front: ['1 brick 1x2 ash'] } });
const plot = { ...plotOf(bench), width: 32, depth: 32, front: 6 };

describe('a plot', () => {
  it('is not said at first, is kept in order, and taken back', () => {
    expect(plotOf(bench)).toMatchObject({ width: 0, storeys: [], neighbours: [] });
    doneAndBack(
      bench,
      keepPlot(bench, {
        ...plot,
        storeys: [32, 2],
        neighbours: [{ name: 'Bakery', width: 16, depth: 32, storeys: [30, 2] }],
        place: 9,
      }),
    );
    expect(plotOf(bench)).toMatchObject({
      storeys: [2, 32],
      neighbours: [{ storeys: [2, 30] }],
      place: 1,
    });
  });

  it('says what sticks out, where, and against whom', () => {
    expect(onPlot(plot, { length: 30, width: 20, height: 10 })).toEqual({
      width: 2,
      depth: 6,
      inFront: 12,
      against: [],
      fits: true,
    });
    const wide = onPlot({ ...plot, touches: ['left', 'back'] }, { length: 35, width: 28, height: 10 });
    expect(wide).toEqual({ width: -3, depth: -2, inFront: 4, against: ['left'], fits: false });
    const deep = onPlot({ ...plot, touches: ['back'] }, { length: 5, width: 33, height: 1 });
    expect(deep!.against).toEqual(['back']);
    expect(onPlot(plot, null)).toBeNull();
    expect(onPlot({ ...plot, width: 0 }, { length: 1, width: 1, height: 1 })).toBeNull();
  });

  it('finds the baseplates it fits on, either way round, the smallest first', () => {
    const plates = [
      { name: 'baseplate 32x48', w: 32, d: 48 },
      { name: 'baseplate 16x32', w: 16, d: 32 },
      { name: 'baseplate 32x32', w: 32, d: 32 },
    ];
    expect(baseplatesFor({ width: 24, depth: 32 }, plates)).toEqual([
      { name: 'baseplate 32x32', over: [8, 0] },
      { name: 'baseplate 32x48', over: [8, 16] },
    ]);
    expect(baseplatesFor({ width: 50, depth: 50 }, plates)).toEqual([]);
    expect(baseplatesFor({ width: 30, depth: 10 }, plates)[0]).toEqual({
      name: 'baseplate 16x32',
      over: [2, 6],
    });
  });
});

describe('storeys as they are typed', () => {
  it('are plates, or bricks with a b, in order', () => {
    expect(readStoreys('62, 2 10b')).toEqual({ ok: true, value: [2, 30, 62] });
    expect(readStoreys('')).toEqual({ ok: true, value: [] });
  });
  it.each(['roof', '-3', '1001', '2.5'])('say what is none: %s', (text) =>
    expect(readStoreys(`2, ${text}`)).toEqual({ ok: false, reason: text }),
  );
});

describe('a street', () => {
  it('meets storey by storey, or misses by plates', () => {
    expect(storeySteps([2, 32, 62], [2, 30])).toEqual([
      { own: 2, other: 2, plates: 0 },
      { own: 32, other: 30, plates: 2 },
      { own: 62, other: 30, plates: 32 },
    ]);
    expect(storeySteps([2], [])).toEqual([]);
  });

  it('stands side by side with the build in its place', () => {
    const street = streetOf(
      {
        ...plot,
        storeys: [3],
        neighbours: [
          { name: 'Bakery', width: 16, depth: 32, storeys: [] },
          { name: 'Chandler', width: 24, depth: 32, storeys: [] },
        ],
        place: 1,
      },
      { name: 'House', width: 32, depth: 32 },
    );
    expect(street.map((h) => [h.name, h.from, h.isOwn])).toEqual([
      ['Bakery', 0, false],
      ['House', 16, true],
      ['Chandler', 48, false],
    ]);
  });
});
