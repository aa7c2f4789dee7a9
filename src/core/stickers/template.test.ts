import { describe, expect, it } from 'vitest';
import { asId, type ColourId } from '../shared/ids';
import { el } from '../testing/world';
import { did, makeWorkbench, testSource, zoneId } from '../testing/workbench';
import {
  alignDrawing,
  keepSticker,
  newSticker,
  reprintDrawing,
  rulerDrawing,
  stickersNow,
  waysOf,
} from './index';
import { labelIn } from './template';

const chalk = asId<ColourId>('chalk');
const stripe = {
  id: 's',
  name: 'hull stripe',
  colour: chalk,
  w: 3.2,
  l: 60,
  count: 1,
  elements: [el('brick 1x4', 'kelp'), el('brick 1x4', 'kelp')],
  across: true,
};

describe('a template', () => {
  it('has a ruler of 100 mm with a tick each ten', () => {
    const { w, shapes } = rulerDrawing();
    const ticks = shapes.flatMap((s) => (s.kind === 'line' && s.x1 === s.x2 ? [s.x1] : []));
    expect(w).toBe(100);
    expect(ticks).toEqual(Array.from({ length: 11 }, (_, i) => i * 10));
  });

  it('writes on a strip what fits into it, and nothing over its edge', () => {
    const words = ['window mark 4 x 7.8', '4 x 7.8'];
    const said = (w: number, h: number) => labelIn({ x: 0, y: 0 }, w, h, words)[0];
    expect(said(60, 4)).toMatchObject({ text: words[0], size: 2.2 });
    expect(said(7.8, 4)).toMatchObject({ text: words[1] });
    expect(said(4, 7.8)).toBe(undefined);
    for (let w = 1; w < 40; w += 0.7) {
      const label = said(w, 5);
      if (label?.kind === 'text')
        expect(label.x + 0.52 * label.size * label.text.length).toBeLessThanOrEqual(w);
    }
  });

  it('lays a stripe over its parts, in their middle, and says what the jig is', () => {
    const drawing = alignDrawing(stripe)!;
    const strip = drawing.shapes.find((s) => s.kind === 'rect' && s.look === 'strip');
    // Two parts of 32 mm behind one stud of the jig: (64 - 60) / 2 from their end, (8 - 3.2) / 2 from below.
    expect(strip).toMatchObject({ x: 10, y: 10.4, w: 60, h: 3.2 });
    expect(drawing.says[0]).toContain('2.4 mm above');
    expect(drawing.says[1]).toContain('10 studs long and 3 deep');
    expect(alignDrawing({ ...stripe, elements: [] })).toBe(null);
  });

  it('gives a printer the motif, the bleed and the colour in numbers, or says that it is not known', () => {
    const bench = makeWorkbench({ zones: { Hull: ['2 brick 1x4 kelp'] } });
    const sticker = {
      ...newSticker(bench, testSource(), { name: 'board', zone: zoneId('Hull'), elements: stripe.elements }),
      w: 8,
      l: 32,
      colour: chalk,
    };
    const drawing = reprintDrawing(bench, sticker)!;
    expect([drawing.w, drawing.h]).toEqual([36, 12]);
    expect(drawing.says[1]).toMatch(/chalk, #[0-9a-f]{6}, L [\d.]+/i);
    expect(reprintDrawing(bench, { ...sticker, colour: null })!.says[1]).toContain('not known');
    expect(reprintDrawing(bench, { ...sticker, w: null })).toBe(null);
  });
});

describe('the ways to go with a sticker', () => {
  it('say what is known, and keep what was typed', () => {
    const bench = makeWorkbench({ zones: { Hull: ['2 brick 1x4 kelp'] }, stock: ['4 plate 1x4 chalk'] });
    const made = newSticker(bench, testSource(), {
      name: 'band',
      zone: zoneId('Hull'),
      elements: stripe.elements,
    });
    did(
      bench,
      keepSticker(bench, {
        ...made,
        w: 3.2,
        l: 64,
        colour: chalk,
        ways: [{ way: 'keep', cost: 5, minutes: 2, looks: 1 }],
      }),
    );
    const ways = waysOf(bench, stickersNow(bench)[0]!);
    const way = (name: string) => ways.find((w) => w.way === name)!;
    expect(way('keep').typed).toEqual({ cost: 5, minutes: 2, looks: 1 });
    expect(way('from sheets')).toMatchObject({ can: false, says: { of: 'area', from: '' } });
    expect(way('reprint')).toMatchObject({ can: false, typed: { cost: null } });
    expect(way('in brick')).toMatchObject({ can: true, typed: { cost: 0 }, says: { toBuy: 0 } });
    did(bench, keepSticker(bench, { ...stickersNow(bench)[0]!.sticker, w: null }));
    expect(waysOf(bench, stickersNow(bench)[0]!).find((w) => w.way === 'in brick')!.says).toEqual({
      of: 'size',
    });
  });
});
