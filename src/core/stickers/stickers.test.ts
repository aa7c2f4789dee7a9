import { describe, expect, it } from 'vitest';
import { takeTally, type Entry } from '../ledger';
import { el } from '../testing/world';
import { did, doneAndBack, makeWorkbench, testSource, zoneId } from '../testing/workbench';
import type { ModificationId } from '../shared/ids';
import { givePrices, unpricedThings, type Workbench } from '../workbench';
import {
  ACTS_FROM,
  deleteSticker,
  doStickerAct,
  keepSticker,
  logStickerAct,
  newSticker,
  noteStickers,
  sayCondition,
  stickersNow,
  toFind,
  type ActWish,
} from './index';

const band = [el('round brick 2x2', 'chalk'), el('round brick 2x2', 'kelp')];
const WISH: ActWish = {
  act: 'lost',
  planned: false,
  modification: null as ModificationId | null,
  zone: null,
  elements: [],
  cost: 0,
  note: '',
};

function withSticker(): Workbench {
  const bench = makeWorkbench({
    zones: { Funnel: ['2 round brick 2x2 chalk', '1 round brick 2x2 kelp'], Hull: ['3 plate 1x4 kelp'] },
  });
  const sticker = newSticker(bench, testSource(), { name: 'band', zone: zoneId('Funnel'), elements: band });
  return did(bench, keepSticker(bench, sticker));
}
const only = (bench: Workbench) => stickersNow(bench)[0]!;
let logged = 0;
const log = (bench: Workbench, more: Partial<ActWish>) =>
  did(bench, logStickerAct(bench, only(bench), { ...WISH, ...more }, testSource(`a${logged++}`)));
const figures = (bench: Workbench) => takeTally(bench.planned, { of: 'build' }, bench.priceOf).figures;

describe('a sticker on its parts', () => {
  it('goes where its acts take it, in their order, and each can be taken back', () => {
    const bench = withSticker();
    expect(only(bench)).toMatchObject({ place: 'on', zone: zoneId('Funnel'), elements: band });
    const steps = [
      [{ act: 'taken off and kept' }, 'kept'],
      [{ act: 'put on', zone: zoneId('Hull'), elements: [el('plate 1x4', 'kelp')] }, 'on'],
      [{ act: 'covered' }, 'covered'],
      [{ act: 'lost' }, 'lost'],
      [{ act: 'renewed with its part', cost: 230 }, 'on'],
    ] as const;
    for (const [i, [wish, place]] of steps.entries()) {
      expect(ACTS_FROM[only(bench).place]).toContain(wish.act);
      doneAndBack(bench, logStickerAct(bench, only(bench), { ...WISH, ...wish }, testSource(`s${i}`)));
      expect(only(bench).place).toBe(place);
    }
    expect(only(bench)).toMatchObject({ zone: zoneId('Hull'), elements: [el('plate 1x4', 'kelp')] });
    expect(only(bench).done.map((d) => d.act)).toEqual(steps.map(([w]) => w.act));
  });

  it('moves no piece whatever is done with it, and its money counts once, though it lies on two parts', () => {
    const bench = withSticker();
    const before = figures(bench);
    log(bench, { act: 'renewed with its part', cost: 450 });
    const after = figures(bench);
    expect(after).toEqual({ ...before, outOfPocket: before.outOfPocket + 450 });
    const zone = bench.planned.figures({ of: 'zone', zone: zoneId('Funnel') });
    expect([
      zone.outOfPocket,
      bench.planned.figures({ of: 'zone', zone: zoneId('Hull') }).outOfPocket,
    ]).toEqual([450, 0]);
  });

  it('says that a price is not known, instead of nothing', () => {
    const bench = withSticker();
    log(bench, { act: 'renewed with its part', cost: null });
    expect(figures(bench)).toMatchObject({ outOfPocket: 0, boughtUnpriced: 1 });
    const [unknown, ...more] = unpricedThings(bench);
    expect([unknown, more]).toMatchObject([
      { of: 'sticker', element: band[0], entries: [{ kind: 'sticker' }] },
      [],
    ]);
    doneAndBack(bench, givePrices(bench, [{ id: unknown!.id, price: 230 }]));
    expect(figures(bench)).toMatchObject({ outOfPocket: 230, boughtUnpriced: 0 });
    // It was the work that had a price, and no part.
    expect(bench.records.price.size).toBe(0);
    expect(unpricedThings(bench)).toEqual([]);
  });

  it('is where it was while an act is only planned, until that is done', () => {
    const bench = withSticker();
    log(bench, { act: 'taken off and kept', planned: true });
    expect(only(bench)).toMatchObject({ place: 'on', done: [] });
    expect(only(bench).planned).toHaveLength(1);
    doneAndBack(bench, doStickerAct(only(bench), only(bench).planned[0]!));
    expect(only(bench)).toMatchObject({ place: 'kept', planned: [] });
  });

  it('is deleted with all that was logged of it; an act whose entry was deleted no longer counts', () => {
    const bench = withSticker();
    log(bench, { act: 'lost' });
    const entry = [...bench.records.entry.values()].find((e: Entry) => e.kind === 'sticker')!;
    did(bench, { label: 'x', diff: { added: [], changed: [], removed: [{ type: 'entry', record: entry }] } });
    expect(only(bench).place).toBe('on');
    log(bench, { act: 'covered' });
    doneAndBack(bench, deleteSticker(bench, only(bench).sticker));
    expect(stickersNow(bench)).toEqual([]);
    expect([...bench.records.entry.values()].some((e) => e.kind === 'sticker')).toBe(false);
  });
});

describe('the condition of stickers', () => {
  it('is found once, with the parts that bear it, and anew when it changed', () => {
    const bench = withSticker();
    expect(toFind(bench, stickersNow(bench))).toEqual([]);
    did(bench, sayCondition(bench, only(bench).sticker, 'crazed'));
    expect(toFind(bench, stickersNow(bench))).toHaveLength(1);
    doneAndBack(bench, noteStickers(bench, stickersNow(bench), testSource('f')));
    const [found] = [...bench.records.finding.values()];
    expect(found).toMatchObject({ kind: 'broken', zone: zoneId('Funnel') });
    expect(found!.lots.map((l) => l.element)).toEqual(band);
    expect(toFind(bench, stickersNow(bench))).toEqual([]);
    did(bench, sayCondition(bench, only(bench).sticker, 'yellowed'));
    expect(toFind(bench, stickersNow(bench))).toHaveLength(1);
    // What was taken off is nothing to be mended on the model.
    log(bench, { act: 'taken off and kept' });
    expect(toFind(bench, stickersNow(bench))).toEqual([]);
  });
});
