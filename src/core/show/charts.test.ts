import { describe, expect, it } from 'vitest';
import { placeOf } from '../ledger';
import { seededRandom } from '../shared/random';
import { makeWorkbench, planned, testSource } from '../testing/workbench';
import { el } from '../testing/world';
import { colourShifts, growthByDay, piecesByOrigin } from './charts';
import { growthOf } from './growth';

const [ash, bark, chalk] = [el('brick 1x2', 'ash'), el('brick 1x2', 'bark'), el('plate 2x3', 'chalk')];
const built = () =>
  makeWorkbench({
    zones: { Wall: ['40 brick 1x2 ash', '6 plate 2x3 chalk'] },
    stock: ['8 brick 1x2 bark used'],
  });

describe('charts of a build', () => {
  it('the last day stands as the books do, and no day is before another', () => {
    const random = seededRandom(7);
    const workbench = built();
    for (let i = 0; i < 12; i++)
      planned(
        workbench,
        { ...testSource(`day${i}-`), now: `2026-0${1 + Math.floor(random() * 9)}-11T10:00:00Z` },
        {
          kind: 'add',
          on: [{ element: bark, qty: 1 + Math.floor(random() * 4) }],
        },
      );
    const days = growthByDay(workbench, true);
    expect(days.map((d) => d.day)).toEqual([...days.map((d) => d.day)].sort());
    const f = workbench.planned.figures({ of: 'build' });
    expect(days.at(-1)).toMatchObject({ onModel: f.onModel, net: f.net, outOfPocket: f.outOfPocket });
    expect(days.reduce((s, d) => s + d.lines, 0)).toBe(growthOf(workbench, true).length);
  });

  it('colours before are those of the box, colours after those of the books', () => {
    const workbench = planned(built(), testSource(), {
      kind: 'recolour',
      off: [{ element: ash, qty: 5 }],
      on: [{ element: bark, qty: 5 }],
    });
    expect(colourShifts(workbench, true)).toEqual([
      { colour: 'ash', before: 40, after: 35 },
      { colour: 'chalk', before: 6, after: 6 },
      { colour: 'bark', before: 0, after: 5 },
    ]);
    expect(colourShifts(workbench, false).every((c) => c.before === c.after)).toBe(true);
  });

  it('where pieces came from adds up to all that went on', () => {
    const workbench = planned(
      built(),
      testSource(),
      { kind: 'add', on: [{ element: bark, qty: 3 }], source: 'stock' },
      { kind: 'add', on: [{ element: chalk, qty: 2 }], source: 'outside' },
    );
    const sums = piecesByOrigin(workbench, true);
    expect(sums).toEqual([
      { from: 'shipped', pieces: 46 },
      { from: 'stock', pieces: 3 },
      { from: 'outside', pieces: 2 },
    ]);
    const on = workbench.planned.balances.rows((a) => placeOf(a) === 'model');
    expect(sums.reduce((s, o) => s + o.pieces, 0)).toBe(on.reduce((s, r) => s + r.qty, 0));
  });
});
