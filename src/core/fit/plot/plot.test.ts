import { describe, expect, it } from 'vitest';
import { doneAndBack, makeWorkbench } from '../../testing/workbench';
import { neighbourOf } from '../../testing/fit';
import { baseplatesFor } from './baseplates';
import { keepPlot, onPlot, plotOf, sidesAgree } from './plot';
import { printDoors, readDoors, readHeight, readStoreys } from './read-street';

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
        neighbours: [neighbourOf({ storeys: [30, 2], cornices: [40, 12] })],
        place: 9,
      }),
    );
    expect(plotOf(bench)).toMatchObject({
      storeys: [2, 32],
      neighbours: [{ storeys: [2, 30], cornices: [12, 40] }],
      place: 1,
    });
  });

  it('says what sticks out, where, and against whom', () => {
    expect(onPlot(plot, { length: 30, width: 20, height: 10 })).toEqual({
      width: 2,
      depth: 6,
      inFront: 12,
      above: null,
      against: [],
      fits: true,
    });
    const wide = onPlot({ ...plot, touches: ['left', 'back'] }, { length: 35, width: 28, height: 10 });
    expect(wide).toEqual({
      width: -3,
      depth: -2,
      inFront: 4,
      above: null,
      against: ['left'],
      fits: false,
    });
    const under = (above: number) => onPlot({ ...plot, above }, { length: 5, width: 5, height: 10 });
    expect(under(30)).toMatchObject({ above: 0, fits: true });
    expect(under(28)).toMatchObject({ above: -2, fits: false });
    const deep = onPlot({ ...plot, touches: ['back'] }, { length: 5, width: 33, height: 1 });
    expect(deep!.against).toEqual(['back']);
    expect(onPlot(plot, null)).toBeNull();
    expect(onPlot({ ...plot, width: 0 }, { length: 1, width: 1, height: 1 })).toBeNull();
  });

  it('holds the change on each side against the change of the size', () => {
    const found = { length: 30, width: 20, height: 10 };
    const built = { length: 34, width: 19, height: 10 };
    const changed = { left: 4, right: 0, front: -1, back: 0 };
    expect(sidesAgree({ ...plot, changed }, found, built)).toEqual({ length: 0, width: 0 });
    expect(sidesAgree({ ...plot, changed: { ...changed, right: 2, back: -1 } }, found, built)).toEqual({
      length: 2,
      width: -1,
    });
    expect(sidesAgree(plot, found, built)).toBeNull();
    expect(sidesAgree({ ...plot, changed }, null, built)).toBeNull();
  });
});

describe('a base for a plot', () => {
  const at = (w: number, d: number) => ({ width: w, depth: d });
  const own = makeWorkbench({
    zones: { Front: ['1 brick 1x2 ash'] },
    stock: ['1 baseplate 24x32 ash', '2 baseplate 16x16 kelp', '1 baseplate 32x32 bark'],
  });
  it('is one at hand it fits on, turned the better way, then those that are too small with what sticks out', () => {
    const under = baseplatesFor(own, at(30, 24));
    expect(under.slice(0, 3)).toEqual([
      { name: 'baseplate 24x32', atHand: 1, over: [2, 0], fits: true },
      { name: 'baseplate 32x32', atHand: 1, over: [2, 8], fits: true },
      { name: 'baseplate 16x16', atHand: 2, over: [-14, -8], fits: false },
    ]);
    expect(under.slice(3).every((b) => b.atHand === 0 && b.fits)).toBe(true);
    expect(baseplatesFor(own, at(26, 32))[1]).toMatchObject({ name: 'baseplate 24x32', over: [-2, 0] });
  });
  it('is bought where none is at hand, and none where the plot is larger than any', () => {
    const bare = makeWorkbench({ zones: { Front: ['1 brick 1x2 ash'] } });
    expect(baseplatesFor(bare, at(20, 14))[0]).toEqual({
      name: 'baseplate 16x32',
      atHand: 0,
      over: [12, 2],
      fits: true,
    });
    expect(baseplatesFor(bare, at(60, 60))).toEqual([]);
  });
});

describe('storeys as they are typed', () => {
  it('are plates, or bricks with a b, in order', () => {
    expect(readStoreys('62, 2 10b 20b+1 62')).toEqual({ ok: true, value: [2, 30, 61, 62] });
    expect(readStoreys('')).toEqual({ ok: true, value: [] });
  });
  it.each(['roof', '-3', '3001', '2.5'])('say what is none: %s', (text) =>
    expect(readStoreys(`2, ${text}`)).toEqual({ ok: false, reason: text }),
  );
});

describe('doors as they are typed', () => {
  it('have a name, a place and a sill, and print as they are read', () => {
    const read = readDoors('front 4 up 1b+2, cellar 12');
    expect(read).toEqual({
      ok: true,
      value: [
        { name: 'front', at: 4, sill: 5 },
        { name: 'cellar', at: 12, sill: 0 },
      ],
    });
    expect(read.ok && readDoors(printDoors(read.value))).toEqual(read);
  });
  it.each(['front', 'front up 4', '4 up', 'side 4 up high', 'far 9999'])('say what is none: %s', (text) =>
    expect(readDoors(`back 2, ${text}`)).toEqual({ ok: false, reason: text }),
  );
  it.each([
    ['7', 7],
    ['2b', 6],
    ['2b+1', 7],
    ['2b1p', 7],
    ['3p', 3],
    ['', undefined],
    ['+', undefined],
    ['9999b', undefined],
  ] as const)('a height of %s is %s plates', (text, plates) => expect(readHeight(text)).toBe(plates));
});
