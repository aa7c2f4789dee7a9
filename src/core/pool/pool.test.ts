import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PALETTE } from '../colour';
import type { PartId } from '../shared/ids';
import { makeWorkbench, planned, testSource } from '../testing/workbench';
import { el } from '../testing/world';
import { coloursOfPart, fitPool, poolExceptions } from './pool';

const ash = el('brick 1x2', 'ash');
const slate = el('brick 1x2', 'slate');
const bark = el('brick 1x2', 'bark');

describe('a pool of boxes', () => {
  const boxes = [
    {
      code: 'T',
      name: 'Night tram',
      copies: 2,
      lots: [
        { element: ash, qty: 4 },
        { element: slate, qty: 3 },
      ],
    },
  ];
  const palette = makeWorkbench({ zones: {} }).palette;

  it('fits or is short, with what comes near, how many copies more, and what is left over', () => {
    expect(fitPool(boxes, [{ element: ash, qty: 8 }], palette)).toMatchObject({
      fits: true,
      used: 8,
      held: 14,
    });
    const report = fitPool(
      boxes,
      [
        { element: ash, qty: 9 },
        { element: bark, qty: 1 },
      ],
      palette,
    );
    expect(report.fits).toBe(false);
    expect(report.short).toMatchObject([
      { element: ash, short: 1, near: [{ element: slate, left: 6 }], more: [{ code: 'T', copies: 1 }] },
      { element: bark, short: 1, more: [] },
    ]);
    expect(report.left).toEqual([{ element: slate, qty: 6 }]);
  });

  it('gives out no piece twice and loses none', () => {
    const three = [ash, slate, bark];
    const lots = fc.array(
      fc.record({ element: fc.constantFrom(...three), qty: fc.integer({ min: 1, max: 9 }) }),
      {
        minLength: 1,
        maxLength: 6,
      },
    );
    fc.assert(
      fc.property(lots, lots, fc.integer({ min: 1, max: 4 }), (held, wants, copies) => {
        const pool = [{ code: 'P', name: 'Pool', copies, lots: held }];
        const report = fitPool(pool, wants, palette);
        const pieces = (list: readonly { qty: number }[]) => list.reduce((n, l) => n + l.qty, 0);
        expect(report.used + pieces(report.left)).toBe(report.held);
        expect(report.held).toBe(pieces(held) * copies);
        expect(report.used + report.short.reduce((n, s) => n + s.short, 0)).toBe(pieces(wants));
        expect(report.fits).toBe(report.short.length === 0);
        // As many more copies as it says do make it fit, and one fewer does not.
        for (const s of report.short)
          for (const { copies: more } of s.more) {
            const short = (n: number) =>
              fitPool([{ ...pool[0]!, copies: copies + n }], wants, palette).short.some(
                (x) => x.element === s.element,
              );
            expect([short(more), short(more - 1)]).toEqual([false, true]);
          }
      }),
    );
  });

  it('says in which colours it has a part', () =>
    expect(coloursOfPart(boxes, 'brick 1x2' as PartId)).toEqual([
      { element: ash, qty: 8, from: [{ name: 'Night tram', qty: 8 }] },
      { element: slate, qty: 6, from: [{ name: 'Night tram', qty: 6 }] },
    ]));
});

describe('exceptions and near misses', () => {
  it('counts what comes from elsewhere than its boxes as exceptions', () => {
    const [amber, dune] = [el('brick 1x2', 'amber'), el('brick 1x2', 'dune')];
    const b = planned(
      makeWorkbench({ zones: { Wall: ['4 brick 1x2 dune'] }, stock: ['2 brick 1x2 amber'] }),
      testSource(),
      { kind: 'remove', off: [{ element: dune, qty: 2 }] },
      { on: [{ element: dune, qty: 2 }], source: 'spares' },
      { on: [{ element: amber, qty: 3 }] },
    );
    expect(poolExceptions(b).reduce((s, e) => s + e.qty, 0)).toBe(3);
  });

  it('explains a near miss: another shape of the same room, a near colour, one more copy and its price', () => {
    const round = el('round brick 1x1', 'kelp');
    const box = {
      code: 'T',
      name: 'Tram',
      copies: 1,
      price: 1400,
      lots: [
        { element: el('brick 1x1', 'kelp'), qty: 2 },
        { element: round, qty: 3 },
        { element: el('brick 1x1', 'fern'), qty: 1 },
      ],
    };
    const [short] = fitPool([box], [{ element: el('brick 1x1', 'kelp'), qty: 3 }], PALETTE).short;
    expect(short).toMatchObject({
      short: 1,
      alike: [{ element: round, left: 3 }],
      near: [{ element: el('brick 1x1', 'fern'), left: 1 }],
      more: [{ copies: 1, cost: 1400 }],
    });
  });
});
